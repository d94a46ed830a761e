import { refusal, type Issue } from '../impossible';
import { plainPlaces, type OrderAsked } from './task';

/** More tasks than this are no garment. */
export const mostTasks = 500;

/** A ring of tasks, each before the next and the last before the first; null where there is none. */
export function ringOf({ tasks, before }: Pick<OrderAsked, 'tasks' | 'before'>): string[] | null {
  const after = new Map<string, string[]>();
  for (const [first, then] of before) after.set(first, [...(after.get(first) ?? []), then]);
  const done = new Set<string>();
  for (const { id } of tasks) {
    // Depth first without recursion: a chain may be as long as there are tasks.
    const path: string[] = [];
    const onPath = new Set<string>();
    const stack: { readonly id: string; readonly leaving: boolean }[] = [{ id, leaving: false }];
    for (let top = stack.pop(); top; top = stack.pop()) {
      if (top.leaving) {
        onPath.delete(top.id);
        path.pop();
        done.add(top.id);
        continue;
      }
      if (onPath.has(top.id)) return [...path.slice(path.indexOf(top.id)), top.id];
      if (done.has(top.id)) continue;
      onPath.add(top.id);
      path.push(top.id);
      stack.push({ id: top.id, leaving: true });
      for (const next of after.get(top.id) ?? []) stack.push({ id: next, leaving: false });
    }
  }
  return null;
}

/** What contradicts itself in what is to be put in order; empty when nothing does. */
export function orderIssues({ tasks, before }: OrderAsked): Issue[] {
  if (tasks.length > mostTasks) {
    return [
      refusal('tasks', 'too-many-tasks', 'At most {most} tasks are put in order, not {count}.', {
        most: mostTasks,
        count: tasks.length,
      }),
    ];
  }
  const ids = new Set<string>();
  const issues: Issue[] = [];
  tasks.forEach(({ id, place, state }, i) => {
    if (ids.has(id)) {
      issues.push(
        refusal(`tasks.${i}.id`, 'doubled-id', 'There is a task called “{id}” already.', { id }),
      );
    }
    ids.add(id);
    const named = Object.values(state ?? {}).some((value) => value !== null && value !== undefined);
    if (named && (plainPlaces as readonly string[]).includes(place)) {
      issues.push(
        refusal(
          `tasks.${i}.state`,
          'no-machine',
          'At the {place} there is no machine to set: leave the state out.',
          { place },
        ),
      );
    }
  });
  before.forEach((pair, i) => {
    pair.forEach((id, end) => {
      if (ids.has(id)) return;
      issues.push(
        refusal(`before.${i}.${end}`, 'no-such-task', 'There is no task called “{id}”.', { id }),
      );
    });
  });
  if (issues.length > 0) return issues;
  const ring = ringOf({ tasks, before });
  return ring
    ? [
        refusal('before', 'ring', 'This order goes round in a ring: {ring}.', {
          ring: ring.join(' before '),
        }),
      ]
    : [];
}
