import type { MeasuredCloth } from './cloth';
import { typicalWeightGsm, type WeightClass } from './guesses';
import { clothFromHomeTests, type HomeTests } from './home-tests';

/** A cloth as a person describes it: by touch, by tests, or by both. */
export interface ClothDescription {
  /** Used only as long as nothing was weighed or stacked. */
  readonly weightClass?: WeightClass | null | undefined;
  readonly tests: HomeTests;
}

/**
 * The properties of a described cloth. A measured weight or stack wins over the weight class,
 * which stands in for a weight and is named as estimated.
 *
 * @throws Impossible when the tests contradict each other, or when there is neither a class nor
 *   a measurement
 */
export function clothFromDescription({ weightClass, tests }: ClothDescription): MeasuredCloth {
  const measured = [tests.sampleGrams, tests.ozPerSqYd, tests.stackHeightMm].some(
    (reading) => reading !== null && reading !== undefined,
  );
  if (measured || !weightClass) return clothFromHomeTests(tests);
  const guessedGrams = typicalWeightGsm[weightClass] / 100;
  const cloth = clothFromHomeTests({ ...tests, sampleGrams: guessedGrams, sampleSideMm: 100 });
  return { ...cloth, estimated: ['weightGsm', ...cloth.estimated] };
}
