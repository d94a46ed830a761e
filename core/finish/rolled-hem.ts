import { mark } from '../fold/mark';
import { guess, needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { ridesClause } from './dials-clause';
import { course } from './parts/course';
import { along, home, once, said } from './parts/said';
import { cut, lastPress, press } from './parts/work';
import { stackMm } from '../fold/stack';
import type { Fact, Reasoned } from '../fact';
import type { Finish } from './finish';
import type { FinishMargin } from './finish-margin';
import type { FoldPlan } from './fold-plan';
import type { School } from './school';
import type { WorkRequest, WorkStep } from './work';
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

const startSchool: School = {
  id: 'roll-start',
  question: 'How do you start the roll?',
  variants: withFoot,
  ways: [
    {
      id: 'leader',
      name: 'On a leader',
      costs: [said('leader', 'Surest on fine cloth; takes a scrap of soluble or tear-away sheet.')],
    },
    {
      id: 'handle',
      name: 'With a thread handle',
      costs: [said('handle', 'Nothing to buy; the first centimetre has to be trimmed.')],
    },
    {
      id: 'hand-fold',
      name: 'Fold the first centimetres',
      costs: [said('hand-fold', 'Quickest on firm cloth; the first stitches may chew.')],
    },
  ],
};

function startSteps({ schools, wish }: WorkRequest, at: WorkStep['at']): WorkStep[] {
  const values = { channelMm: wish.channelMm ?? 0, firstMm: 20 };
  const go = once(
    1,
    'start',
    at,
    'Not on a seam: two or three anchoring stitches, needle down, foot up, feed the edge in, wiggle, foot down, go.',
    {},
    ['handwheel'],
  );
  switch (schools['roll-start']) {
    case 'handle':
      return [
        once(
          1,
          'roll-start',
          at,
          'Sew three stitches at the corner of the raw edge and leave a long tail; pull the corner into the scroll by that handle.',
          values,
        ),
        go,
      ];
    case 'hand-fold':
      return [
        once(
          1,
          'roll-start',
          'iron',
          'Fold the first {firstMm} by hand, twice {channelMm:fine}, press, and slide the fold into the scroll.',
          values,
          ['iron'],
        ),
        go,
      ];
    default:
      return [
        once(
          1,
          'roll-start',
          at,
          'Baste a leader of soluble or tear-away sheet to the corner and start the roll on it.',
          values,
        ),
        go,
      ];
  }
}

function steps(request: WorkRequest): WorkStep[] {
  return request.wish.variant === 'imitation' ? imitationSteps(request) : scrollSteps(request);
}

function imitationSteps(request: WorkRequest): WorkStep[] {
  const plan = folds(foldsAsSewn(request));
  const at = home('overcasting');
  const overMm = request.sewn?.checks['overhang'];
  return course(request, {
    at,
    footName: 'overcasting foot',
    measure: [cut(plan.allowanceMm)],
    fold: [press('press', 'Turn {turnMm} to the inside and press.', { turnMm: plan.allowanceMm })],
    layers: plan.layersAtStitch,
    scrap: { text: 'folded as the edge is, {layers} layers', layers: plan.layersAtStitch },
    look: 'is the fold rolled in, and does the edge lie flat?',
    sew: [
      along(
        2,
        'sew',
        at,
        overMm === undefined
          ? 'Zigzag closely over the fold, the outer swing just off it.'
          : Math.abs(overMm) < 0.05
            ? `Zigzag closely over the fold, the outer swing just on its edge: ${ridesClause(request)}.`
            : `Zigzag closely over the fold, the outer swing {overMm:fine} ${overMm < 0 ? 'short of' : 'off'} it: ${ridesClause(request)}.`,
        { overMm: Math.abs(overMm ?? 0) },
        ['needle'],
      ),
    ],
    after: [
      along(1, 'trim', 'table', 'Trim the turned cloth close to the stitching.', {}, ['cutter']),
    ],
    check: 'the fold rolled in everywhere, no whisker.',
    press: lastPress('Press flat.'),
  });
}

function scrollSteps(request: WorkRequest): WorkStep[] {
  const { wish, edge } = request;
  const plan = folds(foldsAsSewn(request));
  const at = home('hemmer');
  const channelMm = wish.channelMm ?? 0;
  return course(request, {
    at,
    footName: 'hemmer foot',
    measure: [cut(plan.allowanceMm)],
    prepare: [
      along(
        0.5,
        'edge',
        'table',
        'Trim the raw edge clean; one loose thread jams the scroll. Starch what curls or slips.',
        {},
        ['cutter', 'starch'],
      ),
      ...(edge.thickestTimes > 1
        ? [
            once(
              2,
              'seams',
              'table',
              'Thin every seam that crosses, down to one layer, for the last {thinMm:fine}.',
              { thinMm: 2 * channelMm },
              ['cutter'],
            ),
          ]
        : []),
    ],
    layers: plan.layersAtStitch,
    scrap: { text: 'fed through the foot, {layers} layers', layers: plan.layersAtStitch },
    look: 'is the raw edge shut in all along, and the roll even?',
    start: startSteps(request, at),
    sew: [
      along(
        2,
        'sew',
        at,
        'Keep {feedMm:fine} of cloth running into the scroll, a little to the left and lifted: more crams, less lets the raw edge out.',
        { feedMm: plan.feedMm ?? 0 },
        ['needle'],
      ),
    ],
    overSeams:
      edge.thickestTimes > 1
        ? [
            once(
              0.5,
              'lump',
              at,
              'Before a seam: needle down, slide the roll out, fold by hand past the lump, sew over it, feed in again.',
              {},
              ['handwheel'],
            ),
          ]
        : [],
    corner: 'sew-off',
    close: edge.closed
      ? [
          once(
            2,
            'close',
            at,
            'Before the end of the round: needle down, slide the roll out, fold the last {lastMm} by hand to meet the beginning, and sew over it.',
            { lastMm: 40 },
          ),
        ]
      : [
          once(1, 'close', at, 'Fold the last {lastMm} by hand and sew off the end.', {
            lastMm: 20,
          }),
        ],
    check: 'no raw edge out anywhere.',
    press: lastPress('Press from the inside, without flattening the roll.'),
  });
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
  steps,
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
