import { isClosed, turnRadians } from '../edge/shape';
import { lengthAfterTrimmingMm } from '../fold/opening';
import type { AlongEdge } from '../strip/along';
import { stripEnds, type StripEnds } from '../strip/needed';
import { shorterShareOf } from '../strip/shorter';
import type { EdgeFacts, PlanFacts } from './of-records';

/** An edge as a strip goes along it. */
export interface StripAlong extends AlongEdge {
  readonly shorterShare: number;
  readonly ends: StripEnds;
  /** What the strip is cut for, without its ends, mm. */
  readonly neededMm: number;
}

/** Whether an edge curves inwards, as a neck does. */
export const curvesInwards = ({ shape, purpose }: Pick<EdgeFacts, 'shape' | 'purpose'>): boolean =>
  shape === 'inside-curve' || purpose === 'opening';

/** How long a strip is for a plan: its edge after trimming, shorter by what the strip is pulled. */
export function stripAlong(
  edge: Pick<
    EdgeFacts,
    'lengthMm' | 'shape' | 'turnDegrees' | 'joined' | 'purpose' | 'form' | 'crossings'
  >,
  { fold, schools }: Pick<PlanFacts, 'fold' | 'schools'>,
): StripAlong {
  const trimMm = fold.seamAllowanceMm ?? 0;
  const edgeMm = lengthAfterTrimmingMm(edge.lengthMm, trimMm, turnRadians(edge));
  const shorterShare = shorterShareOf(fold.variant, schools, curvesInwards(edge));
  return {
    ...{ edgeMm, closed: isClosed(edge), form: edge.form, crossings: edge.crossings },
    ...{ shorterShare, neededMm: edgeMm * (1 - shorterShare) },
    ends: stripEnds.find((one) => one === schools['strip-ends']) ?? 'turned',
  };
}
