import type * as z from 'zod';
import type { stripsRequest } from '../../contract/strip';
import { cutStrip } from '../../core/strip/cut';
import { packageFor } from '../../core/strip/package';

/** How a strip is cut, and whether it is enough. */
export function stripsAnswer(asked: z.infer<typeof stripsRequest>): object {
  if (asked.way !== 'package') return cutStrip(asked);
  const { packageMm, sides, ends, stripMm, seamMm } = asked;
  const answer = packageFor({ packageMm, sides, ends, stripMm, joinMm: 2 * seamMm });
  return { ...answer, enough: answer.spareMm >= -1e-9 };
}
