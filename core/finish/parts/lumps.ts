import { Impossible } from '../../impossible';
import { liftsOf } from '../../kit/machine';
import { alongTheEdge, type AlongEdge, type Sole } from '../../seam/crossings';
import type { WorkRequest } from '../work';

/** A sole as most feet have one, where nobody said which foot, mm. Starting guess. */
export const usualSoleMm: Sole = { toeMm: 12, heelMm: 14 };

/**
 * What the line of stitching meets on this edge; null where no seam crosses it.
 *
 * @param layers at the stitch, between crossings
 */
export function alongOf(
  { cloth, edge, sewn }: Pick<WorkRequest, 'cloth' | 'edge' | 'sewn'>,
  layers: number,
): AlongEdge | null {
  const { crossings = [], lengthMm, closed } = edge;
  if (crossings.length === 0) return null;
  const lifts = liftsOf(sewn?.machine ?? {});
  try {
    return alongTheEdge(
      { lengthMm, closed, crossings },
      layers,
      cloth,
      sewn?.soleMm ?? usualSoleMm,
      lifts,
    );
  } catch (error) {
    // A crossing off the edge is told at the edge; the work goes on without it.
    if (error instanceof Impossible) return null;
    throw error;
  }
}
