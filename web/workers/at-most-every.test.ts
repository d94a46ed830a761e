import fc from 'fast-check';
import { atMostEvery } from './at-most-every';

test('the first is told at once, and none sooner after another than it may', () => {
  const steps = fc.array(
    fc.record({ afterMs: fc.nat(80), share: fc.double({ min: 0, max: 1, noNaN: true }) }),
    {
      minLength: 1,
    },
  );
  fc.assert(
    fc.property(steps, fc.integer({ min: 1, max: 200 }), (all, everyMs) => {
      let now = 0;
      const told: { atMs: number; share: number }[] = [];
      const tell = atMostEvery(
        everyMs,
        (share) => told.push({ atMs: now, share }),
        () => now,
      );
      for (const { afterMs, share } of all) {
        now += afterMs;
        tell(share);
      }
      expect(told[0]).toEqual({ atMs: all[0]!.afterMs, share: all[0]!.share });
      told.slice(1).forEach(({ atMs, share }, i) => {
        expect(atMs - told[i]!.atMs).toBeGreaterThanOrEqual(everyMs);
        expect(share).toBeGreaterThan(told[i]!.share);
      });
    }),
  );
});

test('what goes on evenly is told as often as it may be', () => {
  let now = 0;
  const told: number[] = [];
  const tell = atMostEvery(
    100,
    (share) => told.push(share),
    () => now,
  );
  for (; now <= 1000; now++) tell(now / 1000);
  expect(told).toEqual([0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]);
});
