import { foldedStrip } from '../fold/layer';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { home, once, said, step } from './parts/said';
import { stage } from './parts/stages';
import { needle, straightLength } from './parts/starting';
import { cut } from './parts/work';
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

function steps({ wish }: WorkRequest): WorkStep[] {
  const insideMm = wish.seamAllowanceMm ?? 0;
  return [
    cut(0),
    ...(wish.variant === 'stitched'
      ? [
          step('stitch', home('straight'), 'Sew one line {insideMm} from the edge.', { insideMm }, [
            'needle',
          ]),
        ]
      : []),
    step(
      'pink',
      'table',
      'Cut along the edge with pinking shears, each bite set into the last tooth.',
      {},
      ['cutter'],
    ),
    once(
      2,
      'test',
      'hand',
      'Rub {rubMm} of the edge ten times. If a thread comes loose, choose another finish.',
      { rubMm: 50 },
    ),
  ];
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
