import * as z from 'zod';
import { constructions } from '../core/cloth/cloth';
import { weightClasses } from '../core/cloth/guesses';
import type { HomeTests } from '../core/cloth/home-tests';
import { within } from './number';

export const construction = z.enum(constructions);
const reading = (least: number, most: number, unit: string) => within(least, most, unit).nullish();

/** Readings of the home tests, `/api/compute/cloth`. */
export const homeTests = z.strictObject({
  construction,
  sampleGrams: reading(0.001, 2000, ' g'),
  sampleSideMm: reading(10, 1000, ' mm'),
  ozPerSqYd: reading(0.05, 60, ' oz/yd²'),
  stackHeightMm: reading(0.05, 400, ' mm'),
  stackLayers: z.int('A whole number of layers is needed.').min(1).max(500).nullish(),
  restMm: reading(1, 1000, ' mm'),
  pulledMm: reading(1, 5000, ' mm'),
  afterMm: reading(1, 5000, ' mm'),
  looseThreads: reading(0, 1000, ' threads'),
  curlMm: reading(0, 200, ' mm'),
  rollsOver: z.boolean().nullish(),
  slipDegrees: reading(0, 90, '°'),
}) satisfies z.ZodType<HomeTests>;

const grade = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)], {
  error: 'A grade is 0, 1, 2 or 3.',
});

/** A cloth as the sums take it; what `/api/compute/cloth` answers fits too. */
export const clothProperties = z.strictObject({
  construction,
  weightGsm: within(1, 5000, ' g/m²'),
  thicknessMm: within(0.01, 30, ' mm'),
  stretchPercent: within(0, 500, ' %'),
  recoveryPercent: within(0, 100, ' %').nullish(),
  fray: grade,
  curl: grade,
  slip: grade,
  estimated: z.array(z.string()).optional(),
});

/** What a person writes down about a cloth on the shelf. */
export const clothDraft = z.strictObject({
  name: z.string().trim().min(1, 'Give the cloth a name.').max(120, 'At most 120 characters.'),
  weightClass: z.enum(weightClasses).nullable(),
  tests: homeTests,
  note: z.string().max(2000, 'At most 2000 characters.'),
});
export type ClothDraft = z.infer<typeof clothDraft>;
