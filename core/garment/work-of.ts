import type { Taking } from '../choose/of-records';
import { orderIssues, ringOf } from '../order/order-issues';
import { workOrder, type WorkOrder } from '../order/sequence';
import type { OrderAsked, OrderStart } from '../order/task';
import { Impossible, refusal, type Issue } from '../impossible';
import { plainUsual } from '../kit/put-back';
import type { Garment } from './garment';
import type { GarmentTask } from './garment-task';
import { plannedEdges, type GarmentRecords } from './of-records';
import { minutesInOrder, stillOwn } from './own-order';
import { toHaveReady, type Drawer, type ReadyThing } from './ready';
import { edgeAfterEdge, garmentWork, orderOf, type GarmentWork } from './tasks';
import { thickMeetings, type ThickMeeting } from './thick-meetings';

/** A garment's work in its order, as screens, print and calendars take it. */
export interface OrderedWork extends GarmentWork {
  /** The order with the least changes, and how good it is known to be. */
  readonly best: Omit<WorkOrder, 'asWritten'>;
  /** Minutes of change when it is done edge after edge. */
  readonly edgeAfterEdge: number;
  /** One's own order, as far as it still holds; null for the best. */
  readonly own: { readonly sequence: readonly string[]; readonly changeMinutes: number } | null;
  /** Whether an order of one's own was kept that no longer holds. */
  readonly ownBroken: boolean;
  /** Edges without work to order, and why. */
  readonly unplanned: readonly { readonly edgeId: string; readonly issues: readonly Issue[] }[];
  /** Edges whose finish is only proposed, with what taking it would set. */
  readonly proposed: readonly { readonly edgeId: string; readonly takes: Taking }[];
  readonly thick: readonly ThickMeeting[];
  readonly ready: readonly ReadyThing[];
}

/** The order that is in force: one's own, or the one with the least changes. */
export const inForce = ({ own, best }: Pick<OrderedWork, 'own' | 'best'>) => own ?? best;

/** One begins at the table, with every machine as it usually stands. */
const standing = ({ machines }: GarmentRecords): OrderStart => ({
  place: 'table',
  machines: Object.fromEntries(
    machines.map(({ id, usual }) => [
      id,
      { pressure: String(usual?.pressure ?? plainUsual.pressure) },
    ]),
  ),
});

/** @throws Impossible with the ring, each task by its edge and step */
function refuseRing(tasks: readonly GarmentTask[], asked: OrderAsked): void {
  const ring = ringOf(asked);
  if (!ring) return;
  const names = new Map(
    tasks.map(({ id, edgeName, stepId, text }) => [
      id,
      edgeName === null ? text.replace(/\.$/, '') : `${edgeName}, ${stepId.replace(/-/g, ' ')}`,
    ]),
  );
  throw new Impossible([
    refusal('garment', 'ring', 'This order goes round in a ring: {ring}.', {
      ring: ring.map((id) => `“${names.get(id) ?? id}”`).join(' before '),
    }),
  ]);
}

/**
 * A garment's tasks in the order with the least minutes of change, beside what they would cost edge
 * after edge and in one's own order.
 *
 * @throws Impossible with the ring, step by step, where the order contradicts itself
 */
export function orderedWork(
  records: GarmentRecords,
  garment: Garment,
  drawer: Omit<Drawer, 'machines' | 'feet'>,
): OrderedWork {
  const { planned, unplanned } = plannedEdges(records);
  const work = garmentWork(
    planned.map((edge) => edge.work),
    garment,
    standing(records),
  );
  const asked = orderOf(work);
  refuseRing(work.tasks, asked);
  const issues = orderIssues(asked);
  if (issues.length > 0) throw new Impossible(issues);
  const { asWritten: _asWritten, ...best } = workOrder(asked);
  const kept = garment.sequence && stillOwn(asked, work.waits, garment.sequence);
  return {
    ...work,
    best,
    edgeAfterEdge: minutesInOrder(asked, edgeAfterEdge(work)) ?? best.changeMinutes,
    own: kept && { sequence: kept, changeMinutes: minutesInOrder(asked, kept) ?? 0 },
    ownBroken: garment.sequence !== null && !kept,
    unplanned,
    proposed: planned.flatMap(({ edge, proposed }) =>
      proposed ? [{ edgeId: edge.id, takes: proposed }] : [],
    ),
    thick: thickMeetings(planned, garment),
    ready: toHaveReady(work.tasks, planned, { ...records, ...drawer }),
  };
}
