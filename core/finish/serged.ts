import type { Pattern } from '../stitch/stitch';
import { differential, guess, needle, overlockLength } from './parts/starting';
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
import { lastPress, pin } from './parts/work';
import type { Finish } from './finish';
import type { StartingValue, WorkRequest, WorkStep } from './work';
import type { FoldRequest, FoldWish } from './fold-request';
import { knifeMargin } from './parts/knife-margin';
import { asLength } from './parts/margin-parts';
import { rated } from './parts/rated';

const all = ['four-thread', 'three-wide', 'three-narrow'];
/** Starting guesses: how far the needle stands from the knife, mm. */
const cuttingWidthMm: Readonly<Record<string, number>> = {
  'four-thread': 6,
  'three-wide': 5.5,
  'three-narrow': 3,
};

const patternBy: Readonly<Record<string, Pattern>> = {
  'four-thread': 'overedge-four',
  'three-wide': 'overedge-three-wide',
  'three-narrow': 'overedge-three-narrow',
};

const threads: Readonly<Record<string, StartingValue>> = {
  'four-thread': threaded(4, 'both', 'The right needle doubles the seam.'),
  'three-wide': threaded(3, 'left', 'The left needle reaches furthest in.'),
  'three-narrow': threaded(3, 'right', 'The right needle makes the narrow stitch.'),
};

/** The cutting width stands for itself where it was not given, but never beyond the allowance. */
const withWidth = (wish: FoldWish): FoldWish => ({
  ...wish,
  depthMm: wish.depthMm ?? Math.min(cuttingWidthMm[wish.variant] ?? 6, wish.seamAllowanceMm ?? 6),
});
/** An edge no wider than this is a narrow one, and wants close stitches, mm. Starting guess. */
const narrowMm = 3.5;
const isNarrow = ({ variant, depthMm }: FoldWish) =>
  variant === 'three-narrow' || (depthMm ?? Infinity) <= narrowMm;
/** Four threads join two edges while they wrap them, where the edge is a seam. */
const isSeam = (variant: string, edge: FoldRequest['edge']) =>
  variant === 'four-thread' && edge?.purpose === 'seam';

const folds = ({ wish, cloth, edge }: FoldRequest) =>
  overlocked({ wish: withWidth(wish), cloth }, isSeam(wish.variant, edge) ? 'joins' : 'wraps');

const machine = { machine: 'overlocker', foot: null } as const;

function steps(request: WorkRequest): WorkStep[] {
  const { wish, edge, schools } = request;
  const plan = folds(foldsAsSewn(request));
  const { allowanceMm, layersAtStitch, trim } = plan;
  const joins = isSeam(wish.variant, edge);
  const eased = schools['easing'] === 'eased';
  const leaveMm = trim?.leaveMm ?? 0;
  const cutAwayMm = Math.max(0, trim?.cutAwayMm ?? 0);
  return course(request, {
    at: machine,
    footName: 'its own foot',
    measure: [overlockCut(plan, edge.purpose, joins)],
    fold: joins
      ? [pin('Lay the two edges together, right sides in; pin well inside the needles.')]
      : [],
    set: [
      once(
        2,
        'thread',
        machine,
        'Thread {threads} threads, loopers first, needles last.',
        { threads: wish.variant === 'four-thread' ? 4 : 3 },
        ['power-off'],
      ),
      once(
        0.5,
        'needle',
        machine,
        wish.variant === 'three-narrow'
          ? 'Use the right needle only.'
          : wish.variant === 'three-wide'
            ? 'Use the left needle only.'
            : 'Use both needles.',
        {},
        ['power-off'],
      ),
      ...(eased
        ? [
            once(
              2,
              'differential',
              machine,
              'Raise the differential until the scrap draws in as much as the edge is too full, then balance the loopers.',
            ),
          ]
        : []),
    ],
    layers: layersAtStitch,
    scrap: {
      text:
        layersAtStitch > 1
          ? '{layers} layers together, a length marked on it'
          : '{layers} layer, a length marked on it',
      layers: layersAtStitch,
    },
    look: 'measure the marked length again, and see where the looper threads lock.',
    start: [overlockStart(request)],
    sew: [
      step(
        'sew',
        machine,
        'Keep the raw edge {allowanceMm} from the needle; the knife takes {cutAwayMm} and leaves {leaveMm} outside the needle line. Never cut into a fold of the garment.',
        { allowanceMm, cutAwayMm, leaveMm },
        ['knife', 'pins'],
      ),
    ],
    corner: 'sew-off',
    close: [
      edge.closed
        ? once(
            2,
            'ends',
            machine,
            'Sew over the first stitches by {overlapMm}, the knife out of the way or the edge held off it, then lift the foot and draw the cloth out behind.',
            { overlapMm: 20 },
            ['knife'],
          )
        : once(
            2,
            'ends',
            'hand',
            'Leave {chainMm} of chain at both ends and thread it back under the loops.',
            { chainMm: 60 },
          ),
    ],
    check: 'nothing uncut, no loop hanging, no waves.',
    press: lastPress('Press the edge flat.'),
  });
}

/** An edge cut and wrapped on the overlocker. */
export const serged: Finish = {
  id: 'serged',
  name: 'Serged edge',
  family: 'edge',
  group: 'serged',
  about: 'Cut and wrapped in one pass; eases a full edge with the differential.',
  variants: [
    {
      id: 'four-thread',
      name: 'four threads',
      costs: [said('four', 'Sturdiest; the widest and thickest line.')],
    },
    {
      id: 'three-wide',
      name: 'three threads, wide',
      costs: [said('wide', 'Flat and strong enough for an edge that carries nothing.')],
    },
    {
      id: 'three-narrow',
      name: 'three threads, narrow',
      costs: [said('narrow', 'Light; pulls off cloth that frays badly.')],
    },
  ],
  fields: {
    seamAllowanceMm: {
      name: 'Needle from the raw edge',
      neededBy: [],
      optionalFor: all,
      leastMm: 1,
      mostMm: 60,
      startMm: 10,
    },
    depthMm: {
      name: 'Cutting width',
      neededBy: [],
      optionalFor: all,
      leastMm: 1,
      mostMm: 12,
      startMm: null,
    },
  },
  schools: [
    {
      id: 'easing',
      question: 'Is the edge fuller than where it lands?',
      ways: [
        { id: 'flat', name: 'No, serge it flat', costs: [said('flat', 'Neutral differential.')] },
        {
          id: 'eased',
          name: 'Yes, ease it in',
          costs: [
            said('eased', 'The differential gathers up to about 6 % away; more makes pleats.'),
          ],
        },
      ],
    },
  ],
  needs: (variant) => ({
    machineKinds: ['overlocker'],
    patterns: [patternBy[variant] ?? 'overedge-four'],
    feet: [],
  }),
  contradictions: ({ wish }) => (wish.depthMm ? widerThanAllowance(wish) : []),
  folds,
  steps,
  startingValues({ wish, cloth, edge, schools }) {
    const width = withWidth(wish).depthMm ?? 0;
    const plan = folds({ wish, cloth, edge });
    return [
      threads[wish.variant] ?? threads['four-thread']!,
      overlockLength(cloth, isNarrow(withWidth(wish))),
      guess(
        'cutting-width',
        'Cutting width',
        width,
        'mm',
        said('cutting-width', 'Wider for heavy cloth and for cloth that frays.'),
      ),
      differential(cloth, schools['easing'] === 'eased'),
      guess(
        'loopers',
        'Loopers',
        'meeting',
        '',
        said('loopers', 'Upper and lower thread should lock just on the cut edge.'),
      ),
      overlockGuide(plan),
      presserLift(cloth),
      needle({ cloth, edge }, plan.stackMm),
    ];
  },
  nature: (variant) => {
    const four = variant === 'four-thread';
    return {
      purposes: four ? ['allowance', 'seam'] : ['allowance'],
      worked: four ? ['over-edge', 'joins'] : ['over-edge'],
      hidden: rated(0.6, 'hidden', 'A flat band of thread, on both faces of the edge.'),
      sturdy: four
        ? rated(0.75, 'sturdy', 'Two needles hold, and four threads wrap the edge.')
        : variant === 'three-wide'
          ? rated(0.6, 'sturdy', 'Three threads wrap {depthMm:fine} of the edge.')
          : rated(0.5, 'sturdy', 'Three threads wrap {depthMm:fine} of the edge, and no more.'),
      decorative: rated(0.05, 'decorative', 'A neat band, but a band of thread.'),
      holdsFray: variant === 'three-narrow' ? 2 : 3,
      leastRadius: { mm: 40 },
      thickestMm: 3,
      rawEdge: true,
      stopsFray: true,
      liesWithCurl: 3,
      // Where four threads join, their band lies behind the seam.
      ...(four ? { rawInside: true, narrowSeam: true } : {}),
      freeLayers: 1,
    };
  },
  seamClass: () => '6.01',
  margin: (variant) =>
    knifeMargin({
      folds: ({ fold, cloth, edge }) => folds({ wish: fold, cloth, edge }),
      startingLength: ({ cloth, fold }) =>
        asLength(overlockLength(cloth, isNarrow(withWidth(fold)))),
      joins: ({ edge }) => isSeam(variant, edge),
    }),
};
