import { lengthsFor } from '../../../core/measure/lengths';
import { edgeTroubles, withTroubles } from './edge-seen';

const mm = lengthsFor({ unit: 'mm', inchRounding: '1/16' });
const whisker = (beyondMm: number) => ({ atMm: [20, 30] as const, beyondMm });

test('what a photo shows of an edge is said with what was measured; a clean edge says nothing', () => {
  expect(edgeTroubles(null, mm)).toEqual([]);
  expect(edgeTroubles({ longerShare: 0.004, whiskers: [] }, mm)).toEqual([]);
  const found = edgeTroubles({ longerShare: 0.0216, whiskers: [whisker(2.5), whisker(6)] }, mm);
  expect(found.map(({ id, measured }) => [id, measured])).toEqual([
    ['whiskers', '2 threads (◇), up to 6 mm out'],
    ['edge-waves', '2.2 % longer than straight'],
  ]);
  expect(edgeTroubles({ longerShare: 0, whiskers: [whisker(3)] }, mm)[0]?.measured).toBe(
    '1 thread (◇), 3 mm out',
  );
});

test('what the person lets stand goes with the scrap, what was said besides stays', () => {
  const found = edgeTroubles({ longerShare: 0.02, whiskers: [whisker(4)] }, mm);
  expect(withTroubles(['skipped', 'whiskers'], found, ['edge-waves'])).toEqual([
    ...['skipped', 'edge-waves'],
  ]);
  expect(withTroubles(['whiskers'], [], [])).toEqual(['whiskers']);
});
