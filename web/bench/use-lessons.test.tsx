import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { renderHook, waitFor } from '@testing-library/react';
import type { AttemptRecord } from '../../contract/records';
import { finishById } from '../../core/finish/catalogue';
import { examplePlan } from '../../core/plan/example.fixture';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { useLessons } from './use-lessons';

const finish = finishById('blind-hem')!;
const margin = finish.margin('flat');
const start = startingSetting(finish, examplePlan, setUpOf(finish, examplePlan));
const scrap = (check: string, short: number) =>
  ({
    ...{ settings: start, setUp: examplePlan, counts: [{ check, n: 24, short, over: 0 }] },
  }) as unknown as AttemptRecord;

function lessons(pooled: readonly AttemptRecord[]) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const taught = { record: undefined, finish, margin, plan: examplePlan, pooled };
  const { result } = renderHook(() => useLessons(taught, 0.02), {
    wrapper: ({ children }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    ),
  });
  return result;
}

test('without a scrap the dials are solved by the rule, and nothing is taught', async () => {
  const none: readonly AttemptRecord[] = [];
  const now = lessons(none);
  await waitFor(() => expect(now.current.busy).toBe(false));
  expect(now.current.solved).toEqual(start);
  expect(now.current).toMatchObject({ lesson: null, learned: {}, carried: {}, solveIssues: [] });
});

test('a scrap that missed moves the next setting, and the dials are solved with it', async () => {
  const now = lessons([scrap('bite', 9)]);
  await waitFor(() => expect(now.current.lesson).not.toBeNull());
  await waitFor(() => expect(now.current.busy).toBe(false));
  expect(now.current.lesson!.learned['guide']!.shiftMm).not.toBe(0);
  expect(now.current.learned['guide']).toBeDefined();
  expect(now.current.solved).not.toEqual(start);
});

test('counts that say nothing about this finish teach nothing', async () => {
  const now = lessons([scrap('overhang', 9)]);
  await waitFor(() => expect(now.current.busy).toBe(false));
  expect(now.current.lesson).toBeNull();
});
