import type { FinishMargin } from '../finish/finish-margin';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings } from '../kit/dial-steps';
import { countedHoles } from '../stitch/counted-holes';
import { needlePath } from '../stitch/needle-path';
import { repeatLengthMm } from '../stitch/pitch';
import { repeatOf } from '../stitch/repeat';
import type { Seen } from './seen';

/** Which face of the cloth is up: the one that is worn outside, or the other. */
export type Face = 'right' | 'wrong';

/** What a face shows of a stitch as it was set. */
export function seenOn(
  face: Face,
  margin: FinishMargin,
  plan: SewingPlan,
  dials: DialSettings,
): Seen {
  const [reference] = margin.references(plan, dials);
  const isHidden = face === 'right' && margin.hiddenOnRight?.(plan) !== undefined;
  const counted = countedHoles(plan.stitch);
  const { penetrations, stitches } = repeatOf(plan.stitch);
  const twin = (plan.stitch.twinGapMm ?? 0) > 0;
  const holes = needlePath(plan.stitch, dials, 1, plan.machine).map((hole) => ({
    alongMm: hole.yMm,
    acrossMm: isHidden ? 0 : hole.xMm - reference.atMm,
    role: hole.role,
    counted:
      counted.some(({ u, v, role }) => u === hole.u && v === hole.v && role === hole.role) &&
      (hole.needle ?? 0) === (twin ? 0 : (penetrations[0]?.needle ?? 0)),
    needle: hole.needle ?? 0,
  }));
  const cloth = margin.regions(plan);
  const endsThere =
    cloth.every(({ toMm }) => toMm <= 0) || cloth.every(({ fromMm }) => fromMm >= 0);
  // A raw edge that lies on more cloth is on the other face of it.
  const isShown = face === 'wrong' || (reference.name === 'raw edge' && endsThere);
  // On the back of a twin needle lies one thread between two lines, whatever is to be seen beside it.
  const isTold = isShown && !isHidden && !twin;
  const isThere = isTold && !reference.onlyBefore && reference.source === 'guide';
  return {
    kind: isHidden ? 'pricks' : 'thread',
    holes,
    repeatMm: repeatLengthMm(plan.stitch, dials.lengthMm, plan.machine),
    stitches,
    // What the knife takes off and what is shut in can't be seen any more.
    reference: isThere ? reference.name : null,
    endsThere,
  };
}
