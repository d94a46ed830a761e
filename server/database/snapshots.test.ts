import fc from 'fast-check';
import { keptSnapshots, type Snapshot } from './snapshots';

const now = new Date('2026-11-26T12:00:00Z');
const dayMs = 86_400_000;
const at = (daysAgo: number): Snapshot => {
  const time = new Date(now.getTime() - daysAgo * dayMs).toISOString();
  return { id: time, at: time, reason: 'daily', bytes: 1 };
};

test('one a day for two months: seven days and four weeks are kept', () => {
  const all = Array.from({ length: 60 }, (_, day) => at(day));
  const ages = keptSnapshots(all, now).map((it) => (now.getTime() - Date.parse(it.at)) / dayMs);
  expect(ages).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 14, 21, 28]);
});

test('whatever there is: all of a week, at most one a week before, none older, the newest always', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 90, noNaN: true })), (days) => {
      const all = days.map(at);
      const kept = keptSnapshots(all, now);
      const age = (it: Snapshot) => (now.getTime() - Date.parse(it.at)) / dayMs;
      expect(kept.filter((it) => age(it) < 7)).toHaveLength(all.filter((it) => age(it) < 7).length);
      const older = kept.filter((it) => age(it) >= 7).map((it) => Math.floor((age(it) - 7) / 7));
      expect(new Set(older).size).toBe(older.length);
      for (const week of older) expect(week).toBeLessThan(4);
    }),
  );
});
