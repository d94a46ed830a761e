import { useMutation, useQuery } from '@tanstack/react-query';
import { refusalInWords } from '../words/refusals';
import { lengthsFor } from '../../core/measure/lengths';
import type {
  AttemptRecord,
  ClothRecord,
  EdgeRecord,
  FootRecord,
  History,
  MachineRecord,
  NeedleRecord,
  PlanRecord,
  PreferencesRecord,
  ProjectRecord,
  ThreadRecord,
} from '../../contract/records';
import { ApiError, Unreachable, send, sendList } from './api';
import { setReachable } from './connection';
import { dispute } from './disputes';
import { notify } from './notices';
import { queryClient } from './query-client';
import { RecordWriter } from './record-writer';

/** Every kind of record, by the name it has in the address. */
export interface Records {
  cloths: ClothRecord;
  machines: MachineRecord;
  feet: FootRecord;
  needles: NeedleRecord;
  threads: ThreadRecord;
  projects: ProjectRecord;
  edges: EdgeRecord;
  plans: PlanRecord;
  attempts: AttemptRecord;
  preferences: PreferencesRecord;
}
export type Resource = keyof Records;

/** How lengths are written for this person, asked where no screen is. */
function lengthsNow() {
  const kept = queryClient.getQueryData<PreferencesRecord>(['preferences', 'mine']);
  return lengthsFor(kept ?? { unit: 'mm', inchRounding: '1/16' });
}

/** Words for a refusal that belongs to no field on the screen. */
export function tellTrouble(error: unknown): void {
  if (error instanceof Unreachable) {
    setReachable(false, error.said);
    return;
  }
  const text =
    error instanceof ApiError && error.code === 'stale'
      ? 'This was changed in another tab. What is stored is shown now; nothing was overwritten.'
      : refusalInWords(error, lengthsNow());
  notify({ kind: 'trouble', text });
}

/** What is worked out from records by the server, and asked for anew once one was written. */
const followsWrites = ['history', 'worktable', 'put-back'];

/** The one writer of the app. */
export const writer = new RecordWriter(queryClient, {
  reachable: setReachable,
  refused: tellTrouble,
  written: () => {
    for (const table of followsWrites) void queryClient.invalidateQueries({ queryKey: [table] });
  },
  disputed: dispute,
});

/** Changes fields of a record; shows at once, is stored behind. */
export function change<R extends Resource>(
  resource: R,
  id: string,
  patch: Partial<Records[R]>,
): void {
  writer.change(resource, id, patch);
}

/** A record as it is on the screen by now: quick presses after one another build on each other. */
export const latest = <R extends Resource>(resource: R, id: string): Records[R] | undefined =>
  writer.latest(resource, id) as Records[R] | undefined;

async function told<T>(asked: Promise<T>): Promise<T> {
  try {
    const answer = await asked;
    setReachable(true);
    return answer;
  } catch (error) {
    if (error instanceof Unreachable) setReachable(false, error.said);
    throw error;
  }
}

const load = <T>(path: string) => told(send<T>('GET', path));

/**
 * A list of records, narrowed by a field where given.
 *
 * @param where null while it is not known yet by what; nothing is asked meanwhile
 * @param select what of it is wanted, always the same function; what comes of it stays the same
 *   object while nothing in it changes, and only a change of it draws anything anew
 */
export function useList<R extends Resource, T = Records[R][]>(
  resource: R,
  where: Record<string, string> | null = {},
  select?: (records: Records[R][]) => T,
) {
  const query = new URLSearchParams(where ?? {}).toString();
  return useQuery({
    enabled: where !== null,
    queryKey: [resource, 'list', where],
    queryFn: () =>
      writer.loaded(resource, () =>
        told(sendList<Records[R]>(query ? `${resource}?${query}` : resource)),
      ),
    ...(select && { select }),
  });
}

/** One record. */
export function useRecord<R extends Resource>(resource: R, id: string | undefined) {
  return useQuery({
    queryKey: [resource, id],
    queryFn: async () => {
      const [record] = await writer.loaded(resource, async () => [
        await load<Records[R]>(`${resource}/${id}`),
      ]);
      return record!;
    },
    enabled: id !== undefined,
  });
}

/** What undo and redo would do. */
export function useHistory() {
  return useQuery({ queryKey: ['history'], queryFn: () => load<History>('history') });
}

/** Reloads everything, after a change that may touch any record. */
export function reloadAll(): Promise<void> {
  return queryClient.invalidateQueries();
}

/** Undo and redo, after everything that is still on its way. */
export function useTravel() {
  return useMutation({
    mutationFn: (way: 'undo' | 'redo') =>
      writer.during(async () => {
        const { done } = await send<{ done: string }>('POST', way);
        await reloadAll();
        notify({ kind: 'info', text: `${way === 'undo' ? 'Undone' : 'Done again'}: ${done}.` });
      }),
    onError: tellTrouble,
  });
}

/** Creates a record. */
export function useCreate<R extends Resource>(resource: R) {
  return useMutation({
    mutationFn: (draft: object) =>
      writer.during(async () => {
        const record = await send<Records[R]>('POST', resource, draft);
        queryClient.setQueryData([resource, record.id], record);
        await reloadAll();
        return record;
      }),
    onError: (error) => {
      if (error instanceof Unreachable) setReachable(false, error.said);
    },
  });
}

/** Removes a record and what hangs on it; undo brings it back. */
export function useRemove(resource: Resource) {
  return useMutation({
    mutationFn: ({ id, version }: { id: string; version: number }) =>
      writer.during(async () => {
        await send('DELETE', `${resource}/${id}?version=${version}`);
        await reloadAll();
      }),
    onError: tellTrouble,
  });
}
