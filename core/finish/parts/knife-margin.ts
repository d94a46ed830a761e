import type { Check } from '../../margin/check';
import type { FinishMargin, MarginWords } from '../finish-margin';
import type { FoldPlan } from '../fold-plan';
import type { Reasoned } from '../../fact';
import type { SewingPlan } from '../sewing-plan';
import { guideSpread } from './margin-parts';
import { said } from './said';

/** The knife must take at least a sliver, and may take no more than this, mm. Starting guesses. */
const trimmed = { loMm: 0.3, hiMm: 8 } as const;
/** A seam may lie so far beside its line, mm. Starting guess. */
const beside = { loMm: -1.5, hiMm: 1.5 } as const;

const words: MarginWords = {
  reference: 'raw edge',
  one: 'stitch',
  counted: 'stitches',
  good: 'are cut clean and wrapped',
  short: 'Loops hang',
  over: 'Cut too far in',
  look: 'Count the places where the knife missed and loops hang, and those where it cut too far in.',
  checks: { trim: 'trimmed', 'seam-line': 'seam line' },
  faults: {
    'knife-misses': { short: 'knife misses', long: 'the knife misses the edge and loops hang' },
    'cuts-in': { short: 'cuts too far in', long: 'the knife cuts into what should stay' },
    'seam-narrow': { short: 'seam too narrow', long: 'the seam takes less than its allowance' },
    'seam-wide': { short: 'seam too wide', long: 'the seam takes more than its allowance' },
  },
};

/** The needles of an overlocker stand this far apart, whatever its cutting width, mm. Starting guess. */
const needlesApartMm = 2;

/** An edge on the overlocker, as far as its margin goes. */
interface Knifed {
  folds(plan: SewingPlan): FoldPlan;
  startingLength(plan: SewingPlan): Reasoned<number>;
  /** Whether it joins two edges: then their seam line matters, and the layers creep. */
  joins(plan: SewingPlan): boolean;
}

/**
 * A raw edge that rides a from the needle while the knife cuts c from it: trim = a − c + ε. Where it
 * joins, the seam line itself is as far off as the edge is.
 * Source: docs/formulas.md, “Fair chances”.
 */
export function knifeMargin({ folds, startingLength, joins }: Knifed): FinishMargin {
  const cutAwayMm = (plan: SewingPlan) => {
    const { allowanceMm, trim } = folds(plan);
    return allowanceMm - (trim?.leaveMm ?? allowanceMm);
  };
  const constant = (constantMm: number): Check['v0'] => ({
    constantMm,
    width: 0,
    needlePosition: 0,
    guide: 0,
  });
  return {
    words,
    countedCheck: 'trim',
    checks: (plan) => [
      {
        name: 'trim',
        source: 'guide',
        k: 1,
        ...trimmed,
        below: 'knife-misses',
        above: 'cuts-in',
        v0: constant(cutAwayMm(plan)),
      },
      ...(joins(plan)
        ? [
            {
              name: 'seam-line',
              source: 'guide',
              k: 1,
              ...beside,
              below: 'seam-narrow',
              above: 'seam-wide',
              v0: constant(0),
            } as const,
          ]
        : []),
    ],
    baseSpreadMm: guideSpread,
    freeLayers: (plan) => ({ guide: joins(plan) ? 2 : 1 }),
    startingLength,
    dialReasons: (plan) => ({
      widthMm: [
        said('needles-apart', 'The needles’ own distance; the knife is set apart from it.'),
      ],
      needlePositionMm: [
        said(
          'knife',
          'The edge runs {allowanceMm:fine} from the needle; the knife takes {cutAwayMm:fine} of it.',
          {
            allowanceMm: folds(plan).allowanceMm,
            cutAwayMm: cutAwayMm(plan),
          },
        ),
      ],
      guideMm: [said('plate-marks', 'Led along the marks beside the knife.')],
    }),
    regions: (plan) => [
      { name: 'to be cut off', fromMm: -cutAwayMm(plan), toMm: 0, layers: 1, only: 'before' },
      {
        name: joins(plan) ? 'both edges' : 'cloth',
        fromMm: -Infinity,
        toMm: -cutAwayMm(plan),
        layers: joins(plan) ? 2 : 1,
      },
    ],
    references: (plan, { needlePositionMm }) => [
      {
        source: 'guide',
        name: 'raw edge',
        atMm: needlePositionMm + folds(plan).allowanceMm,
        onlyBefore: true,
      },
    ],
    ruled: () => ({
      widthMm: {
        value: needlesApartMm,
        because: [said('needles-apart', 'The needles’ own distance.')],
        startingGuess: true,
      },
    }),
  };
}
