import { Ruler } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { constructions, type Construction, type MeasuredCloth } from '../../../core/cloth/cloth';
import { genericCloths } from '../../../core/cloth/generic-cloths';
import { weightClasses, type WeightClass } from '../../../core/cloth/guesses';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { change, useList } from '../../ground/records';
import { SelectField } from '../../controls/select-field';
import { GradeScale, PropertyScale } from '../../pictures/property-scale';
import { constructionNames, gradeNames, meanings } from '../../words/cloth';
import { homeTestList, type HomeTest } from './home-test';
import { TestDrawing } from './test-drawing';
import { useHomeTests } from './use-home-tests';

/** A stored cloth's properties as the sums answer them. */
export function propertiesOf({ properties }: ClothRecord): MeasuredCloth {
  return {
    ...properties,
    recoveryPercent: properties.recoveryPercent ?? 100,
    estimated: (properties.estimated ?? []) as MeasuredCloth['estimated'],
  };
}

function Scale({ test, cloth }: { test: HomeTest; cloth: ClothRecord }) {
  const shelf = useList('cloths').data ?? [];
  const { fine, fineNumber } = useLengths();
  const { properties } = cloth;
  const guessed = properties.estimated?.includes(test.property) ?? false;
  const others = (of: (it: ClothRecord['properties']) => number) =>
    shelf.filter(({ id }) => id !== cloth.id).map((it) => of(it.properties));
  switch (test.property) {
    case 'weightGsm':
      return (
        <PropertyScale
          label={`Weight ${Math.round(properties.weightGsm)} g/m²`}
          value={properties.weightGsm}
          least={25}
          most={650}
          byShare
          guessed={guessed}
          others={others(({ weightGsm }) => weightGsm)}
          marks={[50, 100, 200, 400].map((at) => [at, String(at)] as const)}
        />
      );
    case 'thicknessMm':
      return (
        <PropertyScale
          label={`Thickness ${fine(properties.thicknessMm)}`}
          value={properties.thicknessMm}
          least={0.06}
          most={4}
          byShare
          guessed={guessed}
          others={others(({ thicknessMm }) => thicknessMm)}
          marks={[0.1, 0.25, 0.5, 1, 2].map((at) => [at, fineNumber(at)] as const)}
        />
      );
    case 'stretchPercent':
      return (
        <PropertyScale
          label={`Stretch ${Math.round(properties.stretchPercent)} %`}
          value={properties.stretchPercent}
          least={0}
          most={100}
          guessed={guessed}
          others={others(({ stretchPercent }) => stretchPercent)}
          marks={[0, 15, 50, 100].map((at) => [at, `${at} %`] as const)}
        />
      );
    default:
      return (
        <GradeScale
          value={properties[test.property]}
          names={gradeNames[test.property]}
          guessed={guessed}
        />
      );
  }
}

function sourceOf(cloth: ClothRecord, test: HomeTest): readonly [text: string, look: string] {
  if (!cloth.properties.estimated?.includes(test.property)) return ['✓ measured', 'text-moss'];
  return [cloth.like ? '~ as such cloths are' : '~ guessed', 'text-ochre'];
}

/** What is known of a cloth, each property on its scale, and the way to test it. */
export function ClothPage({ cloth }: { cloth: ClothRecord }) {
  const lengths = useLengths();
  const { pathname } = useLocation();
  const { take } = useHomeTests(cloth);
  const properties = propertiesOf(cloth);
  return (
    <div className="@container">
      <div className="grid gap-3 @md:grid-cols-3">
        <SelectField
          label="How it is made"
          value={cloth.tests.construction}
          options={constructions.map((value) => ({ value, label: constructionNames[value] }))}
          onChange={(construction) => take({ construction: construction as Construction })}
        />
        <SelectField
          label="Most like"
          value={cloth.like ?? ''}
          options={[
            { value: '', label: 'nothing named' },
            ...genericCloths.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(like) => {
            const kind = genericCloths.find(({ id }) => id === like);
            change('cloths', cloth.id, {
              like: like || null,
              ...(kind ? { tests: { ...cloth.tests, construction: kind.construction } } : {}),
              // Without a likeness something has to say how heavy it is.
              ...(like ? {} : { weightClass: cloth.weightClass ?? 'medium' }),
            });
          }}
        />
        {!cloth.like && (
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
        )}
      </div>
      <ul aria-label="What is known of it" className="pt-2">
        {homeTestList.map((test) => {
          const [source, look] = sourceOf(cloth, test);
          const measured = look === 'text-moss';
          return (
            <li
              key={test.id}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-line py-1.5 @lg:grid-cols-[3.5rem_8rem_minmax(0,1fr)_auto]"
            >
              <span className="hidden @lg:block">
                <TestDrawing name={test.id} />
              </span>
              <div>
                <h3 className="text-base">{test.name}</h3>
                <p className="big-number text-xl leading-tight">
                  {!measured && <span className="font-body text-sm font-normal">about </span>}
                  {test.result(properties, lengths)}
                </p>
                <p className={`text-sm ${look}`}>{source}</p>
              </div>
              <div className="order-last col-span-2 @lg:order-none @lg:col-span-1">
                <Scale test={test} cloth={cloth} />
                <p className="text-sm text-soft">{meanings[test.property](properties, lengths)}</p>
              </div>
              <Link
                to={`/cloths/${cloth.id}/measure/${test.id}`}
                state={{ back: pathname }}
                aria-label={`${measured ? 'Again' : 'Test'}: ${test.name}`}
                className="inline-flex min-h-11 items-center gap-2 rounded-[3px] border border-graphite bg-slip px-3 font-bold hover:bg-cloth"
              >
                <Ruler size={17} aria-hidden />
                {measured ? 'Again' : 'Test'}
              </Link>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
