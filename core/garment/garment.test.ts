import fc from 'fast-check';
import { Impossible } from '../impossible';
import { edgeRing } from './edge-ring';
import { edgeTasks } from './edge-tasks';
import { garmentKinds } from './garment';
import { garmentOf } from './garment.fixture';
import { ownTaskId, putBackId, taskId } from './garment-task';
import { plannedEdges } from './of-records';
import { changesInOrder, minutesInOrder, moved, stillOwn } from './own-order';
import { edgeAfterEdge, orderOf } from './tasks';
import { inForce, orderedWork, type OrderedWork } from './work-of';

const drawer = { needles: [{ size: 70, point: 'ball' as const }], threads: [] };
const made = new Map<string, OrderedWork>();
const workOf = (kind: (typeof garmentKinds)[number]) => {
  const { records, garment } = garmentOf(kind);
  const work = made.get(kind) ?? orderedWork(records, garment, drawer);
  made.set(kind, work);
  return work;
};
const placesOf = (sequence: readonly string[]) => new Map(sequence.map((id, i) => [id, i]));

describe.each(garmentKinds)('a %s', (kind) => {
  test('every task comes once, after all that it waits for', () => {
    const { tasks, waits, best } = workOf(kind);
    const at = placesOf(best.sequence);
    expect([...at.keys()].sort()).toEqual(tasks.map(({ id }) => id).sort());
    for (const { first, then } of waits) expect(at.get(first)!).toBeLessThan(at.get(then)!);
  });

  test('no order costs less than its bound, and edge after edge never less than the best', () => {
    const work = workOf(kind);
    expect(work.best.bound).toBeLessThanOrEqual(work.best.changeMinutes + 1e-9);
    expect(work.best.changeMinutes).toBeLessThanOrEqual(work.edgeAfterEdge + 1e-9);
    expect(work.best.proved).toBe(work.best.changeMinutes - work.best.bound < 1e-9);
    const asked = orderOf(work);
    const changes = changesInOrder(asked, work.best.sequence).flat();
    const sum = changes.reduce((total, { minutes }) => total + minutes, 0);
    expect(sum).toBeCloseTo(work.best.changeMinutes, 9);
  });

  test('nothing is sewn before it is cut out, and each machine is put back last', () => {
    const { tasks, best } = workOf(kind);
    const at = placesOf(best.sequence);
    const machines = new Set(tasks.filter(({ state }) => state).map(({ place }) => place));
    for (const { id, edgeId, place } of tasks) {
      if (edgeId !== null) expect(at.get(ownTaskId('cut-out'))!).toBeLessThan(at.get(id)!);
      if (machines.has(place)) {
        expect(at.get(id)!).toBeLessThanOrEqual(at.get(putBackId(place))!);
      }
    }
  });

  test('every edge has work, and what it takes is on the list once', () => {
    const { unplanned, ready, tasks } = workOf(kind);
    expect(unplanned).toEqual([]);
    expect(new Set(ready.map(({ id }) => id)).size).toBe(ready.length);
    const needles = new Set(tasks.flatMap(({ state, edgeId }) => (edgeId && state?.needle) || []));
    expect(ready.filter(({ kind: it }) => it === 'needle')).toHaveLength(needles.size);
  });
});

test('an edge bound before the side seam closes is done before it; the hem waits for it', () => {
  const { best, waits } = workOf('singlet');
  const at = placesOf(best.sequence);
  const of = (edge: string) =>
    best.sequence.filter((id) => id.startsWith(`${edge}/`)).map((id) => at.get(id)!);
  expect(Math.max(...of('armholes'))).toBeLessThan(Math.min(...of('sides')));
  expect(Math.max(...of('sides'))).toBeLessThan(Math.min(...of('hem')));
  expect(waits.some(({ why }) => why === 'edge-before-seam')).toBe(true);
});

test('both of a pair are marked before either is sewn, unless the second is copied', () => {
  const { records, garment } = garmentOf('trousers', 'denim-light');
  const marks = (ways: Record<string, string>) => {
    const { best, tasks } = orderedWork({ ...records, ways }, garment, drawer);
    const at = placesOf(best.sequence);
    const legs = tasks.filter(({ edgeId }) => edgeId === 'legs');
    const sewn = legs.find(({ phase, stepId }) => phase === 'sew' && !stepId.startsWith('second'))!;
    return { laid: at.get(taskId('legs', 'second second-leg'))!, sewn: at.get(sewn.id)! };
  };
  const alone = marks({ 'second-leg': 'alone' });
  expect(alone.laid).toBeLessThan(alone.sewn);
  const copied = marks({ 'second-leg': 'copied' });
  expect(copied.laid).toBeGreaterThan(copied.sewn);
});

test('a wish is kept, and a ring of wishes is told step by step', () => {
  const { records, garment } = garmentOf('curtain');
  const free = workOf('curtain');
  const first = (edge: string) => free.tasks.find(({ edgeId }) => edgeId === edge)!.id;
  const [hem, sides] = [first('hem'), first('sides')];
  const one = orderedWork(records, { ...garment, before: [[hem, sides]] }, drawer);
  const at = placesOf(one.best.sequence);
  expect(at.get(hem)!).toBeLessThan(at.get(sides)!);
  const both = { ...garment, before: [[hem, sides] as const, [sides, hem] as const] };
  expect(() => orderedWork(records, both, drawer)).toThrow(Impossible);
  expect(() => orderedWork(records, both, drawer)).toThrow(/ring: “Lower hem, .*“Sides, /);
});

test('edges and seams in a ring are found by their ids', () => {
  expect(edgeRing({ meets: [], own: [] })).toBeNull();
  const meets = [
    { edgeId: 'a', seamId: 's', edge: 'before' as const },
    { edgeId: 'a', seamId: 's', edge: 'after' as const },
  ];
  expect(edgeRing({ meets, own: [] })).toHaveLength(3);
});

test('a task put elsewhere is either in order, or told what it would have to wait for', () => {
  const work = workOf('t-shirt');
  const asked = orderOf(work);
  const { sequence } = work.best;
  fc.assert(
    fc.property(fc.nat(sequence.length - 1), fc.nat(sequence.length - 1), (from, to) => {
      const id = sequence[from]!;
      const put = moved(asked, work.waits, sequence, id, to);
      if (put.ok) {
        expect(put.sequence.indexOf(id)).toBe(to);
        expect(put.changeMinutes).toBe(minutesInOrder(asked, put.sequence));
        expect(put.changeMinutes).toBeGreaterThanOrEqual(work.best.bound - 1e-9);
      } else {
        expect(put.wait.first === id || put.wait.then === id).toBe(true);
      }
    }),
  );
});

test('an order of one’s own holds while steps come and go, until it breaks what waits', () => {
  const work = workOf('tote');
  const asked = orderOf(work);
  const own = edgeAfterEdge(work);
  expect(stillOwn(asked, work.waits, own)).toEqual(own);
  fc.assert(
    fc.property(fc.subarray([...own]), (some) => {
      const again = stillOwn(asked, work.waits, ['gone', ...some]);
      // What is left out goes in behind what it waits for; what waits for it may stand before it.
      if (again) expect([...again].sort()).toEqual([...own].sort());
    }),
  );
  expect(stillOwn(asked, work.waits, [...own].reverse())).toBeNull();
  const { records, garment } = garmentOf('tote');
  const kept = orderedWork(records, { ...garment, sequence: own }, drawer);
  expect(inForce(kept).sequence).toEqual(own);
  const broken = orderedWork(records, { ...garment, sequence: [...own].reverse() }, drawer);
  expect(broken.ownBroken).toBe(true);
  expect(inForce(broken)).toBe(broken.best);
});

test('a strip is there as long as its cloth gives it; a clear thread as long as one is', () => {
  const { records, garment } = garmentOf('blanket', 'linen');
  const bound = { variant: 'double-fold', depthMm: 8, seamAllowanceMm: 8 };
  const readyOf = (lengthLeftMm: number | null, threads: { use: 'see-through' }[] = []) =>
    orderedWork(
      {
        ...records,
        cloths: records.cloths.map((cloth) => ({ ...cloth, lengthLeftMm })),
        plans: records.plans.map((plan) => ({
          ...{ ...plan, finish: 'bound', fold: bound, thread: 'clear' as const },
        })),
      },
      garment,
      { ...drawer, threads },
    ).ready;
  const there = (kind: string, ...asked: Parameters<typeof readyOf>) =>
    readyOf(...asked).find((thing) => thing.kind === kind)?.there;
  expect(there('strip', 1000)).toBe(true);
  // Too short a piece for 3.6 m on the bias, and one that is narrower than the strip.
  expect(there('strip', 60)).toBe(false);
  expect(there('strip', 10)).toBe(false);
  expect(there('strip', null)).toBeNull();
  expect(there('thread', 1000)).toBe(false);
  expect(there('thread', 1000, [{ use: 'see-through' }])).toBe(true);
});

test('where a seam closes over a bound edge its layers are told before', () => {
  const { records, garment } = garmentOf('singlet');
  const plans = records.plans.map((plan) =>
    plan.edgeId === 'armholes'
      ? {
          ...plan,
          finish: 'bound',
          fold: { variant: 'double-fold', depthMm: 8, seamAllowanceMm: 8 },
        }
      : plan,
  );
  const { thick, ready } = orderedWork({ ...records, plans }, garment, drawer);
  expect(thick).toEqual([
    expect.objectContaining({ edgeId: 'armholes', seamId: 'sides', layers: 10 }),
  ]);
  expect(ready).toContainEqual(
    expect.objectContaining({ kind: 'strip', edges: ['Armholes'], there: true }),
  );
});

test('a neck bound after its seams is bound in the round; an armhole that a seam closes over has no seam of its own to close', () => {
  const { records, garment } = garmentOf('singlet');
  const planned = (edgeId: string, meets = garment.meets) =>
    plannedEdges({ ...records, meets }).planned.find(({ edge }) => edge.id === edgeId)!;
  const steps = (edgeId: string, meets = garment.meets) =>
    edgeTasks(planned(edgeId, meets).work).tasks.map(({ stepId, text }) => `${stepId}: ${text}`);
  const among = (all: readonly string[], what: RegExp) => all.findIndex((one) => what.test(one));
  expect(planned('neck').proposed?.fold.variant).toBe('fold-over-elastic');
  const neck = steps('neck');
  expect(among(neck, /^ends: Overlap the end/)).toBeGreaterThan(among(neck, /^sew: /));
  expect(among(neck, /open-seam|left open/)).toBe(-1);
  expect(steps('armholes').filter((one) => /open-seam|ends/.test(one))).toEqual([]);
  // By itself, with no garment to say so, one seam stays open until it is bound.
  const alone = steps('neck', []);
  expect(among(alone, /^open-seam: Leave one seam/)).toBe(0);
  expect(among(alone, /^ends: Close the seam that was left open/)).toBeGreaterThan(
    among(alone, /^sew: /),
  );
});
