import * as z from 'zod';
import { anchors, patterns } from '../core/stitch/stitch';
import { aims, type SewingPlan } from '../core/finish/sewing-plan';
import type { DialSettings } from '../core/kit/dial-steps';
import { clothProperties } from './cloth';
import { edgeLengthMm, minRadiusMm, purpose } from './edge';
import { foot, machine } from './kit';
import { measuredEdge } from './measured-edge';
import { intervalMm, within } from './number';

/** Lengths of a fold request are checked against the finish's own rules; here only for sense. */
const foldLength = within(-10000, 10000, ' mm').nullish();

/** What is wanted of the folds. */
export const foldWish = z.strictObject({
  variant: z.string(),
  depthMm: foldLength,
  extensionMm: foldLength,
  turnMm: foldLength,
  channelMm: foldLength,
  seamAllowanceMm: foldLength,
  secondPassMm: foldLength,
  shortenMm: foldLength,
  coreMm: foldLength,
  statedStripMm: foldLength,
});

export const stitch = z.strictObject({
  pattern: z.enum(patterns),
  anchor: z.enum(anchors),
  runStitches: z.int('A whole number of stitches is needed.').min(1).max(40).default(5),
  mirror: z.boolean().optional(),
  twinGapMm: within(1, 9, ' mm').nullish(),
});

export const faultWeights = z
  .strictObject({ below: within(0, 100), above: within(0, 100) })
  .refine(({ below, above }) => below + above > 0, {
    error: 'At least one kind of fault must matter.',
  });

export const needleSize = within(40, 140);
export const pickMm = within(0, 10, ' mm');

/** Where the dials stand. */
export const dialSettings = z.strictObject({
  widthMm: within(0, 20, ' mm'),
  lengthMm: within(0.05, 20, ' mm'),
  needlePositionMm: within(-20, 20, ' mm'),
  guideMm: within(-60, 60, ' mm'),
}) satisfies z.ZodType<DialSettings>;

/** How a binder stands on the machine. */
export const placing = z.strictObject({
  flangeMm: within(1, 150, ' mm').nullish(),
  standOffMm: within(0, 60, ' mm').nullish(),
});

const planFields = {
  cloth: clothProperties,
  edge: z.strictObject({
    lengthMm: edgeLengthMm,
    minRadiusMm: minRadiusMm.default(null),
    purpose: purpose.optional(),
  }),
  fold: foldWish,
  machine,
  foot,
  stitch,
  needleSize: needleSize.default(80),
  pickMm: pickMm.default(1),
  faultWeights: faultWeights.default({ below: 1, above: 1 }),
  skill: within(0.05, 20).default(1),
  aim: z.enum(aims, { error: `One wants to ${aims.join(', ')}.` }).optional(),
  strip: clothProperties.nullish(),
  binder: z
    .strictObject({
      mouthMm: within(1, 150, ' mm').nullish(),
      stripMm: within(1, 150, ' mm').nullish(),
      flangeMm: intervalMm.nullish(),
      placing: placing.default({}),
    })
    .nullish(),
  aids: z
    .strictObject({
      press: z.enum(['crease', 'template']).optional(),
      wrap: z.enum(['hand', 'binder']).optional(),
    })
    .optional(),
};

/** A whole set-up, as a sample remembers it. */
export const sewingPlan: z.ZodType<SewingPlan, unknown> = z.strictObject(planFields);

/** `/api/compute/folds`: the finish, its wish and its cloth side by side. */
export const foldsRequest = z.strictObject({
  finish: z.string(),
  ...foldWish.shape,
  /** Left out, it is the first variant that takes just the lengths given. */
  variant: z.string().nullish(),
  cloth: clothProperties,
  /** What a binding is made of; the cloth itself when left out. */
  strip: clothProperties.nullish(),
  /** The edge it is folded on: what its shape asks of the turn is answered besides. */
  edge: z.strictObject(measuredEdge).nullish(),
});

/** A fold wish whose variant may be left out: then it is the first that takes the lengths given. */
const foldWishLoosely = foldWish.extend({ variant: z.string().nullish() });

/** `/api/compute/settings`. */
export const settingsRequest = z.strictObject({
  finish: z.string(),
  ...planFields,
  fold: foldWishLoosely,
});

const count = (what: string) =>
  z.int(`A whole number of ${what} is needed.`).min(0, 'It cannot be negative.').max(100_000);

/** A stitch that was measured, in a photo say: the check’s value, how far it may be off, and where. */
const measuredStitch = z.strictObject({
  depthMm: within(-50, 50, ' mm'),
  depthSpreadMm: within(0, 5, ' mm'),
  /** In the window of the scrap card, from its upper left corner. */
  atMm: z.tuple([within(0, 300, ' mm'), within(0, 300, ' mm')]).optional(),
});

/** So many stitches of a scrap are measured at most. */
export const mostMeasured = 100;

/** What was counted on a sample. */
export const counted = z
  .strictObject({
    check: z.string(),
    n: count('stitches').min(1, 'Count at least one.'),
    short: count('stitches'),
    over: count('stitches'),
    /** Those of them that were measured. */
    depths: z
      .array(measuredStitch)
      .max(mostMeasured, `At most ${mostMeasured} measured stitches of one scrap.`)
      .optional(),
  })
  .refine(({ n, depths = [] }) => depths.length <= n, {
    path: ['depths'],
    error: 'More stitches were measured than counted.',
  })
  .refine(({ n, short, over }) => short + over <= n, {
    path: ['short'],
    error: ({ input }) => {
      const { n, short, over } = input as { n: number; short: number; over: number };
      return `${short} short and ${over} over are more than the ${n} that were counted.`;
    },
  });

/** A marked length of a looped edge, before and after it was sewn. */
export const stretched = z.strictObject({
  beforeMm: within(20, 5000, ' mm'),
  afterMm: within(5, 10_000, ' mm'),
  differential: within(0.2, 4),
});

/** A sample that was counted, with what it was sewn with where that differed. */
const countedSample = z.strictObject({
  settings: dialSettings,
  fold: foldWishLoosely.optional(),
  foot: foot.optional(),
  ...counted.shape,
});

/** `/api/compute/learn`. */
export const learnRequest = settingsRequest.extend({
  samples: z
    .array(
      z.union([countedSample, stretched], {
        error: ({ input }) =>
          input !== null && typeof input === 'object' && 'beforeMm' in input
            ? 'A measured sample is {"beforeMm","afterMm","differential"}: lengths of 20 mm or more.'
            : undefined,
      }),
    )
    .max(2000, 'At most 2000 samples at once.'),
});
