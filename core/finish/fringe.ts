import { foldedStrip } from '../fold/layer';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { once, said, step } from './parts/said';
import { stage } from './parts/stages';
import { guess, needle } from './parts/starting';
import { changeTo, cut, testScrap } from './parts/work';
import { rated } from './parts/rated';

const all = ['loops', 'cut'];
/** How high a loop stands: the bar of the foot. Starting guess. */
const loopHeightMm = 4;

/** One layer; the fringe line lies depth from the raw edge, which is turned away under it. */
function folds({ wish, cloth: { thicknessMm } }: FoldRequest): FoldPlan {
  const line = wish.depthMm ?? 0;
  const half = Math.min(2.5, line * 0.8);
  const stack = foldedStrip(line + 20, [], thicknessMm);
  return {
    allowanceMm: line,
    marks: [mark('fringe-line', 'Fringe line', line, 'stitch')],
    layersAtStitch: 1,
    layersUnderNeedle: 1,
    stackMm: stackMm(1, thicknessMm),
    stitchFromHemlineMm: 0,
    finishedDepthMm: 0,
    stages: [
      stage('flat', 'Flat cloth, raw edge at the left', stack),
      stage('stitch', 'Loops sewn over the tall bar', stack, {
        stitchesXMm: [line - half, line + half],
        loopsMm: loopHeightMm,
      }),
    ],
  };
}

function steps(request: WorkRequest): WorkStep[] {
  const { wish, cloth } = request;
  const { allowanceMm } = folds({ wish, cloth });
  const machine = { machine: 'lockstitch', foot: 'tall-bar' } as const;
  return [
    cut(allowanceMm),
    step('mark', 'table', 'Draw the fringe line {lineMm} from the raw edge.', {
      lineMm: allowanceMm,
    }),
    changeTo('foot with the tall bar', machine),
    testScrap(1),
    step(
      'sew',
      machine,
      'Close, wide zigzag over the bar along the line; draw the work off the bar straight back.',
      {},
      ['needle'],
    ),
    step(
      'anchor',
      { machine: 'lockstitch', foot: 'zigzag' },
      'Push all loops to one side and sew a narrow zigzag over their feet.',
      {},
      ['needle'],
    ),
    ...(wish.variant === 'cut'
      ? [step('open', 'hand', 'Cut the loops open at their tops and brush them up.')]
      : []),
    once(1, 'last', 'hand', 'Pull a few loops hard: nothing may come off.', {}, ['loose-trim']),
  ];
}

/** Loops of thread from a close wide zigzag over a tall bar. */
export const fringe: Finish = {
  id: 'fringe',
  name: 'Thread fringe',
  family: 'decorative',
  group: 'fringe',
  about: 'A line of standing loops, left whole or cut, along an edge.',
  variants: [
    {
      id: 'loops',
      name: 'loops left whole',
      costs: [said('loops', 'Holds better in the wash; catches on rings and toes.')],
    },
    {
      id: 'cut',
      name: 'loops cut open',
      costs: [said('cut', 'Softer and fuller; sheds unless it is anchored.')],
    },
  ],
  fields: {
    depthMm: {
      name: 'Fringe line from the raw edge',
      neededBy: [],
      optionalFor: all,
      leastMm: 2,
      mostMm: 200,
      startMm: 10,
    },
  },
  schools: [],
  needs: () => ({
    machineKinds: ['lockstitch'],
    patterns: ['fringe', 'zigzag'],
    feet: ['tall-bar'],
    also: [{ machineKinds: ['lockstitch'], patterns: ['zigzag'], feet: ['zigzag', 'clear'] }],
  }),
  contradictions: () => [],
  folds,
  steps,
  startingValues: ({ cloth, edge }) => [
    guess(
      'length',
      'Stitch length',
      0.4,
      'mm',
      said('fringe-length', 'As close as it still feeds.'),
    ),
    guess(
      'width',
      'Stitch width',
      5,
      'mm',
      said(
        'fringe-width',
        'As wide as the slot allows; the loops are half of it and the bar’s height.',
      ),
    ),
    guess(
      'tension',
      'Upper tension',
      'two numbers less',
      '',
      said('fringe-tension', 'Loops must stand, not pull tight over the bar.'),
    ),
    needle({ cloth, edge }, cloth.thicknessMm),
  ],
  nature: () => ({
    purposes: ['hem', 'opening'],
    worked: ['loops'],
    hidden: rated(0, 'hidden', 'It is there to be seen.'),
    sturdy: rated(0.15, 'sturdy', 'Loops catch, and pull out.'),
    decorative: rated(0.95, 'decorative', 'Standing loops of thread.'),
    holdsFray: 1,
    leastRadius: { mm: 30 },
    thickestMm: Infinity,
    pullsOff: true,
    freeLayers: 1,
  }),
  seamClass: () => null,
  margin: () => null,
};
