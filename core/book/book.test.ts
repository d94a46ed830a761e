import fc from 'fast-check';
import { normalDrift } from '../margin/normal';
import { learn } from '../margin/learn';
import { examplePlan } from '../plan/example.fixture';
import { priorsOf } from '../plan/carried';
import { learnedFrom } from '../plan/learn-plan';
import { blindHem } from '../finish/blind-hem';
import { evenDraws } from '../swatch/draw';
import { carryOver } from './carry';
import { likelihoodOf, logSkills, offsetsMm, roughPhi } from './coarse-grid';
import { isSewnLater, localDay } from './day';
import { footOffset } from './foot-offset';
import { days, planOn, scrapsBy } from './scraps.fixture';
import { guideReader } from './sewn-group';
import { skillsOf, steadinessOf } from './skill';
import { usualScraps } from './usual';

describe('the coarse grid', () => {
  test('the rough Φ is Φ to five places', () => {
    fc.assert(
      fc.property(fc.double({ min: -9, max: 9, noNaN: true }), (z) => {
        expect(roughPhi(z)).toBeCloseTo(normalDrift(0, 1).leftOf(z), 5);
      }),
    );
  });

  test('its best offset is the fine lesson’s, within a step', () => {
    const scraps = scrapsBy(planOn(1), { shiftMm: -0.35, steadiness: 1 }, days(4), evenDraws(1));
    const logs = likelihoodOf(scraps.flatMap(guideReader()));
    const best = logs.indexOf(Math.max(...logs)) % offsetsMm.length;
    const posterior = learnedFrom(
      blindHem,
      planOn(1),
      scraps.flatMap(({ settings, counts }) =>
        counts.map((count) => ({ settings: settings!, ...count })),
      ),
    ).guide!;
    expect(Math.abs(offsetsMm[best]! - posterior.shiftMm)).toBeLessThan(0.15);
    expect(logs).toHaveLength(offsetsMm.length * logSkills.length);
  });
});

describe('skill', () => {
  test.each([0.6, 1, 1.5])('a hand of %d times the usual spread is found', (steadiness) => {
    const scraps = [0.6, 1, 1.4].flatMap((thickness, i) =>
      scrapsBy(planOn(thickness), { shiftMm: 0.3 - 0.3 * i, steadiness }, days(6), evenDraws(i)),
    );
    const { factor, interval, stitches } = steadinessOf(scraps);
    expect(stitches).toBe(18 * 40);
    expect(interval[0]).toBeLessThan(steadiness);
    expect(interval[1]).toBeGreaterThan(steadiness);
    expect(Math.abs(Math.log(factor / steadiness))).toBeLessThan(0.25);
  });

  test('an offset of its own is no unsteadiness', () => {
    const off = scrapsBy(planOn(1), { shiftMm: -0.5, steadiness: 0.8 }, days(8), evenDraws(3));
    expect(steadinessOf(off).factor).toBeLessThan(1.1);
  });

  test('too few scraps say so; more are parted into periods, oldest first', () => {
    const few = scrapsBy(planOn(1), { shiftMm: 0, steadiness: 1 }, days(2), evenDraws(4));
    expect(skillsOf(few)).toEqual([
      { guidance: 'blade', now: null, periods: [], scraps: 2, needed: 3 },
    ]);
    const many = scrapsBy(planOn(1), { shiftMm: 0, steadiness: 1 }, days(12), evenDraws(4));
    const [skill] = skillsOf([...many].reverse());
    expect(skill?.periods.map(({ fromDay, toDay }) => [fromDay, toDay])).toEqual([
      ['2026-01-01', '2026-01-03'],
      ['2026-01-04', '2026-01-06'],
      ['2026-01-07', '2026-01-09'],
      ['2026-01-10', '2026-01-12'],
    ]);
    // Less is known of a period than of all.
    const width = ([a, b]: readonly [number, number]) => b - a;
    for (const { interval } of skill!.periods) {
      expect(width(interval)).toBeGreaterThan(width(skill!.now!.interval));
    }
  });

  test('scraps that were only looked at teach nothing, and no set-up that is refused does', () => {
    const [scrap] = scrapsBy(planOn(1), { shiftMm: 0, steadiness: 1 }, days(1), evenDraws(1));
    const read = guideReader();
    expect(read({ ...scrap!, counts: [] })).toEqual([]);
    expect(read({ ...scrap!, settings: null })).toEqual([]);
    expect(read({ ...scrap!, finish: 'serged' })).toEqual([]);
    const broken = { ...examplePlan, fold: { variant: 'flat', depthMm: -4, extensionMm: 8 } };
    expect(read({ ...scrap!, setUp: broken })).toEqual([]);
    expect(skillsOf([{ ...scrap!, counts: [] }])).toEqual([]);
  });
});

describe('the offset of a foot', () => {
  const groups = (shifts: readonly number[]) =>
    shifts.map((shiftMm, i) => ({
      clothId: `cloth-${i}`,
      scraps: scrapsBy(planOn(0.7 + 0.2 * i), { shiftMm, steadiness: 1 }, days(3), evenDraws(i)),
    }));

  test('five cloths that run alike: an offset of its own, and a new cloth expects it', () => {
    const offset = footOffset(groups([-0.3, -0.25, -0.35, -0.28, -0.32]))!;
    expect(offset.cloths).toBe(5);
    expect(offset.mm).toBeLessThan(-0.2);
    expect(offset.mm).toBeGreaterThan(-0.4);
    expect(offset.interval[0]).toBeLessThan(-0.3);
    expect(offset.interval[1]).toBeGreaterThan(-0.3);
    expect(offset.newClothSdMm).toBeLessThan(0.3);
  });

  test('cloths that differ leave a new one in more doubt', () => {
    const alike = footOffset(groups([-0.3, -0.3, -0.3]))!;
    const unlike = footOffset(groups([-0.5, 0, 0.5]))!;
    expect(unlike.newClothSdMm).toBeGreaterThan(alike.newClothSdMm);
    expect(Math.abs(unlike.mm)).toBeLessThan(0.25);
  });

  test('one cloth alone can’t say what is the foot’s', () => {
    expect(footOffset(groups([-0.3]))).toBeNull();
    expect(footOffset([])).toBeNull();
  });
});

describe('what carries over', () => {
  const dated = (thickness: number, clothId: string, shiftMm: number) =>
    scrapsBy(planOn(thickness), { shiftMm, steadiness: 0.7 }, days(3), evenDraws(thickness)).map(
      (scrap) => ({ ...scrap, clothId }),
    );

  test('the same set-up before the foot, the foot before nothing', () => {
    const others = [...dated(0.8, 'a', -0.3), ...dated(1.2, 'b', -0.3)];
    const foot = carryOver(planOn(1), others, others);
    expect(foot.from.sameSetUp).toBeNull();
    expect(foot.from.foot?.cloths).toBe(2);
    expect(foot.carried.guide?.shift?.mm).toBeLessThan(-0.15);
    const own = carryOver(planOn(1), [...others, ...dated(1, 'c', 0.3)], others);
    expect(own.from.foot).toBeNull();
    expect(own.from.sameSetUp).toMatchObject({ scraps: 3 });
    expect(own.carried.guide?.shift?.mm).toBeGreaterThan(0.1);
    expect(carryOver(planOn(1), [], []).carried).toEqual({});
  });

  test('the hand’s steadiness narrows the spread one starts with, never past the plain doubt', () => {
    const others = [...dated(0.8, 'a', 0), ...dated(1.2, 'b', 0)];
    const { carried, from } = carryOver(planOn(1), [], others);
    expect(from.hand).toMatchObject({ guidance: 'blade', scraps: 6 });
    expect(carried.guide?.skill?.factor).toBeLessThan(1);
    expect(carried.guide?.skill?.logSd).toBeLessThanOrEqual(0.35);
    const plain = priorsOf(blindHem, planOn(1), {}).guide!;
    const prior = priorsOf(blindHem, planOn(1), carried).guide!;
    expect(prior.sigmaMm).toBeLessThan(plain.sigmaMm);
    expect(plain).toMatchObject({ shiftMm: 0, shiftSdMm: 0.5, logSigmaSd: 0.35 });
  });

  test('with nothing of its own, a plan believes what was carried; samples move it on', () => {
    const carried = { guide: { shift: { mm: -0.3, sdMm: 0.1 }, skill: null } };
    const before = learnedFrom(blindHem, planOn(1), [], carried).guide!;
    expect(before.shiftMm).toBeCloseTo(-0.3, 2);
    expect(learnedFrom(blindHem, planOn(1), [])).toEqual({});
    const prior = priorsOf(blindHem, planOn(1), carried).guide!;
    const [scrap] = scrapsBy(planOn(1), { shiftMm: 0.3, steadiness: 1 }, days(1), evenDraws(1));
    const samples = scrap!.counts.map((count) => ({ settings: scrap!.settings!, ...count }));
    const after = learnedFrom(blindHem, planOn(1), samples, carried).guide!;
    expect(after.shiftMm).toBeGreaterThan(before.shiftMm);
    expect(after.sigmaInterval[0]).toBeLessThan(prior.sigmaMm);
  });

  test('no sample gives the prior itself back', () => {
    const posterior = learn([], [], {
      shiftMm: 0.2,
      shiftSdMm: 0.2,
      sigmaMm: 0.3,
      logSigmaSd: 0.2,
    });
    expect(posterior.shiftMm).toBeCloseTo(0.2, 3);
    expect(posterior.sigmaMm).toBeCloseTo(0.3 * Math.exp(0.02), 2);
    // 1.645 standard deviations on either side.
    expect(posterior.shiftInterval[0]).toBeCloseTo(0.2 - 0.329, 2);
    expect(posterior.shiftInterval[1]).toBeCloseTo(0.2 + 0.329, 2);
  });
});

describe('how many scraps one usually needs', () => {
  test.each([
    [[], null],
    [[2, 3], null],
    [[4, 2, 3], { median: 3, middle: [2.5, 3.5], edges: 3 }],
    [[1, 1, 2, 8], { median: 1.5, middle: [1, 3.5], edges: 4 }],
  ])('%j', (scraps, usual) => {
    expect(usualScraps(scraps)).toEqual(usual);
  });
});

describe('days', () => {
  test('today is never later, anywhere; the day after tomorrow always is', () => {
    const noon = new Date('2026-11-25T12:00:00Z');
    expect(isSewnLater('2026-11-25', noon)).toBe(false);
    // Past midnight already where clocks are furthest ahead.
    expect(isSewnLater('2026-11-26', noon)).toBe(false);
    expect(isSewnLater('2026-11-27', noon)).toBe(true);
    expect(isSewnLater(localDay(new Date()), new Date())).toBe(false);
    expect(localDay(new Date(2026, 0, 5))).toBe('2026-01-05');
  });
});
