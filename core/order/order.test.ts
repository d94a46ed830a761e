import fc from 'fast-check';
import { orderIssues, ringOf } from './order-issues';
import { workOrder } from './sequence';
import type { OrderAsked, Task } from './task';

/** The least minutes of change over every order there is, by trying them all. */
function leastOfAll({ tasks, before, costs, start }: OrderAsked): number {
  const minutes = { place: 0.5, foot: 1, needle: 1.5, thread: 1, plate: 2, pressure: 0.3 };
  const cost = (machine: string, what: keyof typeof minutes) =>
    (what === 'place' ? undefined : costs?.perMachine?.[machine]?.[what]) ??
    costs?.[what] ??
    minutes[what];
  let least = Infinity;
  const go = (
    done: readonly string[],
    place: string | null,
    machines: Record<string, Record<string, string>>,
    spent: number,
  ): void => {
    if (done.length === tasks.length) least = Math.min(least, spent);
    if (spent >= least) return;
    for (const task of tasks) {
      if (done.includes(task.id)) continue;
      if (before.some(([first, then]) => then === task.id && !done.includes(first))) continue;
      let more = place === task.place ? 0 : cost('', 'place');
      const stands = { ...machines[task.place] };
      for (const [what, name] of Object.entries(
        (task.state ?? {}) as Record<string, string | null>,
      )) {
        if (name === null || name === undefined) continue;
        if (stands[what] !== name) more += cost(task.place, what as keyof typeof minutes);
        stands[what] = name;
      }
      go([...done, task.id], task.place, { ...machines, [task.place]: stands }, spent + more);
    }
  };
  const machines = Object.fromEntries(
    Object.entries(start?.machines ?? {}).map(([id, state]) => [
      id,
      Object.fromEntries(Object.entries(state ?? {}).filter(([, it]) => it)) as Record<
        string,
        string
      >,
    ]),
  );
  go([], start?.place ?? null, machines, 0);
  return least;
}

const oneOf = <T>(...them: readonly T[]) => fc.constantFrom(...them);
const state = fc.record({
  foot: oneOf('binder', 'hemmer', 'zigzag', null),
  needle: oneOf('80', '90 ball', null),
  thread: oneOf('moss', 'grey', null),
});
const tasksOf = (least: number, most: number) =>
  fc
    .array(fc.tuple(oneOf('table', 'iron', 'm1', 'm2'), state), {
      minLength: least,
      maxLength: most,
    })
    .map((them) =>
      them.map(([place, asked], i): Task => ({
        ...{ id: `t${i}`, minutes: 1, place },
        ...(place.startsWith('m') ? { state: asked } : {}),
      })),
    );
/** Pairs from an earlier to a later of the tasks: no ring. */
const asked = (least: number, most: number) =>
  tasksOf(least, most).chain((tasks) =>
    fc
      .array(fc.tuple(fc.nat(tasks.length - 1), fc.nat(tasks.length - 1)), { maxLength: 8 })
      .map((pairs): OrderAsked => ({
        tasks,
        before: pairs
          .filter(([a, b]) => a !== b)
          .map(([a, b]) => [`t${Math.min(a, b)}`, `t${Math.max(a, b)}`] as const),
        costs: { perMachine: { m2: { thread: 6 } } },
        start: { place: 'table', machines: { m1: { foot: 'zigzag' } } },
      })),
  );

describe('the order of work', () => {
  test('the example: binder, needle, thread and pressure, after the iron or before', () => {
    const order = workOrder({
      tasks: [
        {
          ...{ id: 'n1', minutes: 4, place: 'm1' },
          state: {
            foot: 'binder',
            needle: '90 ball',
            thread: 'moss',
            plate: null,
            pressure: 'more',
          },
        },
        { id: 'p1', minutes: 2, place: 'iron' },
      ],
      before: [['n1', 'p1']],
      start: { place: 'table', machines: { m1: { foot: 'zigzag' } } },
    });
    // To the machine, foot, needle, thread, pressure; then to the iron.
    expect(order).toMatchObject({ sequence: ['n1', 'p1'], proved: true });
    expect(order.changeMinutes).toBeCloseTo(0.5 + 1 + 1.5 + 1 + 0.3 + 0.5, 9);
    expect(order.bound).toBeCloseTo(order.changeMinutes, 9);
  });

  test('no order of all there are has less, and what comes before what is kept', () => {
    fc.assert(
      fc.property(asked(1, 7), (it) => {
        const order = workOrder(it);
        expect(order.proved).toBe(true);
        expect(order.changeMinutes).toBeCloseTo(leastOfAll(it), 9);
        expect([...order.sequence].sort()).toEqual(it.tasks.map(({ id }) => id).sort());
        for (const [first, then] of it.before) {
          expect(order.sequence.indexOf(first)).toBeLessThan(order.sequence.indexOf(then));
        }
        if (order.asWritten !== null) {
          expect(order.asWritten).toBeGreaterThanOrEqual(order.changeMinutes - 1e-9);
        }
      }),
      { numRuns: 150 },
    );
  });

  test('a bound is never above what was found, however little is looked at', () => {
    fc.assert(
      fc.property(asked(8, 16), fc.integer({ min: 0, max: 30 }), (it, states) => {
        const hasty = workOrder(it, { beam: 1, states });
        const best = workOrder(it);
        expect(best.proved).toBe(true);
        expect(hasty.bound).toBeLessThanOrEqual(best.changeMinutes + 1e-9);
        expect(hasty.changeMinutes).toBeGreaterThanOrEqual(best.changeMinutes - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  test('nothing to do costs nothing', () => {
    expect(workOrder({ tasks: [], before: [] })).toMatchObject({ changeMinutes: 0, proved: true });
  });
});

describe('what contradicts itself', () => {
  const task = (id: string, place = 'iron'): Task => ({ id, minutes: 1, place });
  test('a ring is named in its order', () => {
    const tasks = ['a', 'b', 'c', 'd'].map((id) => task(id));
    const before = [
      ['a', 'b'],
      ['b', 'c'],
      ['c', 'a'],
      ['c', 'd'],
    ] as const;
    expect(ringOf({ tasks, before })).toEqual(['a', 'b', 'c', 'a']);
    expect(orderIssues({ tasks, before })[0]?.message).toMatch(/a before b before c before a/);
    expect(ringOf({ tasks: [task('x')], before: [['x', 'x']] })).toEqual(['x', 'x']);
  });

  test('a long chain is no ring, and overflows nothing', () => {
    const tasks = Array.from({ length: 500 }, (_, i) => task(`t${i}`));
    const before = tasks.slice(1).map(({ id }, i) => [`t${i}`, id] as const);
    expect(orderIssues({ tasks, before })).toEqual([]);
    expect(workOrder({ tasks, before }).changeMinutes).toBeCloseTo(0.5, 9);
  });

  test.each([
    ['an id twice', { tasks: [task('a'), task('a')], before: [] }, 'tasks.1.id'],
    ['no such id', { tasks: [task('a')], before: [['a', 'z'] as const] }, 'before.0.1'],
    [
      'a foot on the iron',
      { tasks: [{ ...task('a'), state: { foot: 'zigzag' } }], before: [] },
      'tasks.0.state',
    ],
    [
      'too many',
      { tasks: Array.from({ length: 501 }, (_, i) => task(String(i))), before: [] },
      'tasks',
    ],
  ])('%s: at its place', (_, it, path) => {
    expect(orderIssues(it)[0]?.path).toBe(path);
  });
});
