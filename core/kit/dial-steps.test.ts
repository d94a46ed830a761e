import fc from 'fast-check';
import { examplePlan } from '../plan/example.fixture';
import { dialPositions, dialTravel, positionCount, snapToDial } from './dial-steps';
import { startingNeedle } from './needle';

const { machine } = examplePlan;

describe('dials', () => {
  test('a width dial runs from nothing to the widest in whole steps', () => {
    const travel = dialTravel(
      'width',
      { ...machine, maxWidthMm: 0.7, widthStepMm: 0.1 },
      { atMm: 0 },
    );
    expect(dialPositions(travel)).toEqual([0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7]);
  });

  test('a needle dial has the centre even where its range is no multiple of its step', () => {
    const travel = dialTravel(
      'needlePosition',
      { ...machine, needleRangeMm: [-1, 1], needleStepMm: 0.4 },
      { atMm: 0 },
    );
    expect(dialPositions(travel)).toEqual([-0.8, -0.4, 0, 0.4, 0.8]);
  });

  test('a guide counts from its left stop, by default in quarter millimetres', () => {
    const travel = dialTravel('guide', machine, { rangeMm: [-1.1, -0.5] });
    expect(dialPositions(travel)).toEqual([-1.1, -0.85, -0.6]);
  });

  test('a fixed guide has one position', () => {
    const travel = dialTravel('guide', machine, { atMm: -1 });
    expect(dialPositions(travel)).toEqual([-1]);
    expect(positionCount(travel)).toBe(1);
    expect(snapToDial(3, travel)).toBe(-1);
  });

  test('a wish lands on the nearest position of the dial', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -9, max: 9, noNaN: true }),
        fc.constantFrom(0.1, 0.25, 0.3, 0.5),
        (wish, needleStepMm) => {
          const travel = dialTravel('needlePosition', { ...machine, needleStepMm }, { atMm: 0 });
          const positions = dialPositions(travel);
          const snapped = snapToDial(wish, travel);
          const nearest = Math.min(...positions.map((mm) => Math.abs(mm - wish)));
          expect(positions).toContain(snapped);
          expect(Math.abs(snapped - wish)).toBeLessThanOrEqual(nearest + 1e-5);
          expect(positionCount(travel)).toBe(positions.length);
        },
      ),
    );
  });

  test('needles by weight', () => {
    expect([50, 80, 159, 240, 300, 449, 450].map((gsm) => startingNeedle(gsm).size)).toEqual([
      60, 70, 70, 80, 90, 90, 100,
    ]);
  });
});
