/** A place on a piece of cloth, mm from its lower left corner. */
export type OnCloth = readonly [xMm: number, yMm: number];

/** A piece of a strip as it lies on the cloth. */
export interface StripPiece {
  readonly lengthMm: number;
  /** Both ends of its middle line. */
  readonly fromMm: readonly [OnCloth, OnCloth];
  /** Its four corners, in order round it. */
  readonly corners: readonly [OnCloth, OnCloth, OnCloth, OnCloth];
}

/** Pieces of a strip, joined into one. */
export interface StripPlanned {
  /** The longest first. */
  readonly pieces: readonly StripPiece[];
  /** What each join takes of the length, mm. */
  readonly joinMm: number;
  readonly joins: number;
  /** All of it joined, mm. */
  readonly totalMm: number;
}

/**
 * Pieces joined into one strip, the longest first; one that is shorter than its join costs is left.
 *
 * @param joinMm what a join takes of the length, mm
 */
export function joined(pieces: readonly StripPiece[], joinMm: number): StripPlanned {
  const [first, ...rest] = [...pieces].sort((a, b) => b.lengthMm - a.lengthMm);
  const kept = first ? [first, ...rest.filter(({ lengthMm }) => lengthMm > joinMm)] : [];
  const joins = Math.max(0, kept.length - 1);
  const lengthMm = kept.reduce((sum, piece) => sum + piece.lengthMm, 0);
  return { pieces: kept, joinMm, joins, totalMm: lengthMm - joins * joinMm };
}

/** How few of the pieces, the longest first, are enough for a length; null where all are not. */
export function fewestFor({ pieces, joinMm }: StripPlanned, wantedMm: number): number | null {
  let haveMm = joinMm;
  for (const [i, { lengthMm }] of pieces.entries()) {
    haveMm += lengthMm - joinMm;
    if (haveMm >= wantedMm - 1e-9) return i + 1;
  }
  return null;
}
