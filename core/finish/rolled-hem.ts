import { mark } from '../fold/mark';
import { guess, needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { rolledSteps, startSchool } from './parts/rolled-work';
import { said } from './parts/said';
import { stackMm } from '../fold/stack';
import type { Fact, Reasoned } from '../fact';
import type { Finish } from './finish';
import type { FinishMargin } from './finish-margin';
import type { FoldPlan } from './fold-plan';
import type { FoldRequest } from './fold-request';
import { fedMargin } from './parts/fed-margin';
import { asLength } from './parts/margin-parts';
import { overhang } from './parts/overcast-margin';
import { foldingStages, garmentBeyondMm, sewnAt } from './parts/stages';
import { swingMargin } from './parts/swing-margin';
import { turnedTwice } from './parts/turned';
import { rated } from './parts/rated';

const withFoot = ['straight', 'zigzag'];
/** Middle of what a scroll takes, 1.8 … 2.5 times its channel. Starting guess. */
const feedPerChannel = 2.15;

/** The close zigzag swings over a fold of this much cloth, which is trimmed to the stitch. */
function imitationFolds({ wish, cloth: { thicknessMm } }: FoldRequest): FoldPlan {
  const turn = wish.turnMm ?? 0;
  const stages = foldingStages(turn * 2 + garmentBeyondMm(turn), thicknessMm, [
    { atMm: turn, direction: 'over', id: 'hemline', title: 'Fold pressed' },
  ]);
  const sewn = {
    ...sewnAt(stages, 'Close zigzag over the fold', [turn - 2]),
    wrappedMm: [turn - 0.5, turn + 2] as const,
  };
  return {
    allowanceMm: turn,
    marks: [mark('hemline', 'Fold', turn, 'press')],
    layersAtStitch: 2,
    layersUnderNeedle: 2,
    stackMm: stackMm(2, thicknessMm),
    stitchFromHemlineMm: null,
    finishedDepthMm: turn,
    trim: { needed: true, leaveMm: 2, cutAwayMm: Math.max(0, turn - 2) },
    stages: [...stages, sewn],
  };
}

/** A = 2c, fed in at 2.15c. Source: docs/formulas.md, “Folds”. */
function folds(request: FoldRequest): FoldPlan {
  if (request.wish.variant === 'imitation') return imitationFolds(request);
  const channel = request.wish.channelMm ?? 0;
  const rolled = turnedTwice(request, channel, channel, [
    'The scroll takes the raw edge',
    'and rolls it over once more',
    request.wish.variant === 'zigzag' ? 'Zigzagged over the roll' : 'Stitched through the roll',
  ]);
  return { ...rolled, marks: [], feedMm: feedPerChannel * channel };
}

/** The roll's width for a foot's zigzag, and the close zigzag's own, mm. Starting guesses. */
const imitationWidthMm = 3;
const rollZigzagLengthMm = 1.5;
const imitationLengthMm = 0.6;

/** A scroll takes 1.8 … 2.5 times its channel. Starting guesses. */
const leastFed = 1.8;
const mostFed = 2.5;

const ruledLength = (value: number, why: Fact): Reasoned<number> => ({
  value,
  because: [why],
  startingGuess: true,
});

const rollMargin = (variant: string): FinishMargin =>
  fedMargin({
    check: 'feed',
    fedMm: ({ fold }) => feedPerChannel * (fold.channelMm ?? 0),
    window: ({ fold: { channelMm } }) => [leastFed * (channelMm ?? 0), mostFed * (channelMm ?? 0)],
    edgeFromNeedleMm: ({ fold }) => (fold.channelMm ?? 0) / 2,
    depthMm: ({ fold }) => fold.channelMm ?? 0,
    rawEdgeFromEdgeMm: ({ fold }) => feedPerChannel * (fold.channelMm ?? 0),
    startingLength: ({ fold, cloth }) =>
      variant === 'zigzag'
        ? ruledLength(rollZigzagLengthMm, rollZigzagWhy)
        : asLength(straightLength(folds({ wish: fold, cloth }).stackMm)),
    reason:
      'The needle goes through the middle of the roll. Feed {fedMm:fine}; good from {loMm:fine} to {hiMm:fine}.',
    ...(variant === 'zigzag'
      ? {
          ruled: ({ fold: { channelMm } }) => ({
            widthMm: {
              value: channelMm ?? 0,
              because: [rollWidthWhy(channelMm ?? 0)],
              startingGuess: true,
            },
          }),
        }
      : {}),
  });

const rollZigzagWhy = said('roll-zigzag', 'Close, so that the roll does not open.');
const rollWidthWhy = (channelMm: number) =>
  said('width', 'The swing spans the roll of {channelMm:fine}.', { channelMm });
const closeWhy = said('close', 'Nearly a satin stitch.');
const imitationWhy = said('width', 'Wide enough to roll the fold in.');

const imitationMargin: FinishMargin = swingMargin({
  words: {
    reference: 'fold',
    one: 'swing',
    counted: 'swings',
    good: 'roll the fold in',
    short: 'Short of the fold',
    over: 'Loops beyond it',
    look: 'Count the swings that stop short of the fold, and those whose loops stand beyond it.',
    checks: { overhang: 'overhang' },
    faults: {
      'short-of-fold': { short: 'fold not rolled in', long: 'the swing stops short of the fold' },
      loops: { short: 'loops hang', long: 'loops hang beyond the fold' },
    },
  },
  overhang,
  below: 'short-of-fold',
  above: 'loops',
  startingLength: () => ruledLength(imitationLengthMm, closeWhy),
  regions: ({ fold }) => [
    { name: 'garment', fromMm: -Infinity, toMm: -(fold.turnMm ?? 0), layers: 1 },
    { name: 'fold', fromMm: -(fold.turnMm ?? 0), toMm: 0, layers: 2 },
  ],
  ruled: () => ({
    widthMm: { value: imitationWidthMm, because: [imitationWhy], startingGuess: true },
  }),
});

/** A narrow roll made by a hemmer foot, or its likeness by a close zigzag. */
export const rolledHem: Finish = {
  id: 'rolled-hem',
  name: 'Narrow rolled hem',
  family: 'rolled',
  group: 'rolled',
  about: 'The lightest hem for fine cloth; a scroll rolls it while it is sewn.',
  variants: [
    {
      id: 'straight',
      name: 'hemmer foot, straight stitch',
      costs: [said('straight', 'Crisp; the stitching is a fine line.')],
    },
    {
      id: 'zigzag',
      name: 'hemmer foot, zigzag',
      costs: [said('zigzag', 'Rounder and a little elastic; forgives an uneven feed.')],
    },
    {
      id: 'imitation',
      name: 'close zigzag, no hemmer',
      costs: [said('imitation', 'Goes round tight curves; more thread, and the edge is stiffer.')],
    },
  ],
  fields: {
    channelMm: {
      name: 'Channel of the foot',
      neededBy: withFoot,
      leastMm: 1,
      mostMm: 8,
      startMm: 3,
      sizesMm: [2, 3, 4, 6],
    },
    turnMm: { name: 'Turn', neededBy: ['imitation'], leastMm: 3, mostMm: 20, startMm: 6 },
  },
  schools: [startSchool],
  needs: (variant) => ({
    machineKinds: ['lockstitch'],
    patterns: [variant === 'straight' ? 'straight' : 'zigzag'],
    feet: [variant === 'imitation' ? 'overcasting' : 'hemmer'],
  }),
  contradictions: () => [],
  folds,
  steps: (request) => rolledSteps(request, folds(foldsAsSewn(request))),
  startingValues({ wish, cloth, edge }) {
    const { stackMm: stack } = folds({ wish, cloth });
    const width = (mm: number, why: Fact) => guess('width', 'Stitch width', mm, 'mm', why);
    const rest = [needle({ cloth, edge }, stack), pressure(cloth, stack)];
    if (wish.variant === 'imitation') {
      return [
        width(imitationWidthMm, imitationWhy),
        guess('length', 'Stitch length', imitationLengthMm, 'mm', closeWhy),
        ...rest,
      ];
    }
    const channel = wish.channelMm ?? 0;
    return wish.variant === 'zigzag'
      ? [
          width(channel, rollWidthWhy(channel)),
          guess('length', 'Stitch length', rollZigzagLengthMm, 'mm', rollZigzagWhy),
          ...rest,
        ]
      : [straightLength(stack), ...rest];
  },
  nature: (variant) => ({
    purposes: ['hem', 'opening'],
    worked: variant === 'imitation' ? ['turned', 'over-edge'] : ['turned', 'scroll'],
    hidden:
      variant === 'imitation'
        ? rated(0.35, 'hidden', 'A cord of thread runs along the edge itself.')
        : rated(0.6, 'hidden', 'A roll as narrow as {depthMm:fine} is all that is seen.'),
    sturdy: rated(0.5, 'sturdy', 'Rolled shut, but only {depthMm:fine} of it is held.'),
    decorative: rated(0.35, 'decorative', 'A fine even roll is nice to look at.'),
    holdsFray: variant === 'imitation' ? 2 : 3,
    leastRadius: variant === 'imitation' ? { mm: 30 } : { timesDepth: 30 },
    thickestMm: variant === 'imitation' ? 0.5 : 0.45,
    shutsIn: variant !== 'imitation',
    closeStitch: variant === 'imitation',
    // The scroll holds the layers on one another.
    freeLayers: 1,
  }),
  seamClass: (variant) => (variant === 'imitation' ? '6.02' : '6.03'),
  margin: (variant) => (variant === 'imitation' ? imitationMargin : rollMargin(variant)),
};
