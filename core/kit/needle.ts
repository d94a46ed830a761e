import type { Cloth } from '../cloth/cloth';

/** Needle radius in mm: the size is the shaft's diameter in hundredths of a millimetre. */
export function needleRadiusMm(size: number): number {
  return size / 200;
}

/** Starting guess: the lighter needle of each pair of sizes, by cloth weight in g/m². */
const sizeByWeight: readonly (readonly [belowGsm: number, size: number, alternative: number])[] = [
  [80, 60, 70],
  [160, 70, 80],
  [280, 80, 90],
  [450, 90, 100],
  [Infinity, 100, 110],
];

/**
 * The needle to start with. Source: craft practice, docs/formulas.md “Dials that are not margins”.
 *
 * @param weightGsm the cloth's weight
 * @returns the finer size of the pair, and the next one up to try when it skips
 */
export function startingNeedle(weightGsm: number): { size: number; alternative: number } {
  const row = sizeByWeight.find(([below]) => weightGsm < below);
  const [, size, alternative] = row ?? [Infinity, 100, 110];
  return { size, alternative };
}

/** How a needle's point is ground. */
export const needlePoints = [
  'universal',
  'sharp',
  'ball',
  'denim',
  'topstitch',
  'leather',
] as const;
export type NeedlePoint = (typeof needlePoints)[number];

/** What decides a needle's point. */
export type Pierced = Pick<Cloth, 'construction' | 'weightGsm' | 'thicknessMm'>;

/** Denser than this a cloth wants a point that goes through it straight, kg/m³. Starting guess. */
const denseKgPerM3 = 430;
/** A dense cloth heavier than this is a denim, and lighter than that is fine, g/m². Starting guesses. */
const denimGsm = 250;
const fineGsm = 110;

/**
 * The point to begin with, for whatever lies under the needle: a knit anywhere wants a ball, a
 * dense heavy woven a denim point, sheers and dense fine wovens a sharp one.
 * Source: docs/formulas.md, “Dials that are not margins”.
 *
 * @example needlePointFor([{ construction: 'woven', weightGsm: 310, thicknessMm: 1 }]) // 'universal'
 */
export function needlePointFor(pieces: readonly Pierced[]): NeedlePoint {
  const dense = ({ weightGsm, thicknessMm }: Pierced) => weightGsm / thicknessMm > denseKgPerM3;
  const woven = pieces.filter(({ construction }) => construction === 'woven');
  if (pieces.some(({ construction }) => construction === 'knit')) return 'ball';
  if (woven.some((piece) => dense(piece) && piece.weightGsm > denimGsm)) return 'denim';
  const isFine = (piece: Pierced) =>
    piece.construction === 'sheer' ||
    (piece.construction === 'woven' && dense(piece) && piece.weightGsm < fineGsm);
  return pieces.some(isFine) ? 'sharp' : 'universal';
}
