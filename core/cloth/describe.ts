import type { ClothProperty, MeasuredCloth } from './cloth';
import { genericCloth } from './generic-cloths';
import { typicalWeightGsm, type WeightClass } from './guesses';
import { clothFromHomeTests, type HomeTests } from './home-tests';

/** A cloth as a person describes it: by touch, by likeness, by tests, or by all of them. */
export interface ClothDescription {
  /** Used only as long as nothing was weighed or stacked, and no likeness is given. */
  readonly weightClass?: WeightClass | null | undefined;
  /** The plain kind of cloth it is like; its properties stand in for what was not tested. */
  readonly like?: string | null | undefined;
  readonly tests: HomeTests;
}

const given = (reading: unknown) => reading !== null && reading !== undefined;

/**
 * The properties of a described cloth. A measured weight or stack wins over a guessed one, which
 * is named as estimated. Of a cloth that is like a plain kind, whatever was not tested is as that
 * kind usually is; only thickness follows a weight that was measured, and the other way round.
 *
 * @throws Impossible when the tests contradict each other, or when there is neither a likeness, a
 *   class nor a measurement
 */
export function clothFromDescription({
  weightClass,
  like,
  tests,
}: ClothDescription): MeasuredCloth {
  const measured = [tests.sampleGrams, tests.ozPerSqYd, tests.stackHeightMm].some(given);
  const kind = like ? genericCloth(like) : undefined;
  const guessedGsm = kind?.weightGsm ?? (weightClass ? typicalWeightGsm[weightClass] : null);
  const cloth =
    measured || guessedGsm === null
      ? clothFromHomeTests(tests)
      : clothFromHomeTests({ ...tests, sampleGrams: guessedGsm / 100, sampleSideMm: 100 });
  const estimated: readonly ClothProperty[] =
    measured || guessedGsm === null ? cloth.estimated : ['weightGsm', ...cloth.estimated];
  if (!kind || kind.construction !== tests.construction) return { ...cloth, estimated };
  // The kind's own density is a better guess than that of everything woven alike.
  const density = kind.weightGsm / kind.thicknessMm;
  const usual: Partial<Record<ClothProperty, number>> = {
    weightGsm: measured ? cloth.thicknessMm * density : kind.weightGsm,
    thicknessMm: measured ? cloth.weightGsm / density : kind.thicknessMm,
    stretchPercent: kind.stretchPercent,
    recoveryPercent: kind.recoveryPercent,
    fray: kind.fray,
    curl: kind.curl,
    slip: kind.slip,
  };
  const standIns = Object.fromEntries(estimated.map((name) => [name, usual[name]]));
  return { ...cloth, ...standIns, estimated };
}
