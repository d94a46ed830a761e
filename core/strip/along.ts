import type { EdgeForm } from '../edge/form';
import type { Crossing } from '../seam/crossing';
import type { StripCut } from './cut';
import { endsMm, turnedInMm, type StripEnds } from './needed';
import { placeJoins, type JoinsPlaced } from './joins';

/** The edge that a strip goes along, as far as its joins ask. */
export interface AlongEdge {
  /** Along the line of attachment, mm. */
  readonly edgeMm: number;
  readonly closed: boolean;
  /** So much shorter than the edge the strip is cut; as long when left out. */
  readonly shorterShare?: number;
  readonly form?: EdgeForm | null | undefined;
  readonly crossings: readonly Crossing[];
}

/** Where no join belongs: at the corners and where seams cross, mm along the edge. */
export function noJoinsAtMm({ edgeMm, form, crossings }: AlongEdge): number[] {
  const corners: number[] = [];
  if (form?.kind === 'cornered') {
    let at = 0;
    for (const { lengthMm } of form.sides) {
      corners.push(at);
      at += lengthMm;
    }
  }
  const seams = crossings.map(({ atMm }) => atMm);
  return [...new Set([...corners, ...seams])].filter((at) => at >= 0 && at <= edgeMm);
}

/** What of a strip lies before its edge begins, and beyond its end, mm. */
function overMm(ends: StripEnds, stripMm: number): readonly [beforeMm: number, beyondMm: number] {
  return ends === 'turned'
    ? [turnedInMm.start, turnedInMm.end]
    : [endsMm(ends, stripMm) / 2, endsMm(ends, stripMm) / 2];
}

/**
 * Where the joins of a cut strip fall along its edge: clear of corners and seams, as far as its
 * pieces allow; the longest piece is sewn first.
 *
 * @returns null where it is not enough
 */
export function joinsAlong(
  edge: AlongEdge,
  { pieces, fewest, joinMm }: Pick<StripCut, 'pieces' | 'fewest' | 'joinMm'>,
  ends: StripEnds,
  stripMm: number,
): JoinsPlaced | null {
  if (fewest === null) return null;
  const [beforeMm, beyondMm] = overMm(ends, stripMm);
  // A strip that is pulled reaches further along the edge than it is long.
  const share = 1 - (edge.shorterShare ?? 0);
  const placed = placeJoins({
    ...{ edgeMm: edge.edgeMm * share, closed: edge.closed, beforeMm, beyondMm, joinMm },
    piecesMm: pieces.slice(0, fewest).map(({ lengthMm }) => lengthMm),
    avoidMm: noJoinsAtMm(edge).map((at) => at * share),
  });
  return (
    placed && {
      cutMm: placed.cutMm,
      clearMm: placed.clearMm / share,
      joins: placed.joins.map(({ atMm, clearMm }) => ({
        ...{ atMm: atMm / share, clearMm: clearMm / share },
      })),
    }
  );
}
