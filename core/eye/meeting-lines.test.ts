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
import type { ThreadOnCloth } from './crossing-threads';
import { meetingLines } from './meeting-lines';
import { lookAlong } from './on-seam';
import { threadCover } from './thread-look';

/** The cloth ends there across, and so far in from there it is seen as it is, mm. */
const [edgeMm, clearMm] = [1.6, 0.35];

/** Swings of a thread that is not seen beyond the edge; each hole was followed to somewhere near it. */
function swings({ light = 0.4, strayMm = 0, blurMm = 0.08, seed = 3, repeatMm = 4 } = {}) {
  const seen = zigzag(4.6, repeatMm);
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
  const shown = { ...soft, values: soft.values.map((v, i) => v + strays[i]!) };
  const sight: ThreadOnCloth = {
    look: lookAlong(shown, seam),
    bare: () => 0,
    // As a photo’s thread is taken to be: not quite what it is.
    cover: threadCover({ halfMm: 0.14, blurMm: 1.1 * blurMm, atHole: 0.25 }),
  };
  const followed = places.map(
    ([along, mm], i) => [along, mm - (i % 2 === 0 ? strayMm : 0)] as const,
  );
  const thread = threadOf(seen, followed);
  const isOnCloth = (_: number, mm: number) => mm < edgeMm - clearMm;
  return { places, thread, sight, meetings: meetingLines(sight, thread, isOnCloth) };
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
          expect(Math.abs(one.at[0] - place[1])).toBeLessThan(0.12);
          expect(Math.abs(one.at[1] - place[0])).toBeLessThan(0.05);
          if (Math.abs(one.at[0] - place[1]) < 1.645 * one.acrossSpreadMm) within++;
          all++;
        }
      },
    ),
    { numRuns: 12 },
  );
  expect(within / all).toBeGreaterThan(0.8);
});

test('threads that lie near each other draw no line to themselves', () => {
  for (const repeatMm of [4, 3, 2]) {
    for (const blurMm of [0.06, 0.12]) {
      const off = [1, 2, 3].flatMap((seed) => {
        const { places, meetings } = swings({ repeatMm, blurMm, seed });
        return meetings.flatMap((one, i) => (one ? [one.at[0] - places[i]![1]] : []));
      });
      const mean = off.reduce((sum, mm) => sum + mm, 0) / off.length;
      expect(Math.abs(mean)).toBeLessThan(0.012);
    }
  }
});

test('it does not go by where the thread was followed to', () => {
  const near = (strayMm: number) =>
    swings({ strayMm }).meetings.map((one) => (one ? one.at[0] : 0));
  const [straight, stray] = [near(0), near(0.15)];
  for (const [i, mm] of straight.entries()) expect(Math.abs(stray[i]! - mm)).toBeLessThan(0.05);
});

test('a hole on the cloth, the last of a thread, and one whose lines can’t be seen are not told', () => {
  const { meetings, thread, sight } = swings();
  meetings.forEach((one, i) => {
    const isInner = thread[i]!.acrossMm < edgeMm - clearMm;
    if (isInner || i === 0 || i === meetings.length - 1) expect(one).toBeNull();
  });
  // Of threads that run beyond all that lies on the cloth nothing is seen; nor do two meet that run the same way.
  const onCloth = (_: number, mm: number) => mm < 1;
  const short = thread.map((one) => (one.acrossMm < 0 ? { ...one, acrossMm: 0.6 } : one));
  expect(meetingLines(sight, short, onCloth).every((one) => !one)).toBe(true);
  const told = meetings.findIndex((one) => one !== null);
  const same = thread.map((one, i) => (i === told + 1 ? thread[told - 1]! : one));
  expect(meetingLines(sight, same, (_, mm) => mm < edgeMm - clearMm)[told]).toBeNull();
});
