import * as z from 'zod';
import { faces, fibres, naps, shines } from '../core/cloth/about-cloth';
import { constructions } from '../core/cloth/cloth';
import { genericCloths } from '../core/cloth/generic-cloths';
import { weightClasses } from '../core/cloth/guesses';
import type { HomeTests } from '../core/cloth/home-tests';
import { clothRanges } from '../core/cloth/plausible';
import { readyMadeKinds, type ReadyMade } from '../core/strip/ready-made';
import { within } from './number';
import { photoId } from './photo';
import { title } from './title';

export const construction = z.enum(constructions, {
  error: `Cloth is made ${constructions.join(', ')}.`,
});
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
  weightGsm: within(...clothRanges.weightGsm, ' g/m²'),
  thicknessMm: within(...clothRanges.thicknessMm, ' mm'),
  stretchPercent: within(...clothRanges.stretchPercent, ' %'),
  recoveryPercent: within(0, 100, ' %').nullish(),
  fray: grade,
  curl: grade,
  slip: grade,
  estimated: z.array(z.string()).optional(),
});

/** What a person writes down about a cloth on the shelf. */
/** A colour on the screen. */
export const colour = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A colour is written #rrggbb, for example #8a3b2e.')
  .transform((hex) => hex.toLowerCase());

/** A binding that is sold as one. */
const readyMade = z.strictObject({
  kind: z.enum(readyMadeKinds, { error: `Sold as a binding: ${readyMadeKinds.join(', ')}.` }),
  finishedMm: within(3, 150, ' mm'),
  packageMm: within(100, 200_000, ' mm'),
}) satisfies z.ZodType<ReadyMade>;

export const clothDraft = z.strictObject({
  name: title('cloth'),
  weightClass: z
    .enum(weightClasses, { error: `A weight by touch is ${weightClasses.join(', ')}.` })
    .nullable(),
  tests: homeTests,
  note: z.string().max(2000, 'At most 2000 characters.'),
  /** The plain kind it is like; its properties stand in for what was not tested. */
  like: z
    .string()
    .refine((id) => genericCloths.some((kind) => kind.id === id), {
      error: ({ input }) =>
        `There is no plain kind of cloth called “${String(input).slice(0, 40)}”.`,
    })
    .nullable()
    .default(null),
  fibre: z
    .enum(fibres, { error: `A fibre is one of ${fibres.join(', ')}.` })
    .nullable()
    .default(null),
  /** Its colour, picked or taken from its photo. */
  colour: colour.nullable().default(null),
  face: z
    .enum(faces, { error: `The faces are ${faces.join(' or ')}.` })
    .nullable()
    .default(null),
  nap: z
    .enum(naps, { error: `A nap is ${naps.join(' or ')}.` })
    .nullable()
    .default(null),
  shine: z
    .enum(shines, { error: `Under the iron it is ${shines.join(', ')}.` })
    .default('untested'),
  pressNote: z.string().max(500, 'At most 500 characters.').default(''),
  widthMm: within(10, 5000, ' mm').nullable().default(null),
  lengthLeftMm: within(0, 200_000, ' mm').nullable().default(null),
  photoId: photoId.nullable().default(null),
  /** A binding that is sold as one; null for cloth. */
  readyMade: readyMade.nullable().default(null),
});
export type ClothDraft = z.infer<typeof clothDraft>;
