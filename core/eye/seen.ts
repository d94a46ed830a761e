import type { Penetration } from '../stitch/stitch';

/** A hole of a repeat, as it would lie in the cloth if nothing wandered. */
export interface SeenHole {
  /** Along the seam from the start of the repeat, mm. */
  readonly alongMm: number;
  /** Across the seam from what the cloth is led by, mm to the machine’s right. */
  readonly acrossMm: number;
  readonly role: Penetration['role'];
  /** Whether a person counts it on a scrap. */
  readonly counted: boolean;
  readonly needle: number;
}

/** What is to be seen of a stitch on one face of the cloth. */
export interface Seen {
  /** The thread from hole to hole, or only a prick across the seam where a hidden bite comes out. */
  readonly kind: 'thread' | 'pricks';
  /** In sewing order. */
  readonly holes: readonly SeenHole[];
  /** How long a repeat is by the machine’s own dial, mm. */
  readonly repeatMm: number;
  /** Stitch lengths in a repeat. */
  readonly stitches: number;
  /** What it is measured from where the cloth shows it on this face: “fold”, “raw edge”. */
  readonly reference: string | null;
  /** Whether all cloth ends there: what is seen beyond is the paper it lies on. */
  readonly endsThere: boolean;
}

/** Whether every hole lies as far across as every other: a straight line. */
export const isLine = ({ holes }: Pick<Seen, 'holes'>): boolean =>
  holes.every(({ acrossMm }) => acrossMm === holes[0]!.acrossMm);

/** Whether every so often a stitch reaches out of its line. */
export const hasBites = ({ holes }: Pick<Seen, 'holes'>): boolean =>
  holes.some(({ role }) => role === 'bite');

/** Whether a single thread swings to and fro where the cloth ends. */
export const swingsAtRawEdge = ({
  holes,
  reference,
  endsThere,
}: Pick<Seen, 'holes' | 'reference' | 'endsThere'>): boolean =>
  reference === 'raw edge' &&
  endsThere &&
  !isLine({ holes }) &&
  holes.every(({ needle }) => needle === 0);

/**
 * On which side of what it was led along the upper cloth lies: where most of a stitch is sewn; but where it is sewn beside a fold and
 * bites into it, the fold lies above.
 */
export function upperSideOf(seen: Pick<Seen, 'holes' | 'endsThere'>): 1 | -1 {
  const own = seen.holes.filter(({ role }) => role !== 'bite');
  const sewn = own.reduce((sum, { acrossMm }) => sum + acrossMm, 0) >= 0 ? 1 : -1;
  return hasBites(seen) && !seen.endsThere ? (-sewn as 1 | -1) : sewn;
}

/** Nearer to what it was led along a line of thread lies in its shadow, mm. */
export const clearOfEdgeMm = 1;

/**
 * Whether a picture tells how far the stitches lie from what they were led along: bites that reach
 * over it, swings at a raw edge, a single thread clear of it, straight or to and fro, or several lines of
 * thread beside each other. A line beside a ridge is counted by hand.
 */
export const isMeasurable = (seen: Omit<Seen, 'stitches' | 'repeatMm'>) => {
  const { kind, holes, reference } = seen;
  if (kind === 'pricks') return true;
  if (reference === null) return false;
  if (hasBites(seen)) return true;
  if (swingsAtRawEdge(seen)) return true;
  const isClear = holes.every(({ acrossMm }) => Math.abs(acrossMm) >= clearOfEdgeMm);
  const lines = needlesOf(seen).map((needle) => ofNeedle(seen, needle));
  return isClear && (lines.length === 1 || lines.every(isLine));
};

/** The needles that sew, the counted one first. */
export const needlesOf = ({ holes }: Pick<Seen, 'holes'>): number[] => {
  const first = holes.find(({ counted }) => counted)?.needle ?? 0;
  return [...new Set([first, ...holes.map(({ needle }) => needle)])];
};

/** What one needle of a stitch sews. */
export const ofNeedle = <T extends Pick<Seen, 'holes'>>(seen: T, needle: number): T => ({
  ...seen,
  holes: seen.holes.filter((hole) => hole.needle === needle),
});

/** A place on a seam: along and across it, mm. */
export type OnSeam = readonly [alongMm: number, acrossMm: number];

/** What a repeat draws on the cloth: lines from place to place, each needle’s own. */
export function linesOf({ kind, holes, repeatMm }: Seen): (readonly [OnSeam, OnSeam])[] {
  if (kind === 'pricks') {
    return holes
      .filter(({ counted }) => counted)
      .map(({ alongMm }) => [
        [alongMm, -usualPrickMm / 2],
        [alongMm, usualPrickMm / 2],
      ]);
  }
  const needles = [...new Set(holes.map(({ needle }) => needle))];
  return needles.flatMap((needle) => {
    const own = holes.filter((hole) => hole.needle === needle);
    return own.map((hole, i): readonly [OnSeam, OnSeam] => {
      const next = own[i + 1] ?? { ...own[0]!, alongMm: own[0]!.alongMm + repeatMm };
      return [
        [hole.alongMm, hole.acrossMm],
        [next.alongMm, next.acrossMm],
      ];
    });
  });
}

/** As long as a prick of a hidden bite usually is, mm. Starting guess. */
export const usualPrickMm = 0.8;
