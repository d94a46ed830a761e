import { useKeptHere } from '../ground/kept-here';

/** A piece of cloth as somebody typed it, across and along the grain, mm; null follows the shelf. */
export type TypedPiece = readonly [wideMm: number | null, longMm: number | null];

const isLength = (it: unknown) => it === null || (typeof it === 'number' && it > 0);

/** A piece as this browser kept it; of the shelf when it kept none, or something else. */
const read = (piece: unknown): TypedPiece =>
  Array.isArray(piece) && piece.length === 2 && piece.every(isLength)
    ? [piece[0] as number | null, piece[1] as number | null]
    : [null, null];

/** The piece a strip is tried on, where it is another than the shelf's; kept over a reload. */
export const useTypedPiece = (planId: string) => useKeptHere(`piece ${planId}`, read);
