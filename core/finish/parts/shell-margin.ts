import type { FinishMargin, MarginWords } from '../finish-margin';
import { guideReasons, guideSpread, holeCoefficient, onTheGuide, swingSide } from './margin-parts';
import { said } from './said';

/** How far the swing reaches beyond the fold, mm. Starting guesses. */
const shallowestMm = 2.5;
const deepestMm = 4.5;
/** The run keeps at least this far inside the fold, or it sews in the air, mm. Starting guess. */
const runInsideMm = 0.5;
/** Short, so that the shells sit close, mm. Starting guess. */
const lengthMm = 1.5;

const words: MarginWords = {
  reference: 'fold',
  one: 'shell',
  counted: 'shells',
  good: 'draw the fold in evenly',
  short: 'Hardly drawn in',
  over: 'Thread hangs loose',
  look: 'Count the scallops that are hardly there, and the swings whose thread hangs beyond them.',
  checks: { overhang: 'overhang', run: 'run inside' },
  faults: {
    shallow: { short: 'shells too shallow', long: 'the shells come out too shallow' },
    'run-off': { short: 'run off the fold', long: 'the run slides off the fold' },
    loose: { short: 'thread hangs loose', long: 'the thread hangs loose beyond the fold' },
  },
};

/**
 * A shell edge: the single swing reaches over the fold, p + W/2 − x_g − ε, and the run stays inside
 * it; the mirror image where the stitch swings to the left and the cloth lies on the right.
 * Source: docs/formulas.md, “Checks per finish”.
 *
 * @param layers in the fold
 */
export function shellMargin(layers: number): FinishMargin {
  return {
    words,
    countedCheck: 'overhang',
    checks(plan) {
      const side = swingSide(plan);
      return [
        {
          name: 'overhang',
          source: 'guide',
          k: -side as 1 | -1,
          loMm: shallowestMm,
          hiMm: deepestMm,
          below: 'shallow',
          above: 'loose',
          v0: {
            constantMm: 0,
            width: side * holeCoefficient(plan, 'bite'),
            needlePosition: side,
            guide: -side,
          },
        },
        {
          name: 'run',
          source: 'guide',
          k: side,
          loMm: runInsideMm,
          hiMm: Infinity,
          below: 'run-off',
          above: '',
          v0: {
            constantMm: 0,
            width: 0 - side * holeCoefficient(plan, 'run'),
            needlePosition: -side,
            guide: side,
          },
        },
      ];
    },
    baseSpreadMm: guideSpread,
    startingLength: () => ({
      value: lengthMm,
      because: [said('shell-length', 'Short, so that the shells sit close.')],
      startingGuess: true,
    }),
    dialReasons(plan, { widthMm, needlePositionMm, guideMm }) {
      const side = swingSide(plan);
      const biteXMm = needlePositionMm + holeCoefficient(plan, 'bite') * widthMm;
      const runXMm = needlePositionMm + holeCoefficient(plan, 'run') * widthMm;
      return {
        widthMm: [
          said(
            'shell-width',
            'Reaches {overhangMm:fine} off the fold; good from {loMm:fine} to {hiMm:fine}.',
            { overhangMm: side * (biteXMm - guideMm), loMm: shallowestMm, hiMm: deepestMm },
          ),
        ],
        needlePositionMm: [
          said('shell-run', 'Runs {runMm:fine} inside the fold.', {
            runMm: side * (guideMm - runXMm),
          }),
        ],
        guideMm: guideReasons(plan),
      };
    },
    regions(plan) {
      const depth = plan.fold.depthMm ?? 0;
      const right = swingSide(plan) === 1;
      return right
        ? [
            { name: 'garment', fromMm: -Infinity, toMm: -depth, layers: 1 },
            { name: 'folded edge', fromMm: -depth, toMm: 0, layers },
          ]
        : [
            { name: 'garment', fromMm: depth, toMm: Infinity, layers: 1 },
            { name: 'folded edge', fromMm: 0, toMm: depth, layers },
          ];
    },
    references: (_plan, dials) => [onTheGuide('fold', dials)],
  };
}
