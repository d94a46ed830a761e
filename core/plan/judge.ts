import type { Fact } from '../fact';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings } from '../kit/dial-steps';
import { beliefFor } from '../margin/belief';
import { undriftedMm, type Check } from '../margin/check';
import { chanceOf, marginsOf, outcomeOf, type CheckOutcome, type Margin } from '../margin/margin';
import type { SetUp } from '../margin/set-up';
import { clearanceOf, hasStraightPlate, withinSwing, type Clearance } from '../stitch/clearance';
import { countedHoles } from '../stitch/counted-holes';
import { holeXMm, swingOf } from '../stitch/needle-path';
import { pitchMm, repeatLengthMm } from '../stitch/pitch';

/** A setting, judged. */
export interface Judgement {
  readonly settings: DialSettings;
  readonly checks: readonly (Check & CheckOutcome)[];
  /** The margin of each drift source; the reference edge's own comes first. */
  readonly margins: readonly Margin[];
  readonly chance: number;
  readonly clearance: Clearance;
  /** True when the needle would meet metal or leave the machine's swing: never to be sewn. */
  readonly blocked: boolean;
  readonly stitchesPerMetre: number;
  readonly warnings: readonly Fact[];
}

/** A chance below this is no margin worth the name. */
const hopeless = 1e-6;

/**
 * Judges one setting of a set-up: its checks, margins, chance and clearance.
 * Fast enough to be called while a dial is being moved.
 *
 * @param dials may stand where the machine cannot go; the judgement then says so
 */
export function judge(set: SetUp, dials: DialSettings): Judgement {
  const margins = marginsOf(set.checks, dials);
  const chance = chanceOf(margins, set.beliefs);
  const clearance = clearanceOf(set.stitch, dials, set.foot, set.machine, set.needleSize);
  const swings = withinSwing(set.stitch, dials, set.machine);
  const blocked = clearance.clearanceMm < -1e-9 || !swings;
  const warnings: Fact[] = [];
  if (clearance.clearanceMm < -1e-9) {
    const { nearest, side, clearanceMm } = clearance;
    const [uLeft, uRight] = swingOf(set.stitch);
    const swing = Math.abs(holeXMm(uRight, set.stitch, dials) - holeXMm(uLeft, set.stitch, dials));
    warnings.push(
      nearest === 'plate' && hasStraightPlate(set.machine) && swing > 1e-9
        ? { about: 'straight-plate', values: { swingMm: swing } }
        : { about: 'needle-meets-metal', values: { nearest, side, byMm: -clearanceMm } },
    );
  }
  if (!swings) {
    warnings.push({ about: 'beyond-swing', values: { halfMm: set.machine.maxWidthMm / 2 } });
  }
  if (chance < hopeless) warnings.push({ about: 'no-margin', values: {} });
  return {
    settings: dials,
    checks: set.checks.map((check) => ({
      ...check,
      ...outcomeOf(check, undriftedMm(check, dials), beliefFor(set.beliefs, check.source)),
    })),
    margins,
    chance,
    clearance,
    blocked,
    stitchesPerMetre: 1000 / pitchMm(set.stitch, dials.lengthMm, set.machine),
    warnings,
  };
}

/** How many stitches of the counted kind the whole edge takes; need not be whole. */
export function countedAlongEdge(plan: SewingPlan, lengthMm: number): number {
  const repeatMm = repeatLengthMm(plan.stitch, lengthMm, plan.machine);
  return (plan.edge.lengthMm / repeatMm) * countedHoles(plan.stitch).length;
}
