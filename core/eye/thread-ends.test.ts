import { drawThread, noisy, seamIn } from './drawn-field.fixture';
import { standingOut } from './flatten';
import { placedHoles } from './on-seam';
import type { OnSeam, Seen, SeenHole } from './seen';
import { sewnPart } from './sewn-part';
import { endsSettled } from './thread-ends';
import { traced } from './trace';

const hole = (alongMm: number, acrossMm: number, role: SeenHole['role']): SeenHole => ({
  ...{ alongMm, acrossMm, role, needle: 0 },
  counted: role === 'bite',
});
/** Two holes beside the fold, and one in it. */
const seen: Seen = {
  ...{ kind: 'thread', repeatMm: 4, stitches: 3, reference: 'fold', endsThere: false },
  holes: [hole(0, -1.6, 'run'), hole(4 / 3, -1.6, 'run'), hole(8 / 3, 0.6, 'bite')],
};

/** A blind hem over the middle of a window, that begins and ends with a bite; the shadow of its fold goes on. */
function sewn({ light = 0.3, shadow = 0, seed = 4 } = {}) {
  const field = noisy(90, 20, { noise: 0.03, seed });
  const seam = seamIn(field, { lighter: light > 0 });
  for (let at = 0; at < field.values.length; at++) {
    const mm = Math.floor(at / field.width) / field.pxPerMm - seam.middleMm[1];
    if (mm < 0) field.values[at]! -= shadow * Math.exp(mm / 0.4);
  }
  const all = placedHoles(seen, seam, 60);
  const bites = all.flatMap(({ hole: one }, i) => (one.role === 'bite' ? [i] : []));
  const places = all
    .slice(bites[0], bites.at(-1)! + 1)
    .map(({ alongMm, acrossMm }, i): OnSeam => [alongMm, acrossMm + 0.3 * Math.sin(5 * i)]);
  drawThread(field, seam, places, { light });
  const standing = standingOut(field);
  return { standing, seam, places, all: traced(standing, seen, seam) };
}

const near = ([s, t]: OnSeam, { alongMm, acrossMm }: { alongMm: number; acrossMm: number }) =>
  Math.hypot(s - alongMm, t - acrossMm);

describe('the ends of a thread', () => {
  test('a bite that was lost before the first or after the last is found again, where it is', () => {
    const { standing, seam, places, all } = sewn();
    const whole = sewnPart(all);
    const lost = whole.slice(3, -3);
    const found = endsSettled(standing, seen, seam, all, lost);
    expect(found).toHaveLength(places.length);
    expect(near(places[0]!, found[0]!)).toBeLessThan(0.15);
    expect(near(places.at(-1)!, found.at(-1)!)).toBeLessThan(0.15);
  });

  test('nothing is added where it has ended, be there a dark thread and the shadow of a fold', () => {
    for (const light of [0.3, -0.3]) {
      for (const shadow of [0, 0.2]) {
        for (const seed of [1, 2, 3]) {
          const { standing, seam, places, all } = sewn({ light, shadow, seed });
          const thread = all.filter(({ alongMm }) =>
            places.some(([s]) => Math.abs(s - alongMm) < 0.5),
          );
          const found = endsSettled(standing, seen, seam, all, thread);
          expect(found).toHaveLength(thread.length);
        }
      }
    }
  });

  test('what goes on along the fold without swinging across it is a shadow, as dark as thread or darker', () => {
    for (const shadow of [0.3, 0.45]) {
      for (const seed of [1, 2, 3, 4]) {
        const { standing, seam, places, all } = sewn({ light: -0.35, shadow, seed });
        const thread = sewnPart(all);
        expect(thread.length).toBeLessThanOrEqual(places.length);
        expect(endsSettled(standing, seen, seam, all, thread)).toHaveLength(places.length);
      }
    }
  });

  test('nothing of a thread is nothing', () => {
    const { standing, seam, all } = sewn();
    expect(endsSettled(standing, seen, seam, all, [])).toEqual([]);
  });
});
