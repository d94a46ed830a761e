import { crossingLayers } from '../fold/stack';
import { guess, needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { course } from './parts/course';
import { home, once, said } from './parts/said';
import { cut, lastPress, markFolds, press, topstitch } from './parts/work';
import type { Finish } from './finish';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { catchMargin } from './parts/catch-margin';
import { topstitchSide } from './parts/schools';
import { firstTurnMm, turnedTwice, turnWiderThanHem } from './parts/turned';
import { rated } from './parts/rated';

const both = ['narrow', 'equal'];
function folds(request: FoldRequest) {
  return turnedTwice(request, firstTurnMm(request.wish), request.wish.depthMm ?? 0, [
    'Raw edge turned under',
    'Turned again, on the hemline',
    'Topstitched beside the inner fold, in thick thread',
  ]);
}

/** Trousers have felled seams, whether or not they were marked on the edge. */
const seamed = (edge: WorkRequest['edge']) => ({
  ...edge,
  thickestTimes: Math.max(crossingLayers.felled, edge.thickestTimes),
});

/** The stack where a felled seam crosses the hem. */
const overFelledMm = (stackMm: number) => stackMm * crossingLayers.felled;

function steps(request: WorkRequest): WorkStep[] {
  const { wish, edge } = request;
  const plan = folds(foldsAsSewn(request));
  const at = home('straight');
  const turnMm = firstTurnMm(wish);
  const marked = (edge.crossings ?? []).length > 0;
  return course(request, {
    at,
    footName: 'straight-stitch foot',
    measure: [
      cut(plan.allowanceMm),
      markFolds('Mark the folds {turnMm} and {hemlineMm} from the raw edge.', {
        turnMm,
        hemlineMm: plan.allowanceMm,
      }),
    ],
    prepare: [
      once(
        5,
        'grade',
        'table',
        'At each felled seam, clip the allowances out of the part that is turned first, so that fewer layers meet.',
        {},
        ['cutter'],
      ),
    ],
    fold: [
      press(
        'turn',
        'Turn the raw edge under by {turnMm} and press hard; hammer the seams flat over a block.',
        { turnMm },
      ),
      press('press', 'Turn again by {depthMm} and press the hemline.', {
        depthMm: plan.finishedDepthMm,
      }),
    ],
    layers: plan.layersAtStitch,
    scrap: { text: 'folded as the hem is, {layers} layers', layers: plan.layersAtStitch },
    look: 'does the line catch the inner fold, and do the threads lock inside?',
    sew: [topstitch(request, at, plan.stitchFromHemlineMm, 'inner fold')],
    ...(marked
      ? {}
      : {
          overSeams: [
            once(
              2,
              'seams',
              at,
              'Over each felled seam, about {overMm:fine} thick: by handwheel, with a shim of {shimMm:fine} behind the heel going up, in front of the toe coming down.',
              {
                overMm: overFelledMm(plan.stackMm),
                shimMm: overFelledMm(plan.stackMm) - plan.stackMm,
              },
              ['handwheel', 'needle'],
            ),
          ],
        }),
    check: 'the inner fold caught everywhere, stitches as long over the seams as between them.',
    press: lastPress('Press once more over the seams.'),
  });
}

/** A double fold over felled seams, topstitched in thick thread. */
export const jeansHem: Finish = {
  id: 'jeans-hem',
  name: 'Jeans hem',
  family: 'turned',
  group: 'double-turned',
  about: 'The double fold of heavy cloth, topstitched over felled seams.',
  variants: [
    {
      id: 'narrow',
      name: 'narrow first turn',
      costs: [said('narrow', 'A little less to sew through at the seams.')],
    },
    {
      id: 'equal',
      name: 'equal turns',
      costs: [
        said('equal', 'The same height everywhere, so the foot does not tip along the fold.'),
      ],
    },
  ],
  fields: {
    depthMm: { name: 'Hem depth', neededBy: both, leastMm: 5, mostMm: 100, startMm: 13 },
    turnMm: { name: 'First turn', neededBy: ['narrow'], leastMm: 3, mostMm: 100, startMm: 10 },
  },
  schools: [topstitchSide],
  needs: () => ({
    machineKinds: ['lockstitch', 'straight-stitch'],
    patterns: ['straight'],
    feet: ['straight', 'zigzag', 'walking', 'edge-guide'],
    besides: said('shim', 'a shim for the felled seams'),
  }),
  contradictions: ({ wish }) => (wish.variant === 'narrow' ? turnWiderThanHem(wish) : []),
  folds,
  steps,
  startingValues({ wish, cloth, edge }) {
    const { stackMm } = folds({ wish, cloth });
    return [
      straightLength(stackMm, true),
      needle({ cloth, edge: seamed(edge) }, stackMm, true),
      guess(
        'thread',
        'Thread',
        'topstitching',
        '',
        said('thread', 'Thick thread shows on the right side only.'),
      ),
      guess(
        'tension',
        'Upper tension',
        'half-more',
        '',
        said('tension', 'Thick thread pulls the lock up; look at both faces.'),
      ),
      pressure(cloth, overFelledMm(stackMm)),
    ];
  },
  nature: () => ({
    purposes: ['hem'],
    worked: ['turned'],
    hidden: rated(
      0.1,
      'hidden',
      'A line of thick thread shows outside, {fromEdgeMm} from the edge.',
    ),
    sturdy: rated(
      0.95,
      'sturdy',
      'The raw edge is shut in, and thick thread goes through {layers} layers: it wears last.',
    ),
    decorative: rated(0.3, 'decorative', 'The thick thread is meant to be seen.'),
    holdsFray: 3,
    leastRadius: { timesDepth: 12 },
    thickestMm: Infinity,
    thinnestMm: 0.5,
    shutsIn: true,
    freeLayers: 3,
  }),
  seamClass: () => '6.03',
  margin: () => catchMargin({ caught: 'inner fold', layers: 3, folds, topstitchingThread: true }),
};
