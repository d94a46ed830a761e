import type { Construction, Grade } from './cloth';

/**
 * Starting guess: how much of a cloth's thickness is fibre, as a density in kg/m³, so that
 * thickness mm = weight g/m² ÷ density kg/m³. Source: craft practice, docs/formulas.md “Cloth”.
 */
export const densityKgPerM3: Readonly<Record<Construction, number>> = {
  woven: 450,
  knit: 320,
  pile: 120,
  felted: 200,
  sheer: 350,
};

/** Starting guesses for the hand tests nobody has done yet, by construction. */
export const typicalHand: Readonly<
  Record<
    Construction,
    { stretchPercent: number; recoveryPercent: number; fray: Grade; curl: Grade; slip: Grade }
  >
> = {
  woven: { stretchPercent: 2, recoveryPercent: 100, fray: 2, curl: 0, slip: 0 },
  knit: { stretchPercent: 30, recoveryPercent: 90, fray: 0, curl: 2, slip: 1 },
  pile: { stretchPercent: 5, recoveryPercent: 90, fray: 1, curl: 0, slip: 2 },
  felted: { stretchPercent: 3, recoveryPercent: 90, fray: 0, curl: 0, slip: 0 },
  sheer: { stretchPercent: 2, recoveryPercent: 95, fray: 3, curl: 1, slip: 3 },
};

/** The weights people name by touch. Starting guesses, g/m². */
export const weightClasses = ['featherweight', 'light', 'medium', 'heavy', 'coating'] as const;
export type WeightClass = (typeof weightClasses)[number];

export const typicalWeightGsm: Readonly<Record<WeightClass, number>> = {
  featherweight: 50,
  light: 110,
  medium: 200,
  heavy: 320,
  coating: 450,
};
