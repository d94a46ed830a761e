import { guidanceSpreadMm, wrapSpreadMm } from '../../margin/drift';
import type { Reasoned } from '../../fact';
import type { FinishMargin, MarginWords } from '../finish-margin';
import { binderSpreadMm, flangePlayMm } from '../../kit/binder';
import type { SewingPlan } from '../sewing-plan';
import { stripOf } from './binding';
import { lineMargin } from './line-margin';
import { swingCoefficients } from './margin-parts';

/** The stitch keeps this far inside either fold of the binding, mm. Starting guess. */
export const nearestToFoldMm = 0.7;

const words: MarginWords = {
  reference: 'front fold',
  one: 'stitch',
  counted: 'stitches',
  good: 'hold front and back',
  short: 'Off the front',
  over: 'Too far in',
  look: 'Count on the right side where the line falls off the fold or sits too far in; turn it over and count what the back is not caught by.',
  checks: { front: 'front', back: 'back', from: 'front fold' },
  faults: {
    'off-front': { short: 'falls off the front', long: 'the stitching falls off the front fold' },
    'far-in': { short: 'too far in', long: 'the stitching sits too far in from the front fold' },
    'back-missed': { short: 'back not caught', long: 'the back of the binding is not caught' },
  },
};

const widthMm = ({ fold }: SewingPlan) => fold.depthMm ?? 0;
/** How much wider than its front the binding's back is. */
const backWiderMm = ({ fold }: SewingPlan) => fold.extensionMm ?? 0;

/** How far the back wanders before cloth and curve, mm: by what wraps it, and by a flange's play. */
function wrapMm({ fold: wish, cloth, strip, aids, binder }: SewingPlan): number {
  const ownMm = wrapSpreadMm[aids?.wrap ?? 'hand'];
  return binder
    ? binderSpreadMm(ownMm, flangePlayMm(binder, stripOf({ wish, cloth, strip }).widthMm))
    : ownMm;
}

/** A straight line of stitches, or two lines at once: needles side by side, or a swing. */
export interface BindingStitch {
  readonly layers: number;
  startingLength(plan: SewingPlan): Reasoned<number>;
  /** What lies between the outer lines where there are two, as a ruled width; null for one line. */
  spanWidth?(plan: SewingPlan): Reasoned<number> | null;
  /** The farthest from the front fold that two lines may begin; as far as both fit when left out. */
  mostFromFoldMm?(plan: SewingPlan): number;
}

/** Between the outermost lines of the stitch, mm. */
function spanMm(plan: SewingPlan, widthMm: number): number {
  const [left, right] = swingCoefficients(plan);
  return (right - left) * widthMm;
}

/**
 * A binding sewn from the front: the line nearest to the front fold along the guide, and the back,
 * which the wrap decides and nobody sees, d wider: front distance + d. Two lines must both lie on
 * the binding: the nearest at 0.7 … F − gap − 0.7. The layers are fed together and creep apart, so
 * that the back wanders further than the hand that wrapped it.
 * Source: docs/formulas.md, “Checks per finish” and “Fair chances”.
 */
export function bindingMargin(stitch: BindingStitch): FinishMargin {
  const { layers, startingLength } = stitch;
  const spanWidth = (plan: SewingPlan) => stitch.spanWidth?.(plan) ?? null;
  const farthestMm = (plan: SewingPlan) => {
    const span = spanWidth(plan);
    if (!span) return widthMm(plan) / 2;
    const bothFitMm = widthMm(plan) - spanMm(plan, span.value) - nearestToFoldMm;
    return Math.min(bothFitMm, stitch.mostFromFoldMm?.(plan) ?? Infinity);
  };
  return lineMargin({
    words,
    check: 'front',
    window: (plan) => [nearestToFoldMm, farthestMm(plan)],
    below: 'off-front',
    above: 'far-in',
    reach: (plan, hand) => {
      if (!spanWidth(plan)) return { constantMm: 0, width: 0 };
      const [left, right] = swingCoefficients(plan);
      return { constantMm: 0, width: (hand === 1 ? 0 - left : right) + 0 };
    },
    ruled: (plan) => {
      const span = spanWidth(plan);
      return span ? { widthMm: span } : {};
    },
    freeLayers: () => ({ wrap: layers }),
    others: (plan, { k, v0 }) => [
      {
        name: 'back',
        source: 'wrap',
        k,
        loMm: nearestToFoldMm,
        hiMm: Infinity,
        below: 'back-missed',
        above: '',
        v0: { ...v0, constantMm: v0.constantMm + backWiderMm(plan) },
      },
    ],
    otherReferences: (plan, { guideMm }, hand) => [
      { source: 'wrap', name: 'back fold, underneath', atMm: guideMm - hand * backWiderMm(plan) },
    ],
    baseSpreadMm: (plan) => ({
      guide: guidanceSpreadMm[plan.foot.guidance],
      wrap: wrapMm(plan),
    }),
    startingLength,
    regions: (plan) => [
      { name: 'garment', fromMm: -Infinity, toMm: 0, layers: 1 },
      { name: 'binding', fromMm: 0, toMm: widthMm(plan), layers },
    ],
  });
}
