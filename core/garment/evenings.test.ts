import fc from 'fast-check';
import { overEvenings } from './evenings';
import { paceOf } from './pace';

const wednesdays = { startOn: '2026-11-25', weekdays: [3], minutes: 60 };

test('evenings fall on the days one has, and a task that no longer fits waits', () => {
  const tasks = [
    { id: 'a', minutes: 40 },
    { id: 'b', minutes: 30 },
    { id: 'c', minutes: 130 },
  ];
  expect(overEvenings(tasks, wednesdays)).toEqual([
    { day: '2026-11-25', minutes: 40, tasks: ['a'] },
    { day: '2026-12-02', minutes: 60, tasks: ['b', 'c'] },
    { day: '2026-12-09', minutes: 60, tasks: ['c'] },
    { day: '2026-12-16', minutes: 40, tasks: ['c'] },
  ]);
  expect(overEvenings(tasks, { ...wednesdays, weekdays: [] })).toEqual([]);
});

test('every minute lies in one evening, in order, and none is longer than it is', () => {
  const task = fc.record({ id: fc.uuid(), minutes: fc.double({ min: 0, max: 200, noNaN: true }) });
  fc.assert(
    fc.property(
      fc.array(task, { maxLength: 200 }),
      fc.integer({ min: 10, max: 240 }),
      fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 }),
      (tasks, minutes, weekdays) => {
        const found = overEvenings(tasks, { startOn: '2027-03-20', weekdays, minutes });
        const total = (of: readonly { minutes: number }[]) =>
          of.reduce((sum, one) => sum + one.minutes, 0);
        expect(total(found)).toBeCloseTo(total(tasks), 6);
        for (const evening of found) expect(evening.minutes).toBeLessThanOrEqual(minutes + 1e-9);
        const days = found.map(({ day }) => day);
        expect([...new Set(days)].sort()).toEqual(days);
        const ids = found.flatMap(({ tasks: some }) => some);
        expect(ids.filter((id, i) => id !== ids[i - 1])).toEqual(tasks.map(({ id }) => id));
      },
    ),
  );
});

test('a pace is learned from steps that were timed, with its interval, and not from nothing', () => {
  const took = (times: readonly number[]) =>
    times.map((minutes) => ({ minutes: minutes * 2, usualMinutes: 2 }));
  expect(paceOf(took([1, 1, 1, 1]))).toBeNull();
  // A tick that was forgotten for an hour, and three ticked off at once, are no steps.
  expect(paceOf(took([1, 1, 1, 1, 30, 0.01, 0.01]))).toBeNull();
  const even = paceOf(took([1.5, 1.5, 1.5, 1.5, 1.5]))!;
  expect(even.steps).toBe(5);
  for (const times of [even.times, even.fromTimes, even.toTimes]) expect(times).toBeCloseTo(1.5, 9);
  // Logarithms 0, 0, 0, ln 2, ln 2: mean 0.2773, standard deviation 0.3797, t(4, 0.95) = 2.1318.
  const pace = paceOf(took([1, 1, 1, 2, 2]))!;
  expect(pace.times).toBeCloseTo(1.3195, 4);
  expect(pace.fromTimes).toBeCloseTo(0.9188, 3);
  expect(pace.toTimes).toBeCloseTo(1.895, 3);
});
