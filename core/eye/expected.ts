import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings } from '../kit/dial-steps';
import { undriftedMm, type Check, type Fault } from '../margin/check';
import type { SetUp } from '../margin/set-up';
import { marginOfPlan } from '../plan/margin-of-plan';
import { countedHoles } from '../stitch/counted-holes';
import { needlePath } from '../stitch/needle-path';
import { repeatLengthMm } from '../stitch/pitch';
import { repeatOf } from '../stitch/repeat';
import type { Seen } from './seen';

/** Which face of the cloth is up: the one that is worn outside, or the other. */
export type Face = 'right' | 'wrong';

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
  const [reference] = margin.references(plan, dials);
  const hidden = face === 'right' ? margin.hiddenOnRight?.(plan) : undefined;
  const counted = countedHoles(plan.stitch);
  const { penetrations, stitches } = repeatOf(plan.stitch);
  const twin = (plan.stitch.twinGapMm ?? 0) > 0;
  const holes = needlePath(plan.stitch, dials, 1, plan.machine).map((hole) => ({
    alongMm: hole.yMm,
    acrossMm: hidden ? 0 : hole.xMm - reference.atMm,
    role: hole.role,
    counted:
      counted.some(({ u, v, role }) => u === hole.u && v === hole.v && role === hole.role) &&
      (hole.needle ?? 0) === (twin ? 0 : (penetrations[0]?.needle ?? 0)),
    needle: hole.needle ?? 0,
  }));
  const first = holes.find((hole) => hole.counted);
  const aimMm = undriftedMm(check, dials);
  const isShown = face === 'wrong' || reference.name === 'raw edge';
  return {
    seen: {
      kind: hidden ? 'pricks' : 'thread',
      holes,
      repeatMm: repeatLengthMm(plan.stitch, dials.lengthMm, plan.machine),
      stitches,
      // What the knife takes off and what is shut in can't be seen any more.
      reference:
        isShown && !hidden && !reference.onlyBefore && reference.source === 'guide'
          ? reference.name
          : null,
    },
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
