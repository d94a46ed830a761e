import type { ClothRegion, FinishMargin } from '../finish/finish-margin';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings } from '../kit/dial-steps';
import { undriftedMm } from '../margin/check';
import type { SetUp } from '../margin/set-up';
import type { Swatch } from '../swatch/swatch';

/** A blind hem opened out and pressed is plain cloth. */
export const openedOut: readonly ClothRegion[] = [
  { name: 'garment', fromMm: -Infinity, toMm: Infinity, layers: 1 },
];

/**
 * The thread that shows on the right side at each counted stitch, mm.
 *
 * @returns null for a finish whose stitch is not hidden there
 */
export function shownThreadMm(
  margin: FinishMargin,
  set: Pick<SetUp, 'checks'>,
  plan: SewingPlan,
  dials: DialSettings,
  swatch: Swatch,
): number[] | null {
  const hidden = margin.hiddenOnRight?.(plan);
  const check = set.checks.find(({ name }) => name === hidden?.check);
  if (!hidden || !check) return null;
  const aimMm = undriftedMm(check, dials);
  return swatch.stitches.map(({ driftMm }) =>
    Math.max(0, 2 * (aimMm + check.k * (driftMm[check.source] ?? 0) - hidden.hiddenMm)),
  );
}
