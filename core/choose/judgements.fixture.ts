import { cloths, clothOf, edgeOf, evenWishes } from './cases.fixture';
import {
  kind,
  home,
  withOverlocker,
  everything,
  straightOnly,
  neck,
  armhole,
  seam,
  allowance,
  unseen,
  lasting,
  tonight,
  shown,
  type Judgement,
} from './judged.fixture';
import { clothHems } from './judged-cloth-hems.fixture';
import { garmentHems } from './judged-garment-hems.fixture';

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
export const judgements: readonly Judgement[] = [
  ...garmentHems,
  ...clothHems,
  ...openings,
  ...allowances,
  ...seams,
].map((it) => ({ ...it, request: { wishes: evenWishes, edge: edgeOf({}), ...it.request } }));
