import type { Finish } from './finish';
import type { StartingValue, WorkRequest, WorkStep } from './work';
import { usualTwinGapMm } from '../stitch/stitch';
import { catchMargin } from './parts/catch-margin';
import { asLength } from './parts/margin-parts';
import type { KitNeed } from './kit-need';
import { home, said, step } from './parts/said';
import { endsSchool, rawEdgeSchool, topstitchSide } from './parts/schools';
import { guess, needle, pressure, straightLength } from './parts/starting';
import { turnedOnce } from './parts/turned';
import {
  changeTo,
  cut,
  easeIfCurved,
  ends,
  finishRawEdge,
  lastPress,
  testScrap,
  topstitch,
} from './parts/work';
import { oneLineShows, overcastPass, plainToSee, rated, sergedPass } from './parts/rated';

const all = ['overcast', 'serged', 'twin-needle', 'zigzag', 'three-step'];
/** Variants that say by which stitch it is held, and leave the raw edge to a question of its own. */
const byStitch = ['twin-needle', 'zigzag', 'three-step'];

/** What goes on the machine, where it is more than a foot. */
const changes: Readonly<Record<string, string>> = {
  'twin-needle': 'twin needle, a second thread and an open foot',
  zigzag: 'open foot, zigzag',
  'three-step': 'open foot, three-step zigzag',
};

function steps(request: WorkRequest): WorkStep[] {
  const { wish, cloth } = request;
  const { allowanceMm, stitchFromHemlineMm, finishedDepthMm } = turnedOnce({ wish, cloth });
  const machine = home('edge-guide');
  return [
    cut(allowanceMm),
    finishRawEdge(request),
    step(
      'press',
      'iron',
      'Turn up {depthMm} to the inside and press the hemline.',
      { depthMm: finishedDepthMm },
      ['iron'],
    ),
    ...easeIfCurved(request, finishedDepthMm),
    step('pin', 'table', 'Pin across the hem, heads outward, well clear of the needle.', {}, [
      'pins',
    ]),
    changeTo(changes[wish.variant] ?? 'edge-guide or straight foot', machine),
    testScrap(2),
    topstitch(
      request,
      machine,
      stitchFromHemlineMm,
      byStitch.includes(wish.variant) ? 'raw edge' : 'finished raw edge',
    ),
    ends(request, machine),
    lastPress('Take out the pins, count them, and press from the inside.'),
  ];
}

const width = (mm: number, why: string) =>
  guess('width', 'Stitch width', mm, 'mm', said('swing', why));
const length = (mm: number, why: string) =>
  guess('length', 'Stitch length', mm, 'mm', said('swing-length', why));

/** Width and length of the stitches that swing. Starting guesses. */
const swings: Readonly<
  Record<string, { readonly width: StartingValue; readonly length: StartingValue } | undefined>
> = {
  zigzag: {
    width: width(2.5, 'Narrow, so that it gives and does not draw the edge in.'),
    length: length(2.5, 'As long as it is wide: opens out when it is pulled.'),
  },
  'three-step': {
    width: width(4, 'Wide: each swing is three small stitches, which lie flat.'),
    length: length(1.2, 'Short, since a swing takes three of them.'),
  },
};

/** A hem turned once, held by whatever stitch the cloth asks for. */
export const singleHem: Finish = {
  id: 'single-hem',
  name: 'Single turned hem',
  family: 'turned',
  group: 'single-turned',
  about: 'Flat and quick: turned once, and held by a stitch that suits the cloth.',
  variants: [
    {
      id: 'overcast',
      name: 'raw edge overcast',
      costs: [said('thread', 'Needs no second machine; a line of zigzag inside.')],
    },
    {
      id: 'serged',
      name: 'raw edge serged',
      costs: [
        said('serged', 'Softest and fastest; needs an overlocker and its thread in the colour.'),
      ],
    },
    {
      id: 'twin-needle',
      name: 'twin needle',
      costs: [
        said('twin', 'Two lines outside and a zigzag inside: gives with a knit; can tunnel.'),
      ],
    },
    {
      id: 'zigzag',
      name: 'zigzag',
      costs: [said('zigzag', 'Gives with a knit on any machine that zigzags; the swing shows.')],
    },
    {
      id: 'three-step',
      name: 'three-step zigzag',
      costs: [said('three-step', 'Gives furthest and lies flattest; a wide stitch outside.')],
    },
  ],
  fields: {
    depthMm: { name: 'Hem depth', neededBy: all, leastMm: 3, mostMm: 500, startMm: 25 },
  },
  schools: [rawEdgeSchool(byStitch), topstitchSide, endsSchool],
  needs(variant) {
    if (variant === 'zigzag' || variant === 'three-step') {
      return {
        machineKinds: ['lockstitch'],
        patterns: [variant],
        feet: ['edge-guide', 'clear', 'zigzag', 'walking'],
      };
    }
    const straight: KitNeed = {
      machineKinds: ['lockstitch', 'straight-stitch'],
      patterns: ['straight'],
      feet: ['edge-guide', 'straight', 'clear', 'zigzag', 'walking'],
    };
    if (variant === 'twin-needle') {
      return {
        ...straight,
        machineKinds: ['lockstitch'],
        feet: ['edge-guide', 'clear', 'zigzag', 'walking'],
        twinNeedle: true,
        besides: said('twin-needle', 'a twin needle of {gapMm:fine}', { gapMm: usualTwinGapMm }),
      };
    }
    return { ...straight, also: [variant === 'serged' ? sergedPass : overcastPass] };
  },
  contradictions: () => [],
  folds: turnedOnce,
  steps,
  startingValues({ wish, cloth, edge }) {
    const { stackMm } = turnedOnce({ wish, cloth });
    const swing = swings[wish.variant];
    return [
      ...(swing ? [swing.width, swing.length] : [straightLength(stackMm)]),
      needle({ cloth, edge }, stackMm),
      pressure(cloth, stackMm),
    ];
  },
  nature: (variant) => ({
    purposes: ['hem', 'opening'],
    worked: ['turned'],
    hidden:
      variant === 'twin-needle'
        ? rated(
            0.35,
            'hidden',
            'Two fine lines of stitching show outside, {fromEdgeMm} from the edge.',
          )
        : variant === 'zigzag' || variant === 'three-step'
          ? rated(0.25, 'hidden', 'A zigzag shows outside, {fromEdgeMm} from the edge.')
          : oneLineShows(0.4),
    sturdy: rated(
      0.6,
      'sturdy',
      'Two layers stitched; the raw edge lies open inside, held by thread.',
    ),
    decorative: plainToSee(0.1),
    holdsFray: 3,
    leastRadius: { timesDepth: 12 },
    thickestMm: Infinity,
    rawInside: true,
    ...(byStitch.includes(variant) ? { madeToGive: true } : {}),
    freeLayers: 2,
  }),
  seamClass: () => '6.02',
  margin(variant) {
    const swing = swings[variant];
    return catchMargin({
      caught: byStitch.includes(variant) ? 'raw edge' : 'finished raw edge',
      layers: 2,
      folds: turnedOnce,
      ...(swing ? { swing: asLength(swing.width), length: asLength(swing.length) } : {}),
    });
  },
};
