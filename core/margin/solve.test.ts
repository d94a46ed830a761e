import fc from 'fast-check';
import { blindHem } from '../finish/blind-hem';
import type { SewingPlan } from '../finish/sewing-plan';
import { examplePlan } from '../plan/example.fixture';
import { judge } from '../plan/judge';
import { setUpOf } from '../plan/set-up-of';
import { dialSpace } from './set-up';
import { solve } from './solve';
import { rankMoves } from './advise';
import { normalDrift } from './normal';

const steps = fc.constantFrom(0.1, 0.25, 0.5, 1);
const plans: fc.Arbitrary<SewingPlan> = fc
  .record({
    thickness: fc.double({ min: 0.05, max: 3, noNaN: true }),
    half: fc.double({ min: 1, max: 5, noNaN: true }),
    widthStep: steps,
    needleStep: steps,
    at: fc.double({ min: -3, max: 3, noNaN: true }),
    adjusts: fc.boolean(),
    slotLeft: fc.double({ min: -6, max: -1, noNaN: true }),
    slotRight: fc.double({ min: 1, max: 6, noNaN: true }),
    needleSize: fc.constantFrom(60, 80, 100, 120),
    anchor: fc.constantFrom('left' as const, 'centre' as const, 'right' as const),
    mirror: fc.boolean(),
    below: fc.constantFrom(1, 1, 4),
  })
  .map((kit) => ({
    ...examplePlan,
    cloth: { ...examplePlan.cloth, thicknessMm: kit.thickness },
    machine: {
      ...examplePlan.machine,
      maxWidthMm: kit.half * 2,
      widthStepMm: kit.widthStep,
      needleRangeMm: [-kit.half, kit.half],
      needleStepMm: kit.needleStep,
    },
    foot: {
      slotMm: [kit.slotLeft, kit.slotRight],
      guidance: 'blade',
      guide: kit.adjusts ? { rangeMm: [kit.at, kit.at + 1.5], stepMm: 0.5 } : { atMm: kit.at },
    },
    stitch: { ...examplePlan.stitch, anchor: kit.anchor, mirror: kit.mirror },
    needleSize: kit.needleSize,
    faultWeights: { below: kit.below, above: 1 },
  }));

/** The same search, written again the slow and plain way from the judgement of each setting. */
function slowly(plan: SewingPlan) {
  const set = setUpOf(blindHem, plan);
  const space = dialSpace(set);
  const all = space.needlePosition.flatMap((needlePositionMm) =>
    space.width.flatMap((widthMm) =>
      space.guide.map((guideMm) => {
        const settings = { widthMm, needlePositionMm, guideMm, lengthMm: 2 };
        const { blocked, margins } = judge(set, settings);
        const [margin] = margins;
        const hand = set.beliefs.guide;
        if (blocked || !margin || !hand) return { settings, cost: Infinity };
        const { below, above } = plan.faultWeights;
        const weight = { below, above };
        const [left, right] = [
          weight[margin.leftEnd?.end ?? 'below'],
          weight[margin.rightEnd?.end ?? 'above'],
        ];
        const cost =
          margin.toMm > margin.fromMm
            ? left * hand.leftOf(margin.fromMm) + right * hand.rightOf(margin.toMm)
            : Math.max(below, above) * 2;
        return { settings, cost };
      }),
    ),
  );
  return all.filter(({ cost }) => cost < Infinity);
}

describe('solving for the dials', () => {
  test('the documented set-up', () => {
    expect(solve(setUpOf(blindHem, examplePlan))).toEqual({
      widthMm: 2,
      needlePositionMm: 0.5,
      guideMm: -1,
    });
  });

  test('no setting is better by more than the tie, and none as good is tidier', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const all = slowly(plan);
        if (all.length === 0) {
          expect(() => solve(setUpOf(blindHem, plan))).toThrow('clears the foot');
          return;
        }
        const least = Math.min(...all.map(({ cost }) => cost));
        fc.pre(least < 0.9);
        const found = solve(setUpOf(blindHem, plan));
        const cost = all.find(
          ({ settings: s }) =>
            s.widthMm === found.widthMm &&
            s.needlePositionMm === found.needlePositionMm &&
            s.guideMm === found.guideMm,
        )?.cost;
        expect(cost).toBeLessThanOrEqual(least + 0.002 + 1e-9);
        const ties = all.filter((other) => other.cost <= least + 0.002 - 1e-9);
        for (const { settings: other } of ties) {
          const nearer = Math.abs(found.needlePositionMm) - Math.abs(other.needlePositionMm);
          expect(nearer < 0 || (nearer === 0 && found.widthMm <= other.widthMm)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('no returned setting meets metal', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const set = setUpOf(blindHem, plan);
        try {
          expect(judge(set, { ...solve(set), lengthMm: 2 }).blocked).toBe(false);
        } catch (error) {
          expect((error as Error).message).toContain('clears the foot');
        }
      }),
      { numRuns: 200 },
    );
  });

  test('absurdly fine steps are refused with the number of settings they make', () => {
    const machine = { ...examplePlan.machine, widthStepMm: 0.001, needleStepMm: 0.001 };
    expect(() => solve(setUpOf(blindHem, { ...examplePlan, machine }))).toThrow(/49,0.* settings/);
  });

  test('thicker cloth leaves more chance', () => {
    const chanceAt = (thicknessMm: number) => {
      const plan = { ...examplePlan, cloth: { ...examplePlan.cloth, thicknessMm } };
      const machine = { ...plan.machine, widthStepMm: 0.05, needleStepMm: 0.1 };
      const set = setUpOf(blindHem, { ...plan, machine });
      return judge(set, { ...solve(set), lengthMm: 2 }).chance;
    };
    const chances = [0.1, 0.3, 0.6, 1, 1.5].map(chanceAt);
    expect([...chances].sort((a, b) => a - b)).toEqual(chances);
  });
});

describe('one move at a time', () => {
  const set = setUpOf(blindHem, examplePlan);
  const now = { widthMm: 2, needlePositionMm: 0.5, guideMm: -1 };

  test('staying is advised when nothing is gained', () => {
    expect(rankMoves(set, now)[0]?.change).toBeNull();
  });

  test('a fold that runs left asks for a wider swing, or the needle further left', () => {
    const learned = { ...set, beliefs: { guide: normalDrift(-0.45, 0.2) } };
    const moves = rankMoves(learned, now);
    expect(moves[0]?.change).toEqual({ dial: 'width', fromMm: 2, toMm: 2.5 });
    expect(moves[1]?.change).toEqual({ dial: 'needlePosition', fromMm: 0.5, toMm: 0 });
  });

  test('the finer dial is preferred when both serve', () => {
    const guide = { rangeMm: [-2, 0] as const, stepMm: 0.05 };
    const fine = { ...set, foot: { ...set.foot, guide } };
    const [first] = rankMoves({ ...fine, beliefs: { guide: normalDrift(-0.4, 0.2) } }, now);
    expect(first?.change?.dial).toBe('guide');
  });

  test('every move turns one dial by whole steps and never into metal', () => {
    const narrow = { ...set, foot: { ...set.foot, slotMm: [-2.3, 4] as const } };
    const moves = rankMoves({ ...narrow, beliefs: { guide: normalDrift(-1.5, 0.2) } }, now);
    for (const { settings, change } of moves) {
      if (!change) continue;
      const turned = (['widthMm', 'needlePositionMm', 'guideMm'] as const).filter(
        (field) => settings[field] !== now[field],
      );
      expect(turned).toHaveLength(1);
      expect(((change.toMm - change.fromMm) / 0.5) % 1).toBeCloseTo(0, 9);
      expect(settings.needlePositionMm - settings.widthMm).toBeGreaterThanOrEqual(
        -2.3 + 0.7 - 1e-9,
      );
    }
  });
});
