import { foldedStrip } from '../fold/layer';
import { needle, straightLength, straightLengthMm } from './parts/starting';
import { course, cutCourse } from './parts/course';
import { along, home, once, said, step } from './parts/said';
import { cut, lastPress } from './parts/work';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { stage } from './parts/stages';
import { rated } from './parts/rated';

/** A = 0: the shears cut the edge itself; a stitched line lies inside it. */
function folds({ wish, cloth: { thicknessMm } }: FoldRequest): FoldPlan {
  const stitched = wish.variant === 'stitched';
  const inside = wish.seamAllowanceMm ?? 0;
  const stack = foldedStrip(inside + 14, [], thicknessMm);
  return {
    allowanceMm: 0,
    marks: stitched ? [mark('line', 'Line of stitching', inside, 'stitch')] : [],
    layersAtStitch: 1,
    layersUnderNeedle: 1,
    stackMm: stackMm(1, thicknessMm),
    stitchFromHemlineMm: stitched ? inside : null,
    finishedDepthMm: 0,
    stages: [
      stage('flat', 'Flat cloth, edge at the left', stack),
      stage('stitch', stitched ? 'Stitched, then pinked' : 'Pinked', stack, {
        stitchesXMm: stitched ? [inside] : [],
      }),
    ],
  };
}

function steps(request: WorkRequest): WorkStep[] {
  const insideMm = request.wish.seamAllowanceMm ?? 0;
  const rub = once(
    2,
    'test',
    'hand',
    'On a scrap, rub {rubMm} of a pinked edge ten times. If a thread comes loose, choose another finish.',
    { rubMm: 50 },
  );
  const pink = along(
    0.6,
    'pink',
    'table',
    'Cut along the edge with pinking shears, each bite set into the last tooth.',
    {},
    ['cutter'],
  );
  if (request.wish.variant === 'plain') {
    return cutCourse({
      measure: [cut(0)],
      prepare: [rub],
      sew: [pink],
      check: [
        along(0.2, 'check', 'hand', 'Look along the edge: no tooth cut twice, none left out.'),
      ],
    });
  }
  const at = home('straight');
  return course(request, {
    at,
    footName: 'straight-stitch foot',
    measure: [cut(0)],
    prepare: [rub],
    layers: 1,
    scrap: { text: '{layers} layer', layers: 1 },
    look: 'does the line pucker the edge?',
    sew: [
      step(
        'stitch',
        at,
        'Sew one line {insideMm} from the edge, {lengthMm:fine} long.',
        {
          insideMm,
          lengthMm: straightLengthMm(stackMm(1, request.cloth.thicknessMm)),
        },
        ['needle'],
      ),
    ],
    after: [pink],
    check: 'no tooth cut twice, no thread loose.',
    press: lastPress('Press the edge flat.'),
  });
}

/** Shears only, where that is enough. */
export const pinked: Finish = {
  id: 'pinked',
  name: 'Pinked edge',
  family: 'edge',
  group: 'cut',
  about: 'Shears only, for cloth that hardly frays and edges nobody rubs.',
  variants: [
    {
      id: 'plain',
      name: 'shears alone',
      costs: [said('plain', 'Nothing flatter; never on cloth that frays.')],
    },
    {
      id: 'stitched',
      name: 'with a line of stitching',
      costs: [said('stitched', 'Stops a little fraying at the line.')],
    },
  ],
  fields: {
    seamAllowanceMm: {
      name: 'Stitching from the edge',
      neededBy: [],
      optionalFor: ['stitched'],
      leastMm: 2,
      mostMm: 30,
      startMm: 5,
    },
  },
  schools: [],
  needs: (variant) => ({
    machineKinds: variant === 'stitched' ? ['lockstitch', 'straight-stitch'] : [],
    patterns: variant === 'stitched' ? ['straight'] : [],
    feet: [],
    besides: said('shears', 'pinking shears'),
  }),
  contradictions: () => [],
  folds,
  steps,
  startingValues: ({ wish, cloth, edge }) =>
    wish.variant === 'stitched'
      ? [
          straightLength(stackMm(1, cloth.thicknessMm)),
          needle({ cloth, edge }, stackMm(1, cloth.thicknessMm)),
        ]
      : [],
  nature: (variant) => ({
    purposes: ['allowance'],
    worked: ['cut'],
    hidden: rated(0.6, 'hidden', 'A row of teeth and no thread.'),
    sturdy:
      variant === 'stitched'
        ? rated(0.2, 'sturdy', 'A line of stitches stops what frays past the teeth.')
        : rated(0.1, 'sturdy', 'Nothing holds the edge but its teeth.'),
    decorative: rated(0.15, 'decorative', 'Teeth, where somebody looks.'),
    holdsFray: 1,
    leastRadius: { mm: 0 },
    thickestMm: Infinity,
    rawEdge: true,
    stopsFray: true,
    liesWithCurl: 0,
    freeLayers: 1,
  }),
  seamClass: () => null,
  margin: () => null,
};
