import type { Finish } from './finish';
import type { FinishMargin } from './finish-margin';
import type { SewingPlan } from './sewing-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest, FoldWish } from './fold-request';
import { catchMargin } from './parts/catch-margin';
import { fedMargin } from './parts/fed-margin';
import { asLength } from './parts/margin-parts';
import { home, once, said, step } from './parts/said';
import { endsSchool } from './parts/schools';
import { needle, pressure, straightLength } from './parts/starting';
import { turnedTwice, turnWiderThanHem } from './parts/turned';
import { changeTo, cut, ends, lastPress, testScrap } from './parts/work';
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
  const { wish, cloth, edge } = request;
  const { allowanceMm, feedMm = 0, stitchFromHemlineMm } = folds({ wish, cloth });
  const [width, turn] = [wish.depthMm ?? 0, wish.turnMm ?? 0];
  const start = once(
    1.5,
    'start-fold',
    'iron',
    'Fold the first {firstMm} by hand: {turnMm}, then {widthMm}, and press.',
    { turnMm: turn, widthMm: width, firstMm: 80 },
    ['iron'],
  );
  if (wish.variant === 'hand') {
    const machine = home('edge-guide');
    return [
      cut(allowanceMm),
      step('turn', 'iron', 'Turn the raw edge under by {turnMm} and press.', { turnMm: turn }, [
        'iron',
      ]),
      step('press', 'iron', 'Turn again by {widthMm} and press.', { widthMm: width }, ['iron']),
      changeTo('edge-guide foot', machine),
      testScrap(3),
      step(
        'sew',
        machine,
        'Topstitch beside the inner fold, {fromEdgeMm} from the hemline.',
        { fromEdgeMm: stitchFromHemlineMm ?? 0 },
        ['needle'],
      ),
      ends(request, machine),
      lastPress('Press from the inside.'),
    ];
  }
  const machine = { machine: 'lockstitch', foot: 'wide-hemmer' } as const;
  return [
    cut(allowanceMm),
    once(
      1,
      'clip',
      'table',
      'Clip the corner of the raw edge at the start and thin the seams that cross, down to one layer inside the hem.',
      {},
      ['cutter'],
    ),
    start,
    changeTo('wide hemmer of {widthMm:fine}', machine, { widthMm: width }),
    testScrap(3),
    step(
      'feed',
      machine,
      'Lay the folded start under the foot, take three stitches, then let the cloth run into the scroll with {feedMm} fed in, held a little to the left and level.',
      { feedMm },
      ['needle'],
    ),
    once(
      0.5,
      'lump',
      machine,
      'At a lump: stop with the needle down, lift the foot, take the cloth out of the scroll, fold by hand past the lump, sew over it, stop again and guide the edge back in.',
      {},
      ['handwheel'],
    ),
    ...(edge.closed
      ? [
          once(
            3,
            'close',
            machine,
            'Closing the round: lift the hem out of the scroll about {beforeMm} before the beginning, fold the rest by hand and sew on over the first stitches.',
            { beforeMm: 50 },
          ),
        ]
      : [
          once(
            1,
            'last',
            machine,
            'At the end, fold the last {lastMm} by hand and sew off the edge.',
            {
              lastMm: 20,
            },
          ),
        ]),
    ...(edge.closed ? [] : [ends(request, machine)]),
    lastPress('Press from the inside.'),
  ];
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
