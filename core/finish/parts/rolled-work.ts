import { handFoldedMm } from '../../edge/start-place';
import { ridesClause } from '../dials-clause';
import type { FoldPlan } from '../fold-plan';
import type { School } from '../school';
import type { WorkRequest, WorkStep } from '../work';
import { course } from './course';
import { along, home, once, said } from './said';
import { cut, lastPress, press } from './work';

/** How the roll is started, where a foot makes it. */
export const startSchool: School = {
  id: 'roll-start',
  question: 'How do you start the roll?',
  variants: ['straight', 'zigzag'],
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

/**
 * The work of a narrow roll, by a hemmer foot or by a close zigzag.
 *
 * @param plan the folds of it, as sewn
 */
export const rolledSteps = (request: WorkRequest, plan: FoldPlan): WorkStep[] =>
  request.wish.variant === 'imitation' ? imitationSteps(request, plan) : scrollSteps(request, plan);

function imitationSteps(request: WorkRequest, plan: FoldPlan): WorkStep[] {
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

function scrollSteps(request: WorkRequest, plan: FoldPlan): WorkStep[] {
  const { wish, edge } = request;
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
            { lastMm: handFoldedMm },
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
