import { pressSpreadMm } from '../../margin/drift';
import type { Reasoned } from '../../fact';
import type { FinishMargin, MarginWords } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import { noSwing } from './margin-parts';
import { said } from './said';

/** The second seam keeps this far outside the shut-in raw edges, mm. Starting guess. */
const nearestMm = 1;

const words: MarginWords = {
  reference: 'shut-in raw edge',
  one: 'stitch',
  counted: 'stitches',
  good: 'shut the raw edges in',
  short: 'Whiskers out',
  over: null,
  look: 'Count the stitches where threads of the first allowance poke out of the seam.',
  checks: { enclose: 'enclosed' },
  faults: {
    'whiskers-out': { short: 'whiskers poke out', long: 'threads of the first allowance poke out' },
  },
};

/**
 * A French seam's second pass: q less the first allowance after trimming. What wanders is the
 * crease along the first seam.
 * Source: docs/formulas.md, “Checks per finish”.
 *
 * @param keptMm the first allowance after trimming
 */
export function encloseMargin(
  keptMm: (plan: SewingPlan) => number,
  startingLength: (plan: SewingPlan) => Reasoned<number>,
): FinishMargin {
  const second = (plan: SewingPlan) => plan.fold.secondPassMm ?? 0;
  const roomMm = (plan: SewingPlan) => second(plan) - keptMm(plan);
  return {
    words,
    countedCheck: 'enclose',
    checks: (plan) => [
      {
        name: 'enclose',
        source: 'press',
        k: 1,
        loMm: nearestMm,
        hiMm: Infinity,
        below: 'whiskers-out',
        above: '',
        v0: { constantMm: roomMm(plan), width: 0, needlePosition: 0, guide: 0 },
      },
    ],
    baseSpreadMm: ({ aids }) => ({ press: pressSpreadMm[aids?.press ?? 'crease'] }),
    startingLength,
    dialReasons: (plan) => ({
      widthMm: [noSwing],
      needlePositionMm: [
        said(
          'second-pass',
          'Sew {secondMm:fine} from the crease: {roomMm:fine} clear of the edges inside, which were trimmed to {keptMm:fine}.',
          { secondMm: second(plan), roomMm: roomMm(plan), keptMm: keptMm(plan) },
        ),
      ],
      guideMm: [
        said('crease-guide', 'The crease goes {secondMm:fine} right of the needle.', {
          secondMm: second(plan),
        }),
      ],
    }),
    regions: (plan) => [
      { name: 'garment', fromMm: -Infinity, toMm: 0, layers: 2 },
      { name: 'shut-in allowances', fromMm: 0, toMm: keptMm(plan), layers: 4 },
    ],
    references: (plan, { needlePositionMm }) => [
      { source: 'press', name: 'shut-in raw edge', atMm: needlePositionMm + roomMm(plan) },
    ],
  };
}
