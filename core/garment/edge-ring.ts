import { ringOf } from '../order/order-issues';
import type { Before } from '../order/task';
import { ownTaskId } from './garment-task';
import type { Garment } from './garment';

/**
 * A ring among edges, seams and the garment's own tasks, each before the next; null where there is
 * none. What single steps wait for is not looked at.
 */
export function edgeRing({ meets, own }: Pick<Garment, 'meets' | 'own'>): string[] | null {
  const before: Before[] = [
    ...meets.map(({ edgeId, seamId, edge }): Before =>
      edge === 'before' ? [edgeId, seamId] : [seamId, edgeId],
    ),
    ...own.flatMap(({ id, beforeEdges, afterEdges }): Before[] => [
      ...beforeEdges.map((edgeId): Before => [ownTaskId(id), edgeId]),
      ...afterEdges.map((edgeId): Before => [edgeId, ownTaskId(id)]),
    ]),
  ];
  const ids = [...new Set(before.flat())];
  return ringOf({ tasks: ids.map((id) => ({ id, minutes: 0, place: 'table' })), before });
}
