import fc from 'fast-check';
import { finishById } from '../finish/catalogue';
import type { SewingPlan } from '../finish/sewing-plan';
import { learn, learnedBelief } from '../margin/learn';
import { normalDrift } from '../margin/normal';
import { chanceOf, marginOf, bySource } from '../margin/margin';
import { examplePlan } from '../plan/example.fixture';
import { setUpOf } from '../plan/set-up-of';
import { startingSetting } from '../plan/starting-setting';
import { workedOut } from '../plan/worked.fixture';
import { driftAt, evenDraws } from './draw';
import { edgeWave, waveLengthMm } from './edge-wave';
import { edgeAsideMm, loopedThreads } from './overedge';
import { countedSwatch, sewSwatch } from './swatch';
import { undriftedMm } from '../margin/check';

const finishOf = (id: string) => finishById(id)!;

const plans: readonly (readonly [string, string, Partial<SewingPlan>])[] = [
  ['a blind hem', 'blind-hem', {}],
  [
    'an overcast edge',
    'overcast',
    {
      fold: { variant: 'zigzag' },
      foot: { slotMm: [-4, 4], guidance: 'edge', guide: { atMm: 2 } },
      stitch: { pattern: 'zigzag', anchor: 'centre', runStitches: 1 },
    },
  ],
  [
    'a binding, front and back',
    'bound',
    {
      fold: { variant: 'double-fold', depthMm: 6 },
      foot: { slotMm: [-4, 4], guidance: 'eye', guide: { atMm: -1 } },
      stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
    },
  ],
  [
    'a rolled hem, fed by hand',
    'rolled-hem',
    {
      fold: { variant: 'straight', channelMm: 2 },
      stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
    },
  ],
];

function sewn(id: string, patch: Partial<SewingPlan>) {
  const plan = { ...examplePlan, ...patch };
  const finish = finishOf(id);
  const set = setUpOf(finish, plan);
  const dials = startingSetting(finish, plan, set);
  const [first] = finish.margin(plan.fold.variant)!.references(plan, dials);
  const margins = [...bySource(set.checks).values()].map((checks) => marginOf(checks, dials));
  return { plan, set, dials, first, margins, chance: chanceOf(margins, set.beliefs) };
}

/** Chi-square of what was counted against what was expected, over kinds that are expected at all. */
function chiSquare(counted: readonly number[], expected: readonly number[]): number {
  return counted.reduce((sum, n, i) => sum + (n - expected[i]!) ** 2 / expected[i]!, 0);
}

describe('the swatch', () => {
  test.each(plans)('%s: faults over many seeds agree with the chance, at 1 %%', (_, id, patch) => {
    const { set, dials, first, chance } = sewn(id, patch);
    let [n, faults] = [0, 0];
    for (let seed = 1; seed <= 300; seed++) {
      const swatch = sewSwatch(set, dials, first, 100, seed);
      n += swatch.stitches.length;
      faults += swatch.faults;
      expect(swatch.expectedFaults).toBeCloseTo(swatch.stitches.length * (1 - chance), 9);
    }
    expect(n * (1 - chance)).toBeGreaterThan(20);
    const expected = [n * chance, n * (1 - chance)];
    expect(chiSquare([n - faults, faults], expected)).toBeLessThan(6.635);
  });

  test('which fault it is agrees as well, two kinds at once', () => {
    const { set, dials, first, margins } = sewn('blind-hem', {
      foot: { ...examplePlan.foot, guidance: 'line' },
    });
    const [margin] = margins;
    const belief = set.beliefs.guide!;
    const counts = { sound: 0, left: 0, right: 0 };
    let n = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const { stitches, byFault } = sewSwatch(set, dials, first, 200, seed);
      n += stitches.length;
      counts.left += byFault[margin!.leftFault!] ?? 0;
      counts.right += byFault[margin!.rightFault!] ?? 0;
    }
    counts.sound = n - counts.left - counts.right;
    const left = belief.leftOf(margin!.fromMm);
    const right = belief.rightOf(margin!.toMm);
    expect(
      chiSquare(
        [counts.sound, counts.left, counts.right],
        [n * (1 - left - right), n * left, n * right],
      ),
    ).toBeLessThan(9.21);
  });

  test('a seed sews the same swatch again, another one another', () => {
    const { set, dials, first } = sewn('blind-hem', {});
    expect(sewSwatch(set, dials, first, 100, 7)).toEqual(sewSwatch(set, dials, first, 100, 7));
    expect(sewSwatch(set, dials, first, 100, 7)).not.toEqual(sewSwatch(set, dials, first, 100, 8));
  });

  test('a counted hole lies where its own drift puts it, and its faults follow from that', () => {
    const { plan, set, dials, first } = sewn('overcast', plans[1]![2]);
    const { holes, stitches } = sewSwatch(set, dials, first, 300, 3);
    const counted = holes.filter(({ stitch }) => stitch !== null);
    expect(counted).toHaveLength(stitches.length);
    for (const { fromReferenceMm, stitch } of counted) {
      const outside = fromReferenceMm > 1 + 1e-6 || fromReferenceMm < -0.2 - 1e-6;
      const grips = dials.widthMm - fromReferenceMm >= [1.5, 2, 2.8, 3.5][plan.cloth.fray]!;
      expect(stitches[stitch!]!.fault !== null).toBe(outside || !grips);
    }
  });

  test('draws follow what scraps have taught, not only the bell', () => {
    const { set, dials } = sewn('blind-hem', {});
    const belief = learnedBelief(
      learn(
        set.checks.filter(({ source }) => source === 'guide'),
        [{ settings: dials, check: 'bite', n: 24, short: 7, over: 0 }],
        0.2,
      ),
    );
    for (const share of [0.01, 0.2, 0.5, 0.8, 0.99]) {
      expect(belief.leftOf(driftAt(belief, share))).toBeCloseTo(share, 3);
    }
  });

  test('the inverse of a bell is the bell’s own', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        (shift, sigma, share) => {
          const belief = normalDrift(shift, sigma);
          expect(belief.leftOf(driftAt(belief, share))).toBeCloseTo(share, 2);
        },
      ),
    );
    const next = evenDraws(1);
    const draws = Array.from({ length: 4000 }, next);
    expect(draws.reduce((sum, x) => sum + x, 0) / draws.length).toBeCloseTo(0.5, 1);
  });
});

describe('an edge under the differential', () => {
  const knit = { construction: 'knit', stretchPercent: 40 } as const;

  test('fed by its stretch it lies flat; less waves it, more gathers it', () => {
    expect(edgeWave(knit, 1.4).look).toBe('flat');
    expect(edgeWave(knit, 1)).toMatchObject({ look: 'waved', excess: expect.closeTo(0.4, 9) });
    expect(edgeWave(knit, 2).look).toBe('gathered');
    expect(edgeWave({ construction: 'woven', stretchPercent: 2 }, 1).look).toBe('flat');
  });

  test('the wave is as much longer as the edge is, while it is small', () => {
    const wave = edgeWave(knit, 1.28);
    let arc = 0;
    const step = 0.001;
    for (let mm = 0; mm < waveLengthMm; mm += step) {
      arc += Math.hypot(step, edgeAsideMm(wave, mm + step) - edgeAsideMm(wave, mm));
    }
    expect(arc / waveLengthMm - 1).toBeCloseTo(wave.excess, 1);
    expect(arc / waveLengthMm - 1).toBeGreaterThan(0.06);
  });

  test('threads lie where their needles stand', () => {
    expect(loopedThreads('overedge-four', 6, 'up').needleLinesMm).toEqual([6, 8]);
    expect(loopedThreads('overedge-three-narrow', 3, 'up')).toEqual({
      needleLinesMm: [3],
      loopsMm: [0, 3],
    });
    expect(loopedThreads('cover-three', 10, 'up').loopsMm).toBeNull();
    expect(loopedThreads('cover-left', 10, 'under').loopsMm).toEqual([10, 12.8]);
  });
});

describe('a scrap as it was counted', () => {
  test.each(plans)('%s: just as many faults, on just those sides', (_, id, patch) => {
    const { set, dials, first } = sewn(id, patch);
    const margin = finishOf(id).margin((patch.fold ?? examplePlan.fold).variant)!;
    const check = set.checks.find(({ name }) => name === margin.countedCheck)!;
    const open = { below: Number.isFinite(check.loMm), above: Number.isFinite(check.hiMm) };
    fc.assert(
      fc.property(fc.nat(8), fc.nat(8), fc.integer(), (below, above, seed) => {
        const short = open.below ? below : 0;
        const over = open.above ? above : 0;
        const count = { check: check.name, n: 24, short, over };
        const swatch = countedSwatch(set, dials, first, [count], seed);
        const aim = undriftedMm(check, dials);
        const values = swatch.stitches.map(
          ({ driftMm }) => aim + check.k * (driftMm[check.source] ?? 0),
        );
        expect(values.filter((value) => value < check.loMm - 1e-6)).toHaveLength(short);
        expect(values.filter((value) => value > check.hiMm + 1e-6)).toHaveLength(over);
      }),
      { numRuns: 20 },
    );
  });

  test('faults are spread along the seam, not heaped at its start', () => {
    const { set, dials, first } = sewn('blind-hem', {});
    const count = { check: set.checks[0]!.name, n: 24, short: 4, over: 0 };
    const { stitches } = countedSwatch(set, dials, first, [count], 1);
    const at = stitches.flatMap(({ fault }, i) => (fault ? [i] : []));
    expect(Math.max(...at) - Math.min(...at)).toBeGreaterThanOrEqual(12);
  });
});

test('of two needles on one shank the first is counted, and each stitch at its own hole', () => {
  const hem = finishById('single-hem')!;
  const { plan } = workedOut(hem, 'twin-needle')!;
  const set = setUpOf(hem, plan);
  const dials = startingSetting(hem, plan, set);
  const [first] = hem.margin('twin-needle')!.references(plan, dials);
  const { holes, stitches } = sewSwatch(set, dials, first, 60, 5);
  const counted = holes.filter(({ stitch }) => stitch !== null);
  expect(counted.map(({ stitch }) => stitch)).toEqual(stitches.map((_, i) => i));
  for (const { needle, stitch, yMm } of counted) {
    expect(needle).toBe(0);
    expect(yMm).toBeCloseTo(stitches[stitch!]!.yMm, 9);
  }
  expect(holes.filter(({ needle }) => needle === 1)).toHaveLength(counted.length);
});
