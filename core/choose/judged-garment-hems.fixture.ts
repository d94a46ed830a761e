import { cloths, edgeOf } from './cases.fixture';
import {
  kind,
  home,
  withOverlocker,
  everything,
  leg,
  jeansLeg,
  circle,
  scarf,
  skirt,
  withOldHem,
  unseen,
  lasting,
  light,
  tonight,
  type Judgement,
} from './judged.fixture';

/** What the hem of a garment gets: skirts, trousers, coats, scarves, T-shirts. */
export const garmentHems: readonly Judgement[] = [
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
];
