import { issuesOf } from '../../../contract/error';
import { foot as footSchema, footDraft } from '../../../contract/kit';
import type { FootRecord } from '../../../contract/records';
import { defaultGuideStepMm, guidances, type Guidance } from '../../../core/kit/foot';
import { change } from '../../app/records';
import { Choice } from '../../controls/choice';
import { LengthField } from '../../controls/length-field';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';
import { FootOutline } from '../../pictures/foot-outline';
import { footKinds, type FootKind } from '../../../core/kit/foot-kind';
import { guidanceNames } from '../../words/facts';
import { footKindNames } from '../../words/kit';

type Specs = FootRecord['specs'];
type Sole = FootRecord['soleMm'];

/** A foot described by measuring it, beside its drawing. */
export function FootEditor({ foot }: { foot: FootRecord }) {
  const { specs, soleMm } = foot;
  const [left, right] = specs.slotMm;
  const specsRefusal = (patch: Partial<Specs>) => {
    const result = footSchema.safeParse({ ...specs, ...patch });
    return result.success ? null : (issuesOf(result.error)[0]?.message ?? 'This can’t be.');
  };
  const soleRefusal = (patch: Partial<Sole>) => {
    const result = footDraft.shape.soleMm.safeParse({ ...soleMm, ...patch });
    return result.success ? null : (issuesOf(result.error)[0]?.message ?? 'This can’t be.');
  };
  const set = (patch: Partial<Specs>) => change('feet', foot.id, { specs: { ...specs, ...patch } });
  const field = (label: string, value: number, patch: (mm: number) => Partial<Specs>) => (
    <LengthField
      fine
      label={label}
      value={value}
      refuse={(mm) => specsRefusal(patch(mm))}
      onCommit={(mm) => mm !== null && set(patch(mm))}
    />
  );
  const sole = (label: string, key: keyof Sole) => (
    <LengthField
      fine
      label={label}
      value={soleMm[key] ?? null}
      refuse={(mm) => soleRefusal({ [key]: mm })}
      onCommit={(mm) =>
        mm !== null && change('feet', foot.id, { soleMm: { ...soleMm, [key]: mm } })
      }
    />
  );
  const { guide } = specs;
  return (
    <div className="grid gap-4">
      <TextField
        label="Foot"
        value={foot.name}
        onCommit={(name) => change('feet', foot.id, { name })}
      />
      <div className="flex flex-wrap gap-5">
        <SelectField
          label="What it is made for"
          value={foot.kind}
          options={footKinds.map((kind) => ({ value: kind, label: footKindNames[kind] }))}
          onChange={(kind) => change('feet', foot.id, { kind: kind as FootKind })}
        />
        {(foot.kind === 'hemmer' || foot.kind === 'wide-hemmer') && (
          <LengthField
            fine
            optional
            label={foot.kind === 'hemmer' ? 'Channel of the scroll' : 'Width it folds'}
            value={foot.channelMm}
            refuse={(mm) => (mm >= 0.5 && mm <= 80 ? null : 'A scroll is 0.5 to 80 mm wide.')}
            onCommit={(channelMm) => change('feet', foot.id, { channelMm })}
          />
        )}
      </div>
      <div className="grid gap-5 xl:grid-cols-2">
        <FootOutline foot={foot} />
        <div className="grid content-start gap-4">
          <p className="text-soft">
            Measure from the centre needle position: left is negative, right positive.
          </p>
          <div className="grid grid-cols-2 gap-4">
            {field('Slot, left end', left, (mm) => ({ slotMm: [mm, right] }))}
            {field('Slot, right end', right, (mm) => ({ slotMm: [left, mm] }))}
          </div>
          <SelectField
            label="What the fold rides on"
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
            field('It stands at', guide.atMm, (atMm) => ({ guide: { atMm } }))
          ) : (
            <div className="grid grid-cols-3 gap-4">
              {field('From', guide.rangeMm[0], (mm) => ({
                guide: { ...guide, rangeMm: [mm, guide.rangeMm[1]] },
              }))}
              {field('to', guide.rangeMm[1], (mm) => ({
                guide: { ...guide, rangeMm: [guide.rangeMm[0], mm] },
              }))}
              {field('in steps of', guide.stepMm ?? defaultGuideStepMm, (stepMm) => ({
                guide: { ...guide, stepMm },
              }))}
            </div>
          )}
          <div className="grid grid-cols-3 gap-4">
            {sole('Sole width', 'widthMm')}
            {sole('needle to toe', 'toeMm')}
            {sole('needle to heel', 'heelMm')}
            {foot.kind === 'binder-attachment' && sole('toe to scroll', 'standOffMm')}
          </div>
        </div>
      </div>
    </div>
  );
}
