import fc from 'fast-check';
import { catalogue, finishById } from '../finish/catalogue';
import { startingWish } from '../finish/wishes.fixture';
import { genericMachines } from '../kit/generic-machines';
import { machineKinds, patternsOf } from '../kit/machine';
import { examplePlan } from '../plan/example.fixture';
import { causeTable } from './causes';
import { diagnose } from './diagnose';
import { dialIds, dialsOf, type DialId, type Direction } from './move';
import type { Situation } from './situation';
import { symptomIds, symptoms, symptomsOf, type SymptomId } from './symptom';

const woven = examplePlan.cloth;
const knit = { ...woven, construction: 'knit', stretchPercent: 45, fray: 0 } as const;
const sheer = {
  ...woven,
  construction: 'sheer',
  weightGsm: 45,
  thicknessMm: 0.12,
  slip: 3,
} as const;
const heavy = { ...woven, weightGsm: 420, thicknessMm: 0.9 } as const;

/** Something sewn: a finish on the first machine and foot it asks for. */
function sewn(finishId: string, variant: string, patch: Partial<Situation> = {}): Situation {
  const finish = finishById(finishId)!;
  if (!finish.variants.some(({ id }) => id === variant)) throw new Error(`No ${variant}.`);
  const { machineKinds: kinds, feet, patterns } = finish.needs(variant);
  const machine = genericMachines[kinds[0] ?? 'lockstitch'];
  return {
    finish,
    variant,
    cloth: woven,
    machine,
    foot: { kind: feet[0] ?? 'zigzag', guide: { rangeMm: [-3, 1], stepMm: 0.25 } },
    stitch: {
      pattern: patterns.find((one) => patternsOf(machine).includes(one)) ?? 'straight',
      anchor: 'right',
      runStitches: 5,
    },
    edge: { closed: false, curved: false, crossed: false },
    ...patch,
  };
}
const everywhere = { closed: true, curved: true, crossed: true };

/** Every variant on every kind of machine it can be sewn on, on the worst of edges. */
const situations = catalogue.flatMap((finish) =>
  finish.variants.flatMap(({ id }) => {
    const { machineKinds: kinds, feet } = finish.needs(id);
    return (kinds.length > 0 ? kinds : machineKinds.slice(0, 1)).flatMap((kind) =>
      (feet.length > 0 ? feet : (['zigzag'] as const)).map((foot): [string, Situation] => [
        `${finish.id}, ${id}, ${kind}, ${foot}`,
        sewn(finish.id, id, {
          machine: genericMachines[kind],
          foot: { kind: foot, guide: { atMm: 0 } },
          edge: everywhere,
        }),
      ]),
    );
  }),
);

test('every symptom has its causes, and can occur somewhere', () => {
  expect(Object.keys(causeTable).sort()).toEqual([...symptomIds].sort());
  const met = new Set(situations.flatMap(([, it]) => symptomsOf(it).map(({ id }) => id)));
  expect([...met].sort()).toEqual([...symptomIds].sort());
});

test.each(situations)(
  '%s: every symptom that can occur has a cause with a dial it has',
  (_, it) => {
    const dials = dialsOf(it);
    for (const { id } of symptomsOf(it)) {
      const moves = diagnose(it, [id]);
      expect(moves.length).toBeGreaterThan(0);
      for (const { dial } of moves) expect(dials).toContain(dial);
      expect(moves.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    }
  },
);

test('symptoms and causes are said in sentences, and no dial is unused', () => {
  for (const { name, look } of symptoms) {
    expect(name).toMatch(/^[A-Z].*[^.]$/);
    expect(look).toMatch(/^[A-Z].*\.$/);
  }
  const causes = Object.values(causeTable).flat();
  for (const { reason, expect: hoped } of causes) {
    expect(reason).toMatch(/^[A-Z].*\.$/);
    expect(hoped).toMatch(/^[A-Z].*\.$/);
  }
  expect(new Set(causes.map(({ dial }) => dial)).size).toBe(dialIds.length);
});

type Case = readonly [
  seen: readonly SymptomId[],
  on: Situation,
  dial: DialId,
  direction: Direction,
  why: string,
];
const adjustable = { rangeMm: [-3, 1], stepMm: 0.25 } as const;
const fixed = { atMm: -1 } as const;
const blind = (patch: Partial<Situation> = {}) => sewn('blind-hem', 'flat', patch);
const hemmer = (patch: Partial<Situation> = {}) =>
  sewn('rolled-hem', 'straight', { foot: { kind: 'hemmer', guide: fixed }, ...patch });
const bound = (patch: Partial<Situation> = {}) => sewn('bound', 'double-fold', patch);

// One case a line, with the craft's reason last.
// oxfmt-ignore
const cases: readonly Case[] = [
  [['bite-missed'], blind({ foot: { kind: 'blind', guide: fixed } }), 'width', 'more', 'a fixed blade leaves the width'],
  [['bite-missed'], blind(), 'guide', 'right', 'a blade on a screw moves every bite alike'],
  [['bite-shows'], blind({ foot: { kind: 'blind', guide: fixed } }), 'width', 'less', 'too deep a swing'],
  [['bite-shows'], blind(), 'guide', 'left', 'the fold rides too close'],
  [['ridge'], blind({ cloth: heavy }), 'fold', 'less', 'thick cloth has one layer too many inside'],
  [['ridge'], blind(), 'iron', 'less', 'pressed through to the outside'],
  [['hem-tight'], sewn('double-hem', 'equal', { edge: everywhere }), 'fold', 'other', 'a leg tapers'],
  [['hem-full'], sewn('single-hem', 'serged', { edge: everywhere }), 'fold', 'less', 'a flare bears no deep hem'],
  [['crease-puckers'], sewn('double-hem', 'equal', { cloth: sheer }), 'length', 'more', 'fine cloth is crowded'],
  [['crooked'], sewn('jeans-hem', 'equal', { edge: everywhere }), 'fold', 'other', 'marked from one point'],
  [['whiskers'], sewn('serged', 'four-thread'), 'cuttingWidth', 'less', 'the knife leaves too much'],
  [['whiskers'], sewn('overcast', 'zigzag'), 'width', 'more', 'the swing stops short'],
  [['edge-tunnels'], sewn('serged', 'three-wide', { cloth: sheer }), 'looperTension', 'less', 'a tight looper draws in'],
  [['edge-tunnels'], sewn('overcast', 'zigzag', { cloth: sheer }), 'width', 'less', 'a wide swing folds thin cloth'],
  [['edge-waves'], sewn('serged', 'four-thread', { cloth: knit }), 'differential', 'more', 'the feed stretches a knit'],
  [['edge-waves'], sewn('single-hem', 'serged', { cloth: knit }), 'pressure', 'less', 'the foot pushes cloth on'],
  [['roll-runs-out'], hemmer(), 'hand', 'more', 'too little is fed'],
  [['roll-crams'], hemmer(), 'hand', 'less', 'too much is fed'],
  [['roll-crams'], hemmer({ cloth: heavy }), 'fold', 'other', 'the scroll is too small for it'],
  [['lump-in-scroll'], hemmer({ edge: everywhere }), 'fold', 'less', 'trim the seam before the edge'],
  [['back-missed'], bound(), 'fold', 'more', 'the back must be wider than the front'],
  [['strip-jams'], bound({ foot: { kind: 'binder-attachment', guide: fixed } }), 'fold', 'other', 'a strip of the stated width'],
  [['binding-wanders'], bound({ edge: everywhere }), 'hand', 'other', 'a curve is not pulled straight'],
  [['opening-small'], bound({ edge: everywhere }), 'fold', 'other', 'the allowance was left on'],
  [['ten-layers'], bound({ edge: everywhere }), 'fold', 'less', 'bind after the seam'],
  [['uneven-over-lump'], sewn('jeans-hem', 'equal', { edge: everywhere }), 'hand', 'other', 'a shim levels the foot'],
  [['skipped'], sewn('jeans-hem', 'equal', { cloth: heavy }), 'needle', 'more', 'a stronger needle through heavy cloth'],
  [['skipped'], sewn('single-hem', 'serged', { cloth: knit }), 'needle', 'other', 'a ball point for a knit'],
  [['needle-breaks'], sewn('jeans-hem', 'equal', { edge: everywhere }), 'needle', 'more', 'felled seams want a size up'],
  [['loops-show'], sewn('serged', 'four-thread'), 'looperTension', 'other', 'loopers meet at the edge'],
  [['loops-show'], sewn('double-hem', 'equal'), 'upperTension', 'less', 'the bobbin thread is pulled up'],
  [['bobbin-puckers'], sewn('double-hem', 'equal', { cloth: sheer }), 'bobbin', 'other', 'wound too fast'],
  [['start-chewed'], sewn('rolled-hem', 'straight', { cloth: sheer }), 'needle', 'less', 'a thick needle pushes fine cloth down'],
  [['ends-miss'], sewn('jeans-hem', 'equal', { edge: everywhere }), 'hand', 'other', 'keep to the guide to the end'],
  [['trimmed-too-soon'], sewn('kept-hem', 'seams'), 'fold', 'other', 'try on first'],
  [['shine'], sewn('double-hem', 'equal'), 'iron', 'less', 'a press cloth'],
  // Two symptoms with one cause put that cause first.
  [['bite-shows', 'ridge'], blind({ foot: { kind: 'blind', guide: fixed } }), 'upperTension', 'less', 'a tight thread makes both'],
  [['edge-waves', 'uneven-over-lump'], sewn('single-hem', 'serged', { cloth: knit, edge: everywhere }), 'length', 'more', 'a longer stitch helps both'],
];

test('at least thirty cases', () => expect(cases.length).toBeGreaterThanOrEqual(30));

test.each(cases)('%j: %#', (seen, on, dial, direction) => {
  const first = diagnose(on, seen)
    .slice(0, 2)
    .map((move) => `${move.dial} ${move.direction}`);
  expect(first).toContain(`${dial} ${direction}`);
});

describe('the moves agree with the margin', () => {
  /** What a check says of a dial: which way its value rises. */
  const slope = (finishId: string, variant: string, name: string, patch: object) => {
    const finish = finishById(finishId)!;
    const plan = { ...examplePlan, fold: startingWish(finish, variant), ...patch };
    const check = finish
      .margin(variant)!
      .checks(plan)
      .find((one) => one.name === name)!;
    return check.v0;
  };
  test.each([
    ['bite-missed', 'blind-hem', 'flat', 'bite', +1, {}],
    ['bite-shows', 'blind-hem', 'flat', 'bite', -1, {}],
    [
      'whiskers',
      'overcast',
      'zigzag',
      'overhang',
      +1,
      { stitch: { pattern: 'zigzag', anchor: 'centre', runStitches: 1 } },
    ],
    [
      'edge-tunnels',
      'overcast',
      'zigzag',
      'overhang',
      -1,
      { stitch: { pattern: 'zigzag', anchor: 'centre', runStitches: 1 } },
    ],
  ] as const)('%s', (symptom, finishId, variant, name, way, patch) => {
    const v0 = slope(finishId, variant, name, patch);
    const on = sewn(finishId, variant);
    for (const { dial, direction } of diagnose(on, [symptom])) {
      if (dial !== 'width' && dial !== 'guide' && dial !== 'needlePosition') continue;
      const up = direction === 'more' || direction === 'right' ? 1 : -1;
      expect([dial, Math.sign(v0[dial] * up)]).toEqual([dial, way]);
    }
  });
  test('a mirrored stitch turns left and right about, and nothing else', () => {
    const plain = diagnose(blind(), ['bite-missed']);
    const { stitch } = blind();
    const mirrored = diagnose(blind({ stitch: { ...stitch, mirror: true } }), ['bite-missed']);
    const of = (moves: typeof plain, dial: DialId) =>
      moves.find((move) => move.dial === dial)?.direction;
    expect([of(plain, 'guide'), of(mirrored, 'guide')]).toEqual(['right', 'left']);
    expect([of(plain, 'width'), of(mirrored, 'width')]).toEqual(['more', 'more']);
  });
});

describe('votes', () => {
  const possible = symptomsOf(blind({ edge: everywhere })).map(({ id }) => id);
  test('shares add up to one, whatever was seen, and order does not matter', () => {
    fc.assert(
      fc.property(fc.subarray(possible, { minLength: 1 }), (seen) => {
        const on = blind({ edge: everywhere });
        const moves = diagnose(on, seen);
        expect(moves.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        const turned = diagnose(on, [...seen].reverse());
        const shares = (some: typeof moves) =>
          Object.fromEntries(some.map((it) => [`${it.dial} ${it.direction}`, it.share.toFixed(9)]));
        expect(shares(turned)).toEqual(shares(moves));
        expect(shares(diagnose(on, [...seen, ...seen]))).toEqual(shares(moves));
      }),
    );
  });
  test('a step is one of the machine’s own', () => {
    const [move] = diagnose(blind({ foot: { kind: 'blind', guide: fixed } }), ['bite-missed']);
    expect(move).toMatchObject({ dial: 'width', stepMm: genericMachines.lockstitch.widthStepMm });
    const guide = diagnose(blind({ foot: { kind: 'blind', guide: adjustable } }), ['bite-missed']);
    expect(guide.find(({ dial }) => dial === 'guide')!.stepMm).toBe(0.25);
  });
  test('nothing seen, nothing to move', () => {
    expect(diagnose(blind(), [])).toEqual([]);
  });
  test('a symptom that cannot occur is refused by its name', () => {
    expect(() => diagnose(blind(), ['bite-missed', 'roll-crams'])).toThrow(
      expect.objectContaining({
        issues: [
          {
            path: 'symptoms.1',
            message: '“The roll crams the scroll” cannot happen with this finish and set-up.',
          },
        ],
      }),
    );
  });
});
