import type { Purpose } from './purpose';
import type { OldHem } from './state';

/** The parts of an edge that some purposes have and others have not. */
export interface PurposeParts {
  readonly purpose: Purpose;
  readonly oldHem: OldHem | null;
  readonly depthMm: number | null;
  readonly secondEdge: string | null;
  readonly seamAllowanceMm: number | null;
}

/** A seam's allowance when nobody said, mm. */
const usualAllowanceMm = 15;

/**
 * An edge turned to another purpose: what that has no use for is let go, and what it cannot do
 * without starts somewhere, so that the edge is never a contradiction.
 */
export function forPurpose(edge: PurposeParts, purpose: Purpose): PurposeParts {
  const seam = purpose === 'seam';
  const turned = purpose === 'hem' || purpose === 'opening';
  return {
    purpose,
    oldHem: turned ? edge.oldHem : null,
    depthMm: turned ? edge.depthMm : null,
    secondEdge: seam ? (edge.secondEdge ?? 'the other edge') : null,
    seamAllowanceMm: seam ? (edge.seamAllowanceMm ?? usualAllowanceMm) : null,
  };
}
