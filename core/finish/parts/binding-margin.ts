import { guidanceSpreadMm, wrapSpreadMm } from '../../margin/drift';
import type { FinishMargin, MarginWords, Reasoned, SewingPlan } from '../finish';
import { lineMargin } from './line-margin';

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

/**
 * A binding sewn from the front: the front fold along the guide, and the back, which the wrap
 * decides and nobody sees, d wider: front distance + d.
 * Source: docs/formulas.md, “Checks per finish”.
 */
export function bindingMargin(
  layers: number,
  startingLength: (plan: SewingPlan) => Reasoned<number>,
): FinishMargin {
  return lineMargin({
    words,
    check: 'front',
    window: (plan) => [nearestToFoldMm, widthMm(plan) / 2],
    below: 'off-front',
    above: 'far-in',
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
    baseSpreadMm: ({ foot, aids }) => ({
      guide: guidanceSpreadMm[foot.guidance],
      wrap: wrapSpreadMm[aids?.wrap ?? 'hand'],
    }),
    startingLength,
    regions: (plan) => [
      { name: 'garment', fromMm: -Infinity, toMm: 0, layers: 1 },
      { name: 'binding', fromMm: 0, toMm: widthMm(plan), layers },
    ],
  });
}
