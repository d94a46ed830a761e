import * as z from 'zod';
import type { EdgeForm } from '../core/edge/form';
import { edgeLengthMm } from './edge';
import { within } from './number';

const flatMm = within(20, 5000, ' mm');
/** From a level line down to the hem. */
const markMm = within(10, 3000, ' mm');
const alongMm = within(0, 100_000, ' mm');
export const radiusMm = within(5, 50_000, ' mm');
export const circleFraction = within(0.05, 3);
export const angleDegrees = within(1, 359, '°');

export const taperFields = {
  rawFlatMm: flatMm,
  landingFlatMm: flatMm,
  seams: z.int('A whole number of seams is needed.').min(1, 'At least one seam.').max(8),
  insideAllowanceMm: within(0, 100, ' mm'),
};
export const legMarks = z.strictObject({ frontMm: markMm, backMm: markMm });
export const flatWidthMm = flatMm;

const flare = z.discriminatedUnion(
  'by',
  [
    z.strictObject({
      kind: z.literal('flare'),
      by: z.literal('fraction'),
      fraction: circleFraction,
    }),
    z.strictObject({ kind: z.literal('flare'), by: z.literal('radius'), radiusMm }),
    z.strictObject({
      ...{ kind: z.literal('flare'), by: z.literal('hip') },
      hipMm: edgeLengthMm,
      heightMm: within(10, 5000, ' mm'),
    }),
  ],
  { error: 'A flare is measured by fraction, radius or hip.' },
);

/** How an edge was measured, beyond how long it is. */
export const edgeForm: z.ZodType<EdgeForm, unknown> = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      ...{ kind: z.literal('taper'), ...taperFields },
      right: z.strictObject({ rawFlatMm: flatMm, landingFlatMm: flatMm }).nullish(),
    }),
    z.strictObject({
      ...{ kind: z.literal('slant'), flatWidthMm, left: legMarks },
      right: legMarks.nullable(),
    }),
    flare,
    z.strictObject({
      kind: z.literal('curved'),
      curves: z
        .array(
          z.strictObject({
            ...{ fromMm: alongMm, toMm: alongMm, radiusMm },
            side: z.enum(['outside', 'inside'], 'A curve runs outside or inside.'),
          }),
        )
        .min(1, 'Name at least one curve.')
        .max(40, 'At most 40 curves.'),
    }),
    z.strictObject({
      kind: z.literal('cornered'),
      sides: z
        .array(
          z.strictObject({
            ...{ lengthMm: within(5, 50_000, ' mm'), angleDegrees },
            mitred: z.boolean('Whether it is mitred: true or false.'),
          }),
        )
        .min(2, 'Corners have at least two sides.')
        .max(24, 'At most 24 sides.'),
    }),
  ],
  { error: 'An edge is measured as taper, slant, flare, curved or cornered.' },
);
