import { blindHem } from '../finish/blind-hem';
import { examplePlan } from './example.fixture';
import { countedAlongEdge, judge } from './judge';
import { lessonOf } from './learn-plan';
import { setUpOf } from './set-up-of';
import { startingSetting } from './starting-setting';

const set = setUpOf(blindHem, examplePlan);
const start = startingSetting(blindHem, examplePlan, set);
const scrap = (n: number, short: number, over: number, settings = start) => ({
  settings,
  check: 'bite',
  n,
  short,
  over,
});

describe('judging a setting', () => {
  test('the starting setting of the documented set-up', () => {
    expect(start).toEqual({ widthMm: 2, needlePositionMm: 0.5, guideMm: -1, lengthMm: 1.8 });
    const judged = judge(set, start);
    expect(judged.chance).toBeCloseTo(0.92976, 4);
    expect(judged.clearance.clearanceMm).toBeCloseTo(-1.5 + 4.5 - 0.7, 9);
    expect(judged.warnings).toEqual([]);
  });

  test('a needle that would meet the foot blocks, and says by how much', () => {
    const narrow = { ...set, foot: { ...set.foot, slotMm: [-1.2, 2] as const } };
    const judged = judge(narrow, start);
    expect(judged.blocked).toBe(true);
    expect(judged.warnings[0]).toEqual({
      about: 'needle-meets-metal',
      values: { nearest: 'foot', side: 'left', byMm: expect.closeTo(1, 9) },
    });
  });

  test('bites along the edge', () => {
    expect(
      countedAlongEdge(
        {
          ...examplePlan,
          edge: { lengthMm: 3420, minRadiusMm: null },
          stitch: { ...examplePlan.stitch, runStitches: 4 },
        },
        2.4,
      ),
    ).toBeCloseTo(285, 9);
  });
});

describe('the lesson of a scrap', () => {
  test('seven of 24 missed: a wider swing, and far fewer faults to expect', () => {
    const lesson = lessonOf(blindHem, examplePlan, [scrap(24, 7, 0)]);
    expect(lesson.posterior.shiftMm).toBeLessThan(-0.1);
    expect(lesson.next.change).toEqual({ dial: 'width', fromMm: 2, toMm: 2.5 });
    expect(lesson.next.predicted.expectedFaults).toBeLessThan(
      lesson.now.predicted.expectedFaults / 2,
    );
    expect(lesson.enough).toBe(false);
    expect(lesson.instead?.change?.dial).toBe('needlePosition');
    expect(lesson.next.settings.lengthMm).toBe(1.8);
  });

  test('a clean scrap on thick cloth is enough, and nothing is to be moved', () => {
    const thick = { ...examplePlan, cloth: { ...examplePlan.cloth, thicknessMm: 1 } };
    const settings = startingSetting(blindHem, thick, setUpOf(blindHem, thick));
    const lesson = lessonOf(blindHem, thick, [scrap(24, 0, 0, settings)]);
    expect(lesson.enough).toBe(true);
    expect(lesson.next.change).toBeNull();
  });

  test('a clean scrap on thin cloth is not yet enough', () => {
    const thin = { ...examplePlan, cloth: { ...examplePlan.cloth, thicknessMm: 0.15 } };
    expect(lessonOf(blindHem, thin, [scrap(6, 0, 0)]).enough).toBe(false);
  });

  test.each([
    [[], 'samples', 'at least one'],
    [[scrap(5, 4, 3)], 'samples.0.short', '4 short and 3 over are more than the 5'],
    [[{ ...scrap(5, 0, 0), check: 'wrap' }], 'samples.0.check', 'bite, run'],
  ])('samples that make no sense are refused: %#', (samples, path, words) => {
    expect(() => lessonOf(blindHem, examplePlan, samples)).toThrow(
      expect.objectContaining({
        issues: [expect.objectContaining({ path, message: expect.stringContaining(words) })],
      }),
    );
  });

  test('a machine or stitch that cannot sew the finish is refused by name', () => {
    const machine = { ...examplePlan.machine, kind: 'overlocker' as const };
    expect(() => setUpOf(blindHem, { ...examplePlan, machine })).toThrow('overlocker');
    const stitch = { ...examplePlan.stitch, pattern: 'zigzag' as const };
    expect(() => setUpOf(blindHem, { ...examplePlan, stitch })).toThrow('zigzag');
  });
});
