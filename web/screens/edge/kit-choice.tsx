import { memo } from 'react';
import type { Finish } from '../../../core/finish/finish';
import { takesField, type FoldWish } from '../../../core/finish/fold-request';
import { misfitOf } from '../../../core/kit/foot-fit';
import { lopsided, sideOf } from '../../../core/stitch/repeat';
import { hasRun, type Pattern, type Stitch } from '../../../core/stitch/stitch';
import type { PlanRecord } from '../../../contract/records';
import { useList } from '../../ground/records';
import { changePlan } from '../../bench/plan-change';
import { NumberField } from '../../controls/number-field';
import { SelectField } from '../../controls/select-field';
import { stitchLabel } from '../../words/stitches';

/** Another machine, foot or stitch has other steps and other metal: the dials are solved anew. */
function replan(planId: string, patch: Partial<PlanRecord>): void {
  changePlan(planId, { ...patch, settings: null });
}

interface KitChoiceProps {
  readonly planId: string;
  readonly finish: Finish;
  readonly fold: FoldWish;
  readonly machineId: string;
  /** Null on a machine whose own foot stays on. */
  readonly footId: string | null;
  /** The reference one chose; null for the best, and which of them it is led along now. */
  readonly reference: string | null;
  readonly along: string | null;
}

/** The machine and the foot from the drawer. */
export const KitChoice = memo(function KitChoice(props: KitChoiceProps) {
  const { planId, finish, fold, machineId, footId, reference, along } = props;
  const machines = useList('machines').data ?? [];
  const feet = useList('feet').data ?? [];
  const machine = machines.find(({ id }) => id === machineId);
  const misfits = feet.filter(
    ({ kind, specs }) => machine && misfitOf(machine.specs, { kind, shank: specs.shank }),
  );
  const chosen = misfits.find(({ id }) => id === footId);
  const takeFoot = (id: string) => {
    const rule = finish.fields.statedStripMm;
    const stripMm = feet.find((foot) => foot.id === id)?.stripMm ?? null;
    // An attachment folds one width of strip; by hand the strip follows from the binding.
    const strip =
      rule && takesField(rule, fold.variant) && stripMm !== (fold.statedStripMm ?? null)
        ? { fold: { ...fold, statedStripMm: stripMm } }
        : {};
    replan(planId, { footId: id, reference: null, ...strip });
  };
  return (
    <div className="no-print grid gap-1 pt-1">
      <SelectField
        beside
        label="Machine"
        value={machineId}
        options={machines.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => replan(planId, { machineId: id, reference: null })}
      />
      {footId !== null && (
        <SelectField
          beside
          label="Foot"
          value={footId}
          options={feet.map((foot) => ({
            value: foot.id,
            label: misfits.includes(foot) ? `${foot.name}: does not go on` : foot.name,
          }))}
          onChange={takeFoot}
        />
      )}
      {footId !== null && along !== null && (
        <SelectField
          beside
          label="Along"
          value={reference ?? ''}
          options={[
            { value: '', label: reference === null ? `${along}, the best` : 'the best there is' },
            ...(feet.find(({ id }) => id === footId)?.specs.references ?? []).map(({ name }) => ({
              value: name,
              label: name,
            })),
          ]}
          onChange={(name) => replan(planId, { reference: name || null })}
        />
      )}
      {footId !== null && chosen && (
        <p role="alert" className="text-sm font-bold text-ochre">
          This foot does not go on this machine; the kit says how each is held.
        </p>
      )}
    </div>
  );
});

interface NeedleAndStitchProps {
  readonly planId: string;
  readonly needleSize: number;
  readonly stitch: Stitch;
  readonly patterns: readonly Pattern[];
}

/** What is in the needle bar and on the stitch dial. */
export const NeedleAndStitch = memo(function NeedleAndStitch(props: NeedleAndStitchProps) {
  const { planId, needleSize, stitch, patterns } = props;
  return (
    <div className="grid grid-cols-2 gap-3 pt-2">
      <div className="col-span-2">
        <SelectField
          beside
          label="Stitch"
          value={stitch.pattern}
          options={[
            ...(patterns.includes(stitch.pattern)
              ? []
              : [{ value: stitch.pattern, label: `${stitchLabel(stitch.pattern)}, not here` }]),
            ...patterns.map((value) => ({ value, label: stitchLabel(value) })),
          ]}
          onChange={(pattern) =>
            replan(planId, { stitch: { ...stitch, pattern: pattern as Pattern } })
          }
        />
      </div>
      <NumberField
        label="Needle size"
        unit=""
        value={needleSize}
        refuse={(size) => (size >= 40 && size <= 140 ? null : 'Sizes run from 40 to 140.')}
        onCommit={(size) => size !== null && changePlan(planId, { needleSize: size })}
      />
      {(stitch.twinGapMm ?? 0) > 0 && (
        <NumberField
          label="Between the twin needles"
          unit="mm"
          value={stitch.twinGapMm ?? null}
          refuse={(mm) => (mm >= 1 && mm <= 9 ? null : 'Twin needles stand 1 to 9 mm apart.')}
          onCommit={(twinGapMm) =>
            twinGapMm !== null && replan(planId, { stitch: { ...stitch, twinGapMm } })
          }
        />
      )}
      {hasRun(stitch) && (
        <NumberField
          label="Stitches in the run"
          unit=""
          value={stitch.runStitches}
          refuse={(run) =>
            Number.isInteger(run) && run >= 1 && run <= 40
              ? null
              : 'A whole number of stitches, from 1 to 40.'
          }
          onCommit={(runStitches) =>
            runStitches !== null && replan(planId, { stitch: { ...stitch, runStitches } })
          }
        />
      )}
      {lopsided(stitch) && (
        <SelectField
          label="Swings out to the"
          value={sideOf(stitch)}
          options={[
            { value: 'left', label: 'left' },
            { value: 'right', label: 'right' },
          ]}
          onChange={(side) =>
            side !== sideOf(stitch) &&
            replan(planId, { stitch: { ...stitch, mirror: !stitch.mirror } })
          }
        />
      )}
    </div>
  );
});
