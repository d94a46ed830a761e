import { blurred } from './blurred';

const { exp, max } = Math;

/** Something of an edge, by how far beyond it a place lies, mm. */
export type EdgePart = (beyondMm: number) => number;

/** What an edge may look like across: one cloth here and another there, and perhaps one of each of these. */
export interface EdgeParts {
  readonly step: EdgePart;
  /** A shadow on what lies beyond. */
  readonly shadows: readonly EdgePart[];
  /** Where the upper cloth bends down and is lit from another side. */
  readonly bends: readonly EdgePart[];
}

/** Parts are asked for so far to both sides, mm. */
const endsMm = [-1.8, 1.8] as const;
/** A shadow that fades is a third of itself after so much; one that a lamp throws ends after so much, mm. */
const fadesMm = [0.25, 0.5, 1];
const thrownMm = [0.2, 0.3, 0.4, 0.55, 0.7];
/** A fold is round so far in from its edge, mm, or sharp. */
const roundsMm = [0.15, 0.3, 0.45];

const half = (mm: number) => (mm > 0 ? 1 : mm < 0 ? 0 : 0.5);

/**
 * The parts of an edge in a picture that is so much blurred.
 *
 * @param isFold a fold bends down, a raw edge is cut off
 */
export function edgeParts(blurMm: number, isFold: boolean): EdgeParts {
  const soft = (at: EdgePart) => blurred(at, blurMm, endsMm);
  return {
    step: soft(half),
    shadows: [
      ...fadesMm.map((fade) => soft((mm) => half(mm) * exp(-max(0, mm) / fade))),
      ...thrownMm.map((end) => soft((mm) => half(mm) * half(end - mm))),
    ],
    // By the sine of how far it is bent down: none where the cloth lies flat, all of it at the edge.
    bends: (isFold ? roundsMm : []).map((round) =>
      soft((mm) => half(-mm) * max(0, 1 + mm / round)),
    ),
  };
}
