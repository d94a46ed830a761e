import { finishById } from '../finish/catalogue';
import type { SewingPlan } from '../finish/sewing-plan';
import { dialPositions, dialTravel } from '../kit/dial-steps';
import { judge } from './judge';
import { setUpOf } from './set-up-of';
import { startingSetting } from './starting-setting';
import { examplePlan } from './example.fixture';

const finish = (id: string) => {
  const found = finishById(id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};

/** A plan for a finish on the example's machine, with what differs. */
const planFor = (patch: Partial<SewingPlan>): SewingPlan => ({
  ...examplePlan,
  stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
  ...patch,
});

const solved = (id: string, plan: SewingPlan) => {
  const set = setUpOf(finish(id), plan);
  return { set, judged: judge(set, startingSetting(finish(id), plan, set)) };
};

/** Φ by the error function's series and continued tail, written apart from the engine's own. */
function phi(z: number): number {
  if (z === Infinity) return 1;
  if (z === -Infinity) return 0;
  // Simpson's rule over the density, from far left.
  const [from, n] = [-9, 4000];
  if (z <= from) return 0;
  const h = (Math.min(z, 9) - from) / n;
  const density = (x: number) => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
  let sum = density(from) + density(from + n * h);
  for (let i = 1; i < n; i++) sum += density(from + i * h) * (i % 2 === 1 ? 4 : 2);
  return (sum * h) / 3;
}

/** σ by the rule, on the example's cloth unless another is given. */
const sigma = (baseMm: number, { cloth, edge, skill }: SewingPlan) =>
  baseMm *
  (1 + 0.2 * cloth.slip) *
  (1 + cloth.stretchPercent / 200) *
  (1 + (edge.minRadiusMm === null ? 0 : Math.min(1, 40 / edge.minRadiusMm))) *
  skill;

/** The chance that a normal value stays within its bounds. */
const within = (v: number, lo: number, hi: number, s: number) =>
  phi((hi - v) / s) - phi((lo - v) / s);

const zigzag = { pattern: 'zigzag', anchor: 'centre', runStitches: 1 } as const;
const bar = { slotMm: [-4, 4], guidance: 'bar', guide: { atMm: 2 } } as const;

describe('the chance of a setting, by the table', () => {
  test.each([0, 1, 2, 3] as const)('overcast with fray %i', (fray) => {
    const plan = planFor({
      cloth: { ...examplePlan.cloth, fray, slip: 1 },
      edge: { lengthMm: 900, minRadiusMm: 80 },
      fold: { variant: 'zigzag' },
      foot: bar,
      stitch: zigzag,
    });
    const { judged } = solved('overcast', plan);
    const { widthMm: w, needlePositionMm: p } = judged.settings;
    const s = sigma(0.25, plan);
    const grip = [1.5, 2, 2.8, 3.5][fray]!;
    // Drift to the right shortens the overhang and deepens the grip.
    const most = p + w / 2 - 2 + 0.2;
    const least = Math.max(p + w / 2 - 2 - 1, grip - (2 - (p - w / 2)));
    expect(judged.chance).toBeCloseTo(phi(most / s) - phi(least / s), 6);
    expect(judged.settings.lengthMm).toBe(1.5);
  });

  test.each([
    ['single-hem', { variant: 'overcast', depthMm: 25 }],
    ['double-hem', { variant: 'narrow', depthMm: 20, turnMm: 8 }],
    ['jeans-hem', { variant: 'equal', depthMm: 13 }],
    ['wide-hem', { variant: 'hand', depthMm: 20, turnMm: 6 }],
  ])('%s catches its inner edge', (id, fold) => {
    const plan = planFor({
      fold,
      foot: { slotMm: [-3, 3], guidance: 'mark', guide: { atMm: -1 } },
    });
    const { judged } = solved(id, plan);
    const distance = judged.settings.needlePositionMm + 1;
    expect(judged.chance).toBeCloseTo(within(distance, 1, 3.5, sigma(0.4, plan)), 6);
    expect(distance).toBe(2);
    expect(judged.settings.widthMm).toBe(0);
  });

  test('a hem along a guide on the bed is held by its hemline', () => {
    const plan = planFor({
      fold: { variant: 'equal', depthMm: 20 },
      foot: { slotMm: [-3, 3], guidance: 'bed', guide: { rangeMm: [6, 40], stepMm: 0.5 } },
    });
    const { judged } = solved('double-hem', plan);
    const { guideMm, needlePositionMm } = judged.settings;
    const distance = 20 - (guideMm - needlePositionMm);
    expect(judged.chance).toBeCloseTo(within(distance, 1, 3.5, sigma(0.35, plan)), 6);
    expect(judged.chance).toBeGreaterThan(0.99);
    expect(finish('double-hem').margin('equal')!.references(plan, judged.settings)[0].name).toBe(
      'hemline',
    );
  });

  test('a bar too far right for the inner fold turns the work round', () => {
    const plan = planFor({
      fold: { variant: 'equal', depthMm: 20 },
      foot: { slotMm: [-1.5, 1.5], guidance: 'bar', guide: { atMm: 2 } },
    });
    const { judged } = solved('double-hem', plan);
    const distance = 2 - judged.settings.needlePositionMm;
    expect(judged.checks[0]?.v0Mm).toBeCloseTo(distance, 9);
    expect(judged.chance).toBeCloseTo(within(distance, 1, 3.5, sigma(0.25, plan)), 6);
    // Drift to the right widens it now.
    expect(judged.checks[0]?.k).toBe(1);
  });

  test.each([2, 3, 4, 6])('a hemmer of %i mm is a matter of feeding', (channelMm) => {
    const plan = planFor({ fold: { variant: 'straight', channelMm } });
    const { judged } = solved('rolled-hem', plan);
    const c = channelMm;
    expect(judged.chance).toBeCloseTo(within(2.15 * c, 1.8 * c, 2.5 * c, sigma(0.45, plan)), 6);
    expect(judged.margins[0]).toMatchObject({
      source: 'feed',
      leftFault: 'escapes',
      rightFault: 'crams',
    });
    expect(judged.settings).toMatchObject({ widthMm: 0, needlePositionMm: 0 });
  });

  test('a zigzag over the roll is ruled to span it', () => {
    const plan = planFor({ fold: { variant: 'zigzag', channelMm: 3 }, stitch: zigzag });
    expect(solved('rolled-hem', plan).judged.settings).toMatchObject({
      widthMm: 3,
      lengthMm: 1.5,
    });
  });

  test('a wide hemmer needs most of its turn-under', () => {
    const plan = planFor({ fold: { variant: 'hemmer', depthMm: 20, turnMm: 6 } });
    const { judged } = solved('wide-hem', plan);
    expect(judged.chance).toBeCloseTo(within(6, 0.65 * 6, 1.5 * 6, sigma(0.45, plan)), 6);
  });

  test.each([
    ['by hand', undefined, 0.5],
    ['in a binder', { wrap: 'binder' }, 0.3],
  ] as const)('a binding wrapped %s: front and back multiply', (_, aids, base) => {
    const plan = planFor({
      fold: { variant: 'double-fold', depthMm: 8, extensionMm: 1.5 },
      foot: { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: -1 } },
      aids,
    });
    const { judged } = solved('bound', plan);
    const front = judged.settings.needlePositionMm + 1;
    const chance =
      within(front, 0.7, 4, sigma(0.4, plan)) *
      within(front + 1.5, 0.7, Infinity, sigma(base, plan));
    expect(judged.chance).toBeCloseTo(chance, 6);
    expect(judged.margins.map(({ source }) => source)).toEqual(['guide', 'wrap']);
  });

  test('a shell swings 2.5 to 4.5 over the fold', () => {
    const stitch = { pattern: 'shell', anchor: 'centre', runStitches: 3 } as const;
    const plan = planFor({
      fold: { variant: 'folded' },
      foot: { slotMm: [-4.5, 4.5], guidance: 'mark', guide: { atMm: -1 } },
      stitch,
    });
    const { judged } = solved('shell-edge', plan);
    const { widthMm: w, needlePositionMm: p } = judged.settings;
    expect(judged.chance).toBeCloseTo(within(p + w / 2 + 1, 2.5, 4.5, sigma(0.4, plan)), 6);
    // A blind stitch swings the other way, and the cloth lies mirrored.
    const other = planFor({
      ...plan,
      stitch: { ...stitch, pattern: 'blind-woven' },
      foot: { ...plan.foot, guide: { atMm: 1 } },
    });
    const mirrored = solved('shell-edge', other).judged;
    expect(mirrored.chance).toBeCloseTo(judged.chance, 9);
    expect(mirrored.settings.needlePositionMm).toBeCloseTo(-p, 9);
  });

  test('a kept hem is sewn in the ditch', () => {
    const plan = planFor({
      fold: { variant: 'seams', shortenMm: 40 },
      foot: { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: -0.5 } },
    });
    const { judged } = solved('kept-hem', plan);
    const v = judged.settings.needlePositionMm + 0.5;
    expect(judged.chance).toBeCloseTo(within(v, 0.1, 1.2, sigma(0.4, plan)), 6);
    expect(v).toBe(0.5);
  });

  test.each([
    [undefined, 0.5],
    [{ press: 'template' }, 0.3],
  ] as const)('a French seam shuts its first allowance in, %j', (aids, base) => {
    const plan = planFor({
      fold: { variant: 'plain', seamAllowanceMm: 15, secondPassMm: 6 },
      aids,
    });
    const { judged } = solved('french-seam', plan);
    // First pass 15 − 6 − 1.2 = 7.8, trimmed to 4: 2 mm of room.
    expect(judged.chance).toBeCloseTo(within(2, 1, Infinity, sigma(base, plan)), 6);
    expect(judged.margins[0]?.rightFault).toBeNull();
  });

  test.each([
    ['an edge alone', undefined, 1],
    ['a seam, whose layers creep', 'seam', 2],
  ] as const)('the knife takes a − c of %s', (_, purpose, layers) => {
    const plan = planFor({
      cloth: { ...examplePlan.cloth, slip: 3 },
      edge: { ...examplePlan.edge, purpose },
      fold: { variant: 'four-thread', seamAllowanceMm: 8, depthMm: 6 },
      machine: { ...examplePlan.machine, kind: 'overlocker', needleRangeMm: [0, 0] },
      foot: { slotMm: [-8, 8], guidance: 'mark', guide: { atMm: 0 } },
      stitch: { pattern: 'overedge-four', anchor: 'centre', runStitches: 1 },
    });
    const { judged } = solved('serged', plan);
    const s = Math.hypot(sigma(0.4, plan), 0.1 * 3 * Math.sqrt(layers - 1));
    // 8 − 6 = 2: it may come 1.7 nearer; a seam may lie 1.5 off its line.
    const [lo, hi] = purpose === 'seam' ? [-1.5, 1.5] : [-1.7, 6];
    expect(judged.chance).toBeCloseTo(within(0, lo, hi, s), 6);
    expect(judged.checks.map(({ name }) => name)).toEqual(
      purpose === 'seam' ? ['trim', 'seam-line'] : ['trim'],
    );
  });

  test.each([
    ['narrow', 'cover-left', 3],
    ['wide', 'cover-wide', 6],
  ] as const)(
    'a coverstitched hem keeps its raw edge between a %s pair',
    (variant, pattern, gap) => {
      const plan = planFor({
        fold: { variant, depthMm: 25 },
        machine: {
          ...examplePlan.machine,
          ...{ kind: 'coverstitch', maxWidthMm: 6, needleRangeMm: [0, 0] },
        },
        foot: { slotMm: [-8, 8], guidance: 'mark', guide: { rangeMm: [2, 80], stepMm: 0.5 } },
        stitch: { pattern, anchor: 'centre', runStitches: 1 },
      });
      const { judged } = solved('coverstitch-hem', plan);
      const d = (variant === 'wide' ? 3 : 0) + 25 - judged.settings.guideMm;
      expect(judged.chance).toBeCloseTo(within(d, 0.3, gap - 0.3, sigma(0.4, plan)), 6);
      expect(Math.abs(d - gap / 2)).toBeLessThanOrEqual(0.5);
    },
  );

  test('the five layers of a binding creep apart on cloth that slides', () => {
    const plan = planFor({
      cloth: { ...examplePlan.cloth, slip: 3 },
      fold: { variant: 'double-fold', depthMm: 8 },
      foot: { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: -1 } },
    });
    const { judged } = solved('bound', plan);
    const front = judged.settings.needlePositionMm + 1;
    const wrap = Math.hypot(sigma(0.5, plan), 0.1 * 3 * 2);
    expect(judged.chance).toBeCloseTo(
      within(front, 0.7, 4, sigma(0.4, plan)) * within(front, 0.7, Infinity, wrap),
      6,
    );
  });

  test('fold-over elastic is zigzagged on, both ends of the swing on the elastic', () => {
    const plan = planFor({
      cloth: { ...examplePlan.cloth, construction: 'knit', stretchPercent: 40 },
      fold: { variant: 'fold-over-elastic', depthMm: 10 },
      foot: { slotMm: [-4.5, 4.5], guidance: 'edge', guide: { atMm: -2 } },
      stitch: zigzag,
    });
    const { judged } = solved('bound', plan);
    expect(judged.settings.widthMm).toBe(3);
    const near = judged.settings.needlePositionMm + 2 - 1.5;
    const wrap = sigma(0.5, plan);
    expect(judged.chance).toBeCloseTo(
      within(near, 0.7, 10 - 3 - 0.7, sigma(0.4, plan)) * within(near, 0.7, Infinity, wrap),
      6,
    );
  });

  test.each([
    ['twin-needle', { pattern: 'straight', anchor: 'centre', runStitches: 1 }, 1.25],
    ['zigzag', zigzag, 1.25],
    ['three-step', { ...zigzag, pattern: 'three-step' }, 2],
  ] as const)('a single hem held by %s: the nearest hole catches', (variant, stitch, half) => {
    const plan = planFor({
      fold: { variant, depthMm: 25 },
      stitch,
      foot: { slotMm: [-4.5, 4.5], guidance: 'edge', guide: { atMm: -2 } },
    });
    const { judged } = solved('single-hem', plan);
    const near = judged.settings.needlePositionMm + 2 - half;
    expect(judged.checks[0]?.v0Mm).toBeCloseTo(near, 9);
    expect(judged.chance).toBeCloseTo(within(near, 1, 3.5, sigma(0.4, plan)), 6);
  });

  test('a tacking attachment carries the fold, and its guide is the dial', () => {
    const plan = planFor({
      fold: { variant: 'tacked', depthMm: 40, extensionMm: 8 },
      machine: { ...examplePlan.machine, kind: 'straight-stitch', maxWidthMm: 0 },
      foot: { slotMm: [-1, 1], guidance: 'blade', guide: { rangeMm: [-4, 0] } },
      stitch: { pattern: 'tacking', anchor: 'centre', runStitches: 6 },
    });
    const { judged } = solved('blind-hem', plan);
    const { guideMm: g, needlePositionMm: p, lengthMm } = judged.settings;
    const s = sigma(0.2, plan);
    // Bite x_g − p + 3 + ε within 0.2 … t + 0.5; run p − x_g − ε within 0.8 … 6.5.
    const right = Math.min(0.6 + 0.5 - (g - p + 3), p - g - 0.8);
    const left = Math.max(0.2 - (g - p + 3), p - g - 6.5);
    expect(judged.chance).toBeCloseTo(phi(right / s) - phi(left / s), 6);
    expect(lengthMm).toBe(2.2);
  });
});

describe('the returned setting is the true optimum', () => {
  const cases: readonly (readonly [string, Partial<SewingPlan>])[] = [
    [
      'overcast',
      { fold: { variant: 'woven' }, foot: bar, stitch: { ...zigzag, pattern: 'overcast-woven' } },
    ],
    [
      'overcast',
      {
        fold: { variant: 'stretch' },
        foot: bar,
        stitch: { ...zigzag, pattern: 'three-step', anchor: 'right' },
      },
    ],
    [
      'shell-edge',
      { fold: { variant: 'rolled' }, stitch: { pattern: 'shell', anchor: 'left', runStitches: 4 } },
    ],
    ['double-hem', { fold: { variant: 'equal', depthMm: 20 } }],
    ['bound', { fold: { variant: 'single-fold', depthMm: 6 } }],
    ['kept-hem', { fold: { variant: 'fused', shortenMm: 30 } }],
    ['rolled-hem', { fold: { variant: 'imitation', turnMm: 6 }, foot: bar, stitch: zigzag }],
  ];
  test.each(cases)('%s with %j', (id, patch) => {
    const plan = planFor(patch);
    const { set, judged } = solved(id, plan);
    const positions = (dial: 'width' | 'needlePosition' | 'guide') =>
      dialPositions(dialTravel(dial, plan.machine, plan.foot.guide));
    const ruled = set.ruledWidthMm ?? null;
    const all = positions('needlePosition').flatMap((needlePositionMm) =>
      (ruled === null ? positions('width') : [ruled]).flatMap((widthMm) =>
        positions('guide').map((guideMm) =>
          judge(set, { needlePositionMm, widthMm, guideMm, lengthMm: 2 }),
        ),
      ),
    );
    const best = Math.max(...all.filter(({ blocked }) => !blocked).map(({ chance }) => chance));
    expect(judged.blocked).toBe(false);
    expect(judged.chance).toBeGreaterThanOrEqual(best - 0.002 - 1e-12);
    const tied = all.filter(({ blocked, chance }) => !blocked && chance >= best - 0.002 + 1e-12);
    const nearest = Math.min(...tied.map(({ settings }) => Math.abs(settings.needlePositionMm)));
    expect(Math.abs(judged.settings.needlePositionMm)).toBeLessThanOrEqual(nearest + 1e-9);
  });
});
