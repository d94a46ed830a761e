import type { EdgeForm } from './form';

/** A round is sewn this far over its own beginning, mm. Starting guess. */
export const closesOverMm = 10;

/** The last of a round in a scroll is folded by hand, mm. Starting guess. */
export const handFoldedMm = 40;

/** Why a line of stitching begins where it does. */
export type StartReason =
  | 'one-end'
  | 'thickest-seam'
  | 'least-seen'
  | 'clear-of-seams'
  | 'mid-side'
  | 'one-corner';

/** How a line goes round: led along a foot, fed through a scroll, or side by side to each corner. */
export type GoesRound = 'led' | 'fed' | 'side-by-side';

export interface StartPlace {
  readonly atMm: number;
  readonly why: StartReason;
}

/** An edge as far as it matters where its line begins. */
export interface BegunEdge {
  readonly lengthMm: number;
  readonly closed: boolean;
  readonly form?: EdgeForm | null | undefined;
  /** The middles of the seams across it. */
  readonly seamsAtMm: readonly number[];
  /** Just before the thickest of them; null where there is none. */
  readonly beforeThickestMm: number | null;
}

/** The middle of the widest stretch between places on a round. */
function clearOf(placesMm: readonly number[], lengthMm: number): number {
  const [first, ...rest] = [...placesMm].sort((a, b) => a - b);
  if (first === undefined) return 0;
  const ends = [...rest, first + lengthMm];
  let [from, to] = [first, ends[0]!];
  [first, ...rest].forEach((mm, i) => {
    if (ends[i]! - mm > to - from) [from, to] = [mm, ends[i]!];
  });
  return ((from + to) / 2) % lengthMm;
}

function midSide(form: Extract<EdgeForm, { kind: 'cornered' }>): number {
  let [at, best, longest] = [0, 0, 0];
  for (const { lengthMm } of form.sides) {
    if (lengthMm > longest + 1e-9) [best, longest] = [at + lengthMm / 2, lengthMm];
    at += lengthMm;
  }
  return best;
}

/**
 * Where a line of stitching begins: an open edge at one end; a round just before its thickest seam
 * or where it is seen least, by the school; what is fed through a scroll clear of every seam; what
 * has corners in the middle of its longest side. Source: craft practice, “The hands at the machine”.
 *
 * @param way the school chosen for a round: `thickest` or `least-seen`
 * @param goes fed through a scroll it starts on no seam; a binding that is mitred, at a corner
 */
export function startPlaceOf(
  edge: BegunEdge,
  way: string | undefined,
  goes: GoesRound,
): StartPlace {
  if (!edge.closed) return { atMm: 0, why: 'one-end' };
  if (edge.form?.kind === 'cornered' && goes === 'side-by-side') {
    return { atMm: 0, why: 'one-corner' };
  }
  if (edge.form?.kind === 'cornered') return { atMm: midSide(edge.form), why: 'mid-side' };
  if (goes === 'fed' && edge.seamsAtMm.length > 0) {
    return { atMm: clearOf(edge.seamsAtMm, edge.lengthMm), why: 'clear-of-seams' };
  }
  if (edge.beforeThickestMm === null || way === 'least-seen') {
    return { atMm: 0, why: 'least-seen' };
  }
  return { atMm: edge.beforeThickestMm, why: 'thickest-seam' };
}
