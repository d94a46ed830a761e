import fc from 'fast-check';
import { blindHem } from '../finish/blind-hem';
import { examplePlan } from '../plan/example.fixture';
import { setUpOf } from '../plan/set-up-of';
import { allowedDrift, undriftedMm, type Check } from './check';
import { costFunction } from './cost';
import { guidanceSpreadMm, spreadMm } from './drift';
import { bySource, chanceOf, marginOf, outcomeOf } from './margin';
import { normalDrift } from './normal';

const dialsArbitrary = fc.record({
  widthMm: fc.double({ min: 0, max: 7, noNaN: true }),
  needlePositionMm: fc.double({ min: -3.5, max: 3.5, noNaN: true }),
  guideMm: fc.double({ min: -3, max: 3, noNaN: true }),
});
const set = setUpOf(blindHem, examplePlan);

describe('the normal distribution of drift', () => {
  test('known values, into the tails', () => {
    const hand = normalDrift(0, 1);
    expect(hand.leftOf(1.6448536269514722)).toBeCloseTo(0.95, 12);
    expect(hand.within(-1, 1)).toBeCloseTo(0.6826894921370859, 12);
    expect(hand.rightOf(8) / 6.220960574271785e-16).toBeCloseTo(1, 9);
    expect(hand.within(8, Infinity) / 6.220960574271785e-16).toBeCloseTo(1, 9);
  });

  test('an empty interval has no chance, the whole line has all of it', () => {
    expect(normalDrift(0.1, 0.2).within(0.3, 0.3)).toBe(0);
    expect(normalDrift(0.1, 0.2).within(0.4, 0.3)).toBe(0);
    expect(normalDrift(0.1, 0.2).within(-Infinity, Infinity)).toBe(1);
  });
});

describe('the spread', () => {
  test('the rule, term by term', () => {
    const firm = { slip: 0, stretchPercent: 0 } as const;
    expect(spreadMm(guidanceSpreadMm.blade, firm, null, 1)).toBeCloseTo(0.2, 12);
    expect(spreadMm(0.2, { ...firm, slip: 3 }, null, 1)).toBeCloseTo(0.2 * 1.6, 12);
    expect(spreadMm(0.2, { slip: 0, stretchPercent: 50 }, null, 1)).toBeCloseTo(0.25, 12);
    expect(spreadMm(0.2, firm, 80, 1)).toBeCloseTo(0.3, 12);
    expect(spreadMm(0.2, firm, 10, 1)).toBeCloseTo(0.4, 12);
    expect(spreadMm(0.2, { slip: 1, stretchPercent: 2 }, 160, 1.5)).toBeCloseTo(
      0.2 * 1.2 * 1.01 * 1.25 * 1.5,
      12,
    );
  });
});

describe('the margin', () => {
  test('a drift inside it passes every check, and one outside fails the named one', () => {
    fc.assert(
      fc.property(dialsArbitrary, fc.double({ min: -6, max: 6, noNaN: true }), (dials, drift) => {
        const margin = marginOf(set.checks, dials);
        const failing = set.checks.filter((check) => {
          const value = undriftedMm(check, dials) + check.k * drift;
          return value < check.loMm - 1e-9 || value > check.hiMm + 1e-9;
        });
        const inside = drift >= margin.fromMm && drift <= margin.toMm;
        expect(failing.length === 0 || !inside).toBe(true);
        if (drift < margin.fromMm - 1e-6) {
          expect(failing.map(({ name }) => name)).toContain(margin.leftEnd?.check);
        }
        if (drift > margin.toMm + 1e-6) {
          expect(failing.map(({ name }) => name)).toContain(margin.rightEnd?.check);
        }
      }),
    );
  });

  test('the ends name the faults of the worked set-up', () => {
    const margin = marginOf(set.checks, { widthMm: 2, needlePositionMm: 0.5, guideMm: -1 });
    expect(margin.fromMm).toBeCloseTo(-0.3, 9);
    expect(margin.toMm).toBeCloseTo(0.6, 9);
    expect([margin.leftFault, margin.rightFault]).toEqual(['missed', 'shows']);
    expect(chanceOf([margin], set.beliefs)).toBeCloseTo(0.92976, 5);
  });

  test('an open side stays open', () => {
    const open: Check = { ...(set.checks[0] as Check), hiMm: Infinity };
    expect(marginOf([open], { widthMm: 2, needlePositionMm: 0, guideMm: 0 }).toMm).toBe(Infinity);
    expect(marginOf([open], { widthMm: 2, needlePositionMm: 0, guideMm: 0 }).rightFault).toBeNull();
  });

  test('a check’s outcomes are the tails of what it allows', () => {
    fc.assert(
      fc.property(dialsArbitrary, (dials) => {
        for (const check of set.checks) {
          const hand = normalDrift(0.1, 0.3);
          const v0 = undriftedMm(check, dials);
          const { belowChance, aboveChance } = outcomeOf(check, v0, hand);
          const [lo, hi] = allowedDrift(check, v0);
          expect(belowChance + aboveChance + hand.within(lo, hi)).toBeCloseTo(1, 9);
        }
      }),
    );
  });
});

describe('the cost of a setting', () => {
  const wrap: Check = { ...(set.checks[0] as Check), name: 'back', source: 'wrap' };
  const beliefs = { ...set.beliefs, wrap: normalDrift(0, 0.4) };

  test('with even weights it is one minus the chance, over all sources', () => {
    fc.assert(
      fc.property(dialsArbitrary, (dials) => {
        const checks = [...set.checks, wrap];
        const cost = costFunction(checks, beliefs, { below: 1, above: 1 });
        const margins = [...bySource(checks).values()].map((group) => marginOf(group, dials));
        expect(margins).toHaveLength(2);
        expect(cost(dials.widthMm, dials.needlePositionMm, dials.guideMm)).toBeCloseTo(
          1 - chanceOf(margins, beliefs),
          9,
        );
      }),
    );
  });

  test('uneven weights count the two tails of the margin by the fault that waits there', () => {
    const dials = { widthMm: 2, needlePositionMm: 0.5, guideMm: -1 };
    const hand = beliefs.guide;
    const cost = costFunction(set.checks, beliefs, { below: 3, above: 0.5 });
    expect(cost(2, 0.5, -1)).toBeCloseTo(
      3 * (hand?.leftOf(-0.3) ?? 0) + 0.5 * (hand?.rightOf(0.6) ?? 0),
      9,
    );
    expect(marginOf(set.checks, dials).leftEnd?.end).toBe('below');
  });
});
