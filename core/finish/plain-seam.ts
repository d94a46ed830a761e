import type { Layer } from '../fold/layer';
import { needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { course } from './parts/course';
import { along, home, said, step } from './parts/said';
import { finishRawEdge, lastPress, pin, rawEdgePass } from './parts/work';
import { foldedStrip } from '../fold/layer';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { FoldRequest } from './fold-request';
import { asLength } from './parts/margin-parts';
import { rated } from './parts/rated';
import { endsSchool, rawEdgeSchool } from './parts/schools';
import { seamMargin } from './parts/seam-margin';
import { stage } from './parts/stages';
import type { WorkRequest, WorkStep } from './work';

const both = ['open', 'together'];
/** How much garment a picture shows beyond the seam, mm. */
const shownMm = 14;

/** A = a: one line a from both raw edges. */
function folds({ wish, cloth: { thicknessMm } }: FoldRequest): FoldPlan {
  const allowance = wish.seamAllowanceMm ?? 0;
  const one = foldedStrip(allowance + shownMm, [], thicknessMm);
  const together = [...one, ...foldedStrip(allowance + shownMm, [], thicknessMm, 'other side')];
  const layer = (
    piece: string,
    [fromSMm, toSMm]: readonly [number, number],
    [fromXMm, toXMm]: readonly [number, number],
  ): Layer => ({ piece, thicknessMm, fromSMm, toSMm, fromXMm, toXMm });
  const end = allowance + shownMm;
  // Opened out, the seam lies at x = 0, garment to the right; a bend keeps its own thickness from it.
  const bend = thicknessMm;
  const garment = [
    layer('garment', [allowance, end], [bend, bend + shownMm]),
    layer('garment', [0, allowance], [bend + allowance, bend]),
  ];
  const otherSide =
    wish.variant === 'open'
      ? [
          layer('other side', [allowance, end], [-bend, -bend - shownMm]),
          layer('other side', [0, allowance], [-bend - allowance, -bend]),
        ]
      : [layer('other side', [0, end], [bend + allowance, bend + allowance - end])];
  return {
    allowanceMm: allowance,
    marks: [mark('seam', 'Seam line', allowance, 'stitch')],
    layersAtStitch: 2,
    layersUnderNeedle: 2,
    stackMm: stackMm(2, thicknessMm),
    stitchFromHemlineMm: allowance,
    finishedDepthMm: 0,
    stages: [
      stage('flat', 'Right sides together, raw edges at the left', together),
      stage('stitch', 'Sewn along the seam line', together, { stitchesXMm: [allowance] }),
      stage(
        'pressed',
        wish.variant === 'open' ? 'Allowances pressed open' : 'Both allowances pressed to the back',
        [...garment, ...otherSide],
      ),
    ],
  };
}

function steps(request: WorkRequest): WorkStep[] {
  const { allowanceMm, layersAtStitch } = folds(foldsAsSewn(request));
  const at = home('straight');
  const open = request.wish.variant === 'open';
  const rawEdge = finishRawEdge(request, open ? 'each raw edge' : 'both raw edges together');
  return course(request, {
    at,
    footName: 'straight-stitch foot',
    measure: [
      along(
        0.5,
        'mark',
        'table',
        'Check that both edges have {allowanceMm} of allowance, and mark the seam line where it curves.',
        { allowanceMm },
      ),
    ],
    prepare: open ? [{ ...rawEdge, perMetreMinutes: 2 * (rawEdge.perMetreMinutes ?? 0.8) }] : [],
    fold: [pin('Lay the two edges right sides together and pin across the seam line.')],
    layers: layersAtStitch,
    scrap: { text: '{layers} layers, right sides together', layers: layersAtStitch },
    look: 'do the threads lock inside, and does the line pucker?',
    sew: [
      step(
        'sew',
        at,
        'Sew {allowanceMm} from the raw edges, led along the line on the plate.',
        { allowanceMm },
        ['needle', 'pins'],
      ),
    ],
    after: open ? [] : [rawEdge],
    check: 'no gap in the seam, pins out equal to pins in.',
    press: open
      ? lastPress('Press the seam flat as it was sewn, then open, over a roll if the edges print.')
      : lastPress('Press the seam flat as it was sewn, then both allowances to the back.'),
  });
}

/** One line of stitching, and the allowances finished for themselves. */
export const plainSeam: Finish = {
  id: 'plain-seam',
  name: 'Plain seam',
  family: 'edge',
  group: 'plain-seam',
  about: 'One line of stitching; its two allowances are finished and pressed.',
  variants: [
    {
      id: 'open',
      name: 'pressed open',
      costs: [said('open', 'Flattest, and can be let out; each allowance is finished alone.')],
    },
    {
      id: 'together',
      name: 'together, to the back',
      costs: [said('together', 'Half the finishing; one side of the seam is thicker.')],
    },
  ],
  fields: {
    seamAllowanceMm: {
      name: 'Seam allowance',
      neededBy: both,
      leastMm: 3,
      mostMm: 60,
      startMm: 15,
    },
  },
  schools: [rawEdgeSchool(both), endsSchool],
  needs: () => ({
    machineKinds: ['lockstitch', 'straight-stitch'],
    patterns: ['straight', 'zigzag', 'three-step'],
    feet: ['straight', 'clear', 'zigzag', 'edge-guide', 'walking'],
  }),
  contradictions: () => [],
  folds,
  steps,
  passes: (request) =>
    rawEdgePass(
      request,
      request.wish.variant === 'open' ? 'Each raw edge, before' : 'Both raw edges, after',
    ),
  startingValues({ wish, cloth, edge }) {
    const { stackMm: stack } = folds({ wish, cloth });
    return [straightLength(stack), needle({ cloth, edge }, stack), pressure(cloth, stack)];
  },
  nature: (variant) => ({
    purposes: ['seam'],
    worked: ['joins'],
    hidden: rated(0.85, 'hidden', 'Nothing shows outside but the seam itself.'),
    sturdy:
      variant === 'open'
        ? rated(0.6, 'sturdy', 'One line holds; two finished allowances lie inside.')
        : rated(0.65, 'sturdy', 'One line holds, and both allowances back it.'),
    decorative: rated(0.1, 'decorative', 'A plain seam.'),
    holdsFray: 3,
    leastRadius: { mm: 20 },
    thickestMm: Infinity,
    rawInside: true,
    freeLayers: 2,
  }),
  seamClass: () => '1.01',
  margin: () =>
    seamMargin(({ fold, cloth }) => asLength(straightLength(folds({ wish: fold, cloth }).stackMm))),
};
