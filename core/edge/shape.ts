import type { Joining } from './state';

/** How an edge lies: what closes, what curves which way, what has corners. */
export const edgeShapes = [
  'straight',
  'tube',
  'outside-curve',
  'inside-curve',
  'cornered',
  'circle',
] as const;
export type EdgeShape = (typeof edgeShapes)[number];

/** What the shape of an edge decides. */
export interface ShapedEdge {
  readonly shape: EdgeShape;
  /** The angle a curved edge turns through; null for all the way round, where that makes sense. */
  readonly turnDegrees: number | null;
  /** Whether it is sewn into a round yet; goes by the shape when nobody said. */
  readonly joined?: Joining | null | undefined;
}

const wholeTurn = 360;

/** How an edge of a shape usually lies when somebody comes to finish it. */
export function usuallyJoined({ shape, turnDegrees }: Omit<ShapedEdge, 'joined'>): Joining {
  // What has corners mostly has them all round: a blanket, a napkin, a scarf.
  if (shape === 'tube' || shape === 'circle' || shape === 'cornered') return 'round';
  return shape === 'inside-curve' && (turnDegrees ?? wholeTurn) >= wholeTurn ? 'round' : 'flat';
}

/** Whether the end of an edge meets its beginning. */
export function isClosed(edge: ShapedEdge): boolean {
  return (edge.joined ?? usuallyJoined(edge)) === 'round';
}

/**
 * The angle an edge turns through, in radians: positive around a hole, negative around the cloth,
 * 0 where it does not turn or nobody said how far.
 */
export function turnRadians({ shape, turnDegrees }: ShapedEdge): number {
  const radians = (degrees: number) => (Math.min(degrees, wholeTurn) * Math.PI) / 180;
  if (shape === 'inside-curve') return radians(turnDegrees ?? wholeTurn);
  if (shape === 'circle') return -radians(turnDegrees ?? wholeTurn);
  return shape === 'outside-curve' ? -radians(turnDegrees ?? 0) + 0 : 0;
}

/** The shortest and the longest edge that is sewn, mm. */
export const edgeLengthBoundsMm = [10, 100_000] as const;
