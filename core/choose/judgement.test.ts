import { catalogue } from '../finish/catalogue';
import { cloths, clothOf, edgeOf, evenWishes, fullKit, plainKit } from './cases.fixture';
import { rank } from './rank';
import { presets, type ChooseRequest } from './request';

const wishes = (name: string) => presets.find((preset) => preset.name === name)!.wishes;
const [unseen, lasting, light, tonight, shown] = [
  wishes('A hem nobody sees'),
  wishes('One that lasts'),
  wishes('Light as the cloth'),
  wishes('Done tonight'),
  wishes('To be looked at'),
];

const felled = [{ kind: 'felled', atMm: 0, widthMm: 12 }] as const;
const leg = edgeOf({ shape: 'tube', lengthMm: 420, crossings: felled });
const neck = edgeOf({ shape: 'inside-curve', lengthMm: 508, minRadiusMm: 40 });
const circle = edgeOf({ shape: 'circle', lengthMm: 1130 });
const flared = edgeOf({ shape: 'outside-curve', lengthMm: 2400, minRadiusMm: 700 });

interface Case {
  readonly why: string;
  readonly request: Partial<ChooseRequest>;
  /** One of these, as `finish` or `finish.variant`, is in the first three. */
  readonly among?: readonly string[];
  /** The very first is one of these. */
  readonly first?: readonly string[];
  /** None of these is in the first three. */
  readonly notAmong?: readonly string[];
  /** All variants of these are ruled out. */
  readonly out?: readonly string[];
}

const { sheer, flannel, twill, shirting, linen, jersey, ponte, felt, plush, lawn } = cloths;

/** Judgements of the craft, each with its reason. */
const cases: readonly Case[] = [
  {
    why: 'sheer shows a blind bite at once',
    request: { cloth: sheer },
    among: ['rolled-hem', 'french-seam', 'serged-rolled'],
    notAmong: ['blind-hem'],
  },
  {
    why: 'nor is it hidden when hiding is all one wants',
    request: { cloth: sheer, wishes: unseen },
    among: ['rolled-hem', 'french-seam', 'serged-rolled'],
    notAmong: ['blind-hem'],
  },
  {
    why: 'a wide fold creeps in slippery cloth',
    request: { cloth: sheer, wishes: lasting },
    notAmong: ['double-hem', 'wide-hem', 'single-hem'],
  },
  {
    why: 'light cloth wants a light edge',
    request: { cloth: sheer, wishes: light },
    among: ['rolled-hem', 'serged-rolled'],
  },
  {
    why: 'thick flannel swallows a bite',
    request: { cloth: flannel, wishes: unseen },
    first: ['blind-hem.flat'],
  },
  {
    why: 'a turned-in edge prints through thick flannel',
    request: { cloth: flannel, wishes: unseen },
    notAmong: ['blind-hem.enclosed'],
  },
  {
    why: 'a scroll does not take flannel',
    request: { cloth: flannel },
    out: ['rolled-hem', 'serged-rolled'],
  },
  { why: 'a French seam in flannel is a rope', request: { cloth: flannel }, out: ['french-seam'] },
  {
    why: 'twelve layers of twill do not pass under the foot',
    request: { cloth: twill, edge: leg, wishes: lasting },
    out: ['double-hem', 'jeans-hem'],
    among: ['single-hem', 'bound'],
  },
  {
    why: 'without felled seams a double fold of twill passes',
    request: { cloth: twill, edge: edgeOf({ shape: 'tube', lengthMm: 420 }), wishes: lasting },
    among: ['double-hem', 'jeans-hem', 'wide-hem'],
  },
  {
    why: 'with a higher lift it passes again',
    request: {
      cloth: twill,
      edge: leg,
      wishes: lasting,
      kit: { ...fullKit, machines: fullKit.machines.map((it) => ({ ...it, presserLiftMm: 9 })) },
    },
    among: ['double-hem', 'jeans-hem', 'wide-hem'],
  },
  {
    why: 'thin shirting over felled seams still passes',
    request: { cloth: shirting, edge: leg, wishes: lasting },
    among: ['double-hem', 'wide-hem'],
  },
  {
    why: 'a full circle is too full for a deep hem',
    request: { cloth: shirting, edge: { ...circle, depthMm: 40 } },
    out: ['blind-hem', 'single-hem', 'double-hem', 'wide-hem'],
    among: ['bound', 'rolled-hem', 'serged-rolled'],
  },
  {
    why: 'nor a deep hem by default',
    request: { cloth: shirting, edge: circle },
    among: ['bound', 'rolled-hem'],
  },
  {
    why: 'a circle of sheer is rolled',
    request: { cloth: sheer, edge: circle, wishes: light },
    among: ['rolled-hem', 'serged-rolled'],
  },
  {
    why: 'a gentle flare takes a hem that is not deep',
    request: { cloth: shirting, edge: flared, wishes: unseen },
    among: ['blind-hem'],
  },
  {
    why: 'but not one of 60 mm',
    request: { cloth: shirting, edge: { ...flared, depthMm: 60 } },
    out: ['blind-hem', 'double-hem'],
  },
  {
    why: 'a tight neck is bound on the bias',
    request: { cloth: shirting, edge: neck },
    first: ['bound.single-fold', 'bound.double-fold'],
  },
  {
    why: 'a scroll does not go round a neck',
    request: { cloth: shirting, edge: neck },
    out: ['wide-hem', 'blind-hem'],
    notAmong: ['rolled-hem.straight', 'rolled-hem.zigzag'],
  },
  {
    why: 'nor round an armhole of lawn',
    request: { cloth: lawn, edge: edgeOf({ shape: 'inside-curve', lengthMm: 420 }) },
    among: ['bound'],
    notAmong: ['rolled-hem.straight'],
  },
  {
    why: 'a neck of linen is bound too',
    request: { cloth: linen, edge: neck, wishes: lasting },
    first: ['bound.single-fold', 'bound.double-fold'],
  },
  {
    why: 'a straight stitch breaks in jersey',
    request: { cloth: jersey },
    out: ['double-hem', 'single-hem', 'jeans-hem', 'french-seam'],
  },
  {
    why: 'a knit edge gets a stitch or a binding that stretches',
    request: { cloth: jersey },
    among: [
      'blind-hem',
      'bound.knit-strip',
      'bound.fold-over-elastic',
      'overcast.stretch',
      'serged',
    ],
  },
  {
    why: 'a knit neck gets a binding that stretches',
    request: { cloth: jersey, edge: neck },
    among: ['bound.knit-strip', 'bound.fold-over-elastic'],
  },
  {
    why: 'ponte is firm, and still no straight stitch',
    request: { cloth: ponte },
    out: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'without a coverstitch a knit is hemmed with the stretching blind stitch',
    request: { cloth: ponte, kit: plainKit, wishes: unseen },
    first: ['blind-hem.flat', 'blind-hem.deep'],
  },
  {
    why: 'without an overlocker nothing is serged',
    request: { cloth: linen, kit: plainKit },
    out: ['serged', 'serged-rolled', 'single-hem.serged'],
  },
  {
    why: 'the overcast family stands in for it',
    request: { cloth: linen, kit: plainKit, wishes: tonight },
    among: ['overcast', 'single-hem.overcast', 'wide-hem', 'double-hem'],
  },
  { why: 'a fraying cloth is never left pinked', request: { cloth: linen }, out: ['pinked'] },
  {
    why: 'not even in a hurry',
    request: { cloth: clothOf({ fray: 3 }), wishes: tonight },
    out: ['pinked'],
  },
  {
    why: 'felt can be pinked',
    request: { cloth: felt, wishes: tonight },
    among: ['pinked', 'overcast', 'serged'],
  },
  {
    why: 'fringe on cloth that frays badly pulls out',
    request: { cloth: linen, wishes: shown },
    out: ['fringe'],
  },
  {
    why: 'a baby pulls a fringe off',
    request: { cloth: plush, edge: edgeOf({ forChild: true }), wishes: shown },
    out: ['fringe'],
  },
  {
    why: 'a plush blanket is bound in satin',
    request: {
      cloth: plush,
      edge: edgeOf({ forChild: true, lengthMm: 3600, shape: 'cornered' }),
      wishes: shown,
    },
    first: ['bound.satin'],
  },
  {
    why: 'a shell draws no thick cloth in',
    request: { cloth: flannel, wishes: shown },
    out: ['shell-edge'],
  },
  {
    why: 'a lawn flounce may have shells',
    request: { cloth: lawn, wishes: shown },
    among: ['shell-edge', 'fringe', 'bound'],
  },
  {
    why: 'a jeans hem is heavy on lawn',
    request: { cloth: lawn, wishes: lasting },
    notAmong: ['jeans-hem'],
  },
  {
    why: 'a factory hem that is not there cannot be kept',
    request: { cloth: twill },
    out: ['kept-hem'],
  },
  {
    why: 'one edge alone has no seam to join',
    request: { cloth: shirting, wishes: lasting },
    out: ['overcast.join', 'bound.seam-allowances'],
  },
  {
    why: 'a wide hemmer that is not in the drawer hems nothing',
    request: { cloth: shirting },
    out: ['wide-hem.hemmer', 'blind-hem.tacked'],
  },
  {
    why: 'a shirt hem that lasts is turned twice',
    request: { cloth: shirting, wishes: lasting },
    among: ['double-hem', 'wide-hem'],
  },
  {
    why: 'a skirt hem nobody sees is blind',
    request: { cloth: clothOf({ weightGsm: 240, thicknessMm: 0.6 }), wishes: unseen },
    first: ['blind-hem.flat', 'blind-hem.enclosed'],
  },
  {
    why: 'an elastic edge gathers firm cloth',
    request: { cloth: shirting },
    notAmong: ['bound.knit-strip', 'bound.fold-over-elastic'],
  },
  {
    why: 'an empty drawer sews nothing',
    request: { cloth: shirting, kit: { machines: [], feet: [] } },
    out: ['blind-hem', 'double-hem', 'bound', 'serged', 'overcast'],
  },
  {
    why: 'satin binding does not lie round a neck',
    request: { cloth: plush, edge: neck },
    out: ['bound.satin'],
  },
];

test('there are more than forty cases', () => {
  expect(cases.length).toBeGreaterThanOrEqual(40);
  expect(new Set(cases.map(({ why }) => why)).size).toBe(cases.length);
});

test.each(cases)('$why', ({ request, among, first, notAmong, out }) => {
  const { ranked, ruledOut } = rank(catalogue, {
    cloth: shirting,
    edge: edgeOf({}),
    kit: fullKit,
    wishes: evenWishes,
    ...request,
  });
  const named = (it: { finishId: string; variant: string }) => [
    it.finishId,
    `${it.finishId}.${it.variant}`,
  ];
  const three = ranked.slice(0, 3).flatMap(named);
  if (among) expect(among.filter((name) => three.includes(name))).not.toEqual([]);
  if (first) expect(first).toContain(named(ranked[0]!)[1]);
  if (notAmong) expect(notAmong.filter((name) => three.includes(name))).toEqual([]);
  const left = ranked.flatMap(named);
  if (out) expect(out.filter((name) => left.includes(name))).toEqual([]);
  for (const { hindrances } of ruledOut) expect(hindrances.length).toBeGreaterThan(0);
});
