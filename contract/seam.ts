import * as z from 'zod';
import { usualPresserLiftMm } from '../core/kit/machine';
import { crossingKinds, type Crossing } from '../core/seam/crossing';
import { clothProperties } from './cloth';
import { edgeLengthMm } from './edge';
import { measuredEdge } from './measured-edge';
import { within } from './number';

/** A seam that crosses an edge. */
export const crossing = z.strictObject({
  kind: z.enum(crossingKinds, { error: `A crossing is one of ${crossingKinds.join(', ')}.` }),
  atMm: within(-100_000, 100_000, ' mm'),
  widthMm: within(1, 200, ' mm'),
}) satisfies z.ZodType<Crossing>;

/** More seams than this cross no edge. */
export const crossings = z.array(crossing).max(60, 'At most 60 crossings.');

export const presserLiftMm = within(2, 25, ' mm');

/** `/api/compute/crossings`. */
export const crossingsRequest = z
  .strictObject({
    cloth: clothProperties,
    layersAtStitch: z.int('A whole number of layers is needed.').min(1).max(20),
    /** Along the edge; an edge that is given says it itself. */
    lengthMm: edgeLengthMm.nullish(),
    crossings,
    closed: z.boolean().nullish(),
    /** The edge that is crossed: curves and corners along it are answered besides. */
    edge: z.strictObject(measuredEdge).nullish(),
    /** The smaller side of the margin, for how often to let the cloth swing. */
    marginMm: within(0.05, 50, ' mm').nullish(),
    sole: z
      .strictObject({ toeMm: within(2, 60, ' mm'), heelMm: within(2, 60, ' mm') })
      .default({ toeMm: 12, heelMm: 14 }),
    presserLiftMm: presserLiftMm.default(usualPresserLiftMm),
    /** With the lever pushed further; two millimetres more when nobody said. */
    presserLiftHighMm: presserLiftMm.nullish(),
  })
  .refine(({ lengthMm, edge }) => Boolean(lengthMm ?? edge), {
    path: ['lengthMm'],
    error: 'How long is the edge? Give lengthMm, or an edge.',
  })
  .refine(({ presserLiftMm: low, presserLiftHighMm: high }) => (high ?? low) >= low, {
    path: ['presserLiftHighMm'],
    error: 'The higher lift is not less than the ordinary one.',
  });
