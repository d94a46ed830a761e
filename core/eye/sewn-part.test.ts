import { evenDraws } from '../swatch/draw';
import { drawThread, noisy, seamIn } from './drawn-field.fixture';
import { standingOut } from './flatten';
import type { OnSeam, Seen } from './seen';
import { sewnPart } from './sewn-part';
import { traced } from './trace';

const line: Seen = {
  ...{ kind: 'thread', repeatMm: 2.5, stitches: 1, reference: 'fold', endsThere: false },
  holes: [{ alongMm: 0, acrossMm: 0, counted: true, needle: 0, role: 'run' }],
};

test.each([1, 2, 3, 4, 5, 6])(
  'the first and last hole of a straight line are as sure as the thread that comes to them: %i',
  (seed) => {
    const field = noisy(80, 16, { noise: 0.05, seed });
    const seam = seamIn(field, { repeatMm: 2.5 });
    const next = evenDraws(seed);
    const places = Array.from({ length: 20 }, (_, i): OnSeam => {
      return [(i - 10) * 2.5, 0.3 * (next() - 0.5)];
    });
    drawThread(field, seam, places, { light: 0.3 });
    const sewn = sewnPart(traced(standingOut(field), line, seam));
    expect(Math.abs(sewn.length - places.length)).toBeLessThanOrEqual(1);
    const [first, second] = [sewn[0]!, sewn[1]!];
    const last = sewn.at(-1)!;
    expect(first.logOdds).toBe(second.lineLogOdds);
    expect(last.logOdds).toBe(last.lineLogOdds);
    for (const { logOdds } of sewn) expect(logOdds).toBeGreaterThan(2.2);
  },
);

test('nothing of a thread is nothing', () => {
  expect(sewnPart([])).toEqual([]);
});
