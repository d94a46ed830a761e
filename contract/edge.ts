import * as z from 'zod';
import { purposes } from '../core/edge/purpose';
import { edgeLengthBoundsMm, edgeShapes } from '../core/edge/shape';
import { joinings, oldHemSewings, pairings, type OldHem } from '../core/edge/state';
import { within } from './number';

export const purpose = z.enum(purposes, { error: `A purpose is one of ${purposes.join(', ')}.` });
export const edgeShape = z.enum(edgeShapes, {
  error: `A shape is one of ${edgeShapes.join(', ')}.`,
});
export const joining = z.enum(joinings, {
  error: `An edge is joined ${joinings.join(' or ')}.`,
});
export const pairing = z.enum(pairings, { error: `An edge is one of ${pairings.join(' or ')}.` });

/** A hem that is in the edge already. */
export const oldHem = z.strictObject({
  depthMm: within(3, 1000, ' mm'),
  sewn: z.enum(oldHemSewings, { error: `An old hem is sewn ${oldHemSewings.join(', ')}.` }),
  keepLook: z.boolean({ error: 'Whether its look is to stay: true or false.' }),
}) satisfies z.ZodType<OldHem>;

export const edgeLengthMm = within(...edgeLengthBoundsMm, ' mm');
export const minRadiusMm = within(1, 100_000, ' mm').nullable();
/** The depth of hem one would like; null leaves it to the finish. */
export const wishedDepthMm = within(1, 1000, ' mm');
export const seamAllowanceMm = within(3, 60, ' mm');
