import fc from 'fast-check';
import { sides } from './forms.fixture';
import { startPlaceOf, type BegunEdge } from './start-place';

const round = (more: Partial<BegunEdge> = {}): BegunEdge => ({
  ...{ lengthMm: 400, closed: true, seamsAtMm: [0, 210], beforeThickestMm: 391 },
  ...more,
});

test('an open edge begins at one end', () => {
  expect(startPlaceOf(round({ closed: false }), 'thickest', 'led')).toEqual({
    ...{ atMm: 0, why: 'one-end' },
  });
});

test('a round begins by the school, and by neither where no seam crosses it', () => {
  expect(startPlaceOf(round(), 'thickest', 'led')).toEqual({ atMm: 391, why: 'thickest-seam' });
  expect(startPlaceOf(round(), undefined, 'led').why).toBe('thickest-seam');
  expect(startPlaceOf(round(), 'least-seen', 'led')).toEqual({ atMm: 0, why: 'least-seen' });
  const bare = round({ seamsAtMm: [], beforeThickestMm: null });
  expect(startPlaceOf(bare, 'thickest', 'fed').why).toBe('least-seen');
});

test('what has corners begins in the middle of its longest side; a mitred binding at a corner', () => {
  const form = sides([300, 90], [500, 90], [300, 90], [500, 90]);
  expect(startPlaceOf(round({ form, lengthMm: 1600 }), 'thickest', 'side-by-side')).toEqual({
    ...{ atMm: 0, why: 'one-corner' },
  });
  expect(startPlaceOf(round({ form, lengthMm: 1600 }), 'thickest', 'led')).toEqual({
    ...{ atMm: 550, why: 'mid-side' },
  });
});

test('a scroll begins as far from any seam as the round allows, by trying every millimetre', () => {
  const places = fc.uniqueArray(fc.integer({ min: 0, max: 399 }), { minLength: 1, maxLength: 5 });
  fc.assert(
    fc.property(places, (seamsAtMm) => {
      const offOf = (mm: number) =>
        Math.min(
          ...seamsAtMm.map((seam) => {
            const off = (((mm - seam) % 400) + 400) % 400;
            return Math.min(off, 400 - off);
          }),
        );
      const { atMm, why } = startPlaceOf(round({ seamsAtMm }), 'thickest', 'fed');
      expect(why).toBe('clear-of-seams');
      const best = Math.max(...Array.from({ length: 800 }, (_, i) => offOf(i / 2)));
      expect(offOf(atMm)).toBeCloseTo(best, 9);
    }),
  );
});
