import type { MeasuredCloth } from '../cloth/cloth';
import { evenDraws } from '../swatch/draw';

/** A piece of a cloth as it would lie on an instrument. */
export interface Piece {
  readonly weightGsm: number;
  readonly thicknessMm: number;
  readonly stretchPercent: number;
  readonly recoveryPercent: number;
}

/** No bolt is quite as its kind usually is: each property is off by up to this share. */
const offShare = 0.08;

/**
 * A simulated piece of a cloth: near what is believed of it, and always the same for the same seed.
 */
export function pieceOf(cloth: MeasuredCloth, seed: number): Piece {
  const draw = evenDraws(seed);
  const off = () => 1 + offShare * (2 * draw() - 1);
  return {
    weightGsm: cloth.weightGsm * off(),
    thicknessMm: cloth.thicknessMm * off(),
    stretchPercent: cloth.stretchPercent * off(),
    recoveryPercent: Math.min(100, cloth.recoveryPercent * off()),
  };
}

/** What a square of the piece weighs, g. */
export function squareGrams({ weightGsm }: Piece, sideMm: number): number {
  return weightGsm * (sideMm / 1000) ** 2;
}

/** How high a stack of the piece stands, mm. */
export function stackHeightMm({ thicknessMm }: Piece, layers: number): number {
  return thicknessMm * layers;
}

/** How far a marked length reaches when pulled, mm. */
export function pulledToMm({ stretchPercent }: Piece, restMm: number): number {
  return restMm * (1 + stretchPercent / 100);
}

/** How long the marked length is a minute after it was let go, mm. */
export function afterPullMm(piece: Piece, restMm: number): number {
  const pulledMm = pulledToMm(piece, restMm);
  return pulledMm - ((pulledMm - restMm) * piece.recoveryPercent) / 100;
}
