import type { NextMove, TableEdge, Worktable } from '../../contract/worktable';
import { finishById } from '../../core/finish/catalogue';
import type { RowOf } from '../database/rows';
import { Refusal } from '../http/refusal';
import { Impossible } from '../../core/impossible';
import { garmentRecords } from './garment-records';
import type { Store } from './store';
import { taughtPlan } from './taught-plan';

/** What is learned is worked out for so many edges, those that were touched last. */
const mostLessons = 8;

/** The scraps of a plan as far as they are counted; none of them is read for that. */
interface Sewn {
  readonly planId: string;
  readonly scraps: number;
  readonly last: number;
  readonly touchedAt: string;
  /** The one whose setting is kept; null for none. */
  readonly keptNumber: number | null;
}

/** The scraps of every plan that has any. */
function sewnOf(store: Store): Promise<Sewn[]> {
  return store.database.reading.rows<Sewn>(
    `SELECT a.planId, count(*) AS scraps, max(a.number) AS last, max(a.updatedAt) AS touchedAt,
       max(CASE WHEN a.id = p.keptAttemptId THEN a.number END) AS keptNumber
     FROM attempts a JOIN plans p ON p.id = a.planId GROUP BY a.planId`,
  );
}

/** What the scraps of an edge advise: a change, or that they are good enough. */
async function advised(
  store: Store,
  plan: RowOf<'plans'>,
  acceptedShare: number,
): Promise<NextMove> {
  const attempts = await store.list('attempts', { planId: plan.id });
  const last = attempts.at(-1)?.number ?? 0;
  const sewing: NextMove = { kind: 'scrap', number: last + 1, change: null };
  const { assembled, own, samples, carried } = await taughtPlan(store, plan, attempts);
  if (samples.length === 0) return sewing;
  const next = await store.sums.inner('advice', {
    ...{ finish: assembled.finish.id, plan: assembled.plan, samples, carried, acceptedShare },
  });
  if (next.enough) return { kind: 'keep', number: own.at(-1)?.number ?? last };
  const { change } = next;
  return { ...sewing, change: change && { dial: change.dial, toMm: change.toMm } };
}

/**
 * Every edge of a person, or of a project, with what comes next on it.
 *
 * @throws Refusal 404 without the project
 */
export async function worktable(store: Store, projectId: string | null): Promise<Worktable> {
  if (projectId !== null) await store.find('projects', projectId);
  const records = await garmentRecords(store, projectId);
  const [sewn, preferences] = await Promise.all([sewnOf(store), store.find('preferences', 'mine')]);
  const steps = await store.sums.inner('stepsLeft', records);
  const edges = records.edges
    .flatMap((edge) => {
      const plan = records.plans.find(({ edgeId }) => edgeId === edge.id);
      if (!plan) return [];
      const own = sewn.find(({ planId }) => planId === plan.id);
      const [touchedAt = ''] = [edge.updatedAt, plan.updatedAt, own?.touchedAt ?? '']
        .sort()
        .reverse();
      return [
        {
          edge,
          plan,
          touchedAt,
          scraps: own?.scraps ?? 0,
          last: own?.last ?? 0,
          keptNumber: own?.keptNumber ?? null,
        },
      ];
    })
    .sort((a, b) => (a.touchedAt < b.touchedAt ? 1 : -1));
  let lessons = 0;
  const shown: TableEdge[] = [];
  for (const { edge, plan, touchedAt, scraps, last, keptNumber } of edges) {
    const work = steps.find(({ edgeId }) => edgeId === edge.id) ?? null;
    const finish = plan.finish === null ? undefined : finishById(plan.finish);
    const tries =
      finish?.margin(plan.fold.variant) && keptNumber === null && plan.ticks.length === 0;
    const next = async (): Promise<NextMove> => {
      if (!finish) return { kind: 'choose' };
      if (!work) return { kind: 'stuck' };
      if (tries && scraps === 0) return { kind: 'scrap', number: 1, change: null };
      if (tries && lessons++ < mostLessons) {
        return advised(store, plan, preferences.acceptedPercent / 100);
      }
      if (tries) return { kind: 'scrap', number: last + 1, change: null };
      return work.left === 0
        ? { kind: 'done' }
        : { kind: 'steps', left: work.left, minutes: work.minutes };
    };
    shown.push({
      ...{ edgeId: edge.id, projectId: edge.projectId, name: edge.name, touchedAt },
      clothName: records.cloths.find(({ id }) => id === edge.clothId)?.name ?? '',
      ...{ finish: plan.finish, variant: plan.fold.variant, scraps, keptNumber },
      stepsDone: work ? work.steps - work.left : 0,
      steps: work?.steps ?? 0,
      next: await next().catch(stuck),
    });
  }
  return { edges: shown };
}

/** What does not fit together is told where it is set; here it is only said that it does not. */
function stuck(error: unknown): NextMove {
  if (error instanceof Impossible || error instanceof Refusal) return { kind: 'stuck' };
  throw error;
}
