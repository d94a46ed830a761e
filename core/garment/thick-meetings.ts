import { Impossible } from '../impossible';
import { liftsOf } from '../kit/machine';
import { foldsAsSewn } from '../finish/as-sewn';
import { foldPlanOf } from '../plan/fold-plan';
import { whereBoundMeet, type BoundMeeting } from '../seam/where-bound-meet';
import type { Garment } from './garment';
import type { PlannedEdge } from './of-records';

/** A seam that closes over a bound edge, with what lies there. */
export interface ThickMeeting extends BoundMeeting {
  readonly edgeId: string;
  readonly seamId: string;
}

/**
 * The layers where a seam closes over edges that were bound before it, with their verdict, before
 * anyone gets there. Source: model.md, “Order of work”: where bound edges meet the layers add up.
 */
export function thickMeetings(edges: readonly PlannedEdge[], garment: Garment): ThickMeeting[] {
  return garment.meets.flatMap(({ edgeId, seamId, edge: when }): ThickMeeting[] => {
    const bound = edges.find(({ edge }) => edge.id === edgeId);
    const seam = edges.find(({ edge }) => edge.id === seamId);
    if (when !== 'before' || !bound || !seam) return [];
    try {
      const folds = foldPlanOf(bound.finish, foldsAsSewn(bound.request));
      if (!folds.strip) return [];
      const meeting = whereBoundMeet(
        { layers: folds.layersAtStitch, stackMm: folds.stackMm },
        bound.request.cloth.construction,
        liftsOf(seam.machine.specs),
      );
      return [{ edgeId, seamId, ...meeting }];
    } catch (error) {
      if (error instanceof Impossible) return [];
      throw error;
    }
  });
}
