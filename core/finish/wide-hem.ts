import type { Finish } from './finish';
import { closing } from './parts/ends';
import { needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { course } from './parts/course';
import { along, home, once, said } from './parts/said';
import { cut, lastPress } from './parts/work';
import type { FinishMargin } from './finish-margin';
import type { SewingPlan } from './sewing-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest, FoldWish } from './fold-request';
import { catchMargin, caughtWithin } from './parts/catch-margin';
import { fedMargin } from './parts/fed-margin';
import { asLength } from './parts/margin-parts';
import { endsSchool } from './parts/schools';
import { turnedTwiceWork } from './parts/turned-twice-work';
import { turnedTwice, turnWiderThanHem } from './parts/turned';
import { oneLineShows, plainToSee, shutIn } from './parts/rated';

const both = ['hemmer', 'hand'];

/** A = w + u, fed in whole; by hand the same two folds are pressed. */
function folds(request: FoldRequest) {
  const { depthMm, turnMm, variant } = request.wish as Required<FoldWish>;
  const [width, turn] = [depthMm ?? 0, turnMm ?? 0];
  const plan = turnedTwice(request, turn, width, [
    'Raw edge turned under',
    variant === 'hand' ? 'Turned again, on the hemline' : 'Turned again: the start, folded by hand',
    variant === 'hand' ? 'Topstitched beside the inner fold' : 'Sewn as the foot folds it',
  ]);
  return { ...plan, feedMm: width + turn };
}

function steps(request: WorkRequest): WorkStep[] {
  const { wish } = request;
  return wish.variant === 'hand' ? handSteps(request) : scrollSteps(request);
}

const handSteps = (request: WorkRequest): WorkStep[] =>
  turnedTwiceWork(
    request,
    folds(foldsAsSewn(request)),
    request.wish.turnMm ?? 0,
    'edge-guide foot',
  );

/** Folded by hand at the start, and lifted out again so far before the end, mm. */
const firstMm = 80;
const beforeEndMm = 50;

function scrollSteps(request: WorkRequest): WorkStep[] {
  const { wish, edge } = request;
  const plan = folds(foldsAsSewn(request));
  const { allowanceMm, layersAtStitch, stitchFromHemlineMm, feedMm = 0 } = plan;
  const [widthMm, turnMm] = [wish.depthMm ?? 0, wish.turnMm ?? 0];
  const at = home('wide-hemmer');
  const guideMm = request.sewn?.settings.guideMm;
  return course(request, {
    at,
    footName: 'wide hemmer',
    measure: [cut(allowanceMm)],
    prepare: [
      once(
        1,
        'clip',
        'table',
        'Clip the corner of the raw edge at the start, and thin the seams that cross, down to one layer inside the hem.',
        {},
        ['cutter'],
      ),
    ],
    set:
      guideMm === undefined
        ? []
        : [
            once(
              1,
              'guide-screw',
              at,
              'Loosen the guide’s screw, set the fold {foldMm:fine} left of the centre, and tighten it: the line falls {fromEdgeMm:fine} from the hemline, on the inner fold.',
              { foldMm: -guideMm, fromEdgeMm: stitchFromHemlineMm ?? 0 },
              ['power-off'],
            ),
          ],
    layers: layersAtStitch,
    scrap: { text: 'fed through the foot, {layers} layers', layers: layersAtStitch },
    look: 'is the raw edge shut in, and does the line catch the inner fold?',
    start: [
      once(
        2,
        'start-fold',
        'iron',
        'Fold the first {firstMm} by hand, {turnMm} and then {widthMm}, and press.',
        { turnMm, widthMm, firstMm },
        ['iron'],
      ),
      once(0.5, 'start', at, 'Lay the folded start under the foot and take three stitches.', {}, [
        'handwheel',
      ]),
    ],
    sew: [
      along(
        2,
        'feed',
        at,
        'Let the cloth run into the scroll with {feedMm} fed in, held a little to the left and level.',
        { feedMm },
        ['needle'],
      ),
    ],
    overSeams: [
      once(
        0.5,
        'lump',
        at,
        'At a lump: needle down, foot up, cloth out of the scroll; fold by hand past it, sew over it, needle down, guide the edge back in.',
        {},
        ['handwheel'],
      ),
    ],
    corner: 'sew-off',
    close: edge.closed
      ? [
          once(
            3,
            'close',
            at,
            'Closing the round: lift the hem out of the scroll {beforeEndMm} before the beginning, fold the rest by hand and sew on over the first stitches.',
            { beforeEndMm },
          ),
        ]
      : [
          once(1, 'last', at, 'Fold the last {lastMm} by hand and sew off the edge.', {
            lastMm: 20,
          }),
          ...closing(request, at),
        ],
    check: 'no raw edge out, the inner fold caught everywhere.',
    press: lastPress('Press from the inside.'),
  });
}

const startingLength = ({ fold, cloth }: SewingPlan) =>
  asLength(straightLength(folds({ wish: fold, cloth }).stackMm));

const handMargin = catchMargin({ caught: 'inner fold', layers: 3, folds });

/** What is fed beyond the width must be most of the turn-under, and not half as much again. */
const leastOfTurn = 0.65;
const mostOfTurn = 1.5;

const scrollMargin: FinishMargin = fedMargin({
  check: 'turn',
  fedMm: ({ fold }) => fold.turnMm ?? 0,
  window: ({ fold }) => [leastOfTurn * (fold.turnMm ?? 0), mostOfTurn * (fold.turnMm ?? 0)],
  edgeFromNeedleMm: ({ fold, cloth }) => folds({ wish: fold, cloth }).stitchFromHemlineMm ?? 0,
  depthMm: ({ fold }) => fold.depthMm ?? 0,
  rawEdgeFromEdgeMm: ({ fold, cloth }) => folds({ wish: fold, cloth }).feedMm,
  startingLength,
  freeLayers: 3,
  catches: caughtWithin,
  reason:
    'Feed {fedMm:fine} more than the hem is wide, to be turned under; good from {loMm:fine} to {hiMm:fine}.',
});

/** A hem of fixed width that a foot folds as it sews, or the same folded by hand. */
export const wideHem: Finish = {
  id: 'wide-hem',
  name: 'Wide hem',
  family: 'turned',
  group: 'double-turned',
  about: 'A straight hem of one width, folded by the foot while it is sewn.',
  variants: [
    {
      id: 'hemmer',
      name: 'with a wide hemmer',
      costs: [
        said('hemmer', 'No pressing and no pins; only straight edges, and it jams at lumps.'),
      ],
    },
    {
      id: 'hand',
      name: 'folded by hand',
      costs: [said('hand', 'Goes round curves and over seams; two pressings more.')],
    },
  ],
  fields: {
    depthMm: {
      name: 'Width of the hem',
      neededBy: both,
      leastMm: 4,
      mostMm: 80,
      startMm: 20,
      sizesMm: [12, 20, 25],
    },
    turnMm: {
      name: 'Turn under',
      neededBy: [],
      optionalFor: both,
      leastMm: 1,
      mostMm: 40,
      startMm: 6,
    },
  },
  schools: [endsSchool],
  needs: (variant) => ({
    machineKinds: ['lockstitch', 'straight-stitch'],
    patterns: ['straight'],
    feet: variant === 'hemmer' ? ['wide-hemmer'] : ['edge-guide', 'straight', 'zigzag'],
  }),
  contradictions: ({ wish }) => turnWiderThanHem(wish),
  folds,
  steps,
  startingValues({ wish, cloth, edge }) {
    const { stackMm } = folds({ wish, cloth });
    return [straightLength(stackMm), needle({ cloth, edge }, stackMm), pressure(cloth, stackMm)];
  },
  nature: (variant) => ({
    purposes: ['hem'],
    worked: variant === 'hemmer' ? ['turned', 'scroll'] : ['turned'],
    hidden: oneLineShows(0.4),
    sturdy: shutIn(0.8),
    decorative: plainToSee(0.15),
    holdsFray: 3,
    // A wide scroll goes straight on; folded by hand the hem goes round what its depth allows.
    leastRadius: variant === 'hemmer' ? { mm: 1000 } : { timesDepth: 12 },
    thickestMm: variant === 'hemmer' ? 0.5 : Infinity,
    shutsIn: true,
    unequal: true,
    freeLayers: 3,
  }),
  seamClass: () => '6.03',
  margin: (variant) => (variant === 'hemmer' ? scrollMargin : handMargin),
};
