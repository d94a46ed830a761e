import type { View } from './under-foot-scene';

/** What the two windows onto the bed have to show, mm. */
export interface Shown {
  /** The whole foot and a repeat of the stitch. */
  readonly bedWidthMm: number;
  readonly bedHeightMm: number;
  /** What lies before all that, as an attachment does. */
  readonly beforeMm?: number;
  /** From the leftmost to the rightmost of needle and edge. */
  readonly focusMm: readonly [number, number];
  /** What is before the needle only, so that it is looked at there. */
  readonly onlyBefore: boolean;
}

/** Room for a ruler under a window, px. */
export const rulerPx = 44;
/** Narrower than this the windows stand under one another, px. */
export const stackedBelowPx = 560;
const gapPx = 14;

/** The bed, to scale, and a lens on the needle: beside one another, or stacked where it is narrow. */
export function windowsOf(
  { width, height }: { readonly width: number; readonly height: number },
  { bedWidthMm, bedHeightMm, beforeMm = 0, focusMm, onlyBefore }: Shown,
): { readonly bed: View; readonly lens: View } {
  const stacked = width < stackedBelowPx;
  const inner = Math.max(0, stacked ? (height - 2 * rulerPx) * 0.5 : height - rulerPx);
  const bedWidth = Math.max(0, stacked ? width : width * 0.52);
  const bed: View = {
    ...{ x: 0, y: 0, width: bedWidth, height: inner },
    pxPerMm: Math.min(inner / (bedHeightMm + beforeMm), bedWidth / bedWidthMm),
    ...{ midXMm: 0, midYMm: -beforeMm / 2 },
  };
  const x = stacked ? 0 : bedWidth + gapPx;
  const lensWidth = Math.max(0, width - x);
  const pxPerMm = Math.max(1, lensWidth / (focusMm[1] - focusMm[0]));
  return {
    bed,
    lens: {
      ...{ x, y: stacked ? inner + rulerPx : 0, width: lensWidth, height: inner, pxPerMm },
      midXMm: (focusMm[0] + focusMm[1]) / 2,
      // The bite sits in the lower part, so that the run comes into sight above it.
      midYMm: ((onlyBefore ? -1 : 1) * inner * (onlyBefore ? 0.22 : 0.1)) / pxPerMm,
    },
  };
}
