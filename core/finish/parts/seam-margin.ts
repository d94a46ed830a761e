import { guidanceSpreadMm } from '../../margin/drift';
import type { FinishMargin, MarginWords } from '../finish-margin';
import type { Reasoned } from '../../fact';
import type { SewingPlan } from '../sewing-plan';
import { said } from './said';
import { noSwing } from './margin-parts';

/** A seam may lie so far beside its line, mm. Starting guess. */
const besideMm = 1.5;

const words: MarginWords = {
  reference: 'raw edges',
  one: 'stitch',
  counted: 'stitches',
  good: 'lie on the seam line',
  short: 'Seam too narrow',
  over: 'Seam too wide',
  look: 'Count the stitches where either edge has slipped away from the line.',
  checks: { 'seam-line': 'seam line' },
  faults: {
    'seam-narrow': { short: 'seam too narrow', long: 'the seam takes less than its allowance' },
    'seam-wide': { short: 'seam too wide', long: 'the seam takes more than its allowance' },
  },
};

/**
 * Two raw edges along the line on the plate: the seam line may lie 1.5 mm off, and the lower edge
 * creeps under the upper one. Source: docs/formulas.md, “Fair chances”.
 */
export function seamMargin(startingLength: (plan: SewingPlan) => Reasoned<number>): FinishMargin {
  const allowanceMm = ({ fold }: SewingPlan) => fold.seamAllowanceMm ?? 0;
  return {
    words,
    countedCheck: 'seam-line',
    checks: () => [
      {
        name: 'seam-line',
        source: 'guide',
        k: 1,
        loMm: -besideMm,
        hiMm: besideMm,
        below: 'seam-narrow',
        above: 'seam-wide',
        v0: { constantMm: 0, width: 0, needlePosition: 0, guide: 0 },
      },
    ],
    // It is the line on the plate that leads, whatever the foot could guide.
    baseSpreadMm: () => ({ guide: guidanceSpreadMm.mark }),
    freeLayers: () => ({ guide: 2 }),
    startingLength,
    dialReasons: (plan) => ({
      widthMm: [noSwing],
      needlePositionMm: [
        said('seam-line', 'The raw edges run {allowanceMm} right of the needle.', {
          allowanceMm: allowanceMm(plan),
        }),
      ],
      guideMm: [said('plate-line', 'Led along the line on the plate.')],
    }),
    regions: () => [{ name: 'both edges', fromMm: -Infinity, toMm: 0, layers: 2 }],
    references: (plan, { needlePositionMm }) => [
      { source: 'guide', name: 'raw edges', atMm: needlePositionMm + allowanceMm(plan) },
    ],
  };
}
