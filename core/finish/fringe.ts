import { foldedStrip } from '../fold/layer';
import { guess, needle } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { course } from './parts/course';
import { along, home, once, said, step } from './parts/said';
import { cut, lastPress, markFolds } from './parts/work';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { stage } from './parts/stages';
import { rated } from './parts/rated';

const all = ['loops', 'cut'];
/** How wide and close the loops are sewn, and the zigzag over their feet, mm. Starting guesses. */
const fringeWidthMm = 5;
const fringeLengthMm = 0.4;
const anchorWidthMm = 2;
const anchorLengthMm = 1.5;
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
  const { allowanceMm } = folds(foldsAsSewn(request));
  const at = home('tall-bar');
  return course(request, {
    at,
    footName: 'the foot with the tall bar',
    measure: [
      cut(allowanceMm),
      markFolds('Draw the fringe line {lineMm} from the raw edge.', { lineMm: allowanceMm }),
    ],
    layers: 1,
    scrap: { text: '{layers} layer, with paper under it if it draws in', layers: 1 },
    look: 'do the loops stand, and does the cloth lie flat?',
    sew: [
      along(
        3,
        'sew',
        at,
        'Sew over the bar along the line, {widthMm:fine} wide and {lengthMm:fine} long; draw the work off the bar straight back.',
        { widthMm: fringeWidthMm, lengthMm: fringeLengthMm },
        ['needle'],
      ),
    ],
    after: [
      step(
        'anchor',
        home('zigzag'),
        'Push all loops to one side; with the open foot, sew a zigzag {anchorWidthMm:fine} wide and {anchorLengthMm:fine} long over their feet.',
        { anchorWidthMm, anchorLengthMm },
        ['needle'],
      ),
      ...(request.wish.variant === 'cut'
        ? [along(2, 'open', 'hand', 'Cut the loops open at their tops and brush them up.')]
        : []),
      once(1, 'last', 'hand', 'Pull a few loops hard: nothing may come off.', {}, ['loose-trim']),
    ],
    check: 'no loop comes off.',
    press: lastPress('Press beside the fringe, never on it.'),
  });
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
      fringeLengthMm,
      'mm',
      said('fringe-length', 'As close as it still feeds.'),
    ),
    guess(
      'width',
      'Stitch width',
      fringeWidthMm,
      'mm',
      said(
        'fringe-width',
        'As wide as the slot allows; the loops are half of it and the bar’s height.',
      ),
    ),
    guess(
      'tension',
      'Upper tension',
      'two-less',
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
