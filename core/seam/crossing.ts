import { crossingLayers } from '../fold/stack';
import { refusal, type Issue } from '../impossible';

/** How a seam that crosses an edge can be made. */
export const crossingKinds = ['open', 'oneSide', 'felled', 'french'] as const;
export type SeamKind = (typeof crossingKinds)[number];

/** A seam that crosses the edge. */
export interface Crossing {
  readonly kind: SeamKind;
  /** The middle of the seam, from where the edge begins. */
  readonly atMm: number;
  /** How wide its allowances lie along the edge. */
  readonly widthMm: number;
}

/** An edge as a line of stitching meets it. */
export interface CrossedEdge {
  readonly lengthMm: number;
  /** Positions wrap round where the end meets the beginning. */
  readonly closed: boolean;
  readonly crossings: readonly Crossing[];
}

/** A stretch along the edge; on a closed edge it may run past the end, or begin before 0. */
export interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Where a crossing lies. */
export const spanOf = ({ atMm, widthMm }: Crossing): Stretch => ({
  fromMm: atMm - widthMm / 2,
  toMm: atMm + widthMm / 2,
});

/** How many layers a crossing makes of the hem's own. */
export const layersOver = (layers: number, { kind }: Crossing): number =>
  layers * crossingLayers[kind];

/** Crossings that lie off the edge, each with where it may lie. */
export function crossingIssues({ lengthMm, closed, crossings }: CrossedEdge): Issue[] {
  return crossings.flatMap(({ atMm, widthMm }, i): Issue[] => {
    const issues: Issue[] = [];
    if (atMm < 0 || atMm > lengthMm) {
      issues.push(
        refusal(
          `crossings.${i}.atMm`,
          'off-the-edge',
          'A crossing at {atMm} is off the edge; it can be at 0 to {lengthMm}.',
          { atMm, lengthMm },
        ),
      );
    }
    if (widthMm > lengthMm) {
      issues.push(
        refusal(
          `crossings.${i}.widthMm`,
          'longer-than-edge',
          `A crossing {widthMm} wide is longer than the ${closed ? 'round' : 'edge'} of {lengthMm}.`,
          { widthMm, lengthMm },
        ),
      );
    }
    return issues;
  });
}

/**
 * A stretch cut to the edge: on an open one what hangs over is lost, on a closed one it comes back
 * at the other end.
 */
export function alongEdge(
  { fromMm, toMm }: Stretch,
  { lengthMm, closed }: Pick<CrossedEdge, 'lengthMm' | 'closed'>,
): Stretch[] {
  if (toMm - fromMm >= lengthMm) return [{ fromMm: 0, toMm: lengthMm }];
  const turns = closed ? [-1, 0, 1] : [0];
  return turns
    .map((turn) => ({
      fromMm: Math.max(0, fromMm + turn * lengthMm),
      toMm: Math.min(lengthMm, toMm + turn * lengthMm),
    }))
    .filter((part) => part.toMm - part.fromMm > 1e-9)
    .sort((a, b) => a.fromMm - b.fromMm);
}

/** What the thickest of some crossings multiplies a hem's layers by; 1 for none. */
export const thickestTimes = (crossings: readonly Pick<Crossing, 'kind'>[]): number =>
  Math.max(1, ...crossings.map(({ kind }) => crossingLayers[kind]));
