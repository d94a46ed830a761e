import { brightness, ownColours } from './own-colours';

test('without a colour the unbleached ones stay', () => {
  expect(ownColours({ cloth: null, thread: null })).toEqual({});
});

test('outlines are light on dark cloth and dark on light cloth', () => {
  const edge = (cloth: string) =>
    (ownColours({ cloth, thread: null }) as Record<string, string>)['--cloth-edge'];
  expect(edge('#1d2733')).toContain('#f7f1e5');
  expect(edge('#ece6d8')).toContain('#26272b');
  expect(brightness('#000000')).toBe(0);
  expect(brightness('#ffffff')).toBeCloseTo(255, 6);
});
