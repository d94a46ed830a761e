import { memo } from 'react';
import type { Pattern, Stitch } from '../../../core/stitch/stitch';
import type { PlanRecord } from '../../../contract/records';
import { change, useList } from '../../app/records';
import { NumberField } from '../../controls/number-field';
import { SelectField } from '../../controls/select-field';
import { patternNames } from '../../words/facts';

/** Another machine, foot or stitch has other steps and other metal: the dials are solved anew. */
function replan(planId: string, patch: Partial<PlanRecord>): void {
  change('plans', planId, { ...patch, settings: null });
}

interface KitChoiceProps {
  readonly planId: string;
  readonly machineId: string;
  readonly footId: string;
}

/** The machine and the foot from the drawer. */
export const KitChoice = memo(function KitChoice({ planId, machineId, footId }: KitChoiceProps) {
  const machines = useList('machines').data ?? [];
  const feet = useList('feet').data ?? [];
  return (
    <div className="no-print grid gap-1 pt-1">
      <SelectField
        beside
        label="Machine"
        value={machineId}
        options={machines.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => replan(planId, { machineId: id })}
      />
      <SelectField
        beside
        label="Foot"
        value={footId}
        options={feet.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => replan(planId, { footId: id })}
      />
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
      <NumberField
        label="Needle size"
        unit=""
        value={needleSize}
        refuse={(size) => (size >= 40 && size <= 140 ? null : 'Sizes run from 40 to 140.')}
        onCommit={(size) => size !== null && change('plans', planId, { needleSize: size })}
      />
      <SelectField
        label="Stitch"
        value={stitch.pattern}
        options={patterns.map((value) => ({ value, label: patternNames[value] }))}
        onChange={(pattern) =>
          replan(planId, { stitch: { ...stitch, pattern: pattern as Pattern } })
        }
      />
    </div>
  );
});
