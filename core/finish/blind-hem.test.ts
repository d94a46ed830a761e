import fc from 'fast-check';
import { foldPlanOf, unusedFoldFields, wishForVariant } from '../plan/fold-plan';
import { examplePlan } from '../plan/example.fixture';
import { stepsOf } from '../plan/work';
import { undriftedMm } from '../margin/check';
import { blindHem } from './blind-hem';
import { workOn } from './wishes.fixture';

const cloth = { thicknessMm: 0.6 };
const margin = blindHem.margin('flat')!;
const issuesFor = (wish: Parameters<typeof foldPlanOf>[1]['wish']) => {
  try {
    foldPlanOf(blindHem, { wish, cloth });
    return [];
  } catch (error) {
    return (error as { issues: { path: string; message: string }[] }).issues;
  }
};

describe('the folds of a blind hem', () => {
  test('a flat edge', () => {
    const plan = foldPlanOf(blindHem, {
      wish: { variant: 'flat', depthMm: 40, extensionMm: 8 },
      cloth,
    });
    expect(plan.allowanceMm).toBe(48);
    expect(plan.marks.map(({ id, atMm, action }) => [id, atMm, action])).toEqual([
      ['hemline', 48, 'press'],
      ['temporary-fold', 88, 'temporary'],
    ]);
    expect(plan.stackMm).toBeCloseTo(0.42, 9);
    expect(plan.stitchFromHemlineMm).toBe(40);
  });

  test('an enclosed edge', () => {
    const plan = foldPlanOf(blindHem, {
      wish: { variant: 'enclosed', depthMm: 40, extensionMm: 8, turnMm: 12 },
      cloth,
    });
    expect(plan.allowanceMm).toBe(60);
    expect(plan.marks.map(({ atMm }) => atMm)).toEqual([12, 60, 100]);
    expect([plan.layersAtStitch, plan.layersUnderNeedle]).toEqual([1, 2]);
  });

  test('the stages go from flat cloth to an opened hem, each fold but the last kept', () => {
    const { stages } = foldPlanOf(blindHem, {
      wish: { variant: 'enclosed', depthMm: 40, extensionMm: 8, turnMm: 12 },
      cloth,
      sewn: { bite: 0.5, run: 1.5 },
    });
    expect(stages.map(({ stack }) => stack.length)).toEqual([1, 2, 3, 4, 4, 3]);
    expect(stages[3]?.temporaryAtMm).toEqual([100]);
    expect(stages.at(-1)?.temporaryAtMm).toEqual([]);
    // The run lies 1.5 mm before the fold, the bite 0.5 mm into it: 2 mm apart on the hem.
    const [run = 0, bite = 0] = stages[4]?.stitchesXMm ?? [];
    expect(Math.abs(run - bite)).toBeCloseTo(2, 9);
  });

  test.each([
    [{ variant: 'flat', depthMm: 0, extensionMm: 8 }, 'depthMm', '3 to 500 mm'],
    [{ variant: 'flat', depthMm: 3000, extensionMm: 8 }, 'depthMm', '3 to 500 mm'],
    [{ variant: 'flat', extensionMm: 8 }, 'depthMm', 'needed'],
    [{ variant: 'flat', depthMm: 6, extensionMm: 8 }, 'extensionMm', 'wider than the hem of 6 mm'],
    [{ variant: 'flat', depthMm: 40, extensionMm: 8, channelMm: 3 }, 'channelMm', 'no use'],
    [{ variant: 'enclosed', depthMm: 40, extensionMm: 8 }, 'turnMm', 'needed'],
    [
      { variant: 'enclosed', depthMm: 20, extensionMm: 8, turnMm: 25 },
      'turnMm',
      'turn of 25 mm is wider than the hem of 20 mm',
    ],
    [{ variant: 'pleated', depthMm: 40, extensionMm: 8 }, 'variant', 'flat, enclosed'],
  ])('refused at its field: %j', (wish, path, words) => {
    expect(issuesFor(wish)).toMatchObject([{ path, message: expect.stringContaining(words) }]);
  });

  test('a turn on a flat edge is told as unused', () => {
    const wish = { variant: 'flat', depthMm: 40, extensionMm: 8, turnMm: 12 };
    expect(issuesFor(wish)).toEqual([]);
    expect(unusedFoldFields(blindHem, wish)).toEqual(['turnMm']);
  });
});

describe('changing the variant', () => {
  test('keeps what both use, starts the new, leaves out the unused', () => {
    const flat = { variant: 'flat', depthMm: 30, extensionMm: 6 };
    const enclosed = wishForVariant(blindHem, flat, 'enclosed');
    expect(enclosed).toEqual({ variant: 'enclosed', depthMm: 30, extensionMm: 6, turnMm: 12 });
    expect(wishForVariant(blindHem, enclosed, 'flat')).toEqual(flat);
  });

  test('a start is never deeper than the hem', () => {
    expect(wishForVariant(blindHem, { depthMm: 7 }, 'enclosed')).toMatchObject({
      extensionMm: 7,
      turnMm: 7,
    });
  });
});

describe('the checks of a blind hem', () => {
  test('bite and run are as the drawing measures them, either hand, any anchor', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 7, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (widthMm, needlePositionMm, guideMm) => {
          const dials = { widthMm, needlePositionMm, guideMm };
          const [bite, run] = margin.checks(examplePlan);
          expect(undriftedMm(bite!, dials)).toBeCloseTo(guideMm - needlePositionMm + widthMm, 9);
          expect(undriftedMm(run!, dials)).toBeCloseTo(needlePositionMm - guideMm, 9);

          const mirrored = { ...examplePlan, stitch: { ...examplePlan.stitch, mirror: true } };
          const across = { widthMm, needlePositionMm: -needlePositionMm, guideMm: -guideMm };
          const [otherBite, otherRun] = margin.checks(mirrored);
          expect(undriftedMm(otherBite!, across)).toBeCloseTo(undriftedMm(bite!, dials), 9);
          expect(undriftedMm(otherRun!, across)).toBeCloseTo(undriftedMm(run!, dials), 9);
          expect([otherBite!.k, otherRun!.k]).toEqual([-bite!.k, -run!.k]);

          const centred = {
            ...examplePlan,
            stitch: { ...examplePlan.stitch, anchor: 'centre' as const },
          };
          expect(undriftedMm(margin.checks(centred)[0]!, dials)).toBeCloseTo(
            guideMm - (needlePositionMm - widthMm / 2),
            9,
          );
        },
      ),
    );
  });

  test('thick cloth and a generous eye widen the window for the bite', () => {
    const hiMm = (thicknessMm: number, pickMm: number) =>
      margin.checks({ ...examplePlan, pickMm, cloth: { ...examplePlan.cloth, thicknessMm } })[0]
        ?.hiMm;
    expect(hiMm(0.6, 1)).toBeCloseTo(1.1, 9);
    expect(hiMm(1.2, 0.5)).toBeCloseTo(1.45, 9);
  });

  test('the bites stand closer when holding matters more than hiding', () => {
    const lengthAt = (below: number, above: number) =>
      margin.startingLength({ ...examplePlan, faultWeights: { below, above } }).value;
    expect(lengthAt(1, 1)).toBeCloseTo(11 / 6, 9);
    expect(lengthAt(0, 1)).toBeCloseTo(14 / 6, 9);
    expect(lengthAt(1, 0)).toBeCloseTo(8 / 6, 9);
  });

  test('every step of the work carries its own numbers', () => {
    const steps = stepsOf(blindHem, workOn(blindHem, 'flat'));
    expect(steps.find(({ id }) => id === 'press-hemline')?.values).toEqual({ hemlineMm: 48 });
    expect(steps.find(({ id }) => id === 'fold-back')?.values).toEqual({
      extensionMm: 8,
      foldMm: 88,
    });
  });

  test('the repeat of the tacking attachment is six and a tack', () => {
    const sew = stepsOf(blindHem, workOn(blindHem, 'tacked')).find(({ id }) => id === 'sew');
    expect(sew?.values).toMatchObject({ run: 6 });
  });
});
