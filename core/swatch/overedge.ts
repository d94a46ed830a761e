import type { Pattern } from '../stitch/stitch';
import type { EdgeWave } from './edge-wave';
import { waveLengthMm } from './edge-wave';

/** Starting guess: how far apart an overlocker's two needles stand, mm. */
const overedgeNeedlesMm = 2;
/** Starting guess: how far apart a coverstitch's outer needles stand, mm. */
const coverNeedlesMm = 5.6;

/** The threads of an overlocked or covered edge, lying flat: mm in from the edge, mm along. */
export interface LoopedThreads {
  /** Straight needle lines, mm from the edge. */
  readonly needleLinesMm: readonly number[];
  /** Loops to and fro between two lines, one for each stitch; null where none lie on the face. */
  readonly loopsMm: readonly [near: number, far: number] | null;
}

/**
 * The threads on the upper and under face. An overlocker wraps the edge from its outermost needle;
 * a coverstitch loops between its needles underneath.
 *
 * @param widthMm from the needle nearest to the edge to the edge itself, or to the hem's raw edge
 */
export function loopedThreads(
  pattern: Pattern,
  widthMm: number,
  face: 'up' | 'under',
): LoopedThreads {
  const covers = pattern.startsWith('cover');
  const half = coverNeedlesMm / 2;
  const lines = covers
    ? pattern === 'cover-three'
      ? [widthMm, widthMm + half, widthMm + coverNeedlesMm]
      : [widthMm, widthMm + half]
    : pattern === 'overedge-four'
      ? [widthMm, widthMm + overedgeNeedlesMm]
      : [widthMm];
  const far = Math.max(...lines);
  if (covers) {
    return { needleLinesMm: lines, loopsMm: face === 'under' ? [widthMm, far] : null };
  }
  return { needleLinesMm: face === 'up' ? lines : [], loopsMm: [0, far] };
}

/** How far an edge stands off its line at a place along it, mm; positive is outward. */
export function edgeAsideMm({ look, amplitudeMm }: EdgeWave, alongMm: number): number {
  return look === 'waved' ? amplitudeMm * Math.sin((2 * Math.PI * alongMm) / waveLengthMm) : 0;
}
