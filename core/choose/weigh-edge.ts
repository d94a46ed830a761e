import type { Cloth } from '../cloth/cloth';
import { tightestRadiusMm } from '../edge/curve';
import { easedNarrowShare, narrowTurnMm } from '../edge/flare';
import { fullnessesOf, type Fullness } from '../edge/fullness';
import type { Purpose } from '../edge/purpose';
import type { Finish } from '../finish/finish';
import type { FoldPlan } from '../finish/fold-plan';
import { easedShare } from '../fold/fullness';
import { takesField, type FoldRequest, type FoldWish } from '../finish/fold-request';
import { servesPurpose, type Nature } from '../finish/nature';
import { foldTroubles } from '../plan/fold-plan';
import { adds, fact, noMatter, rulesOut, type Weighed } from './contribution';
import { purposeOf, type ChosenEdge } from './request';

// All points here are starting guesses from craft practice, docs/formulas.md “Choosing”.

/** A curve a little tighter than is usual only costs. */
const tolerated = 0.7;

/** Weighed, with the lengths to go on with. */
export interface WeighedWish extends Weighed {
  readonly wish: FoldWish;
}

const aPurpose: Readonly<Record<Purpose, string>> = {
  hem: 'a hem',
  opening: 'an opening',
  allowance: 'an allowance',
  seam: 'a seam',
};

/** Whether a finish serves what the edge is for. */
export function weighPurpose(edge: ChosenEdge, nature: Nature): Weighed {
  const { purposes, keepsOldHem } = nature;
  const purpose = purposeOf(edge);
  if (!servesPurpose(nature, purpose)) {
    const serves = purposes.map((one) => aPurpose[one]).join(' or ');
    return rulesOut(
      fact('purpose', 'It serves {serves}, and this edge is {purpose}.', {
        serves,
        purpose: aPurpose[purpose],
      }),
      fact('purpose', 'an edge that is {serves}', { serves }),
    );
  }
  const kept = edge.oldHem?.keepLook ? edge.oldHem : null;
  if (keepsOldHem) {
    return kept
      ? adds(
          45,
          fact('old-hem', 'The old hem is {depthMm} deep and its look is to stay: this keeps it.', {
            depthMm: kept.depthMm,
          }),
        )
      : rulesOut(
          fact(
            'old-hem',
            edge.oldHem ? 'The old hem is to come out.' : 'There is no old hem to keep.',
          ),
          fact('old-hem', 'an old hem whose look is to stay'),
        );
  }
  return kept
    ? adds(-10, fact('old-hem', 'The old hem’s look would go: it has to come out first.'))
    : noMatter;
}

/** A small child pulls at what comes off. */
export function weighChild({ forChild }: ChosenEdge, { pullsOff }: Nature): Weighed {
  return pullsOff && forChild
    ? rulesOut(
        fact('child', 'A small child pulls it off and swallows it.'),
        fact('another-wearer', 'another wearer'),
      )
    : noMatter;
}

/** Felled seams are topstitched, and ask for a hem that is made like them. */
export function weighFelled({ crossings }: ChosenEdge, { worked, shutsIn }: Nature): Weighed {
  const madeAlike = worked.includes('turned') && !worked.includes('bites') && shutsIn === true;
  return madeAlike && crossings.some(({ kind }) => kind === 'felled')
    ? adds(
        8,
        fact('felled', 'The seams across it are felled: a topstitched double fold suits them.'),
      )
    : noMatter;
}

/** How tight a curve it goes round, by its depth where it is turned. */
export const leastRadiusOf = ({ leastRadius }: Nature, depthMm: number): number =>
  'mm' in leastRadius ? leastRadius.mm : leastRadius.timesDepth * depthMm;

/** The tightest curve against the one it still goes round. */
export function weighCurve(edge: ChosenEdge, nature: Nature, depthMm: number): Weighed {
  const radiusMm = tightestRadiusMm(edge);
  const leastRadiusMm = leastRadiusOf(nature, depthMm);
  if (radiusMm === null || radiusMm >= leastRadiusMm) return noMatter;
  const values = { radiusMm, leastRadiusMm, depthMm };
  const because =
    'mm' in nature.leastRadius
      ? fact(
          'curve',
          'The edge curves with {radiusMm} and this goes round from {leastRadiusMm} on.',
          values,
        )
      : fact(
          'curve',
          'The edge curves with {radiusMm}; turned {depthMm} deep it goes round from {leastRadiusMm} on.',
          values,
        );
  if (radiusMm >= leastRadiusMm * tolerated) return adds(-14, because);
  return rulesOut(
    because,
    fact('a-gentler-curve', 'a curve of {leastRadiusMm} or more', { leastRadiusMm }),
  );
}

/** Round a hole the turned-in edge is too short: clipped, or stretched where it is narrow. */
function weighTightness(share: number, depthMm: number, nature: Nature): Weighed {
  const values = { shortPercent: Math.round(share * 1000) / 10, depthMm };
  if (share <= easedShare) return noMatter;
  return adds(
    (share <= easedNarrowShare ? -8 : -16) - (nature.shutsIn ? 6 : 0),
    fact(
      'tight',
      'Turned in by {depthMm} round this curve the edge is {shortPercent} % too short: it has to be clipped.',
      values,
    ),
  );
}

/** The same wish at another depth, nothing of it deeper than the whole. */
function atDepth(wish: FoldWish, depthMm: number): FoldWish {
  return {
    ...wish,
    depthMm,
    ...(wish.turnMm ? { turnMm: Math.min(wish.turnMm, depthMm) } : {}),
    ...(wish.extensionMm ? { extensionMm: Math.min(wish.extensionMm, depthMm) } : {}),
  };
}

/** Whole and half millimetres; nobody turns a hem of 5.24. */
const tidyDown = (mm: number) => Math.floor(mm * 2) / 2;

/** The fullness of a turned edge on a flare: pressed away, eased in, or too much. */
function weighFullness(flare: Fullness & { readonly kind: 'full' }, depthMm: number): Weighed {
  const values = {
    depthMm,
    fullPercent: Math.min(999, Math.round(flare.share * 1000) / 10),
    deepestMm: Math.floor(flare.deepestMm),
  };
  if (flare.way === 'pressed') return noMatter;
  if (flare.way === 'eased') {
    // A narrow turn takes its fullness in as it is made.
    return adds(
      depthMm <= narrowTurnMm ? -2 : -8,
      fact(
        'flare',
        'Turned up by {depthMm} the edge is {fullPercent} % too full: it has to be eased in.',
        values,
      ),
    );
  }
  return rulesOut(
    fact(
      'flare',
      'Turned up by {depthMm} the flared edge is {fullPercent} % too full to be eased in.',
      values,
    ),
    fact('shallower', 'a turn of {deepestMm} at most on this flare', values),
  );
}

/**
 * A turned edge on a curve: made as shallow as the curve asks where nobody asked for a depth, and
 * told where it has to be eased, clipped, or is too full.
 */
export function weighFlare(
  finish: Finish,
  wish: FoldWish,
  edge: ChosenEdge,
  cloth: Cloth,
): WeighedWish {
  const nature = finish.nature(wish.variant);
  if (!nature.worked.includes('turned')) return { ...noMatter, wish };
  const tightest = tightestRadiusMm(edge);
  const depthMm = wish.depthMm ?? wish.channelMm ?? wish.turnMm ?? 0;
  const asWished = fullnessesOf(edge, depthMm, cloth);
  const rule = finish.fields.depthMm;
  const movable = edge.depthMm === null && rule && takesField(rule, wish.variant);
  const deepestMm = tidyDown(
    Math.min(
      depthMm,
      'timesDepth' in nature.leastRadius && tightest !== null
        ? tightest / nature.leastRadius.timesDepth
        : Infinity,
      ...asWished.map((it) => (it.kind === 'full' ? it.deepestMm : Infinity)),
    ),
  );
  const shallower = movable && deepestMm < depthMm && deepestMm >= rule.leastMm;
  const made = shallower ? deepestMm : depthMm;
  // A measured edge may curve both ways: the one place is too full, the other too short.
  const places = fullnessesOf(edge, made, cloth).map((it) =>
    it.kind === 'full'
      ? weighFullness(it, made)
      : it.kind === 'short'
        ? weighTightness(it.share, made, nature)
        : noMatter,
  );
  const lies: Weighed = {
    contributions: places.flatMap(({ contributions }) => contributions),
    hindrances: places.flatMap(({ hindrances }) => hindrances),
  };
  if (!shallower) return { ...lies, wish };
  const told = adds(
    -4,
    fact('shallow', 'On this curve no deeper than {deepestMm}.', { deepestMm }),
  );
  return {
    contributions: [...told.contributions, ...lies.contributions],
    hindrances: lies.hindrances,
    wish: atDepth(wish, deepestMm),
  };
}

/** The depth somebody asked for against the one it has. */
export function weighDepth({ depthMm }: ChosenEdge, { finishedDepthMm }: FoldPlan): Weighed {
  if (depthMm === null || Math.abs(finishedDepthMm - depthMm) <= 0.15 * depthMm) return noMatter;
  return adds(
    -20,
    fact('depth', 'You asked for {wishedMm}; this is {madeMm:fine}.', {
      wishedMm: depthMm,
      madeMm: finishedDepthMm,
    }),
  );
}

/**
 * What a finish takes beyond the edge against the cloth there is. A hem whose depth nobody asked
 * for is made as deep as the cloth allows.
 *
 * @param request its folds, as they would be with all the cloth one likes
 */
export function weighSpare(
  finish: Finish,
  { wish, cloth }: FoldRequest,
  { allowanceMm }: FoldPlan,
  edge: ChosenEdge,
): WeighedWish {
  const spareMm = edge.spareMm ?? Infinity;
  if (allowanceMm <= spareMm) return { ...noMatter, wish };
  const rule = finish.fields.depthMm;
  const deepestMm = Math.floor((wish.depthMm ?? 0) - (allowanceMm - spareMm));
  const values = { allowanceMm, spareMm, deepestMm };
  const shallower = { ...wish, depthMm: deepestMm };
  const could =
    rule &&
    takesField(rule, wish.variant) &&
    deepestMm >= rule.leastMm &&
    foldTroubles(finish, { wish: shallower, cloth }).length === 0;
  if (could && edge.depthMm === null) {
    return {
      ...adds(
        -4,
        fact('spare', 'With {spareMm} beyond the edge it can be {deepestMm} deep.', values),
      ),
      wish: shallower,
    };
  }
  return {
    ...rulesOut(
      fact('spare', 'It takes {allowanceMm} beyond the edge, and there is {spareMm}.', values),
      fact(
        'more-cloth',
        could ? 'a depth of {deepestMm} at most' : '{allowanceMm} beyond the edge',
        values,
      ),
    ),
    wish,
  };
}

/** A strip takes no more than this share of the cloth left, or it is pieced out of scraps. */
const stripShare = 0.8;

/** A binding's strip against what is left of the cloth; it may be cut from another one. */
export function weighStrip({ strip }: FoldPlan, { lengthMm, clothLeft }: ChosenEdge): Weighed {
  if (!strip || !clothLeft) return noMatter;
  const there = clothLeft.widthMm * clothLeft.lengthMm * stripShare;
  if (strip.widthMm * lengthMm <= there) return noMatter;
  return adds(
    -8,
    fact(
      'strip',
      'A strip {stripMm} wide for {lengthMm} of edge is more than the {leftMm} left of this cloth gives.',
      { stripMm: strip.widthMm, lengthMm, leftMm: clothLeft.lengthMm },
    ),
  );
}
