/** Needle radius in mm: the size is the shaft's diameter in hundredths of a millimetre. */
export function needleRadiusMm(size: number): number {
  return size / 200;
}

/** Starting guess: the lighter needle of each pair of sizes, by cloth weight in g/m². */
const sizeByWeight: readonly (readonly [belowGsm: number, size: number, alternative: number])[] = [
  [80, 60, 70],
  [160, 70, 80],
  [280, 80, 90],
  [380, 90, 100],
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
