import { foldedStrip } from '../fold/layer';
import { cutCourse } from './parts/course';
import { along, once, said } from './parts/said';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { FoldRequest } from './fold-request';
import { rated } from './parts/rated';
import { stage } from './parts/stages';
import type { WorkRequest, WorkStep } from './work';

/** A = 0: the edge stays as the blade leaves it. */
function folds({ cloth: { thicknessMm } }: FoldRequest): FoldPlan {
  const stack = foldedStrip(16, [], thicknessMm);
  return {
    allowanceMm: 0,
    marks: [],
    layersAtStitch: 1,
    layersUnderNeedle: 1,
    stackMm: stackMm(1, thicknessMm),
    stitchFromHemlineMm: null,
    finishedDepthMm: 0,
    stages: [
      stage('flat', 'Flat cloth, edge at the left', stack),
      stage('stitch', 'Cut clean, and left', stack),
    ],
  };
}

function steps({ wish, edge }: WorkRequest): WorkStep[] {
  const rotary = wish.variant === 'rotary';
  return cutCourse({
    measure: [
      along(
        0.5,
        'line',
        'table',
        edge.minRadiusMm === null
          ? 'Lay the edge flat and unstretched on the mat, and mark the finished line along a ruler.'
          : 'Lay the edge flat and unstretched on the mat, and mark the finished line along a card cut to the curve.',
      ),
    ],
    prepare: [
      once(
        1,
        'blade',
        'table',
        rotary
          ? 'Put a new blade into the rotary cutter, and try it on a scrap: a dull one leaves fluff.'
          : 'Take long, sharp shears, and try them on a scrap: dull ones leave steps.',
        {},
        ['cutter'],
      ),
      once(
        2,
        'test',
        'hand',
        'Rub {rubMm} of the scrap’s edge ten times and pull it gently. If a thread comes loose or it rolls up, choose another finish.',
        { rubMm: 50 },
      ),
    ],
    sew: [
      along(
        0.5,
        'clean',
        'table',
        rotary
          ? 'Cut along the line in one go, the cloth held down beside the blade; lift only at the ends.'
          : 'Cut along the line in long strokes, never closing the shears to their tips.',
        {},
        ['cutter'],
      ),
    ],
    check: [
      along(0.2, 'check', 'hand', 'Look along the edge for steps, and cut them off in one go.'),
    ],
  });
}

/** No finish at all, where the cloth asks for none. */
export const leftCut: Finish = {
  id: 'left-cut',
  name: 'Left as cut',
  family: 'edge',
  group: 'left-cut',
  about: 'For felt, fleece, net and firm knits: a clean cut and nothing more.',
  variants: [
    {
      id: 'rotary',
      name: 'rotary cutter',
      costs: [said('rotary', 'The cleanest line; needs a mat and a fresh blade.')],
    },
    {
      id: 'shears',
      name: 'shears',
      costs: [said('shears', 'Nothing to buy; each stroke can leave a step.')],
    },
  ],
  fields: {},
  schools: [],
  needs: (variant) => ({
    machineKinds: [],
    patterns: [],
    feet: [],
    besides:
      variant === 'rotary'
        ? said('rotary', 'a rotary cutter and a mat')
        : said('shears', 'long sharp shears'),
  }),
  contradictions: () => [],
  folds,
  steps,
  startingValues: () => [],
  nature: (variant) => ({
    purposes: ['hem', 'opening', 'allowance'],
    worked: ['cut'],
    hidden: rated(0.5, 'hidden', 'No stitching shows; the cut itself does.'),
    sturdy: rated(
      variant === 'rotary' ? 0.3 : 0.28,
      'sturdy',
      'Nothing is sewn: the cloth alone holds its edge.',
    ),
    decorative: rated(0.1, 'decorative', 'A bare edge, plain and modern.'),
    holdsFray: 0,
    leastRadius: { mm: 0 },
    thickestMm: Infinity,
    rawEdge: true,
    liesWithCurl: 1,
    freeLayers: 1,
  }),
  seamClass: () => null,
  margin: () => null,
};
