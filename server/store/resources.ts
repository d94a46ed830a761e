import * as z from 'zod';
import { clothFromDescription } from '../../core/cloth/describe';
import { followingForm } from '../../core/edge/derived';
import { edgeIssues, joinIssues } from '../../core/edge/edge-issues';
import { measuredIssues } from '../../core/edge/form-issues';
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
  type AttemptDraft,
  type EdgeDraft,
  type PlanDraft,
} from '../../contract/records';
import { singular, type RecordTable } from '../database/models';
import type { Kept, RowOf } from '../database/rows';
import { knownFinish } from '../compute/known-finish';
import { Refusal } from '../http/refusal';
import { checkPatched, recordAttempt, unpinOthers } from './attempts';
import { createEdge } from './edges';
import { checkGarment } from './garments';
import { refuseUnknownPhoto } from './known-photo';
import { assemble, noFinishYet, pointedAt, refuseBlocked } from './sewing-plan';
import type { Change, Created } from './change';

/** Records that point at another one by a column; those that stay are let go of when it goes. */
interface Below {
  readonly table: RecordTable;
  readonly by: string;
  readonly stays?: boolean;
}

/** How one kind of record is checked, written and shown. The routes know nothing else of it. */
export interface Resource<T extends RecordTable = RecordTable> {
  readonly table: T;
  readonly draft: z.ZodObject & z.ZodType<Asked[T]>;
  /** Fields a PATCH may change; the others are fixed once created. */
  readonly patchable: readonly string[];
  /** Fields a list may be narrowed by. */
  readonly filters: readonly string[];
  readonly creatable: boolean;
  /**
   * Makes a record, or refuses what the schema alone can't: broken references, impossible
   * combinations.
   */
  create(change: Change, draft: Asked[T]): Promise<Created<T>>;
  /** What else changes with some fields, since it follows from them. */
  follows?(row: RowOf<T>, patched: readonly string[]): Partial<Kept[T]>;
  /** Refuses the same of a record as it would stand once some of its fields are changed. */
  check?(change: Change, row: RowOf<T>, patched: readonly string[]): Promise<void>;
  /** What else a change of some fields brings with it. */
  changed?(change: Change, row: RowOf<T>, patched: readonly string[]): Promise<void>;
  /** What hangs on a record: `children` go with it or are let go, `users` keep it from going. */
  readonly children?: readonly Below[];
  readonly users?: readonly Below[];
  /** What is shown beyond what is stored. */
  present?(row: RowOf<T>): Record<string, unknown>;
}

/** What is asked for when a record is made: what it will say, or what that is worked out from. */
type Asked = Omit<Kept, 'attempts'> & { readonly attempts: AttemptDraft };

/** @param patched the fields that are changed; none of a new plan, which has no id yet either */
async function checkPlan(
  change: Change,
  { id, ...plan }: PlanDraft & { readonly id?: string },
  patched: readonly string[] = [],
): Promise<void> {
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
    if (patched.includes('keptAttemptId') && kept.planId !== id) {
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

/** @throws Impossible at what cannot be measured so */
function refuseForm(edge: EdgeDraft): void {
  // What a finish turns in is the plan's; the edge itself is judged without it.
  const issues = edge.form ? measuredIssues(edge.form, edge) : [];
  if (issues.length > 0) throw new Impossible(issues);
}

/** @throws Impossible at a crossing that lies off its edge */
function refuseOffEdge(edge: EdgeDraft): void {
  const { lengthMm, crossings } = edge;
  const closed = isClosed(edge);
  const issues = crossingIssues({ lengthMm, closed, crossings });
  if (issues.length > 0) throw new Impossible(issues);
}

/** @throws Impossible at a reading that no cloth gives */
export function refuseImplausible(draft: ClothDraft): void {
  const issues = implausibleIssues(clothFromDescription(draft), draft.tests);
  if (issues.length > 0) throw new Impossible(issues);
}

async function checkCloth(change: Change, draft: ClothDraft): Promise<void> {
  refuseImplausible(draft);
  await refuseUnknownPhoto(change, draft.photoId, 'photoId');
}

async function checkEdge(change: Change, draft: EdgeDraft): Promise<void> {
  await pointedAt(change, 'projects', draft.projectId, 'projectId');
  await pointedAt(change, 'cloths', draft.clothId, 'clothId');
  refuseForm(draft);
  refuseOffEdge(draft);
  refuseContradictory(draft);
}

/** Stores what a draft says as it is. */
async function asItIs<T extends RecordTable>(
  change: Change,
  table: T,
  draft: Kept[T],
): Promise<Created<T>> {
  return { row: await change.create(table, draft), existed: false };
}

/** Every field of a draft but those that stay as they were made. */
const allBut = (shape: object, ...fixed: string[]): string[] =>
  Object.keys(shape).filter((field) => !fixed.includes(field));

/** Every kind of record, by the name it has in the address. */
export const resources: { readonly [T in RecordTable]: Resource<T> } = {
  cloths: {
    table: 'cloths',
    draft: clothDraft,
    patchable: Object.keys(clothDraft.shape),
    filters: [],
    creatable: true,
    create: async (change, draft) => {
      await checkCloth(change, draft);
      return asItIs(change, 'cloths', draft);
    },
    check: checkCloth,
    users: [
      { table: 'edges', by: 'clothId' },
      { table: 'plans', by: 'stripClothId' },
    ],
    present: (cloth) => ({
      properties: { construction: cloth.tests.construction, ...clothFromDescription(cloth) },
    }),
  },
  machines: {
    table: 'machines',
    draft: machineDraft,
    patchable: Object.keys(machineDraft.shape),
    filters: [],
    creatable: true,
    create: (change, draft) => asItIs(change, 'machines', draft),
    users: [{ table: 'plans', by: 'machineId' }],
  },
  feet: {
    table: 'feet',
    draft: footDraft,
    patchable: Object.keys(footDraft.shape),
    filters: [],
    creatable: true,
    create: (change, draft) => asItIs(change, 'feet', draft),
    users: [
      { table: 'plans', by: 'footId' },
      { table: 'plans', by: 'attachmentId' },
    ],
  },
  needles: {
    table: 'needles',
    draft: needleDraft,
    patchable: Object.keys(needleDraft.shape),
    filters: [],
    creatable: true,
    create: (change, draft) => asItIs(change, 'needles', draft),
  },
  threads: {
    table: 'threads',
    draft: threadDraft,
    patchable: Object.keys(threadDraft.shape),
    filters: [],
    creatable: true,
    create: (change, draft) => asItIs(change, 'threads', draft),
  },
  projects: {
    table: 'projects',
    draft: projectDraft,
    patchable: Object.keys(projectDraft.shape),
    filters: [],
    creatable: true,
    create: async (change, draft) => {
      await checkGarment(change, draft);
      return asItIs(change, 'projects', draft);
    },
    check: checkGarment,
    children: [{ table: 'edges', by: 'projectId' }],
  },
  edges: {
    table: 'edges',
    draft: edgeDraft,
    patchable: allBut(edgeDraft.shape, 'projectId'),
    filters: ['projectId', 'clothId'],
    creatable: true,
    create: async (change, draft) => {
      const edge = { ...draft, ...followingForm(draft, ['form']) };
      await checkEdge(change, edge);
      return createEdge(change, edge);
    },
    follows: followingForm,
    check: checkEdge,
    children: [{ table: 'plans', by: 'edgeId' }],
  },
  plans: {
    table: 'plans',
    draft: planDraft,
    patchable: allBut(planDraft.shape, 'edgeId'),
    filters: ['edgeId'],
    creatable: true,
    create: async (change, draft) => {
      await checkPlan(change, draft);
      return asItIs(change, 'plans', draft);
    },
    check: checkPlan,
    changed: async (change, { keptAttemptId }, patched) => {
      if (!patched.includes('keptAttemptId') || !keptAttemptId) return;
      const kept = await change.find('attempts', keptAttemptId);
      if (!kept || kept.verdict === 'keep') return;
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
    check: checkPatched,
    changed: async (change, row, patched) => {
      if (patched.includes('pinned') && row.pinned) await unpinOthers(change, row);
    },
    create: recordAttempt,
  },
  preferences: {
    table: 'preferences',
    draft: preferencesDraft,
    patchable: Object.keys(preferencesDraft.shape),
    filters: [],
    creatable: false,
    create: (change, draft) => asItIs(change, 'preferences', draft),
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
