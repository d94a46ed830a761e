import { mark } from '../fold/mark';
import type { Cloth } from '../cloth/cloth';
import type { School } from './school';
import { guess, needle } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { ridesClause } from './dials-clause';
import { course } from './parts/course';
import { along, home, said } from './parts/said';
import { cut, lastPress, press } from './parts/work';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { StartingValue, WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { shellMargin } from './parts/shell-margin';
import { foldingStages, garmentBeyondMm, sewnAt } from './parts/stages';
import { turnedTwice } from './parts/turned';
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
  const { wish, sewn } = request;
  const { allowanceMm, layersAtStitch } = folds(foldsAsSewn(request));
  const at = home('clear');
  const turnMm = wish.depthMm ?? 0;
  const offMm = sewn?.checks['overhang'] ?? offFoldMm;
  const runMm = sewn?.checks['run'] ?? 0;
  return course(request, {
    at,
    footName: 'a foot with a guide that adjusts, or a clear one',
    measure: [cut(allowanceMm)],
    fold:
      wish.variant === 'rolled'
        ? [
            press('press', 'Turn {turnMm} to the inside and press.', { turnMm }),
            press('press-again', 'Turn {turnMm} once more and press.', { turnMm }),
          ]
        : [press('press', 'Fold {turnMm} to the inside and press.', { turnMm })],
    layers: layersAtStitch,
    scrap: {
      text: 'folded as the edge is, {layers} layers',
      layers: layersAtStitch,
    },
    look: 'less upper tension when the bobbin thread shows in front at the top of a shell, more when the upper thread is dragged to the back; the threads meet at the top.',
    sew: [
      along(
        2,
        'sew',
        at,
        sewn
          ? `Sew with ${ridesClause(request)}: the run {runMm:fine} inside the fold, the swing {offMm:fine} beyond it.`
          : 'Sew with the run on the cloth and the swing {offMm:fine} beyond the fold.',
        { offMm, runMm },
        ['needle'],
      ),
    ],
    check: 'shells of one depth all along.',
    press: lastPress('Do not press the shells flat.'),
  });
}

/** Bias and knits draw in by themselves. */
const grainSchool: School = {
  id: 'grain',
  question: 'How does the fold lie to the grain?',
  ways: [
    {
      id: 'straight',
      name: 'On the straight grain',
      costs: [said('straight', 'Firm: the shells come out shallow.')],
    },
    {
      id: 'bias',
      name: 'On the bias',
      costs: [said('bias', 'Deeper shells; the edge must not be pulled.')],
    },
  ],
};

function tension({ construction }: Cloth, grain: string | undefined): StartingValue {
  return grain === 'bias' || construction === 'knit'
    ? guess(
        'tension',
        'Upper tension',
        'half-less',
        '',
        said('shell-tension', 'Bias and knits draw in by themselves; the threads meet at the top.'),
      )
    : guess(
        'tension',
        'Upper tension',
        'normal',
        '',
        said('shell-tension', 'The threads should meet at the top of each shell.'),
      );
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
      name: 'one fold',
      costs: [said('folded', 'Softest, and a band already folded has no raw edge to hide.')],
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
  schools: [grainSchool],
  needs: () => ({
    machineKinds: ['lockstitch'],
    patterns: ['shell', 'blind-woven', 'blind-stretch'],
    feet: ['blind', 'clear', 'zigzag'],
  }),
  contradictions: () => [],
  folds,
  steps,
  startingValues: ({ cloth, edge, schools }) => [
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
    tension(cloth, schools['grain']),
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
