import type { Cloth } from './cloth';

/**
 * What a thick cloth is bound with where nobody said: a thin firm woven, cut on the bias. Nobody
 * binds plush with plush. Starting guess.
 */
export const usualStrip: Cloth = {
  construction: 'woven',
  weightGsm: 110,
  thicknessMm: 0.3,
  stretchPercent: 20,
  fray: 2,
  curl: 0,
  slip: 1,
};

/**
 * The strip that is taken where nobody named one.
 *
 * @param thickestMm the thickest cloth that is bound with a strip of itself
 * @returns null where the cloth binds itself
 */
export const assumedStrip = (
  { thicknessMm }: Pick<Cloth, 'thicknessMm'>,
  thickestMm: number,
): Cloth | null => (thicknessMm > thickestMm ? usualStrip : null);
