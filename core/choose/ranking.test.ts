import fc from 'fast-check';
import { constructions, type Cloth, type Grade } from '../cloth/cloth';
import { purposes } from '../edge/purpose';
import { edgeShapes } from '../edge/shape';
import { catalogue, finishById } from '../finish/catalogue';
import { genericFeet } from '../kit/generic-feet';
import { genericMachines } from '../kit/generic-machines';
import { machineKinds, patternsOf } from '../kit/machine';
import { servesPurpose } from '../finish/nature';
import { kitGaps } from '../plan/kit-gaps';
import { crossingKinds } from '../seam/crossing';
import { givesPercent } from '../stitch/gives';
import { cloths, clothOf, edgeOf, evenWishes, fullKit, plainKit } from './cases.fixture';
import { considerAll, rank } from './rank';
import { rankConsidered, wishWeights } from './score';
import { wishNames, type ChooseRequest, type Wishes } from './request';

const grade = fc.constantFrom<Grade>(0, 1, 2, 3);
const anyCloth: fc.Arbitrary<Cloth> = fc.record({
  construction: fc.constantFrom(...constructions),
  weightGsm: fc.integer({ min: 20, max: 700 }),
  thicknessMm: fc.integer({ min: 6, max: 400 }).map((hundredths) => hundredths / 100),
  stretchPercent: fc.integer({ min: 0, max: 120 }),
  ...{ fray: grade, curl: grade, slip: grade },
});

const anyEdge: fc.Arbitrary<ChooseRequest['edge']> = fc
  .record({
    lengthMm: fc.integer({ min: 60, max: 15_000 }),
    shape: fc.constantFrom(...edgeShapes),
    purpose: fc.constantFrom(...purposes),
    minRadiusMm: fc.option(fc.integer({ min: 20, max: 3000 })),
    depthMm: fc.option(fc.integer({ min: 2, max: 120 })),
    keepLook: fc.option(fc.boolean()),
    kinds: fc.array(fc.constantFrom(...crossingKinds), { maxLength: 3 }),
  })
  .map(({ keepLook, kinds, depthMm, ...edge }) => {
    const turned = edge.purpose === 'hem' || edge.purpose === 'opening';
    return {
      ...edge,
      turnDegrees: null,
      depthMm: turned ? depthMm : null,
      oldHem:
        turned && keepLook !== null
          ? { depthMm: 13, sewn: 'topstitched' as const, keepLook }
          : null,
      crossings: kinds.map((kind) => ({ kind, atMm: 20, widthMm: 10 })),
    };
  });

const anyKit: fc.Arbitrary<ChooseRequest['kit']> = fc.record({
  machines: fc.subarray([...machineKinds]).map((kinds) => kinds.map((it) => genericMachines[it])),
  feet: fc
    .subarray([...genericFeet])
    .map((feet) =>
      feet.map(({ kind, channelMm, stripMm, specs }) => ({ kind, channelMm, stripMm, specs })),
    ),
});

const anyWishes = fc.record(
  Object.fromEntries(
    wishNames.map((name) => [name, fc.integer({ min: 0, max: 10 }).map((it) => it / 10)]),
  ) as Record<(typeof wishNames)[number], fc.Arbitrary<number>>,
) as fc.Arbitrary<Wishes>;

const anything = fc.record({ cloth: anyCloth, edge: anyEdge, kit: anyKit, wishes: anyWishes });

/** Three finishes whose chances are worth the same to the sixth digit, and are rounded apart there. */
const chancesJustApart = {
  cloth: {
    ...{ construction: 'woven', weightGsm: 20, thicknessMm: 0.06, stretchPercent: 10 },
    ...{ fray: 0, curl: 2, slip: 0 },
  },
  edge: {
    ...{ lengthMm: 66, shape: 'inside-curve', purpose: 'opening', minRadiusMm: null },
    ...{ turnDegrees: null, depthMm: null, oldHem: null, crossings: [] },
  },
  kit: {
    machines: [
      {
        ...{ kind: 'lockstitch', maxWidthMm: 7, widthStepMm: 0.5, maxLengthMm: 4 },
        ...{ lengthStepMm: 0.1, needleRangeMm: [-3.5, 3.5], needleStepMm: 0.5 },
      },
    ],
    feet: [
      {
        ...{ kind: 'blind', channelMm: null, stripMm: null },
        specs: {
          ...{ slotMm: [-4.5, 4.5], guidance: 'blade' },
          guide: { rangeMm: [-3, 1], stepMm: 0.25 },
        },
      },
      {
        ...{ kind: 'edge-guide', channelMm: null, stripMm: null },
        specs: { slotMm: [-1.5, 1.5], guidance: 'bar', guide: { atMm: 2 } },
      },
    ],
  },
  wishes: { hidden: 0, sturdy: 0, light: 0, quick: 0, decorative: 0 },
} as unknown as Parameters<typeof rank>[1];

describe('a ranking of anything', () => {
  test('scores are the sums of their reasons, from 0 to 100, best first', () => {
    fc.assert(
      fc.property(anything, (request) => {
        const { ranked } = rank(catalogue, request);
        ranked.forEach(({ score, reasons }, i) => {
          const sum = reasons.reduce((total, { points }) => total + points, 0);
          expect(score).toBeCloseTo(sum, 9);
          expect(score).toBeGreaterThanOrEqual(-1e-9);
          expect(score).toBeLessThanOrEqual(100 + 1e-9);
          if (i > 0) expect(score).toBeLessThanOrEqual(ranked[i - 1]!.score);
          const sizes = reasons.map(({ points }) => Math.abs(points));
          expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
          expect(reasons.every(({ points }) => Number.isFinite(points))).toBe(true);
        });
      }),
      { numRuns: 40 },
    );
  });

  test('every number that a reason speaks of is there', () => {
    fc.assert(
      fc.property(anything, (request) => {
        const { ranked, ruledOut } = rank(catalogue, request);
        const facts = [
          ...ranked.flatMap(({ reasons }) => reasons.map(({ fact }) => fact)),
          ...ruledOut.flatMap(({ hindrances }) => hindrances.map(({ because }) => because)),
        ];
        for (const { about, text = '', values } of facts) {
          const spoken = [...text.matchAll(/\{(\w+)/g)].map(([, name]) => name!);
          expect([about, spoken.filter((name) => !(name in values))]).toEqual([about, []]);
        }
      }),
      { numRuns: 30 },
    );
  });

  test('what every candidate has alike is told as shared, and nothing else is', () => {
    fc.assert(
      fc.property(anything, (request) => {
        const { ranked } = rank(catalogue, request);
        for (const { reasons } of ranked) {
          for (const { shared, points, fact } of reasons) {
            const everywhere = ranked.every((other) =>
              other.reasons.some(
                (it) => it.fact.about === fact.about && Math.abs(it.points - points) < 1e-6,
              ),
            );
            expect([fact.about, shared]).toEqual([fact.about, everywhere]);
          }
        }
      }),
      { numRuns: 15, examples: [[chancesJustApart]] },
    );
  });

  test('what is ranked serves the purpose, can be sewn with the kit, and its stitch follows the cloth', () => {
    fc.assert(
      fc.property(anything, (request) => {
        const { ranked, ruledOut } = rank(catalogue, request);
        for (const it of ranked) {
          const finish = finishById(it.finishId)!;
          const nature = finish.nature(it.variant);
          const purpose = request.edge.purpose ?? 'hem';
          expect(servesPurpose(nature, purpose)).toBe(true);
          // A raw edge that is only held is a hem where the cloth asks for no turning, or for show.
          if (!nature.purposes.includes(purpose)) {
            const { fray, curl } = request.cloth;
            expect((fray === 0 && curl === 0) || request.wishes.decorative >= 0.5).toBe(true);
          }
          expect(kitGaps(finish, it.wish, request.kit, it.schools)).toEqual([]);
          expect(it.chance ?? 1).toBeGreaterThanOrEqual(0.01);
          const machine = it.machine === null ? null : request.kit.machines[it.machine];
          if (machine && it.stitch) {
            expect(patternsOf(machine)).toContain(it.stitch.pattern);
            // A firm strip round the edge gives before the stitch does.
            const stretch = Math.min(
              request.cloth.stretchPercent,
              nature.stripGivesPercent ?? Infinity,
            );
            expect(givesPercent(it.stitch)).toBeGreaterThanOrEqual(stretch < 15 ? 0 : stretch);
          }
          expect(it.passage).not.toBe('will-not-pass');
        }
        for (const { hindrances } of ruledOut) expect(hindrances.length).toBeGreaterThan(0);
        const variants = catalogue.flatMap(({ variants: all }) => all).length;
        expect(ranked.length + ruledOut.length).toBe(variants);
      }),
      { numRuns: 25 },
    );
  });
});

describe('minutes', () => {
  const both = (lengthMm: number) =>
    considerAll(catalogue, {
      cloth: cloths.shirting,
      edge: edgeOf({ lengthMm }),
      kit: fullKit,
      wishes: evenWishes,
    }).filter(({ minutes }) => minutes.wholeMinutes > 0);

  test('once an edge and by the metre: two lengths give both parts back', () => {
    const [short, long] = [both(160), both(14_000)];
    for (const { finishId, variant, minutes, wish, machine } of short) {
      const other = long.find((it) => it.finishId === finishId && it.variant === variant)!;
      // Another depth or machine may be the best of another length.
      if (JSON.stringify([other.wish, other.machine]) !== JSON.stringify([wish, machine])) continue;
      const perMetre = (other.minutes.wholeMinutes - minutes.wholeMinutes) / (14 - 0.16);
      expect(minutes.perMetreMinutes).toBeCloseTo(perMetre, 6);
      expect(minutes.onceMinutes).toBeCloseTo(minutes.wholeMinutes - 0.16 * perMetre, 6);
    }
  });

  test('fourteen metres of ruffle and a pocket edge do not cost the same per metre', () => {
    const [pocket, ruffle] = [both(160), both(14_000)].map((all) =>
      all.find(({ finishId, variant }) => finishId === 'double-hem' && variant === 'narrow')!,
    );
    expect(pocket!.minutesPerMetre).toBeGreaterThan(4 * ruffle!.minutesPerMetre);
  });

  test('a metre on the overlocker takes half as long as one under a needle that swings', () => {
    const all = both(1000);
    const of = (id: string, variant: string) =>
      all.find((it) => it.finishId === id && it.variant === variant)!;
    expect(of('serged-rolled', 'three-thread').minutes.perMetreMinutes).toBeLessThan(
      of('rolled-hem', 'straight').minutes.perMetreMinutes,
    );
  });
});

describe('everything in the drawer is tried', () => {
  const rolled = (channels: readonly number[]) =>
    rank(catalogue, {
      cloth: clothOf({ weightGsm: 120, thicknessMm: 0.3 }),
      edge: edgeOf({}),
      kit: {
        machines: plainKit.machines,
        feet: [
          ...plainKit.feet.filter(({ kind }) => kind !== 'hemmer'),
          ...channels.map((channelMm) => ({
            kind: 'hemmer' as const,
            channelMm,
            specs: { slotMm: [-3, 3] as const, guidance: 'edge' as const, guide: { atMm: 0 } },
          })),
        ],
      },
      wishes: evenWishes,
    }).ranked.find(({ finishId }) => finishId === 'rolled-hem')!;

  test('the best scroll is kept, in whatever order they lie', () => {
    const alone = [2, 4, 6].map((channelMm) => rolled([channelMm]).score);
    for (const order of [
      [2, 4, 6],
      [6, 4, 2],
      [4, 2, 6],
    ]) {
      expect(rolled(order).score).toBeCloseTo(Math.max(...alone), 9);
    }
  });

  test('a second machine that does it better is the one it is planned on', () => {
    const [home] = plainKit.machines;
    // The needle stays in the middle, and hardly reaches beside the fold.
    const stiff = { ...home!, needleRangeMm: [0, 0] as const };
    // The needle has to go left to come near enough to this edge.
    const specs = { slotMm: [-4.5, 4.5] as const, guidance: 'edge' as const, guide: { atMm: -5 } };
    const request = (machines: ChooseRequest['kit']['machines']): ChooseRequest => ({
      cloth: cloths.flannel,
      edge: edgeOf({}),
      kit: { machines, feet: [{ kind: 'zigzag', specs }] },
      wishes: evenWishes,
    });
    const single = (machines: ChooseRequest['kit']['machines']) =>
      considerAll(catalogue, request(machines)).find(
        ({ finishId, variant }) => finishId === 'double-hem' && variant === 'equal',
      )!;
    expect(single([stiff, home!]).machine).toBe(1);
    expect(single([home!, stiff]).machine).toBe(0);
    expect(single([stiff, home!]).chance).toBeCloseTo(single([home!]).chance!, 9);
  });
});

describe('a finish for whose margin no setting is left', () => {
  test('is out by name, and never has a chance of null', () => {
    const narrow = plainKit.feet
      .filter(({ kind }) => kind === 'straight')
      .map((foot) => ({ ...foot, specs: { ...foot.specs, slotMm: [-0.2, 0.2] as const } }));
    const { ranked, ruledOut } = rank(catalogue, {
      cloth: cloths.shirting,
      edge: edgeOf({}),
      kit: { machines: plainKit.machines, feet: narrow },
      wishes: evenWishes,
    });
    const is = ({ finishId }: { finishId: string }) => finishId === 'double-hem';
    expect(ranked.some(is)).toBe(false);
    const about = ruledOut
      .filter(is)
      .flatMap(({ hindrances }) => hindrances.map(({ because }) => because.about));
    expect(about).toContain('no-setting');
  });

  test('whatever is sewn and ranked has a chance, unless nobody works one out for it', () => {
    const { ranked } = rank(catalogue, {
      cloth: cloths.shirting,
      edge: edgeOf({}),
      kit: fullKit,
      wishes: evenWishes,
    });
    for (const { finishId, variant, chance } of ranked) {
      const worked = finishById(finishId)!.margin(variant) !== null;
      expect([finishId, variant, chance !== null]).toEqual([finishId, variant, worked]);
    }
  });
});

test('wishes that are all nothing are even, but for show', () => {
  const none = { hidden: 0, sturdy: 0, light: 0, quick: 0, decorative: 0 };
  expect(wishWeights(none)).toEqual({
    hidden: 0.25,
    sturdy: 0.25,
    light: 0.25,
    quick: 0.25,
    decorative: 0,
  });
  const considered = considerAll(catalogue, {
    cloth: cloths.lawn,
    edge: edgeOf({}),
    kit: fullKit,
    wishes: none,
  });
  const first = rankConsidered(considered, none).ranked[0]!;
  expect(['shell-edge', 'fringe']).not.toContain(first.finishId);
});

test('finishes of one construction share a group, and each group is one construction', () => {
  const group = (id: string) => finishById(id)!.group;
  expect(group('double-hem')).toBe(group('wide-hem'));
  expect(group('double-hem')).toBe(group('jeans-hem'));
  const others = catalogue.filter(({ group: it }) => it !== group('double-hem'));
  expect(new Set(others.map(({ group: it }) => it)).size).toBe(others.length);
});
