import type { Finish } from './finish';
import { guess, needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { course } from './parts/course';
import { home, once, said } from './parts/said';
import {
  cut,
  finishRawEdge,
  lastPress,
  markFolds,
  pin,
  press,
  rawEdgePass,
  topstitch,
} from './parts/work';
import { fitCurve } from './parts/fit-curve';
import type { StartingValue, WorkRequest, WorkStep } from './work';
import { usualTwinGapMm } from '../stitch/stitch';
import { catchMargin } from './parts/catch-margin';
import { asLength } from './parts/margin-parts';
import type { KitNeed } from './kit-need';
import { endsSchool, rawEdgeSchool, topstitchSide } from './parts/schools';
import { turnedOnce } from './parts/turned';
import { oneLineShows, overcastPass, plainToSee, rated, sergedPass } from './parts/rated';

const all = ['overcast', 'serged', 'twin-needle', 'zigzag', 'three-step'];
/** Variants that say by which stitch it is held, and leave the raw edge to a question of its own. */
const byStitch = ['twin-needle', 'zigzag', 'three-step'];

/** The foot one would take for a stitch that swings. */
const footNames: Readonly<Record<string, string>> = {
  'twin-needle': 'an open foot',
  zigzag: 'an open foot',
  'three-step': 'an open foot',
};

function steps(request: WorkRequest): WorkStep[] {
  const { wish } = request;
  const plan = turnedOnce(foldsAsSewn(request));
  const at = home('edge-guide');
  const caught = byStitch.includes(wish.variant) ? 'raw edge' : 'finished raw edge';
  return course(request, {
    at,
    footName: footNames[wish.variant] ?? 'edge-guide or straight-stitch foot',
    measure: [
      cut(plan.allowanceMm),
      markFolds('Mark the hemline {allowanceMm} from the raw edge.', {
        allowanceMm: plan.allowanceMm,
      }),
    ],
    prepare: [finishRawEdge(request)],
    fold: [
      press('press', 'Turn up {depthMm} to the inside and press the hemline.', {
        depthMm: plan.finishedDepthMm,
      }),
      ...fitCurve(request, plan.finishedDepthMm),
      pin('Pin across the hem, heads outward, well clear of the needle.'),
    ],
    set:
      wish.variant === 'twin-needle'
        ? [
            once(
              1,
              'twin',
              at,
              'Put in the twin needle of {gapMm:fine} and a second thread; turn one whole swing by handwheel.',
              { gapMm: request.sewn?.stitch.twinGapMm ?? usualTwinGapMm },
              ['power-off', 'handwheel'],
            ),
          ]
        : [],
    layers: plan.layersAtStitch,
    scrap: { text: 'turned up as the hem is, {layers} layers', layers: plan.layersAtStitch },
    look: `does the stitching hold the ${caught}, and does it tunnel or wave?`,
    sew: [topstitch(request, at, plan.stitchFromHemlineMm, caught)],
    check: `the ${caught} held everywhere, pins out equal to pins in.`,
    press: lastPress('Press from the inside.'),
  });
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
  passes: rawEdgePass,
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
