import { swingCoefficients } from './parts/margin-parts';
import { differential, guess, needle } from './parts/starting';
import { presserLift, threaded } from './parts/overlock';
import { foldsAsSewn } from './as-sewn';
import { ridesClause } from './dials-clause';
import { course } from './parts/course';
import { once, said, step } from './parts/said';
import { cut, lastPress, markFolds, pin, press } from './parts/work';
import { coverSpan } from './parts/cover';
import { coverHemMargin } from './parts/cover-hem-margin';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { FoldRequest } from './fold-request';
import { rated } from './parts/rated';
import { sewnAt } from './parts/stages';
import { turnedOnce } from './parts/turned';
import type { StartingValue, WorkRequest, WorkStep } from './work';

const both = ['narrow', 'wide'];
const machine = { machine: 'coverstitch', foot: null } as const;

/** Starting guesses: what lies between the pair of needles, mm. */
const usualGapMm: Readonly<Record<string, number>> = { narrow: 2.5, wide: 5 };
const gapOf = (variant: string) => usualGapMm[variant] ?? 2.5;

/** Turned once; the raw edge lies midway between the needles. */
function folds(request: FoldRequest): FoldPlan {
  const { wish } = request;
  const [depth, gap] = [wish.depthMm ?? 0, gapOf(wish.variant)];
  const plan = turnedOnce(request);
  // The needle nearer to the fold catches the hem; the other runs just beyond its raw edge.
  const inHem = Math.min(request.sewn?.['cover'] ?? gap / 2, depth);
  const pressed = plan.stages.filter(({ id }) => id !== 'stitch');
  return {
    ...plan,
    stitchFromHemlineMm: depth - inHem,
    stages: [
      ...pressed,
      sewnAt(pressed, 'Sewn from the right side, the raw edge between the needles', [
        inHem,
        2 * depth + gap - inHem,
      ]),
    ],
  };
}

/** Long enough to give. Starting guess. */
const length: StartingValue = guess(
  'length',
  'Stitch length',
  3,
  'mm',
  said('cover-length', 'Long enough to give; shorter looks tight on a knit.'),
);

function steps(request: WorkRequest): WorkStep[] {
  const { wish, edge } = request;
  const plan = folds(foldsAsSewn(request));
  const coverMm = request.sewn?.checks['cover'];
  return course(request, {
    at: machine,
    footName: 'its own foot',
    measure: [
      cut(plan.allowanceMm),
      markFolds('Mark the hemline {allowanceMm} from the raw edge.', {
        allowanceMm: plan.allowanceMm,
      }),
    ],
    fold: [
      press('press', 'Turn up {depthMm} to the inside and press the hemline.', {
        depthMm: plan.finishedDepthMm,
      }),
      pin('Pin from the right side, along the hem and well clear of it.'),
    ],
    set: [
      once(
        6,
        'thread',
        machine,
        wish.variant === 'wide'
          ? 'Thread the outer two needles and the looper.'
          : 'Thread the left and the middle needle, and the looper.',
        {},
        ['power-off'],
      ),
    ],
    layers: plan.layersAtStitch,
    scrap: { text: 'turned up as the hem is, {layers} layers', layers: plan.layersAtStitch },
    look: 'turned over, does the raw edge lie between the needles all along?',
    sew: [
      step(
        'sew',
        machine,
        coverMm === undefined
          ? 'From the right side, the nearer needle {fromEdgeMm:fine} from the hemline; the raw edge inside must lie between the needles.'
          : `From the right side, ${ridesClause(request)}, the nearer needle {fromEdgeMm:fine} from the hemline: the raw edge lies {coverMm:fine} beyond it, between the needles.`,
        { fromEdgeMm: plan.stitchFromHemlineMm ?? 0, coverMm: coverMm ?? 0 },
        ['needle'],
      ),
    ],
    close: [
      edge.closed
        ? once(
            3,
            'ends',
            machine,
            'Sew on over the first stitches by {overlapMm}, cut the threads, and draw the upper ones to the inside.',
            { overlapMm: 20 },
          )
        : once(2, 'ends', 'hand', 'Draw the upper threads to the inside and tie them.'),
    ],
    check: 'the loops cover the raw edge, and nothing tunnels.',
    press: lastPress('Press from the inside; do not pull the hem.'),
  });
}

/** The usual hem of a knit: turned once, two lines outside, loops over the raw edge inside. */
export const coverstitchHem: Finish = {
  id: 'coverstitch-hem',
  name: 'Coverstitched hem',
  family: 'turned',
  group: 'coverstitch-hem',
  about: 'The usual knit hem: two lines outside, the raw edge covered by loops inside.',
  variants: [
    {
      id: 'narrow',
      name: 'narrow pair of needles',
      costs: [said('narrow', 'Fine and light; the raw edge must be met closely.')],
    },
    {
      id: 'wide',
      name: 'outer pair of needles',
      costs: [said('wide', 'Sportier; covers a raw edge that wanders.')],
    },
  ],
  fields: {
    depthMm: { name: 'Hem depth', neededBy: both, leastMm: 6, mostMm: 80, startMm: 20 },
  },
  schools: [],
  needs: (variant) => ({
    machineKinds: ['coverstitch'],
    patterns: variant === 'wide' ? ['cover-wide'] : ['cover-left', 'cover-right'],
    feet: [],
  }),
  contradictions: () => [],
  folds,
  steps,
  startingValues({ wish, cloth, edge }) {
    const { stackMm } = folds({ wish, cloth });
    return [
      threaded(
        3,
        wish.variant === 'wide' ? 'outer' : 'narrow',
        'Two needles above, one looper below.',
      ),
      length,
      differential(cloth, false),
      guess(
        'loopers',
        'Looper',
        'less',
        '',
        said('cover-looper', 'A slack looper lets the hem stretch and does not tunnel.'),
      ),
      presserLift(cloth),
      needle({ cloth, edge }, stackMm),
    ];
  },
  nature: () => ({
    purposes: ['hem', 'opening'],
    worked: ['turned'],
    hidden: rated(0.4, 'hidden', 'Two even lines show outside, {fromEdgeMm} from the edge.'),
    sturdy: rated(
      0.85,
      'sturdy',
      'Two lines hold, loops cover the raw edge, and all of it stretches.',
    ),
    decorative: rated(0.25, 'decorative', 'Looks like a bought one.'),
    holdsFray: 2,
    madeToGive: true,
    leastRadius: { timesDepth: 12 },
    thickestMm: Infinity,
    freeLayers: 2,
  }),
  seamClass: () => '6.02',
  margin: () =>
    coverHemMargin({
      depthMm: ({ fold }) => fold.depthMm ?? 0,
      spanWidth: ({ machine: { maxWidthMm } }) => coverSpan({ maxWidthMm }),
      needles: swingCoefficients,
      length,
    }),
};
