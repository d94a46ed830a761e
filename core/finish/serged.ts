import type { Pattern } from '../stitch/stitch';
import type { Finish, StartingValue, WorkRequest, WorkStep } from './finish';
import type { FoldRequest, FoldWish } from './fold-request';
import {
  overlocked,
  overlockGuide,
  presserLift,
  threaded,
  widerThanAllowance,
} from './parts/overlock';
import { said, step } from './parts/said';
import { differential, guess, needle, overlockLength } from './parts/starting';
import { cut, lastPress, testScrap } from './parts/work';

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
  'four-thread': threaded(4, 'both needles', 'The right needle doubles the seam.'),
  'three-wide': threaded(3, 'left needle', 'The left needle reaches furthest in.'),
  'three-narrow': threaded(3, 'right needle', 'The right needle makes the narrow stitch.'),
};

/** The cutting width stands for itself where it was not given, but never beyond the allowance. */
const withWidth = (wish: FoldWish): FoldWish => ({
  ...wish,
  depthMm: wish.depthMm ?? Math.min(cuttingWidthMm[wish.variant] ?? 6, wish.seamAllowanceMm ?? 6),
});
const folds = ({ wish, cloth }: FoldRequest) => overlocked({ wish: withWidth(wish), cloth }, false);

const machine = { machine: 'overlocker', foot: null } as const;

function steps(request: WorkRequest): WorkStep[] {
  const { wish, cloth, edge, schools } = request;
  const { allowanceMm, trim } = folds({ wish, cloth });
  const eased = schools['easing'] === 'eased';
  return [
    cut(allowanceMm),
    step(
      'thread',
      machine,
      'Thread {threads} threads, loopers first, needles last.',
      { threads: wish.variant === 'four-thread' ? 4 : 3 },
      ['power-off'],
    ),
    step(
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
    testScrap(1),
    ...(eased
      ? [
          step(
            'differential',
            machine,
            'Raise the differential until the scrap draws in as much as the edge is too full, then balance the loopers.',
          ),
        ]
      : []),
    step(
      'sew',
      machine,
      'Keep the raw edge {allowanceMm} from the needle; the knife takes {cutAwayMm} off. Never cut into a fold of the garment.',
      { allowanceMm, cutAwayMm: Math.max(0, trim?.cutAwayMm ?? 0) },
      ['knife', 'pins'],
    ),
    edge.closed
      ? step(
          'ends',
          machine,
          'Cut a notch of {widthMm} to start in, sew round, over the first stitches by {overlapMm}, then lift the foot and draw the cloth out behind.',
          { widthMm: trim?.leaveMm ?? 0, overlapMm: 20 },
          ['knife'],
        )
      : step(
          'ends',
          'hand',
          'Leave {chainMm} of chain at both ends and thread it back under the loops.',
          { chainMm: 60 },
        ),
    lastPress('Press the edge flat.'),
  ];
}

/** An edge cut and wrapped on the overlocker. */
export const serged: Finish = {
  id: 'serged',
  name: 'Serged edge',
  family: 'edge',
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
    const plan = folds({ wish, cloth });
    return [
      threads[wish.variant] ?? threads['four-thread']!,
      overlockLength(cloth),
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
        'meeting on the edge',
        '',
        said('loopers', 'Upper and lower thread should lock just on the cut edge.'),
      ),
      overlockGuide(plan),
      presserLift(plan.stackMm),
      needle({ cloth, edge }, cloth.thicknessMm),
    ];
  },
  nature: (variant) => ({
    hidden: 0.4,
    sturdy: variant === 'four-thread' ? 0.6 : 0.45,
    decorative: 0.05,
    holdsFray: variant === 'three-narrow' ? 2 : 3,
    givesPercent: Infinity,
    leastRadiusMm: 40,
    thickestMm: 3,
    turnsUp: false,
    edgeOnly: true,
  }),
  seamClass: () => '6.01',
  margin: () => null,
};
