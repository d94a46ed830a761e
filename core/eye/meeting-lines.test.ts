import fc from 'fast-check';
import {
  drawThread,
  noisy,
  seamIn,
  softened,
  threadOf,
  zigzag,
  zigzagPlaces,
} from './drawn-field.fixture';
import { standingOut } from './flatten';
import { meetingLines } from './meeting-lines';

const seen = zigzag(4.6, 4);
/** The cloth ends there across, and so far in from there it is seen as it is, mm. */
const [edgeMm, clearMm] = [1.6, 0.35];

/** Swings of a thread that is not seen beyond the edge; each hole was followed to somewhere near it. */
function swings({ light = 0.4, strayMm = 0, blurMm = 0.08, seed = 3 } = {}) {
  const field = noisy(60, 20, { pxPerMm: 10, noise: 0 });
  const seam = seamIn(field, { lighter: light > 0 });
  const places = zigzagPlaces(
    seen,
    { acrossMm: 0, alongMm: 0 },
    50,
    (i) => 0.3 * Math.sin(i * 2.4),
  );
  drawThread(field, seam, places, { light });
  const { width, pxPerMm } = field;
  const across = (i: number) => Math.floor(i / width) / pxPerMm - seam.middleMm[1];
  const cut = field.values.map((value, i) => (across(i) > edgeMm ? 0 : value));
  const soft = softened({ ...field, values: cut }, blurMm);
  const strays = noisy(60, 20, { pxPerMm: 10, noise: 0.04, seed }).values;
  const standing = standingOut({ ...soft, values: soft.values.map((v, i) => v + strays[i]!) });
  const followed = places.map(
    ([along, mm], i) => [along, mm - (i % 2 === 0 ? strayMm : 0)] as const,
  );
  const thread = threadOf(seen, followed);
  const isOnCloth = (_: number, mm: number) => mm < edgeMm - clearMm;
  return { places, thread, meetings: meetingLines(standing, seam, thread, isOnCloth) };
}

test('where two lines meet beyond the edge is told by how they run on the cloth', () => {
  let [within, all] = [0, 0];
  fc.assert(
    fc.property(
      fc.constantFrom(-0.4, 0.4),
      fc.double({ min: 0.04, max: 0.14, noNaN: true }),
      fc.nat(),
      (light, blurMm, seed) => {
        const { places, meetings } = swings({ light, blurMm, seed });
        const told = meetings.flatMap((one, i) => (one ? [{ one, true: places[i]! }] : []));
        expect(told.length).toBeGreaterThan(8);
        for (const { one, true: place } of told) {
          expect(Math.abs(one.acrossMm - place[1])).toBeLessThan(0.2);
          expect(Math.abs(one.alongMm - place[0])).toBeLessThan(0.1);
          if (Math.abs(one.acrossMm - place[1]) < 1.645 * one.acrossSpreadMm) within++;
          all++;
        }
      },
    ),
    { numRuns: 12 },
  );
  expect(within / all).toBeGreaterThan(0.8);
});

test('it does not go by where the thread was followed to', () => {
  const near = (strayMm: number) =>
    swings({ strayMm }).meetings.map((one) => (one ? one.acrossMm : 0));
  const [straight, stray] = [near(0), near(0.15)];
  for (const [i, mm] of straight.entries()) expect(Math.abs(stray[i]! - mm)).toBeLessThan(0.05);
});

test('a hole on the cloth, the last of a thread, and one whose lines can’t be seen are not told', () => {
  const { meetings, thread } = swings();
  meetings.forEach((one, i) => {
    const isInner = thread[i]!.acrossMm < edgeMm - clearMm;
    if (isInner || i === 0 || i === meetings.length - 1) expect(one).toBeNull();
  });
  const empty = noisy(60, 20, { pxPerMm: 10, noise: 0 });
  expect(meetingLines(empty, seamIn(empty), thread, (_, mm) => mm < 1).every((one) => !one)).toBe(
    true,
  );
});
