/** How the cloth is made; decides the guesses for whatever was not measured. */
export const constructions = ['woven', 'knit', 'pile', 'felted', 'sheer'] as const;
export type Construction = (typeof constructions)[number];

/** A four-step home scale: 0 none, 3 severe. */
export type Grade = 0 | 1 | 2 | 3;

/** What the sums need to know of a cloth. */
export interface Cloth {
  readonly construction: Construction;
  readonly weightGsm: number;
  readonly thicknessMm: number;
  /** How much longer 100 mm becomes when pulled, percent. */
  readonly stretchPercent: number;
  readonly fray: Grade;
  readonly curl: Grade;
  readonly slip: Grade;
}

/** The answer to a set of home tests: a cloth, and which of its properties are guesses. */
export interface MeasuredCloth extends Omit<Cloth, 'construction'> {
  readonly recoveryPercent: number;
  /** Names of the properties that were derived from another one or guessed, not measured. */
  readonly estimated: readonly ClothProperty[];
}

export type ClothProperty =
  | 'weightGsm'
  | 'thicknessMm'
  | 'stretchPercent'
  | 'recoveryPercent'
  | 'fray'
  | 'curl'
  | 'slip';
