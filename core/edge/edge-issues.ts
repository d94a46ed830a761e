import { refusal, type Issue } from '../impossible';
import type { EdgeUse } from './edge';

/** What the rules below look at. */
export interface JudgedEdge extends EdgeUse {
  readonly lengthMm: number;
  readonly depthMm: number | null;
}

/** A seam, where its second edge is to be named. */
export interface JoinedEdges {
  readonly secondEdge: string | null;
  readonly seamAllowanceMm: number | null;
}

const inside = ['allowance', 'seam'] as const;
const isInside = (purpose: EdgeUse['purpose']) => (inside as readonly string[]).includes(purpose);

/** What of an edge contradicts what it is for, each with what would be right; empty when nothing. */
export function edgeIssues({ purpose, oldHem, lengthMm, depthMm }: JudgedEdge): Issue[] {
  const issues: Issue[] = [];
  const what = purpose === 'seam' ? 'A seam' : 'An allowance';
  if (isInside(purpose) && depthMm !== null) {
    issues.push(
      refusal(
        'depthMm',
        'depth-inside',
        `${what} has no hem depth, and {depthMm} was given; leave it out, or make the edge a hem or an opening.`,
        { depthMm },
      ),
    );
  }
  if (isInside(purpose) && oldHem) {
    issues.push(
      refusal(
        'oldHem',
        'old-hem-inside',
        `${what} has no old hem; leave it out, or make the edge a hem or an opening.`,
      ),
    );
  }
  // Laid flat, a leg is half as wide as it is round; no hem turns up further than that.
  const mostMm = lengthMm / 2;
  if (!isInside(purpose) && oldHem && oldHem.depthMm > mostMm) {
    issues.push(
      refusal(
        'oldHem.depthMm',
        'old-hem-too-deep',
        'An old hem {oldDepthMm} deep is deeper than the leg: an edge of {lengthMm} lies {mostMm} wide; it can be up to {mostMm}.',
        { oldDepthMm: oldHem.depthMm, lengthMm, mostMm },
      ),
    );
  }
  return issues;
}

/** A seam wants its second edge and its allowance; anything else has neither. */
export function joinIssues(
  { purpose }: Pick<EdgeUse, 'purpose'>,
  { secondEdge, seamAllowanceMm }: JoinedEdges,
): Issue[] {
  const seam = purpose === 'seam';
  const named = (secondEdge ?? '').trim() !== '';
  return [
    ...(seam && !named
      ? [
          refusal(
            'secondEdge',
            'no-second-edge',
            'A seam joins two edges: name the second one, such as “back, side”.',
          ),
        ]
      : []),
    ...(seam && seamAllowanceMm === null
      ? [
          refusal(
            'seamAllowanceMm',
            'no-allowance',
            'A seam needs its allowance, from {leastMm} to {mostMm}; {usualMm} is usual.',
            { leastMm: 3, mostMm: 60, usualMm: 15 },
          ),
        ]
      : []),
    ...(!seam && named
      ? [
          refusal(
            'secondEdge',
            'second-edge-of-no-seam',
            'Only a seam has a second edge; leave it out, or make the edge a seam.',
          ),
        ]
      : []),
  ];
}
