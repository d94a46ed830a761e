import type { Finish } from './finish';
import type { School } from './school';
import { differential, guess, needle } from './parts/starting';
import {
  overlockCut,
  overlockGuide,
  overlockStart,
  overlocked,
  presserLift,
  threaded,
  widerThanAllowance,
} from './parts/overlock';
import { foldsAsSewn } from './as-sewn';
import { course } from './parts/course';
import { once, said, step } from './parts/said';
import { lastPress } from './parts/work';
import type { StartingValue, WorkRequest, WorkStep } from './work';
import { knifeMargin } from './parts/knife-margin';
import { asLength } from './parts/margin-parts';
import type { FoldRequest } from './fold-request';
import { rated } from './parts/rated';

const all = ['three-thread', 'two-thread', 'fluffy'];
const machine = { machine: 'overlocker', foot: null } as const;

const folds = (request: FoldRequest) => overlocked(request, 'rolls');

/** The stitch length of a rolled edge, close. */
const rolledLength = (variant: string): StartingValue =>
  guess(
    'length',
    'Stitch length',
    variant === 'fluffy' ? 1.2 : 1,
    'mm',
    said('rolled-length', 'Close, 0.7 to 1.5; open it up if the edge stiffens.'),
  );

function steps(request: WorkRequest): WorkStep[] {
  const { wish, edge, schools } = request;
  const plan = folds(foldsAsSewn(request));
  const { allowanceMm, trim } = plan;
  const threads = wish.variant === 'two-thread' ? 2 : 3;
  const ironable = schools['fluffy-kind'] === 'ironable';
  return course(request, {
    at: machine,
    footName: 'its own foot',
    measure: [overlockCut(plan, edge.purpose, false)],
    set: [
      once(
        1,
        'finger',
        machine,
        'Set the machine to rolled hem: stitch finger drawn back, right needle only.',
        {},
        ['power-off', 'knife'],
      ),
      once(
        4,
        'thread',
        machine,
        wish.variant !== 'fluffy'
          ? 'Thread {threads} threads.'
          : ironable
            ? 'Thread {threads} threads, the fluffy one in the upper looper, which is set looser: it fills the edge by itself.'
            : 'Thread {threads} threads, the fluffy one in the upper looper, which is set looser. This kind melts: no hot iron on the edge.',
        { threads },
        ['power-off'],
      ),
      once(
        2,
        'tension',
        machine,
        threads === 3
          ? 'Tighten the lower looper until the upper thread wraps the edge and nothing of the lower is seen from above.'
          : 'Tighten the needle thread until the looper thread wraps the edge.',
      ),
    ],
    layers: 1,
    scrap: { text: '{layers} layer, a length marked on it', layers: 1 },
    look: 'does the edge roll under and lie flat? Measure the marked length again.',
    start: [overlockStart(request)],
    sew: [
      step(
        'sew',
        machine,
        'Keep the raw edge {allowanceMm} from the needle; the knife leaves {leaveMm:fine}, which rolls under. Hold the cloth taut, front and back.',
        { allowanceMm, leaveMm: trim?.leaveMm ?? 0 },
        ['knife', 'pins'],
      ),
    ],
    corner: 'sew-off',
    close: [
      once(
        2,
        'ends',
        'hand',
        'Thread the chain back into the roll, or seal it with a drop of textile glue and cut it close.',
      ),
    ],
    check: 'rolled shut everywhere, no whisker.',
    press:
      wish.variant === 'fluffy' && !ironable
        ? lastPress('Press the cloth beside the edge, cool, and never the thread itself.')
        : lastPress('Press from the wrong side, lightly.'),
  });
}

/** Fluffy threads look alike and bear the iron differently. */
const fluffySchool: School = {
  id: 'fluffy-kind',
  question: 'Which fluffy thread is it?',
  variants: ['fluffy'],
  ways: [
    {
      id: 'melts',
      name: 'Nylon, or nobody knows',
      costs: [said('melts', 'Melts under a hot iron; the softest to wear.')],
    },
    {
      id: 'ironable',
      name: 'Polyester made to be ironed',
      costs: [said('ironable', 'Bears a warm iron; try a strand under it first.')],
    },
  ],
};

/** A tiny roll wrapped in thread on the overlocker. */
export const sergedRolled: Finish = {
  id: 'serged-rolled',
  name: 'Serged rolled hem',
  family: 'rolled',
  group: 'serged-rolled',
  about: 'A fine corded edge for sheers, scarves and flounces, without pressing.',
  variants: [
    {
      id: 'three-thread',
      name: 'three threads',
      costs: [said('three', 'Closest wrap; stiffens soft cloth a little.')],
    },
    {
      id: 'two-thread',
      name: 'two threads',
      costs: [said('two', 'Softest and lightest; needs a machine that sews with two.')],
    },
    {
      id: 'fluffy',
      name: 'fluffy looper thread',
      costs: [said('fluffy', 'Covers best and stretches; some kinds melt under a hot iron.')],
    },
  ],
  fields: {
    seamAllowanceMm: {
      name: 'Needle from the raw edge',
      neededBy: [],
      optionalFor: all,
      leastMm: 1,
      mostMm: 40,
      startMm: 6,
    },
    depthMm: {
      name: 'Cutting width',
      neededBy: [],
      optionalFor: all,
      leastMm: 1,
      mostMm: 6,
      startMm: 3,
    },
  },
  schools: [fluffySchool],
  needs: (variant) => ({
    machineKinds: ['overlocker'],
    patterns: [variant === 'two-thread' ? 'rolled-two' : 'rolled-three'],
    feet: [],
    ...(variant === 'fluffy' ? { besides: said('fluffy', 'a spool of fluffy thread') } : {}),
  }),
  contradictions: ({ wish }) => widerThanAllowance(wish),
  folds,
  steps,
  startingValues({ wish, cloth, edge, schools }) {
    const plan = folds({ wish, cloth });
    const two = wish.variant === 'two-thread';
    return [
      threaded(
        two ? 2 : 3,
        'right',
        two
          ? 'One looper only; the upper one is shut off.'
          : 'The narrow stitch, off the smallest tongue.',
      ),
      rolledLength(wish.variant),
      guess(
        'cutting-width',
        'Cutting width',
        wish.depthMm ?? 3,
        'mm',
        said('rolled-width', 'What is left to roll under.'),
      ),
      differential(cloth, false),
      guess(
        'loopers',
        'Lower looper',
        'much-tighter',
        '',
        said('rolled-loopers', 'It pulls the edge into the roll.'),
      ),
      ...(wish.variant === 'fluffy'
        ? [
            guess(
              'upper-looper',
              'Upper looper',
              'looser',
              '',
              said('fluffy-looper', 'A fluffy thread is thick: it wants room to open and fill.'),
            ),
            guess(
              'iron',
              'Iron',
              schools['fluffy-kind'] === 'ironable' ? 'warm' : 'never-on-it',
              '',
              schools['fluffy-kind'] === 'ironable'
                ? said('fluffy-iron', 'This kind bears it; try a strand first.')
                : said('fluffy-iron', 'This kind melts.'),
            ),
          ]
        : []),
      overlockGuide(plan),
      presserLift(cloth),
      needle({ cloth, edge }, cloth.thicknessMm),
    ];
  },
  nature: () => ({
    purposes: ['hem'],
    worked: ['over-edge'],
    hidden: rated(0.35, 'hidden', 'A thin cord of thread runs along the edge itself.'),
    sturdy: rated(0.45, 'sturdy', 'Closely wrapped; where much rubs, the wrap wears through.'),
    decorative: rated(0.45, 'decorative', 'A fine corded edge.'),
    holdsFray: 3,
    leastRadius: { mm: 30 },
    thickestMm: 0.45,
    closeStitch: true,
    freeLayers: 1,
  }),
  seamClass: () => '6.01',
  margin: (variant) =>
    knifeMargin({
      folds: ({ fold, cloth }) => folds({ wish: fold, cloth }),
      startingLength: () => asLength(rolledLength(variant)),
      joins: () => false,
    }),
};
