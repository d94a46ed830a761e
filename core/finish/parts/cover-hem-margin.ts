import type { FinishMargin, MarginWords } from '../finish-margin';
import type { Reasoned } from '../../fact';
import type { SewingPlan } from '../sewing-plan';
import type { StartingValue } from '../work';
import { asLength, guideReasons, guideSpread, onTheGuide } from './margin-parts';
import { said } from './said';

/** The raw edge keeps this far inside either needle, mm. Starting guess. */
const insideMm = 0.3;

const words: MarginWords = {
  reference: 'hemline',
  one: 'stitch',
  counted: 'stitches',
  good: 'cover the raw edge',
  short: 'Hem not caught',
  over: 'Edge uncovered',
  look: 'Turn it over: count the stitches that miss the turned-up cloth, and those beyond whose loops the raw edge ends.',
  checks: { cover: 'cover' },
  faults: {
    'hem-missed': { short: 'hem not caught', long: 'the needle falls off the turned-up cloth' },
    uncovered: { short: 'raw edge uncovered', long: 'the raw edge ends outside the loops' },
  },
};

/** A hem under a pair of needles. */
interface CoverHem {
  depthMm(plan: SewingPlan): number;
  spanWidth(plan: SewingPlan): Reasoned<number>;
  /** The pair of needles, per mm of the outer ones' distance. */
  needles(plan: SewingPlan): readonly [left: number, right: number];
  readonly length: StartingValue;
}

/**
 * A coverstitched hem, sewn from the right side with its fold along a guide on the right: from the
 * raw edge to the needle nearer to the fold it is d = p + x_r·W + D − x_g − ε, and d must stay
 * within 0.3 … gap − 0.3, so that one needle catches the hem and the loops cover its edge.
 * Source: docs/formulas.md, “Fair chances”.
 */
export function coverHemMargin(hem: CoverHem): FinishMargin {
  const gapMm = (plan: SewingPlan) => {
    const [left, right] = hem.needles(plan);
    return (right - left) * hem.spanWidth(plan).value;
  };
  return {
    words,
    countedCheck: 'cover',
    checks: (plan) => [
      {
        name: 'cover',
        source: 'guide',
        k: -1,
        loMm: insideMm,
        hiMm: gapMm(plan) - insideMm,
        below: 'hem-missed',
        above: 'uncovered',
        v0: {
          constantMm: hem.depthMm(plan),
          width: hem.needles(plan)[1],
          needlePosition: 1,
          guide: -1,
        },
      },
    ],
    baseSpreadMm: guideSpread,
    startingLength: () => asLength(hem.length),
    dialReasons(plan, { widthMm, needlePositionMm, guideMm }) {
      const [, right] = hem.needles(plan);
      const coverMm = needlePositionMm + right * widthMm + hem.depthMm(plan) - guideMm;
      return {
        widthMm: hem.spanWidth(plan).because,
        needlePositionMm: [
          said(
            'cover',
            'The raw edge lies {coverMm:fine} inside the nearer needle; good from {loMm:fine} to {hiMm:fine}.',
            { coverMm, loMm: insideMm, hiMm: gapMm(plan) - insideMm },
          ),
        ],
        guideMm: guideReasons(plan),
      };
    },
    regions: (plan) => [
      { name: 'garment', fromMm: -Infinity, toMm: -hem.depthMm(plan), layers: 1 },
      { name: 'hem', fromMm: -hem.depthMm(plan), toMm: 0, layers: 2 },
    ],
    references: (_plan, dials) => [onTheGuide('hemline', dials)],
    ruled: (plan) => ({ widthMm: hem.spanWidth(plan) }),
  };
}
