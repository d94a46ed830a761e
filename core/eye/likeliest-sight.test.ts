import { drawThread, noisy, seamIn, zigzag, zigzagPlaces } from './drawn-field.fixture';
import { likeliestSight } from './likeliest-sight';

const seen = zigzag(2.4, 2.6);

/** How many holes are drawn of a zigzag 92 mm long, and found when its seam was taken for turned and longer by so much. */
function foundOf(off: { angle: number; longer: number }) {
  const field = noisy(100, 30);
  const truth = seamIn(field, { angle: 0.01, repeatMm: 2.6 });
  const places = zigzagPlaces(seen, truth, 92);
  drawThread(field, truth, places);
  const taken = { ...truth, angle: 0.01 + off.angle, repeatMm: 2.6 * off.longer };
  const sight = likeliestSight({ seen, beside: [] }, field, field, [taken], () => []);
  return [places.length, sight?.thread.length];
}

test.each([0.98, 0.99, 1.01, 1.02])(
  'a thread whose seam was taken for %d times as long is found to both its ends',
  (longer) => {
    const [drawn, found] = foundOf({ angle: 0, longer });
    expect(found).toBe(drawn);
  },
);

test.each([-0.05, -0.03, 0.03, 0.05])('likewise where it was taken for turned by %d', (angle) => {
  const [drawn, found] = foundOf({ angle, longer: 1 });
  expect(found).toBe(drawn);
});
