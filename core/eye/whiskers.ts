import { beyondMm, type AlongEdge } from './along-edge';
import { spreadOf } from './flatten';
import { middleOf } from './middle';
import type { RawEdge } from './raw-edge';

const { hypot, max, min, round } = Math;

/** A thread of the cloth that sticks out beyond the stitches. */
export interface Whisker {
  /** Where it ends, mm: along the picture from its left, and from its top. */
  readonly tipMm: readonly [xMm: number, yMm: number];
  /** How far its end lies beyond the edge, mm. */
  readonly beyondMm: number;
}

/** So far beyond the stitches their own thread is done with, mm. */
const clearMm = 0.3;
/** Farther than this from the edge nothing belongs to it, mm. */
const farMm = 12;
/** A whisker differs from the paper by so much of what the cloth does, and by so many spreads of it. */
const leastShare = 0.3;
const leastSpreads = 5;
/** It begins no farther than this beyond the stitches, is at least so long, and no wider, mm. */
const beginsMm = 0.4;
const leastLongMm = 0.8;
const mostWideMm = 0.8;
/** What lies on the cloth so far from its edge says how light it is, mm. */
const clothMm = [-4, -1] as const;

/**
 * Threads of the cloth that stick out of a raw edge beyond what is sewn over it: thin pieces on the paper
 * that go on from there. Shorter ones lie among the stitches and are held by them.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param along a picture whose rows run along the edge, which is straight in it
 * @param stitchedMm how far the stitches go beyond the edge, mm
 */
export function whiskersBeyond(
  { usual, even }: AlongEdge,
  edge: RawEdge,
  stitchedMm: number,
): Whisker[] {
  const { width, height, values, pxPerMm } = even;
  const { acrossMm, paper } = edge;
  const beyondOf = beyondMm(even, edge);
  const rows = (fromMm: number, toMm: number) => {
    const [a, b] = [fromMm, toMm]
      .map((mm) => round((height - 1) / 2 + (acrossMm + paper * mm) * pxPerMm))
      .sort((one, other) => one - other);
    return [max(0, a!), min(height, b! + 1)] as const;
  };
  const toneOf = ([from, to]: readonly [number, number]) =>
    middleOf(
      Array.from(usual.values.subarray(from * width, to * width)).filter((_, i) => i % 97 === 0),
    );
  const zone = rows(stitchedMm + clearMm, farMm);
  const [first, end] = zone;
  const size = [width, max(0, end - first)] as const;
  const dark = values.slice(first * width, first * width + size[0] * size[1]).map((tone) => -tone);
  const contrast = toneOf(zone) - toneOf(rows(...clothMm));
  const least = max(leastShare * contrast, leastSpreads * spreadOf(dark));
  return piecesOf(dark, size, least).flatMap((piece) => {
    const placeOf = (at: number) => [at % width, first + Math.floor(at / width)] as const;
    const outOf = (at: number) => beyondOf[placeOf(at)[1]]!;
    // One by one: a stain may have more places than a call takes.
    const outermost = piece.reduce((best, at) => (outOf(at) > outOf(best) ? at : best));
    const innermost = piece.reduce((best, at) => (outOf(at) < outOf(best) ? at : best));
    const [tip, root] = [placeOf(outermost), placeOf(innermost)];
    const [near, far] = [outOf(innermost), outOf(outermost)];
    const longMm = hypot(tip[0] - root[0], tip[1] - root[1]) / pxPerMm + 1 / pxPerMm;
    const wideMm = piece.length / (longMm * pxPerMm * pxPerMm);
    const isOne =
      near <= stitchedMm + clearMm + beginsMm && longMm >= leastLongMm && wideMm <= mostWideMm;
    const tipMm = [(tip[0] + 0.5) / pxPerMm, (tip[1] + 0.5) / pxPerMm] as const;
    return isOne ? [{ tipMm, beyondMm: far }] : [];
  });
}

/** What hangs together of all places above a bound, corners included. */
function piecesOf(
  values: Float32Array,
  [width, height]: readonly [number, number],
  least: number,
): number[][] {
  const seen = new Uint8Array(values.length);
  const pieces: number[][] = [];
  for (let start = 0; start < values.length; start++) {
    if (seen[start] || values[start]! < least) continue;
    seen[start] = 1;
    const piece = [start];
    for (let next = 0; next < piece.length; next++) {
      const at = piece[next]!;
      const [x, y] = [at % width, Math.floor(at / width)];
      for (let row = max(0, y - 1); row <= min(height - 1, y + 1); row++) {
        for (let column = max(0, x - 1); column <= min(width - 1, x + 1); column++) {
          const there = row * width + column;
          if (seen[there] || values[there]! < least) continue;
          seen[there] = 1;
          piece.push(there);
        }
      }
    }
    pieces.push(piece);
  }
  return pieces;
}
