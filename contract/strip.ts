import * as z from 'zod';
import { stripEnds, usualJoinSeamMm } from '../core/strip/needed';
import { within } from './number';

const sideMm = within(10, 50_000, ' mm');
const pair = (what: string) =>
  z.tuple([sideMm, sideMm], { error: `${what}: two lengths, as [width, length].` });
const stripMm = within(3, 500, ' mm');
const ends = z.enum(stripEnds, { error: `Ends are ${stripEnds.join(', ')}.` }).default('turned');
const seamMm = within(1, 30, ' mm').default(usualJoinSeamMm);
const cut = {
  clothMm: pair('The cloth, across and along the grain'),
  stripMm,
  /** The length of edge it is for; the ends come on top. */
  neededMm: within(1, 200_000, ' mm'),
  ends,
  seamMm,
};

/** `/api/compute/strips`: one body for each way. */
export const stripsRequest = z.discriminatedUnion(
  'way',
  [
    z.strictObject({ way: z.literal('bias'), ...cut }),
    z.strictObject({ way: z.literal('across'), ...cut }),
    z.strictObject({ way: z.literal('tube'), ...cut }),
    z.strictObject({
      ...{ way: z.literal('package'), packageMm: within(100, 200_000, ' mm') },
      sides: pair('What is bound'),
      stripMm: stripMm.default(50),
      ...{ ends, seamMm },
    }),
  ],
  { error: 'Strips are cut by way of bias, across, tube or package.' },
);
