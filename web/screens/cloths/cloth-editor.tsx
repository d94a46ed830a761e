import { useState, type ReactNode } from 'react';
import { constructions, type Construction } from '../../../core/cloth/cloth';
import { clothFromDescription } from '../../../core/cloth/describe';
import { weightClasses, type WeightClass } from '../../../core/cloth/guesses';
import type { HomeTests } from '../../../core/cloth/home-tests';
import { Impossible, type Issue } from '../../../core/impossible';
import { issuesOf } from '../../../contract/error';
import { homeTests } from '../../../contract/cloth';
import type { ClothRecord } from '../../../contract/records';
import { change } from '../../app/records';
import { LengthField } from '../../controls/length-field';
import { NumberField } from '../../controls/number-field';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';
import { TestDrawing, type TestName } from './test-drawing';

/** What stands against a description, by field; empty when it can be stored. */
function issuesWith(weightClass: WeightClass | null, tests: HomeTests): readonly Issue[] {
  const shaped = homeTests.safeParse(tests);
  if (!shaped.success) return issuesOf(shaped.error);
  try {
    clothFromDescription({ weightClass, tests });
    return [];
  } catch (error) {
    if (error instanceof Impossible) return error.issues;
    throw error;
  }
}

/** One home test: its drawing, its fields, what it came to. */
function Test(props: {
  name: TestName;
  title: string;
  children: ReactNode;
  trouble?: string | undefined;
}) {
  const { name, title, children, trouble } = props;
  return (
    <section aria-label={title} className="flex gap-3 border-b border-line py-3">
      <TestDrawing name={name} />
      <div className="grow">
        <h3 className="pb-1 text-lg">{title}</h3>
        <div className="flex flex-wrap items-start gap-x-4 gap-y-2">{children}</div>
        {trouble && (
          <p role="alert" className="pt-1 text-sm font-bold text-madder">
            {trouble}
          </p>
        )}
      </div>
    </section>
  );
}

/**
 * A cloth described: by class, and by whatever home tests were done. Each reading is kept as soon
 * as the description makes sense; until then it waits here, with the reason beside it.
 */
export function ClothEditor({ cloth }: { cloth: ClothRecord }) {
  const [draft, setDraft] = useState<Partial<HomeTests>>({});
  const tests: HomeTests = { ...cloth.tests, ...draft };
  const issues = issuesWith(cloth.weightClass, tests);
  const trouble = (...fields: (keyof HomeTests)[]) =>
    issues.find(({ path }) => fields.includes(path as keyof HomeTests))?.message;

  const read = (reading: Partial<HomeTests>) => {
    const next = { ...tests, ...reading };
    if (issuesWith(cloth.weightClass, next).length > 0) {
      setDraft({ ...draft, ...reading });
      return;
    }
    setDraft({});
    change('cloths', cloth.id, { tests: next });
  };
  const number = (field: keyof HomeTests) => (tests[field] as number | null | undefined) ?? null;
  const plain = (field: keyof HomeTests, label: string, unit: string) => (
    <NumberField
      label={label}
      unit={unit}
      optional
      value={number(field)}
      onCommit={(value) => read({ [field]: value })}
    />
  );
  const length = (field: keyof HomeTests, label: string, placeholder?: string) => (
    <LengthField
      label={label}
      compact
      optional
      value={number(field)}
      {...(placeholder ? { placeholder } : {})}
      onCommit={(value) => read({ [field]: value })}
    />
  );

  return (
    <div>
      <h2 className="pb-2 text-xl">Describe it</h2>
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField
          label="Name"
          value={cloth.name}
          onCommit={(name) => change('cloths', cloth.id, { name })}
        />
        <SelectField
          label="How it is made"
          value={tests.construction}
          options={constructions.map((value) => ({ value, label: value }))}
          onChange={(construction) => read({ construction: construction as Construction })}
        />
        <SelectField
          label="Weight, by touch"
          value={cloth.weightClass ?? ''}
          options={[
            ...(cloth.weightClass ? [] : [{ value: '', label: 'not said' }]),
            ...weightClasses.map((value) => ({ value, label: value })),
          ]}
          onChange={(weightClass) =>
            weightClass && change('cloths', cloth.id, { weightClass: weightClass as WeightClass })
          }
        />
      </div>
      <h2 className="pt-4 text-xl">Test it at the kitchen table</h2>
      <p className="text-sm text-soft">
        Any of these, in any order. What is not tested stays a guess.
      </p>
      <Test
        name="weigh"
        title="Weigh a square"
        trouble={trouble('sampleGrams', 'sampleSideMm', 'ozPerSqYd')}
      >
        {plain('sampleGrams', 'Kitchen scale', 'g')}
        {length('sampleSideMm', 'Side of the square', '100')}
        {plain('ozPerSqYd', 'or from the bolt', 'oz/yd²')}
      </Test>
      <Test
        name="stack"
        title="Stack layers under a ruler"
        trouble={trouble('stackHeightMm', 'stackLayers')}
      >
        {length('stackHeightMm', 'Height of the stack')}
        {plain('stackLayers', 'Layers, 8 or more', 'layers')}
      </Test>
      <Test
        name="pull"
        title="Pull it along a ruler"
        trouble={trouble('restMm', 'pulledMm', 'afterMm')}
      >
        {length('restMm', 'At rest')}
        {length('pulledMm', 'Pulled')}
        {length('afterMm', 'After letting go')}
      </Test>
      <Test name="rub" title="Rub a cut edge ten times" trouble={trouble('looseThreads')}>
        {plain('looseThreads', 'Threads that came loose', 'threads')}
      </Test>
      <Test name="curl" title="Let a cut edge lie" trouble={trouble('curlMm', 'rollsOver')}>
        {length('curlMm', 'It curls up by')}
        <label className="flex min-h-11 items-center gap-2 pt-5">
          <input
            type="checkbox"
            className="size-5"
            checked={tests.rollsOver ?? false}
            onChange={(event) => read({ rollsOver: event.target.checked || null })}
          />
          it rolls all the way over
        </label>
      </Test>
      <Test name="slip" title="Tilt one layer on another" trouble={trouble('slipDegrees')}>
        {plain('slipDegrees', 'It slides at', '°')}
      </Test>
    </div>
  );
}
