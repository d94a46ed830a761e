import fc from 'fast-check';
import { clearanceOf, needleMayGo, withinSwing } from './clearance';
import { givesPercent } from './gives';
import { needlePath } from './needle-path';
import { patterns, type Stitch } from './stitch';

const straight: Stitch = { pattern: 'straight', anchor: 'centre', runStitches: 1 };
const twin = (twinGapMm: number, more: Partial<Stitch> = {}): Stitch => ({
  ...straight,
  ...more,
  twinGapMm,
});
const dials = { widthMm: 0, lengthMm: 2.5, needlePositionMm: 0.5, guideMm: 0 };
const foot = { slotMm: [-4, 4] as const };

test('two needles leave two lines, half the gap to either side', () => {
  const holes = needlePath(twin(2.5), dials, 2);
  expect(holes.map(({ xMm, yMm, needle }) => [xMm, yMm, needle])).toEqual([
    [-0.75, 0, 0],
    [1.75, 0, 1],
    [-0.75, 2.5, 0],
    [1.75, 2.5, 1],
  ]);
});

test('the gap counts in the clearance on the side that is nearer', () => {
  const single = clearanceOf(straight, dials, foot, {}, 80).clearanceMm;
  const both = clearanceOf(twin(3), dials, foot, {}, 80);
  expect(both).toMatchObject({ side: 'right', nearest: 'foot' });
  expect(both.clearanceMm).toBeCloseTo(single - 1.5, 12);
});

test('over a straight-stitch plate there is no room for a second needle', () => {
  const machine = { plateHoleMm: [-1, 1] as const, maxWidthMm: 7 };
  expect(needleMayGo(straight, foot, machine, 80)(0, 0)).toBe(true);
  expect(needleMayGo(twin(1), foot, machine, 80)(0, 0)).toBe(false);
});

test('where the needles may go is where both clear the metal and stay in the swing', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('straight', 'zigzag', 'three-step'),
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 0, max: 70 }),
      fc.integer({ min: -35, max: 35 }),
      (pattern, gap, width, position) => {
        const stitch = twin(gap / 10, { pattern });
        const at = { ...dials, widthMm: width / 10, needlePositionMm: position / 10 };
        const machine = { maxWidthMm: 7, plateHoleMm: null };
        const may = needleMayGo(stitch, foot, machine, 80)(at.widthMm, at.needlePositionMm);
        const clears = clearanceOf(stitch, at, foot, machine, 80).clearanceMm >= -1e-9;
        expect(may).toBe(clears && withinSwing(stitch, at, machine));
      },
    ),
  );
});

test('a second needle gives a straight line some stretch, and takes none from what gives more', () => {
  expect(givesPercent(straight)).toBeLessThan(35);
  expect(givesPercent(twin(2.5))).toBe(60);
  for (const pattern of patterns) {
    expect(givesPercent({ pattern, twinGapMm: 2.5 })).toBeGreaterThanOrEqual(
      givesPercent({ pattern }),
    );
  }
  expect(givesPercent({ pattern: 'zigzag' })).toBeGreaterThan(40);
});
