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
}

const wholeTurn = 360;

/** Whether the end of an edge meets its beginning. */
export function isClosed({ shape, turnDegrees }: ShapedEdge): boolean {
  if (shape === 'tube' || shape === 'circle') return true;
  return shape === 'inside-curve' && (turnDegrees ?? wholeTurn) >= wholeTurn;
}

/**
 * The angle an edge turns through, in radians: positive around a hole, negative around the cloth,
 * 0 where it does not turn or nobody said how far.
 */
export function turnRadians({ shape, turnDegrees }: ShapedEdge): number {
  const radians = (degrees: number) => (Math.min(degrees, wholeTurn) * Math.PI) / 180;
  if (shape === 'inside-curve') return radians(turnDegrees ?? wholeTurn);
  if (shape === 'circle') return -radians(wholeTurn);
  return shape === 'outside-curve' ? -radians(turnDegrees ?? 0) + 0 : 0;
}
