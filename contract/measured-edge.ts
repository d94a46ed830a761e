import { edgeLengthMm, edgeShape, joining, minRadiusMm } from './edge';
import { edgeForm } from './edge-form';
import { within } from './number';

/** An edge as a computation takes it: how long it is, how it runs, how it was measured. */
export const measuredEdge = {
  lengthMm: edgeLengthMm,
  shape: edgeShape.default('straight'),
  joined: joining.nullish(),
  minRadiusMm: minRadiusMm.default(null),
  /** How much of a full circle the edge goes round. */
  circleFraction: within(0.01, 1).nullish(),
  /** How it was measured; shape, length, radius and turn follow from that. */
  form: edgeForm.nullish(),
};
