import { useState, type ReactNode } from 'react';
import { firstIssueInWords } from '../../words/refusals';
import { unitOnce } from '../../../core/plain-fill';
import { useLengths } from '../../ground/lengths-context';
import { Link } from 'react-router';
import { issuesOf } from '../../../contract/error';
import { foot as footSchema, footDraft } from '../../../contract/kit';
import type { FootRecord } from '../../../contract/records';
import { defaultGuideStepMm, guidances, type Guidance } from '../../../core/kit/foot';
import { footKinds, type FootKind } from '../../../core/kit/foot-kind';
import { shanks, type Shank } from '../../../core/kit/shank';
import { change, useList } from '../../ground/records';
import { Choice } from '../../controls/choice';
import { LengthField } from '../../controls/length-field';
import { NoteField } from '../../controls/note-field';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';
import { foldsStrip, footMeasures, hasScroll } from '../../pictures/foot-measures';
import { FootOutline } from '../../pictures/foot-outline';
import { guidanceNames } from '../../../core/kit/along';
import { footKindNames, shankNames } from '../../words/kit';
import { FlangeFields } from './flange-fields';
import { FitList } from './foot-fits';
import { References } from './references';

type Specs = FootRecord['specs'];
type Sole = FootRecord['soleMm'];

/** A foot or attachment described by measuring it, beside its drawing. */
export function FootEditor({ foot }: { foot: FootRecord }) {
  const { specs, soleMm } = foot;
  const lengths = useLengths();
  const machines = useList('machines').data ?? [];
  const [lit, setLit] = useState<string | null>(null);
  const beside = specs.slotMm === null;
  const [left, right] = specs.slotMm ?? specs.besideMm ?? [-1, 1];
  const { guide } = specs;
  const guideMm = 'atMm' in guide ? guide.atMm : guide.rangeMm[0];
  const measures = footMeasures(foot, guideMm);
  const letterOf = (name: string) => measures.find((measure) => measure.name === name)?.letter;

  const refusalIn = (result: ReturnType<typeof footSchema.safeParse>) =>
    result.success ? null : firstIssueInWords(issuesOf(result.error), lengths);
  const set = (patch: Partial<Specs>) => change('feet', foot.id, { specs: { ...specs, ...patch } });

  /** A field that lights its letter on the drawing while it has the focus. */
  const lettered = (measure: string, field: (label: string) => ReactNode, name: string) => {
    const letter = letterOf(measure);
    return (
      <div onFocus={() => setLit(letter ?? null)} onBlur={() => setLit(null)}>
        {field(letter ? `${letter}  ${name}` : name)}
      </div>
    );
  };
  const spec = (
    measure: string,
    name: string,
    value: number,
    patch: (mm: number) => Partial<Specs>,
  ) =>
    lettered(
      measure,
      (label) => (
        <LengthField
          fine
          label={label}
          value={value}
          refuse={(mm) => refusalIn(footSchema.safeParse({ ...specs, ...patch(mm) }))}
          onCommit={(mm) => mm !== null && set(patch(mm))}
        />
      ),
      name,
    );
  const sole = (name: string, key: keyof Sole) =>
    lettered(
      name,
      (label) => (
        <LengthField
          fine
          label={label}
          value={soleMm[key] ?? null}
          refuse={(mm) => {
            const result = footDraft.shape.soleMm.safeParse({ ...soleMm, [key]: mm });
            return result.success ? null : firstIssueInWords(issuesOf(result.error), lengths);
          }}
          onCommit={(mm) =>
            mm !== null && change('feet', foot.id, { soleMm: { ...soleMm, [key]: mm } })
          }
        />
      ),
      name,
    );
  const own = (
    measure: string,
    name: string,
    key: 'channelMm' | 'mouthMm' | 'stripMm',
    most: number,
  ) =>
    lettered(
      measure,
      (label) => (
        <LengthField
          fine
          optional
          label={label}
          value={foot[key]}
          refuse={(mm) =>
            mm >= 0.5 && mm <= most
              ? null
              : unitOnce(`It can be ${lengths.fine(0.5)} to ${lengths.fine(most)}.`)
          }
          onCommit={(mm) => change('feet', foot.id, { [key]: mm })}
        />
      ),
      name,
    );

  return (
    <div className="grid gap-3">
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField
          label="Foot"
          value={foot.name}
          onCommit={(name) => change('feet', foot.id, { name })}
        />
        <SelectField
          label="What it is made for"
          value={foot.kind}
          options={footKinds.map((kind) => ({ value: kind, label: footKindNames[kind] }))}
          onChange={(kind) => change('feet', foot.id, { kind: kind as FootKind })}
        />
        <SelectField
          label="How it is held"
          value={specs.shank ?? ''}
          options={[
            { value: '', label: 'not said: fits any' },
            ...shanks.map((shank) => ({ value: shank, label: shankNames[shank] })),
          ]}
          onChange={(shank) => set({ shank: (shank || null) as Shank | null })}
        />
      </div>
      <div className="grid gap-5 md:grid-cols-2">
        <FootOutline foot={foot} lit={lit} />
        <div className="grid content-start gap-3">
          <p className="text-soft">
            Lay a ruler where the letter is. Across, measure from the centre needle position: left
            is negative, right positive.
          </p>
          <div className="grid grid-cols-2 gap-3">
            {beside
              ? spec('foot, left end', 'Foot, left side', left, (mm) => ({ besideMm: [mm, right] }))
              : spec('slot, left end', 'Slot, left end', left, (mm) => ({ slotMm: [mm, right] }))}
            {beside
              ? spec('foot, right end', 'Foot, right side', right, (mm) => ({
                  besideMm: [left, mm],
                }))
              : spec('slot, right end', 'Slot, right end', right, (mm) => ({ slotMm: [left, mm] }))}
          </div>
          <Choice
            label="Where does the needle pass?"
            value={beside ? 'beside' : 'slot'}
            options={[
              { value: 'slot', label: 'Through a slot' },
              { value: 'beside', label: 'Beside the foot' },
            ]}
            onChange={(way) => {
              if (way === 'beside' && !beside) set({ slotMm: null, besideMm: [-6, -1] });
              if (way === 'slot' && beside) set({ slotMm: [-3, 3], besideMm: null });
            }}
          />
          <SelectField
            label={`${letterOf('guide')}  What the fold rides on`}
            value={specs.guidance}
            options={guidances.map((value) => ({ value, label: guidanceNames[value] }))}
            onChange={(guidance) => set({ guidance: guidance as Guidance })}
          />
          <Choice
            label="Does it adjust?"
            value={'atMm' in guide ? 'fixed' : 'adjusts'}
            options={[
              { value: 'fixed', label: 'Fixed' },
              { value: 'adjusts', label: 'Adjusts' },
            ]}
            onChange={(way) => {
              if (way === 'fixed' && 'rangeMm' in guide) set({ guide: { atMm: guide.rangeMm[0] } });
              if (way === 'adjusts' && 'atMm' in guide) {
                set({
                  guide: { rangeMm: [guide.atMm - 1, guide.atMm + 1], stepMm: defaultGuideStepMm },
                });
              }
            }}
          />
          {'atMm' in guide ? (
            spec('guide', 'It stands at', guide.atMm, (atMm) => ({ guide: { atMm } }))
          ) : (
            <div className="grid grid-cols-3 gap-3">
              {spec('', 'From', guide.rangeMm[0], (mm) => ({
                guide: { ...guide, rangeMm: [mm, guide.rangeMm[1]] },
              }))}
              {spec('', 'to', guide.rangeMm[1], (mm) => ({
                guide: { ...guide, rangeMm: [guide.rangeMm[0], mm] },
              }))}
              {spec('', 'in steps of', guide.stepMm ?? defaultGuideStepMm, (stepMm) => ({
                guide: { ...guide, stepMm },
              }))}
            </div>
          )}
          <References
            references={specs.references ?? []}
            onChange={(references) =>
              set({ references: references.length > 0 ? [...references] : null })
            }
          />
          <div className="grid grid-cols-3 gap-3">
            {sole('sole width', 'widthMm')}
            {sole('needle to toe', 'toeMm')}
            {sole('needle to heel', 'heelMm')}
            {foot.kind === 'binder-attachment' && sole('toe to scroll', 'standOffMm')}
            {hasScroll(foot) &&
              (foot.kind === 'hemmer'
                ? own('channel', 'Channel of the scroll', 'channelMm', 80)
                : own('width it folds', 'Width it folds', 'channelMm', 80))}
            {foldsStrip(foot) && own('mouth', 'Mouth', 'mouthMm', 150)}
            {foldsStrip(foot) && own('', 'Strip it takes', 'stripMm', 150)}
          </div>
          {foldsStrip(foot) && <FlangeFields foot={foot} />}
          {foldsStrip(foot) && (foot.stripMm ?? 0) > (foot.mouthMm ?? Infinity) && (
            <p role="alert" className="text-sm font-bold text-madder">
              The strip is wider than the mouth it goes in by: it would jam.
            </p>
          )}
        </div>
      </div>
      <FitList
        title="Goes on"
        pairs={machines.map((machine) => ({ name: machine.name, machine, foot }))}
      />
      <Link
        to={`/book?footId=${encodeURIComponent(foot.id)}&verdict=keep`}
        className="inline-flex min-h-11 items-center text-pencil underline underline-offset-2"
      >
        What worked with this foot
      </Link>
      <NoteField
        label="Note"
        value={foot.note}
        most={2000}
        rows={1}
        onCommit={(note) => change('feet', foot.id, { note })}
      />
    </div>
  );
}
