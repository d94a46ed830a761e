import { genericCloth } from '../cloth/generic-cloths';
import type { Cloth } from '../cloth/cloth';
import { genericFeet } from '../kit/generic-feet';
import { genericMachines } from '../kit/generic-machines';
import type { MachineKind } from '../kit/machine';
import { cloths, clothOf, edgeOf, evenWishes } from './cases.fixture';
import { presets, type ChooseRequest, type ChosenEdge, type Wishes } from './request';

const preset = (name: string): Wishes => presets.find((it) => it.name === name)!.wishes;
const [unseen, lasting, light, tonight, shown] = [
  preset('A hem nobody sees'),
  preset('One that lasts'),
  preset('Light as the cloth'),
  preset('Done tonight'),
  preset('To be looked at'),
];

/** A plain kind of cloth as the sums take it. */
function kind(id: string): Cloth {
  const found = genericCloth(id);
  if (!found) throw new Error(`no plain kind ${id}`);
  const { construction, weightGsm, thicknessMm, stretchPercent, fray, curl, slip } = found;
  return { construction, weightGsm, thicknessMm, stretchPercent, fray, curl, slip };
}

/** Machines of these kinds, with a drawer of the plain feet; all of them when none are named. */
function kitOf(kinds: readonly MachineKind[], feet?: readonly string[]): ChooseRequest['kit'] {
  return {
    machines: kinds.map((it) => genericMachines[it]),
    feet: genericFeet
      .filter(({ id }) => feet?.includes(id) ?? true)
      .map(({ kind: footKind, channelMm, stripMm, specs }) => ({
        kind: footKind,
        ...{ channelMm, stripMm, specs },
      })),
  };
}

const fewFeet = ['zigzag-7', 'clear', 'straight', 'blind-fixed', 'overcast-flat'];
/** A zigzag machine and the feet that come with it. */
const home = kitOf(['lockstitch'], [...fewFeet, 'hemmer-2']);
/** The same with an overlocker beside it. */
const withOverlocker = kitOf(['lockstitch', 'overlocker']);
/** Every kind of machine and foot. */
const everything = kitOf(['lockstitch', 'straight-stitch', 'overlocker', 'coverstitch']);
/** A machine that sews straight and nothing else. */
const straightOnly = kitOf(['straight-stitch'], ['straight', 'quarter', 'hemmer-2', 'walking']);

const felled = [
  { kind: 'felled', atMm: 0, widthMm: 12 },
  { kind: 'felled', atMm: 210, widthMm: 12 },
] as const;
const leg = edgeOf({ shape: 'tube', lengthMm: 420 });
const jeansLeg = edgeOf({ shape: 'tube', lengthMm: 420, crossings: felled });
const neck = edgeOf({
  purpose: 'opening',
  shape: 'inside-curve',
  lengthMm: 508,
  minRadiusMm: 60,
});
const armhole = edgeOf({
  purpose: 'opening',
  shape: 'inside-curve',
  lengthMm: 440,
  minRadiusMm: 50,
});
const circle = edgeOf({ shape: 'circle', lengthMm: 3770 });
const shirtTail = edgeOf({ shape: 'outside-curve', lengthMm: 1100, minRadiusMm: 90 });
const scarf = edgeOf({ shape: 'cornered', lengthMm: 2000 });
const blanket = edgeOf({ shape: 'cornered', lengthMm: 3600 });
const skirt = edgeOf({ shape: 'tube', lengthMm: 1100 });
const seam = edgeOf({ purpose: 'seam', lengthMm: 900, seamAllowanceMm: 15 });
const allowance = edgeOf({ purpose: 'allowance', lengthMm: 700 });
const withOldHem = (edge: ChosenEdge, keepLook: boolean): ChosenEdge => ({
  ...edge,
  oldHem: { depthMm: 13, sewn: 'topstitched', keepLook },
});

/** One judgement on which most who sew agree. */
export interface Judgement {
  /** The reason of the craft. */
  readonly why: string;
  readonly request: Partial<ChooseRequest>;
  /** The construction that leads is one of these, as `finish` or `finish.variant`. */
  readonly first?: readonly string[];
  /** One of these is among the first three constructions. */
  readonly among?: readonly string[];
  /** None of these is among the first three constructions. */
  readonly notAmong?: readonly string[];
  /** All variants of these are ruled out. */
  readonly out?: readonly string[];
  /** None of these is ruled out. */
  readonly left?: readonly string[];
}

const hems: readonly Judgement[] = [
  {
    why: 'a circle skirt is hemmed narrow: nothing deep lies round it, and a seam is no hem',
    request: { cloth: kind('viscose'), edge: circle, kit: home },
    first: ['rolled-hem', 'double-hem', 'single-hem', 'bound'],
    out: ['french-seam', 'overcast'],
    notAmong: ['blind-hem'],
  },
  {
    why: 'a circle of lawn wants the lightest edge there is',
    request: { cloth: kind('lawn'), edge: circle, kit: withOverlocker, wishes: light },
    first: ['rolled-hem', 'serged-rolled'],
  },
  {
    why: 'a deep hem does not lie on a full circle, however much one wishes for it',
    request: {
      cloth: kind('shirting'),
      edge: { ...circle, lengthMm: 1130, depthMm: 40 },
      kit: home,
    },
    out: ['blind-hem', 'single-hem', 'double-hem'],
  },
  {
    why: 'dress trousers get a hem nobody sees',
    request: { cloth: kind('wool-suiting'), edge: leg, kit: home, wishes: unseen },
    first: ['blind-hem.flat'],
  },
  {
    why: 'dress trousers whose old hem came out still get a blind one',
    request: {
      cloth: kind('wool-suiting'),
      edge: { ...leg, depthMm: 40, oldHem: { depthMm: 40, sewn: 'chain', keepLook: false } },
      kit: withOverlocker,
      wishes: unseen,
    },
    first: ['blind-hem.flat', 'blind-hem.deep'],
    out: ['kept-hem'],
  },
  {
    why: 'jeans whose worn hem is to stay keep it',
    request: { cloth: kind('denim-heavy'), edge: withOldHem(jeansLeg, true), kit: home },
    first: ['kept-hem'],
  },
  {
    why: 'keeping the old hem leads on thin cloth too, where its look is to stay',
    request: {
      cloth: kind('twill'),
      edge: withOldHem(jeansLeg, true),
      kit: everything,
      wishes: tonight,
    },
    first: ['kept-hem'],
  },
  {
    why: 'twelve layers of denim are sewn every day, with a hammer and a shim',
    request: { cloth: kind('denim-heavy'), edge: jeansLeg, kit: home, wishes: lasting },
    left: ['double-hem', 'jeans-hem'],
    first: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'jeans get a new double fold, though nobody wished for anything',
    request: { cloth: kind('denim-heavy'), edge: jeansLeg, kit: home },
    first: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'firm knits are turned or bound: thread over a raw edge is no hem, though nothing frays',
    request: { cloth: kind('ponte'), edge: skirt, kit: everything },
    notAmong: ['overcast', 'serged'],
    first: ['coverstitch-hem', 'blind-hem', 'single-hem'],
  },
  {
    why: 'a suit’s skirt is not rolled: a narrow roll of it hangs as a cord',
    request: { cloth: kind('wool-suiting'), edge: skirt, kit: everything },
    first: ['double-hem', 'blind-hem', 'single-hem'],
    notAmong: ['rolled-hem'],
  },
  {
    why: 'a coverstitch is made for knits, and a stretching weave is no knit',
    request: { cloth: kind('stretch-twill'), edge: skirt, kit: everything },
    first: ['blind-hem', 'single-hem', 'double-hem'],
  },
  {
    why: 'twelve layers of twill pass as well',
    request: { cloth: cloths.twill, edge: jeansLeg, kit: home, wishes: lasting },
    left: ['double-hem.narrow', 'jeans-hem.narrow'],
    first: ['double-hem', 'jeans-hem', 'wide-hem'],
  },
  {
    why: 'a coat of two millimetres is not folded twice over a felled seam',
    request: { cloth: kind('coating'), edge: jeansLeg, kit: home },
    out: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'a heavy coat is hemmed blind, flat, or bound',
    request: { cloth: kind('coating'), edge: skirt, kit: home, wishes: unseen },
    first: ['blind-hem.flat', 'blind-hem.deep'],
    notAmong: ['double-hem'],
  },
  {
    why: 'three layers of flannel print through',
    request: { cloth: kind('wool-flannel'), edge: skirt, kit: home, wishes: unseen },
    first: ['blind-hem.flat', 'blind-hem.deep'],
    notAmong: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'a turned-in edge prints through thick flannel',
    request: { cloth: cloths.flannel, edge: skirt, kit: home, wishes: unseen },
    out: ['blind-hem.enclosed'],
  },
  {
    why: 'a chiffon scarf is rolled, by foot or by overlocker',
    request: { cloth: kind('chiffon'), edge: scarf, kit: withOverlocker },
    first: ['rolled-hem', 'serged-rolled'],
    notAmong: ['blind-hem', 'double-hem.narrow', 'bound'],
  },
  {
    why: 'and by the foot where there is no overlocker',
    request: { cloth: kind('chiffon'), edge: scarf, kit: home },
    first: ['rolled-hem'],
    notAmong: ['bound', 'blind-hem'],
  },
  {
    why: 'five free layers creep in chiffon: a binding is no first choice',
    request: { cloth: kind('chiffon'), edge: scarf, kit: everything, wishes: lasting },
    notAmong: ['bound'],
  },
  {
    why: 'sheer cloth has no room for a blind bite',
    request: { cloth: cloths.sheer, kit: everything, wishes: unseen },
    notAmong: ['blind-hem'],
  },
  {
    why: 'organza shows every step inside: equal turns or a roll',
    request: { cloth: kind('organza'), edge: skirt, kit: home },
    first: ['rolled-hem', 'double-hem.equal'],
    notAmong: ['double-hem.narrow', 'blind-hem'],
  },
  {
    why: 'light silk is rolled',
    request: { cloth: kind('silk-habotai'), edge: scarf, kit: home, wishes: light },
    first: ['rolled-hem'],
  },
  {
    why: 'fourteen metres of voile ruffle are run through whatever runs fastest',
    request: {
      cloth: kind('muslin'),
      edge: edgeOf({ lengthMm: 14_000 }),
      kit: withOverlocker,
      wishes: tonight,
    },
    first: ['serged-rolled', 'rolled-hem'],
  },
  {
    why: 'a T-shirt is hemmed on the coverstitch where there is one',
    request: { cloth: kind('jersey'), edge: skirt, kit: everything },
    first: ['coverstitch-hem'],
  },
  {
    why: 'a T-shirt without a coverstitch gets two needles, or a zigzag in three steps',
    request: { cloth: kind('jersey'), edge: skirt, kit: home },
    first: ['single-hem.twin-needle', 'single-hem.three-step', 'single-hem.zigzag'],
    out: ['double-hem', 'single-hem.overcast', 'jeans-hem'],
  },
  {
    why: 'a knit that stretches by eighty breaks two needles’ threads, and not three steps',
    request: { cloth: kind('rib'), edge: skirt, kit: home },
    first: ['single-hem.three-step', 'single-hem.zigzag'],
    out: ['single-hem.twin-needle', 'double-hem'],
  },
  {
    why: 'a ponte skirt is hemmed blind with the stretching stitch when nobody is to see it',
    request: { cloth: kind('ponte'), edge: skirt, kit: home, wishes: unseen },
    first: ['blind-hem.flat', 'blind-hem.deep'],
    out: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'a knit that rolls is never left as cut',
    request: { cloth: kind('jersey'), edge: skirt, kit: everything, wishes: tonight },
    out: ['left-cut', 'pinked', 'overcast', 'serged'],
  },
  {
    why: 'stretch twill bears a straight stitch: eighteen percent across the leg',
    request: { cloth: kind('stretch-twill'), edge: leg, kit: home, wishes: lasting },
    left: ['double-hem', 'single-hem.overcast'],
  },
  {
    why: 'a felt bag’s edge needs nothing',
    request: { cloth: kind('felt'), edge: edgeOf({ lengthMm: 800, shape: 'cornered' }), kit: home },
    first: ['left-cut'],
    notAmong: ['double-hem'],
  },
  {
    why: 'felt may be pinked',
    request: { cloth: kind('felt'), kit: home, wishes: tonight },
    among: ['pinked', 'left-cut'],
  },
  {
    why: 'fleece is left as cut, or bound; folding it twice is a rope',
    request: { cloth: kind('fleece'), edge: blanket, kit: home },
    first: ['left-cut'],
    notAmong: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'net neither frays nor wants anything sewn to it',
    request: { cloth: kind('net'), edge: skirt, kit: home },
    first: ['left-cut'],
  },
  {
    why: 'boiled wool stands as it is cut',
    request: { cloth: kind('boiled-wool'), edge: skirt, kit: home },
    first: ['left-cut'],
    notAmong: ['double-hem'],
  },
  {
    why: 'linen frays too much to be left, pinked or only held',
    request: { cloth: kind('linen'), edge: skirt, kit: withOverlocker, wishes: tonight },
    out: ['left-cut', 'pinked', 'overcast', 'serged'],
  },
  {
    why: 'a linen napkin is turned twice',
    request: {
      cloth: kind('linen'),
      edge: edgeOf({ shape: 'cornered', lengthMm: 1800 }),
      kit: home,
      wishes: lasting,
    },
    first: ['double-hem', 'wide-hem'],
  },
  {
    why: 'a shirt tail is turned narrow, twice',
    request: { cloth: kind('shirting'), edge: shirtTail, kit: home, wishes: lasting },
    first: ['double-hem', 'wide-hem', 'rolled-hem'],
    left: ['double-hem'],
  },
  {
    why: 'a shirt hem that lasts is turned twice',
    request: { cloth: kind('poplin'), kit: home, wishes: lasting },
    first: ['double-hem', 'wide-hem'],
  },
  {
    why: 'a tote’s top edge of canvas is turned twice and stitched',
    request: {
      cloth: kind('canvas'),
      edge: edgeOf({ shape: 'tube', lengthMm: 760 }),
      kit: home,
      wishes: lasting,
    },
    first: ['double-hem', 'jeans-hem', 'wide-hem'],
  },
  {
    why: 'a curtain’s hem is deep, and turned twice or blind',
    request: {
      cloth: kind('linen-heavy'),
      edge: edgeOf({ lengthMm: 2800, depthMm: 80 }),
      kit: home,
    },
    first: ['double-hem', 'blind-hem', 'wide-hem'],
    notAmong: ['rolled-hem', 'bound'],
  },
  {
    why: 'a wished depth is what one gets',
    request: {
      cloth: kind('poplin'),
      edge: { ...skirt, depthMm: 50 },
      kit: home,
      wishes: unseen,
    },
    first: ['blind-hem'],
    notAmong: ['rolled-hem'],
  },
  {
    why: 'a machine that only sews straight turns the edge in twice; it zigzags nothing',
    request: { cloth: kind('poplin'), edge: skirt, kit: straightOnly },
    first: ['double-hem', 'wide-hem'],
    out: ['overcast', 'single-hem', 'blind-hem', 'rolled-hem.zigzag'],
  },
  {
    why: 'a plush blanket is bound in satin when it may be looked at',
    request: {
      cloth: cloths.plush,
      edge: { ...blanket, forChild: true },
      kit: everything,
      wishes: shown,
    },
    first: ['bound.satin'],
    out: ['fringe'],
  },
  {
    why: 'nobody gets satin, shells or fringe who did not ask for show',
    request: { cloth: cloths.plush, edge: blanket, kit: everything, wishes: lasting },
    notAmong: ['bound.satin', 'fringe', 'shell-edge'],
  },
  {
    why: 'nor a shell on a lawn hem',
    request: { cloth: kind('lawn'), edge: skirt, kit: everything },
    notAmong: ['shell-edge', 'fringe'],
  },
  {
    why: 'a lawn flounce to be looked at may have shells',
    request: { cloth: kind('lawn'), edge: skirt, kit: everything, wishes: shown },
    among: ['shell-edge', 'bound', 'serged-rolled'],
  },
  {
    why: 'a scroll does not take flannel',
    request: { cloth: cloths.flannel, kit: everything },
    out: ['rolled-hem', 'serged-rolled'],
  },
  {
    why: 'velvet is not pressed flat under a topstitch: blind, or bound',
    request: { cloth: kind('velveteen'), edge: skirt, kit: home, wishes: unseen },
    first: ['blind-hem.flat', 'blind-hem.deep'],
    notAmong: ['double-hem'],
  },
  {
    why: 'towelling folded twice is a rope',
    request: { cloth: kind('terry'), edge: blanket, kit: home },
    notAmong: ['double-hem', 'jeans-hem'],
  },
  {
    why: 'a jeans hem is heavy on lawn',
    request: { cloth: kind('lawn'), kit: home, wishes: lasting },
    notAmong: ['jeans-hem'],
  },
  {
    why: 'a gentle flare takes a hem that is not deep',
    request: {
      cloth: kind('shirting'),
      edge: edgeOf({ shape: 'outside-curve', lengthMm: 2400, minRadiusMm: 700 }),
      kit: home,
      wishes: unseen,
    },
    among: ['blind-hem'],
  },
  {
    why: 'but not one of sixty',
    request: {
      cloth: kind('shirting'),
      edge: edgeOf({ shape: 'outside-curve', lengthMm: 2400, minRadiusMm: 700, depthMm: 60 }),
      kit: home,
    },
    out: ['blind-hem', 'double-hem'],
  },
  {
    why: 'a wide hemmer hems straight on, and that quickly',
    request: {
      cloth: kind('shirting'),
      edge: edgeOf({ lengthMm: 6000 }),
      kit: everything,
      wishes: tonight,
    },
    among: ['wide-hem', 'double-hem', 'serged-rolled', 'rolled-hem'],
  },
  {
    why: 'a fringe pulls out of cloth that frays badly',
    request: { cloth: kind('linen'), kit: everything, wishes: shown },
    out: ['fringe'],
  },
  {
    why: 'an elastic edge gathers firm cloth',
    request: { cloth: kind('shirting'), kit: everything },
    notAmong: ['bound.knit-strip', 'bound.fold-over-elastic'],
  },
  {
    why: 'a hem that is not there cannot be kept',
    request: { cloth: cloths.twill, kit: home },
    out: ['kept-hem'],
  },
  {
    why: 'an empty drawer sews nothing',
    request: { cloth: kind('poplin'), kit: { machines: [], feet: [] } },
    out: ['blind-hem', 'double-hem', 'bound', 'serged', 'overcast', 'single-hem'],
  },
  {
    why: 'two centimetres of leftover cloth make no deep hem',
    request: {
      cloth: kind('wool-suiting'),
      edge: { ...leg, depthMm: 50, spareMm: 20 },
      kit: home,
    },
    out: ['blind-hem', 'double-hem', 'single-hem'],
  },
  {
    why: 'lining slides: its hem is narrow, not wide',
    request: { cloth: kind('lining'), edge: skirt, kit: home },
    first: ['double-hem', 'rolled-hem', 'single-hem'],
    notAmong: ['bound'],
  },
  {
    why: 'a raincoat’s shell is turned twice, not bitten',
    request: { cloth: kind('shell'), edge: skirt, kit: home, wishes: lasting },
    first: ['double-hem', 'wide-hem'],
    notAmong: ['blind-hem'],
  },
  {
    why: 'a pocket’s short edge is not carried to three machines',
    request: {
      cloth: kind('poplin'),
      edge: edgeOf({ lengthMm: 160 }),
      kit: everything,
      wishes: tonight,
    },
    first: ['double-hem', 'wide-hem', 'rolled-hem'],
    notAmong: ['blind-hem', 'bound'],
  },
  {
    why: 'a handkerchief of fine linen is rolled or turned narrow',
    request: {
      cloth: kind('handkerchief-linen'),
      edge: edgeOf({ shape: 'cornered', lengthMm: 1200 }),
      kit: home,
      wishes: light,
    },
    first: ['rolled-hem', 'double-hem'],
  },
  {
    why: 'a coverstitch is no use on cloth that does not stretch',
    request: { cloth: kind('shirting'), edge: skirt, kit: everything },
    notAmong: ['coverstitch-hem'],
  },
];

const openings: readonly Judgement[] = [
  {
    why: 'a tight woven neck is bound on the bias',
    request: { cloth: kind('shirting'), edge: neck, kit: home },
    first: ['bound.single-fold', 'bound.double-fold'],
    out: ['blind-hem', 'french-seam', 'kept-hem'],
  },
  {
    why: 'so is an armhole of lawn',
    request: { cloth: kind('lawn'), edge: armhole, kit: home },
    first: ['bound.single-fold', 'bound.double-fold'],
  },
  {
    why: 'a neck of linen that is to last is bound too',
    request: { cloth: kind('linen'), edge: neck, kit: home, wishes: lasting },
    first: ['bound.single-fold', 'bound.double-fold'],
  },
  {
    why: 'a knit neck gets a strip that stretches with it',
    request: { cloth: kind('jersey'), edge: neck, kit: everything },
    first: ['bound.knit-strip', 'bound.fold-over-elastic', 'coverstitch-hem'],
    notAmong: ['bound.double-fold', 'bound.single-fold'],
  },
  {
    why: 'fold-over elastic goes on with a zigzag, without a coverstitch machine',
    request: { cloth: kind('jersey-viscose'), edge: neck, kit: home },
    left: ['bound.fold-over-elastic'],
    first: ['bound.fold-over-elastic', 'single-hem.three-step', 'single-hem.zigzag'],
  },
  {
    why: 'satin does not lie round a neck',
    request: { cloth: cloths.plush, edge: neck, kit: everything, wishes: shown },
    out: ['bound.satin'],
  },
  {
    why: 'a wide scroll does not go round a neck, nor a blind stitch',
    request: { cloth: kind('poplin'), edge: neck, kit: everything },
    out: ['wide-hem', 'blind-hem'],
  },
  {
    why: 'an opening is no place for a held raw edge',
    request: { cloth: kind('poplin'), edge: armhole, kit: everything, wishes: tonight },
    out: ['overcast', 'serged', 'pinked', 'left-cut'],
  },
];

const allowances: readonly Judgement[] = [
  {
    why: 'an overlocker is made for allowances',
    request: { cloth: kind('poplin'), edge: allowance, kit: withOverlocker },
    first: ['serged'],
    out: ['double-hem', 'blind-hem', 'french-seam'],
  },
  {
    why: 'without one they are overcast',
    request: { cloth: kind('linen'), edge: allowance, kit: home },
    first: ['overcast'],
    out: ['pinked', 'left-cut', 'serged'],
  },
  {
    why: 'those of an unlined jacket that shows its inside are bound',
    request: { cloth: kind('linen'), edge: allowance, kit: everything, wishes: shown },
    first: ['bound.seam-allowances'],
  },
  {
    why: 'bound allowances last, in cloth that frays',
    request: {
      cloth: kind('wool-suiting'),
      edge: allowance,
      kit: home,
      wishes: { ...lasting, decorative: 0.7 },
    },
    first: ['bound.seam-allowances'],
  },
  {
    why: 'felt’s allowances are left',
    request: { cloth: kind('felt'), edge: allowance, kit: home },
    first: ['left-cut', 'pinked'],
  },
  {
    why: 'a firm weave that hardly frays may be pinked tonight',
    request: {
      cloth: clothOf({ weightGsm: 160, thicknessMm: 0.32, fray: 1 }),
      edge: allowance,
      kit: home,
      wishes: tonight,
    },
    among: ['pinked'],
  },
  {
    why: 'on a machine that only sews straight fraying allowances are bound',
    request: { cloth: kind('linen'), edge: allowance, kit: straightOnly },
    out: ['overcast', 'serged', 'pinked'],
    left: ['bound.seam-allowances'],
  },
  {
    why: 'a zigzag is not torn by stretch',
    request: { cloth: kind('jersey-viscose'), edge: allowance, kit: home },
    left: ['overcast.zigzag', 'overcast.stretch'],
  },
];

const seams: readonly Judgement[] = [
  {
    why: 'a sheer blouse is sewn with French seams',
    request: { cloth: kind('chiffon'), edge: seam, kit: home },
    first: ['french-seam'],
    out: ['rolled-hem', 'bound', 'blind-hem'],
  },
  {
    why: 'light silk too, even with an overlocker beside it',
    request: { cloth: kind('silk-habotai'), edge: seam, kit: withOverlocker, wishes: unseen },
    first: ['french-seam'],
  },
  {
    why: 'a French seam in flannel is a rope',
    request: { cloth: cloths.flannel, edge: seam, kit: home },
    out: ['french-seam'],
    first: ['plain-seam', 'overcast.join'],
  },
  {
    why: 'a knit is joined with four threads',
    request: { cloth: kind('jersey'), edge: seam, kit: withOverlocker },
    first: ['serged.four-thread'],
    out: ['french-seam', 'serged.three-wide'],
  },
  {
    why: 'a knit without an overlocker is joined with a stitch that stretches',
    request: { cloth: kind('jersey'), edge: seam, kit: home },
    first: ['overcast.join', 'plain-seam'],
    out: ['french-seam'],
  },
  {
    why: 'a suit’s seams are pressed open',
    request: { cloth: kind('wool-suiting'), edge: seam, kit: home, wishes: unseen },
    first: ['plain-seam.open', 'plain-seam.together'],
  },
  {
    why: 'a seam is no hem: nothing that turns an edge joins two',
    request: { cloth: kind('poplin'), edge: seam, kit: everything },
    out: ['double-hem', 'bound', 'serged-rolled', 'coverstitch-hem', 'left-cut', 'pinked'],
  },
  {
    why: 'a machine that only sews straight joins with French or plain seams',
    request: { cloth: kind('lawn'), edge: seam, kit: straightOnly },
    first: ['french-seam'],
    out: ['overcast', 'serged'],
  },
];

/** Eighty judgements of the craft, each with its reason. */
export const judgements: readonly Judgement[] = [...hems, ...openings, ...allowances, ...seams].map(
  (it) => ({ ...it, request: { wishes: evenWishes, edge: edgeOf({}), ...it.request } }),
);
