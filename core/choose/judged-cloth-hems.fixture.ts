import { cloths, edgeOf } from './cases.fixture';
import {
  kind,
  home,
  withOverlocker,
  everything,
  straightOnly,
  leg,
  shirtTail,
  blanket,
  skirt,
  unseen,
  lasting,
  light,
  tonight,
  shown,
  type Judgement,
} from './judged.fixture';

/** What a hem gets by what its cloth, its tools and its wishes are. */
export const clothHems: readonly Judgement[] = [
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
