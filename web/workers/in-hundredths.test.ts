import { inHundredths } from './in-hundredths';

test('every hundredth is told once, from the first to the last', () => {
  const told: number[] = [];
  const tell = inHundredths((share) => told.push(share));
  for (let i = 0; i <= 4000; i++) tell(i / 4000);
  expect(told).toHaveLength(101);
  expect([told[0], told.at(-1)]).toEqual([0, 1]);
  // What falls back is not told.
  tell(0.5);
  expect(told).toHaveLength(101);
});
