import fc from 'fast-check';
import { StepClock } from './step-clock';

type Happening = { readonly afterMs: number; readonly what: 'in' | 'out' | 'begin' };

test('only what was in sight counts, however often it comes and goes', () => {
  const happening = fc.record({
    afterMs: fc.integer({ min: 0, max: 90_000 }),
    what: fc.constantFrom<Happening['what']>('in', 'out', 'begin'),
  });
  fc.assert(
    fc.property(fc.array(happening, { maxLength: 20 }), (happenings) => {
      let now = 1000;
      const clock = new StepClock(() => now);
      clock.begin(true);
      // Counted by hand, minute by minute of the same day.
      let [inSight, seenMs] = [true, 0];
      for (const { afterMs, what } of happenings) {
        now += afterMs;
        if (inSight) seenMs += afterMs;
        if (what === 'begin') {
          clock.begin(true);
          [inSight, seenMs] = [true, 0];
        } else {
          clock.seen(what === 'in');
          inSight = what === 'in';
        }
        expect(clock.minutes).toBeCloseTo(seenMs / 60_000, 9);
      }
    }),
  );
});

test('a step that is begun out of sight waits until it is looked at', () => {
  let now = 0;
  const clock = new StepClock(() => now);
  clock.begin(false);
  now = 60_000;
  expect(clock.minutes).toBe(0);
  clock.seen(true);
  now = 180_000;
  expect(clock.minutes).toBe(2);
  // Told twice that it is in sight, it does not begin again.
  clock.seen(true);
  now = 240_000;
  expect(clock.minutes).toBe(3);
});
