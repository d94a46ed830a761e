import type { Check } from '../../margin/check';
import { repeatOf } from '../../stitch/repeat';
import type { ClothRegion, FinishMargin, MarginWords } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import { guideReasons, guideSpread, holeCoefficient, onTheGuide } from './margin-parts';
import { said } from './said';

/** A bite shallower than this slips off the fold, mm. Starting guess. */
const shallowestBiteMm = 0.2;
/** The run keeps this far from the fold and from the extension's edge, mm. Starting guesses. */
const runFromFoldMm = 0.8;
const runFromEdgeMm = 1.5;
/** Bite spacing when hiding is all that counts, and when holding is, mm. Starting guesses. */
const hiddenSpacingMm = 14;
const sturdySpacingMm = 8;
/** Cloth thickness below which a bite has hardly anywhere to hide, mm. */
const thinClothMm = 0.35;

const words: MarginWords = {
  reference: 'fold',
  one: 'bite',
  counted: 'bites',
  good: 'hold and hide',
  short: 'Missed the fold',
  over: 'Seen on the right side',
  look: 'Count the bites that missed the fold, and those that show on the right side.',
  checks: { bite: 'bite', run: 'run' },
  faults: {
    missed: { short: 'needle misses', long: 'the needle misses the fold' },
    shows: { short: 'shows outside', long: 'the thread shows on the right side' },
    'run-on-fold': { short: 'run piles on fold', long: 'the run piles up on the fold' },
    'run-off-edge': { short: 'run off the edge', long: 'the run slides off the extension' },
  },
};

/** +1 as usual, garment to the left of the blade; −1 for a mirrored stitch. */
const handOf = (plan: SewingPlan): 1 | -1 => (plan.stitch.mirror ? -1 : 1);

/**
 * How deep the needle bites into the fold, and how far the run keeps off it.
 * Source: docs/formulas.md, “Checks per finish”.
 */
export function blindChecks(plan: SewingPlan): [bite: Check, run: Check] {
  const hand = handOf(plan);
  const [biteWidth, runWidth] = [holeCoefficient(plan, 'bite'), holeCoefficient(plan, 'run')];
  return [
    {
      name: 'bite',
      source: 'guide',
      k: hand,
      loMm: shallowestBiteMm,
      hiMm: hiddenUpToMm(plan),
      below: 'missed',
      above: 'shows',
      v0: { constantMm: 0, width: -hand * biteWidth, needlePosition: -hand, guide: hand },
    },
    {
      name: 'run',
      source: 'guide',
      k: -hand as 1 | -1,
      loMm: runFromFoldMm,
      hiMm: (plan.fold.extensionMm ?? 0) - runFromEdgeMm,
      below: 'run-on-fold',
      above: 'run-off-edge',
      v0: { constantMm: 0, width: hand * runWidth, needlePosition: hand, guide: -hand },
    },
  ];
}

/**
 * The deepest bite that stays hidden: a needle less than the cloth's thickness from the fold
 * passes inside the bend; beyond it, twice the difference lies open as thread.
 */
function hiddenUpToMm(plan: SewingPlan): number {
  return plan.cloth.thicknessMm + plan.pickMm / 2;
}

/** Bite spacing by what one would rather have, mm: 2 and 3 long on a run of five. Starting guesses. */
const spacingByAimMm = { hold: 12, even: 15, hide: 18 } as const;

/** How far apart the bites are wanted: by what one said, else by what the faults weigh. */
export const spacingOf = ({ aim, faultWeights }: SewingPlan): number =>
  aim ? spacingByAimMm[aim] : biteSpacingMm(faultWeights);

/** Bite spacing wanted: hidden 14 mm … sturdy 8 mm, by the fault weights. */
export function biteSpacingMm({ below, above }: SewingPlan['faultWeights']): number {
  const hidden = above + below > 0 ? above / (above + below) : 0.5;
  return sturdySpacingMm + (hiddenSpacingMm - sturdySpacingMm) * hidden;
}

function regions(plan: SewingPlan): ClothRegion[] {
  const extension = plan.fold.extensionMm ?? 0;
  const under = plan.fold.variant === 'enclosed' ? 2 : 1;
  const [garment, lip] = [
    { name: 'garment, folded back', fromMm: -Infinity, toMm: 0, layers: 3 },
    { name: 'hem extension', fromMm: 0, toMm: extension, layers: under },
  ];
  if (handOf(plan) === 1) return [garment, lip];
  return [
    { ...garment, fromMm: 0, toMm: Infinity },
    { ...lip, fromMm: -extension, toMm: 0 },
  ];
}

function dialReasons(plan: SewingPlan, dials: Parameters<FinishMargin['dialReasons']>[1]) {
  const [biteMm = 0, runMm = 0] = blindChecks(plan).map(
    ({ v0 }) =>
      v0.width * dials.widthMm +
      v0.needlePosition * dials.needlePositionMm +
      v0.guide * dials.guideMm,
  );
  const { thicknessMm } = plan.cloth;
  const bite = { biteMm, thicknessMm, hiddenUpToMm: hiddenUpToMm(plan) };
  return {
    widthMm: [
      thicknessMm < thinClothMm
        ? said(
            'bite-in-thin-fold',
            'Bites {biteMm:fine}; cloth of {thicknessMm:fine} hides little: up to {hiddenUpToMm:fine}.',
            bite,
          )
        : said(
            'bite-in-fold',
            'Bites {biteMm:fine} into a fold {thicknessMm:fine} thick; good to {hiddenUpToMm:fine}.',
            bite,
          ),
    ],
    needlePositionMm: [
      said('run-on-extension', 'Runs {runMm:fine} off the fold, extension {extensionMm}.', {
        runMm,
        extensionMm: plan.fold.extensionMm ?? 0,
      }),
    ],
    guideMm: guideReasons(plan),
  };
}

/** The margin of a blind stitch: a fold rides a guide, and the needle bites into its edge. */
export const blindMargin: FinishMargin = {
  words,
  countedCheck: 'bite',
  checks: blindChecks,
  baseSpreadMm: guideSpread,
  startingLength(plan) {
    const { stitches } = repeatOf(plan.stitch);
    const spacing = spacingOf(plan);
    return {
      value: spacing / stitches,
      because: [
        said(
          'bite-spacing',
          'A bite each {stitches} stitches, about every {spacingMm} to start with.',
          { spacingMm: spacing, stitches },
        ),
      ],
      startingGuess: true,
    };
  },
  dialReasons,
  regions,
  references: (_plan, dials) => [onTheGuide('fold', dials)],
  // Opened out, only what went beyond the bend is left to see.
  hiddenOnRight: ({ cloth }) => ({ check: 'bite', hiddenMm: cloth.thicknessMm }),
};
