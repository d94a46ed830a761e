import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings } from '../kit/dial-steps';
import { undriftedMm, type Check, type Fault } from '../margin/check';
import type { SetUp } from '../margin/set-up';
import { marginOfPlan } from '../plan/margin-of-plan';
import type { Seen } from './seen';
import { seenOn, type Face } from './seen-on';

/** How what is found on a face is judged by the check that a person counts there. */
export interface Judged {
  readonly check: string;
  /** The check’s value where a counted hole lies so far across from the reference, mm. */
  valueMm(fromReferenceMm: number): number;
  /** The check’s value of a bite that shows so much thread; null where it shows none. */
  valueOfShownMm(shownMm: number): number | null;
  readonly loMm: number;
  readonly hiMm: number;
  readonly below: Fault;
  readonly above: Fault;
}

/** What of a sewn edge one face shows, and what can be told from it. */
export interface Expected {
  readonly seen: Seen;
  readonly judged: Judged;
}

/**
 * What a face shows of a finish as it was set: on the wrong side the thread and what it was led
 * along; on the right side of a hidden stitch the pricks that come through.
 *
 * @throws Impossible for a finish whose stitches are not counted
 */
export function expectedOn(
  face: Face,
  finish: Finish,
  plan: SewingPlan,
  set: SetUp,
  dials: DialSettings,
): Expected {
  const margin = marginOfPlan(finish, plan.fold.variant);
  const check = set.checks.find(({ name }) => name === margin.countedCheck) as Check;
  const hidden = face === 'right' ? margin.hiddenOnRight?.(plan) : undefined;
  const seen = seenOn(face, margin, plan, dials);
  const first = seen.holes.find((hole) => hole.counted);
  const aimMm = undriftedMm(check, dials);
  return {
    seen,
    judged: {
      check: check.name,
      // A cloth that drifts to the right brings its reference nearer to what lies right of it.
      valueMm: (fromReferenceMm) => aimMm + check.k * ((first?.acrossMm ?? 0) - fromReferenceMm),
      valueOfShownMm: (shownMm) => (hidden && shownMm > 0 ? hidden.hiddenMm + shownMm / 2 : null),
      loMm: check.loMm,
      hiMm: check.hiMm,
      below: check.below,
      above: check.above,
    },
  };
}
