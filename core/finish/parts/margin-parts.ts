import type { DriftSource } from '../../margin/check';
import { guidanceSpreadMm } from '../../margin/drift';
import type { MarginSettings } from '../../margin/set-up';
import { widthCoefficient } from '../../stitch/needle-path';
import { repeatOf, sideOf } from '../../stitch/repeat';
import type { Penetration } from '../../stitch/stitch';
import type { Fact, Reasoned } from '../../fact';
import type { Reference } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import type { StartingValue } from '../work';
import { said } from './said';

/** How far from the needle position, per mm of width, a stitch's hole of a role stands. */
export function holeCoefficient(plan: SewingPlan, role: Penetration['role']): number {
  const u = repeatOf(plan.stitch).penetrations.find((hole) => hole.role === role)?.u ?? 0;
  return widthCoefficient(u, plan.stitch);
}

/**
 * +1 where a stitch's single swing or bite goes right of its run, −1 where it goes left; +1 for a
 * stitch without a run, which is the same on both sides.
 */
export const swingSide = ({ stitch }: SewingPlan): 1 | -1 => (sideOf(stitch) === 'left' ? -1 : 1);

/** The outermost hole of a swing on either side, per mm of width: left, then right. */
export function swingCoefficients(plan: SewingPlan): readonly [left: number, right: number] {
  const all = repeatOf(plan.stitch).penetrations.map(({ u }) => widthCoefficient(u, plan.stitch));
  return [Math.min(...all), Math.max(...all)];
}

/** The spread of whatever this foot guides, before cloth, curve and skill. */
export const guideSpread = ({ foot }: SewingPlan): Partial<Record<DriftSource, number>> => ({
  guide: guidanceSpreadMm[foot.guidance],
});

/** What rides the guide, where the guide stands. */
export const onTheGuide = (name: string, { guideMm }: MarginSettings): Reference => ({
  source: 'guide',
  name,
  atMm: guideMm,
});

/** Why the guide stands where it stands. */
export function guideReasons({ foot: { guide } }: SewingPlan): Fact[] {
  return 'atMm' in guide
    ? [said('guide-fixed', 'Fixed on this foot.')]
    : [
        said('guide-adjusts', 'Set by hand in steps of {stepMm:fine}.', {
          stepMm: guide.stepMm ?? 0.25,
        }),
      ];
}

/** A length with its reason, from a starting value that is one. */
export function asLength(value: StartingValue): Reasoned<number> {
  return {
    value: Number(value.value),
    because: value.because,
    startingGuess: value.startingGuess,
  };
}

/** Why the width of a straight line stays where it is. */
export const noSwing = said('no-swing', 'A straight line: the width stays at nothing.');
