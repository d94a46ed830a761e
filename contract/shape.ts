import * as z from 'zod';
import { clothProperties } from './cloth';
import { edgeLengthMm } from './edge';
import {
  angleDegrees,
  circleFraction,
  flatWidthMm,
  legMarks,
  radiusMm,
  taperFields,
} from './edge-form';
import { within } from './number';

const depthMm = within(1, 1000, ' mm');
const allowanceMm = within(1, 1000, ' mm');

/** `/api/compute/shape`: one body for each kind. */
export const shapeRequest = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('taper'), ...taperFields, depthMm: depthMm.nullish() }),
    z.strictObject({ kind: z.literal('slant'), flatWidthMm, ...legMarks.shape, depthMm }),
    z.strictObject({
      ...{ kind: z.literal('pair'), flatWidthMm, left: legMarks, right: legMarks },
      allowanceMm,
    }),
    z
      .strictObject({
        ...{ kind: z.literal('flare'), lengthMm: edgeLengthMm, depthMm, cloth: clothProperties },
        circleFraction: circleFraction.nullish(),
        radiusMm: radiusMm.nullish(),
        hipMm: edgeLengthMm.nullish(),
        heightMm: within(10, 5000, ' mm').nullish(),
      })
      .refine(
        ({ circleFraction: f, radiusMm: r, hipMm, heightMm }) =>
          [f, r, hipMm && heightMm].filter((given) => given ?? null).length === 1,
        {
          path: ['circleFraction'],
          error: 'Give one of circleFraction, radiusMm, or hipMm with heightMm.',
        },
      ),
    z.strictObject({ kind: z.literal('corner'), allowanceMm, angleDegrees }),
    z.strictObject({ kind: z.literal('curve'), radiusMm, marginMm: within(0.05, 50, ' mm') }),
    z.strictObject({
      ...{ kind: z.literal('opening'), lengthMm: edgeLengthMm, trimMm: within(0, 200, ' mm') },
      stretchPercent: within(0, 300, ' %'),
      passesMm: within(10, 5000, ' mm').nullish(),
      side: z.enum(['inside', 'outside'], 'An edge is trimmed inside or outside.'),
      /** How far the trimmed part turns; all the way round when left out. */
      turnDegrees: within(1, 360, '°').default(360),
    }),
  ],
  {
    error: 'A shape is one of taper, slant, pair, flare, corner, curve or opening.',
  },
);
