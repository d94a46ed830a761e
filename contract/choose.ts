import * as z from 'zod';
import { wishNames } from '../core/choose/request';
import { clothProperties } from './cloth';
import { kitFoot, machine } from './kit';
import { within } from './number';
import { oldHem, pairing, purpose, seamAllowanceMm, wishedDepthMm } from './edge';
import { measuredEdge } from './measured-edge';
import { crossings } from './seam';

const share = within(0, 1);

/** What one would like, each from 0 to 1; what is left out is not asked for. */
export const wishes = z.strictObject(
  Object.fromEntries(wishNames.map((name) => [name, share.default(0)])) as Record<
    (typeof wishNames)[number],
    z.ZodDefault<typeof share>
  >,
);

/** `/api/compute/finishes`. */
export const finishesRequest = z.strictObject({
  cloth: clothProperties,
  edge: z.strictObject({
    ...measuredEdge,
    /** What it is for. */
    purpose: purpose.default('hem'),
    /** A hem that is in it already. */
    oldHem: oldHem.nullable().default(null),
    /** Whether there is a second one that has to come out the same. */
    pair: pairing.default('alone'),
    depthMm: wishedDepthMm.nullish(),
    seamAllowanceMm: seamAllowanceMm.nullish(),
    crossings: crossings.default([]),
    forChild: z.boolean().optional(),
    /** Cloth beyond the finished edge. */
    spareMm: within(0, 2000, ' mm').nullish(),
    /** What is left of the cloth, for strips. */
    clothLeft: z
      .strictObject({ widthMm: within(10, 5000, ' mm'), lengthMm: within(0, 200_000, ' mm') })
      .nullish(),
  }),
  kit: z.strictObject({
    machines: z.array(machine).max(12, 'At most 12 machines.'),
    feet: z.array(kitFoot).max(80, 'At most 80 feet.'),
    attachments: z.array(kitFoot).max(20, 'At most 20 attachments.').default([]),
  }),
  wishes: wishes.default({ hidden: 0, sturdy: 0, light: 0, quick: 0, decorative: 0 }),
});
