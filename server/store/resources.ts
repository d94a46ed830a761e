import * as z from 'zod';
import { clothFromDescription } from '../../core/cloth/describe';
import { edgeIssues, joinIssues } from '../../core/edge/edge-issues';
import { Impossible } from '../../core/impossible';
import { isClosed } from '../../core/edge/shape';
import { refuseFold } from '../../core/plan/fold-plan';
import { crossingIssues } from '../../core/seam/crossing';
import { implausibleIssues } from '../../core/cloth/plausible';
import { clothDraft, type ClothDraft } from '../../contract/cloth';
import { footDraft, machineDraft, needleDraft, threadDraft } from '../../contract/kit';
import {
  attemptDraft,
  edgeDraft,
  planDraft,
  preferencesDraft,
  projectDraft,
  type EdgeDraft,
  type PlanDraft,
} from '../../contract/records';
import { singular, type RecordTable } from '../database/models';
import { knownFinish } from '../compute/known-finish';
import { Refusal } from '../http/refusal';
import { checkPatched, recordAttempt, unpinOthers } from './attempts';
import { createEdge } from './edges';
import type { Row } from './journal';
import { assemble, noFinishYet, planDraftOf, pointedAt, refuseBlocked } from './sewing-plan';
import type { Change } from './change';

/** How one kind of record is checked, written and shown. The routes know nothing else of it. */
export interface Resource {
  readonly table: RecordTable;
  readonly draft: z.ZodObject;
  /** Fields a PATCH may change; the others are fixed once created. */
  readonly patchable: readonly string[];
  /** Fields a list may be narrowed by. */
  readonly filters: readonly string[];
  readonly creatable: boolean;
  /** Refuses what the schema alone can't: broken references, impossible combinations. */
  check?(
    change: Change,
    draft: Record<string, unknown>,
    patched: readonly string[],
  ): Promise<void> | void;
  create?(change: Change, draft: never): Promise<{ row: Row; existed: boolean }>;
  /** What else a change of some fields brings with it. */
  changed?(change: Change, row: Row, patched: readonly string[]): Promise<void>;
  /** What hangs on a record: `children` go with it or are let go, `users` keep it from going. */
  readonly children?: readonly { table: RecordTable; by: string; stays?: boolean }[];
  readonly users?: readonly { table: RecordTable; by: string }[];
  /** What is shown beyond what is stored. */
  present?(row: Row): Record<string, unknown>;
}

async function checkPlan(
  change: Change,
  draft: Record<string, unknown>,
  patched: readonly string[],
): Promise<void> {
  const plan = planDraftOf(draft as Row);
  if (plan.finish === null) {
    await refuseBeforeTaken(change, plan, patched);
    return;
  }
  const finish = knownFinish(plan.finish);
  const assembled = await assemble(change, plan);
  const refolded = ['finish', 'fold'].some((field) => patched.includes(field));
  if (patched.length === 0 || refolded) {
    refuseFold(finish, { wish: plan.fold, cloth: assembled.plan.cloth }, 'fold.');
  }
  const solved = refolded || patched.includes('settings');
  if (plan.settings && solved) refuseBlocked(assembled, plan.settings);
  if (plan.keptAttemptId) {
    const kept = await pointedAt(change, 'attempts', plan.keptAttemptId, 'keptAttemptId');
    if (patched.includes('keptAttemptId') && kept['planId'] !== draft['id']) {
      const message = 'This scrap was sewn for another edge; a plan keeps one of its own.';
      throw new Impossible([{ path: 'keptAttemptId', message }]);
    }
  }
}

/**
 * Before a finish is taken there is nothing to set: only what the person is used to may be kept.
 *
 * @throws Impossible at whatever waits for a finish
 */
async function refuseBeforeTaken(
  change: Change,
  plan: PlanDraft,
  patched: readonly string[],
): Promise<void> {
  await pointedAt(change, 'edges', plan.edgeId, 'edgeId');
  await pointedAt(change, 'machines', plan.machineId, 'machineId');
  await pointedAt(change, 'feet', plan.footId, 'footId');
  const waiting = ['settings', 'keptAttemptId', 'ticks'].filter(
    (field) => patched.includes(field) && plan[field as 'settings'] !== null,
  );
  if (waiting.length === 0) return;
  throw new Impossible(waiting.map((path) => ({ path, message: noFinishYet })));
}

/** @throws Impossible at what contradicts what the edge is for */
function refuseContradictory(draft: EdgeDraft): void {
  const issues = [...edgeIssues(draft), ...joinIssues(draft, draft)];
  if (issues.length > 0) throw new Impossible(issues);
}

/** @throws Impossible at a crossing that lies off its edge */
function refuseOffEdge(edge: EdgeDraft): void {
  const { lengthMm, crossings } = edge;
  const closed = isClosed(edge);
  const issues = crossingIssues({ lengthMm, closed, crossings });
  if (issues.length > 0) throw new Impossible(issues);
}

/** @throws Impossible at a photo that was never sent */
async function refuseUnknownPhoto(change: Change, id: unknown): Promise<void> {
  if (typeof id !== 'string' || (await change.hasPhoto(id))) return;
  throw new Impossible([{ path: 'photoId', message: 'There is no photo with this id.' }]);
}

/** @throws Impossible at a reading that no cloth gives */
export function refuseImplausible(draft: ClothDraft): void {
  const issues = implausibleIssues(clothFromDescription(draft), draft.tests);
  if (issues.length > 0) throw new Impossible(issues);
}

const clothOf = (row: Row) =>
  ({
    weightClass: row['weightClass'],
    like: row['like'],
    tests: row['tests'],
  }) as Parameters<typeof clothFromDescription>[0];

/** Every field of a draft but those that stay as they were made. */
const allBut = (shape: object, ...fixed: string[]): string[] =>
  Object.keys(shape).filter((field) => !fixed.includes(field));

/** Every kind of record, by the name it has in the address. */
export const resources: Readonly<Record<string, Resource>> = {
  cloths: {
    table: 'cloths',
    draft: clothDraft,
    patchable: Object.keys(clothDraft.shape),
    filters: [],
    creatable: true,
    check: async (change, draft) => {
      refuseImplausible(draft as ClothDraft);
      await refuseUnknownPhoto(change, draft['photoId']);
    },
    users: [
      { table: 'edges', by: 'clothId' },
      { table: 'plans', by: 'stripClothId' },
    ],
    present: (row) => {
      const description = clothOf(row);
      return {
        properties: {
          construction: description.tests.construction,
          ...clothFromDescription(description),
        },
      };
    },
  },
  machines: {
    table: 'machines',
    draft: machineDraft,
    patchable: ['name', 'specs', 'note'],
    filters: [],
    creatable: true,
    users: [{ table: 'plans', by: 'machineId' }],
  },
  feet: {
    table: 'feet',
    draft: footDraft,
    patchable: Object.keys(footDraft.shape),
    filters: [],
    creatable: true,
    users: [{ table: 'plans', by: 'footId' }],
  },
  needles: {
    table: 'needles',
    draft: needleDraft,
    patchable: Object.keys(needleDraft.shape),
    filters: [],
    creatable: true,
  },
  threads: {
    table: 'threads',
    draft: threadDraft,
    patchable: Object.keys(threadDraft.shape),
    filters: [],
    creatable: true,
  },
  projects: {
    table: 'projects',
    draft: projectDraft,
    patchable: ['name', 'note'],
    filters: [],
    creatable: true,
    children: [{ table: 'edges', by: 'projectId' }],
  },
  edges: {
    table: 'edges',
    draft: edgeDraft,
    patchable: allBut(edgeDraft.shape, 'projectId'),
    filters: ['projectId', 'clothId'],
    creatable: true,
    check: async (change, draft) => {
      await pointedAt(change, 'projects', String(draft['projectId']), 'projectId');
      await pointedAt(change, 'cloths', String(draft['clothId']), 'clothId');
      refuseOffEdge(draft as EdgeDraft);
      refuseContradictory(draft as EdgeDraft);
    },
    create: createEdge,
    children: [{ table: 'plans', by: 'edgeId' }],
  },
  plans: {
    table: 'plans',
    draft: planDraft,
    patchable: allBut(planDraft.shape, 'edgeId'),
    filters: ['edgeId'],
    creatable: true,
    check: checkPlan,
    changed: async (change, { keptAttemptId }, patched) => {
      if (!patched.includes('keptAttemptId') || typeof keptAttemptId !== 'string') return;
      const kept = await change.find('attempts', keptAttemptId);
      if (!kept || kept['verdict'] === 'keep') return;
      await change.update('attempts', kept.id, kept.version, { verdict: 'keep' });
    },
    // What was sewn stays in the book.
    children: [{ table: 'attempts', by: 'planId', stays: true }],
  },
  attempts: {
    table: 'attempts',
    draft: attemptDraft,
    patchable: allBut(attemptDraft.shape, 'id', 'planId', 'pass'),
    filters: ['planId'],
    creatable: true,
    check: async (change, draft, patched) => {
      if (patched.length > 0) await checkPatched(change, draft, patched);
    },
    changed: async (change, row, patched) => {
      if (patched.includes('pinned') && row['pinned']) await unpinOthers(change, row);
    },
    create: recordAttempt,
  },
  preferences: {
    table: 'preferences',
    draft: preferencesDraft,
    patchable: Object.keys(preferencesDraft.shape),
    filters: [],
    creatable: false,
  },
};

/** Takes a record and what hangs on it away. @throws Refusal 409 while something uses it */
export async function removeWhole(
  change: Change,
  resource: Resource,
  id: string,
  version: number,
): Promise<void> {
  for (const { table, by } of resource.users ?? []) {
    const users = await change.list(table, { [by]: id });
    if (users.length === 0) continue;
    const what = singular[resource.table];
    throw new Refusal(
      409,
      'in-use',
      `This ${what} is used by ${users.length} ${users.length === 1 ? singular[table] : table}; give ${users.length === 1 ? 'it' : 'them'} another ${what} first.`,
    );
  }
  for (const { table, by, stays } of resource.children ?? []) {
    const below = Object.values(resources).find((candidate) => candidate.table === table);
    for (const child of await change.list(table, { [by]: id })) {
      if (stays) await change.update(table, child.id, child.version, { [by]: null });
      else if (below) await removeWhole(change, below, child.id, child.version);
    }
  }
  await change.remove(resource.table, id, version);
}
