import type * as z from 'zod';
import type { orderRequest } from '../../contract/order';
import { Impossible } from '../../core/impossible';
import { orderIssues } from '../../core/order/order-issues';
import { workOrder, type WorkOrder } from '../../core/order/sequence';

/** The order of some work. @throws Impossible at what contradicts itself */
export function orderAnswer(asked: z.infer<typeof orderRequest>): WorkOrder {
  const issues = orderIssues(asked);
  if (issues.length > 0) throw new Impossible(issues);
  return workOrder(asked);
}
