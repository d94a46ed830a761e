import type { FinishMargin, MarginWords } from '../finish-margin';
import type { Reasoned } from '../../fact';
import type { SewingPlan } from '../sewing-plan';
import type { FoldRequest } from '../fold-request';
import { lineMargin } from './line-margin';
import { asLength, swingCoefficients } from './margin-parts';
import { straightLength } from './starting';

/** A topstitch keeps this far from the fold it catches, mm. Starting guesses. */
export const caughtWithin = { loMm: 1, hiMm: 3.5 } as const;

/** How a topstitched hem differs from another. */
interface Topstitched {
  /** The edge to be caught: the inner fold, or the finished raw edge of a hem turned once. */
  readonly caught: string;
  /** Layers between what is caught and the hemline. */
  readonly layers: number;
  folds(request: Pick<FoldRequest, 'wish' | 'cloth'>): { readonly stackMm: number };
  readonly topstitchingThread?: boolean;
  /** The width of a stitch that swings, ruled. */
  readonly swing?: Reasoned<number>;
  /** Its own stitch length, where it does not go by the stack. */
  readonly length?: Reasoned<number>;
}

/** From the middle of the stitch to its hole nearest to what is caught. */
const nearestHole = (plan: SewingPlan, hand: 1 | -1) => {
  const [left, right] = swingCoefficients(plan);
  return {
    constantMm: (plan.stitch.twinGapMm ?? 0) / 2,
    width: (hand === 1 ? 0 - left : right) + 0,
  };
};

const depthMm = ({ fold }: SewingPlan) => fold.depthMm ?? 0;

const words = (caught: string): MarginWords => ({
  reference: caught,
  one: 'stitch',
  counted: 'stitches',
  good: 'catch the hem',
  short: 'Missed the hem',
  over: 'Too far in',
  look: 'Look inside: does the stitching hold the edge all along, with no loose lip?',
  checks: { catch: 'catch', from: caught },
  faults: {
    'misses-fold': {
      short: `misses the ${caught}`,
      long: `the stitching falls off the ${caught}`,
    },
    'loose-lip': { short: 'loose lip', long: `the ${caught} stands loose as a lip` },
  },
});

/**
 * A topstitched fold: the distance from the stitch to the inner fold, which itself rides the
 * guide, or else the hemline does, a hem's depth to its right.
 * Source: docs/formulas.md, “Checks per finish”.
 */
export function catchMargin(hem: Topstitched): FinishMargin {
  const { swing } = hem;
  return lineMargin({
    words: words(hem.caught),
    check: 'catch',
    window: () => [caughtWithin.loMm, caughtWithin.hiMm],
    below: 'misses-fold',
    above: 'loose-lip',
    outer: { name: 'hemline', beyondMm: depthMm },
    reach: nearestHole,
    ...(swing ? { ruled: () => ({ widthMm: swing }) } : {}),
    startingLength: ({ fold, cloth }) =>
      hem.length ??
      asLength(straightLength(hem.folds({ wish: fold, cloth }).stackMm, hem.topstitchingThread)),
    regions: (plan) => [
      { name: 'garment', fromMm: -Infinity, toMm: 0, layers: 1 },
      { name: 'hem', fromMm: 0, toMm: depthMm(plan), layers: hem.layers },
    ],
  });
}
