import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { said, step } from './parts/said';
import { shellMargin } from './parts/shell-margin';
import { foldingStages, garmentBeyondMm, sewnAt } from './parts/stages';
import { guess, needle } from './parts/starting';
import { turnedTwice } from './parts/turned';
import { changeTo, cut, lastPress, testScrap } from './parts/work';
import { rated } from './parts/rated';

const both = ['folded', 'rolled'];
/** How far the swing reaches beyond the fold: middle of 2.5 … 4.5 mm. */
const offFoldMm = 3.5;

/** A fold of D (twice D when the raw edge is shut in), its edge drawn in by the swing. */
function folds(request: FoldRequest): FoldPlan {
  const {
    wish,
    cloth: { thicknessMm },
  } = request;
  const depth = wish.depthMm ?? 0;
  const hemline = wish.variant === 'rolled' ? 2 * depth : depth;
  const title = 'The swing runs off the fold and draws it in';
  const run = Math.min(2, depth / 2);
  const wrapped = [hemline - 0.6, hemline + run] as const;
  if (wish.variant === 'rolled') {
    const twice = turnedTwice(request, depth, depth, ['Turned once', 'Turned again', title]);
    const stages = twice.stages.map((stage) =>
      stage.id === 'stitch'
        ? { ...stage, stitchesXMm: [hemline + run], wrappedMm: wrapped }
        : stage,
    );
    return { ...twice, stitchFromHemlineMm: null, stages };
  }
  const stages = foldingStages(2 * depth + garmentBeyondMm(depth), thicknessMm, [
    { atMm: depth, direction: 'over', id: 'hemline', title: 'Fold pressed' },
  ]);
  return {
    allowanceMm: depth,
    marks: [mark('hemline', 'Fold', depth, 'press')],
    layersAtStitch: 2,
    layersUnderNeedle: 2,
    stackMm: stackMm(2, thicknessMm),
    stitchFromHemlineMm: null,
    finishedDepthMm: depth,
    stages: [...stages, { ...sewnAt(stages, title, [depth - run]), wrappedMm: wrapped }],
  };
}

function steps(request: WorkRequest): WorkStep[] {
  const { wish, cloth } = request;
  const { allowanceMm, layersAtStitch } = folds({ wish, cloth });
  const machine = { machine: 'lockstitch', foot: 'clear' } as const;
  return [
    cut(allowanceMm),
    step(
      'press',
      'iron',
      wish.variant === 'rolled'
        ? 'Turn {depthMm} twice and press.'
        : 'Turn {depthMm} to the inside and press.',
      { depthMm: wish.depthMm ?? 0 },
      ['iron'],
    ),
    changeTo('clear foot; blind stitch, mirrored if its swing goes left', machine),
    testScrap(layersAtStitch),
    step(
      'sew',
      machine,
      'Sew with the fold so that the run is on the cloth and the swing falls {offMm:fine} beyond it; a tighter upper thread draws the shells deeper.',
      { offMm: offFoldMm },
      ['needle'],
    ),
    ...(wish.variant === 'folded'
      ? [step('trim', 'table', 'Trim the turned cloth close behind the stitching.', {}, ['cutter'])]
      : []),
    lastPress('Do not press the shells flat.'),
  ];
}

/** A fold drawn into scallops by a blind stitch whose swing runs off it. */
export const shellEdge: Finish = {
  id: 'shell-edge',
  name: 'Shell edge',
  family: 'decorative',
  group: 'shell',
  about: 'Small scallops along a fold, for lingerie, collars and flounces.',
  variants: [
    {
      id: 'folded',
      name: 'one fold, trimmed',
      costs: [said('folded', 'Softest; the raw edge stays inside.')],
    },
    {
      id: 'rolled',
      name: 'turned twice',
      costs: [
        said('rolled', 'Clean inside; three layers to draw in, so the shells are shallower.'),
      ],
    },
  ],
  fields: {
    depthMm: { name: 'Turn', neededBy: [], optionalFor: both, leastMm: 2, mostMm: 60, startMm: 6 },
  },
  schools: [],
  needs: () => ({
    machineKinds: ['lockstitch'],
    patterns: ['shell', 'blind-woven', 'blind-stretch'],
    feet: ['clear', 'zigzag', 'overcasting'],
  }),
  contradictions: () => [],
  folds,
  steps,
  startingValues: ({ cloth, edge }) => [
    guess(
      'length',
      'Stitch length',
      1.5,
      'mm',
      said('shell-length', 'Short, so that the shells sit close.'),
    ),
    guess(
      'width',
      'Stitch width',
      5,
      'mm',
      said('shell-width', 'Reaches {offMm:fine} off the fold, 2.5 to 4.5.', { offMm: offFoldMm }),
    ),
    guess(
      'tension',
      'Upper tension',
      'one number more',
      '',
      said('shell-tension', 'It is the thread that draws the fold in.'),
    ),
    needle({ cloth, edge }, cloth.thicknessMm),
  ],
  nature: () => ({
    purposes: ['hem', 'opening'],
    worked: ['turned'],
    hidden: rated(0.1, 'hidden', 'Scallops all along the edge.'),
    sturdy: rated(0.35, 'sturdy', 'One thread draws the fold in; it catches and breaks.'),
    decorative: rated(0.9, 'decorative', 'Small scallops, as on lingerie.'),
    holdsFray: 2,
    leastRadius: { mm: 60 },
    thickestMm: 0.6,
    freeLayers: 2,
  }),
  seamClass: () => null,
  margin: (variant) => shellMargin(variant === 'rolled' ? 3 : 2),
};
