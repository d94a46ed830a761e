import type { Layer } from '../fold/layer';
import { needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { dialsClause } from './dials-clause';
import { course } from './parts/course';
import { along, home, said, step } from './parts/said';
import { lastPress, pin, press } from './parts/work';
import { stackMm } from '../fold/stack';
import { refusal } from '../impossible';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { encloseMargin } from './parts/enclose-margin';
import { asLength } from './parts/margin-parts';
import { creaseSchool, endsSchool } from './parts/schools';
import { stage } from './parts/stages';
import { rated } from './parts/rated';

/** A first seam nearer to the raw edge than this pulls out, mm. Starting guess. */
const nearestFirstSeamMm = 1;
/** The trimmed allowance stays this far short of the second seam, mm. */
const shortOfSecondMm = 2;

/** First pass at a − q − 2t, trim to q − 2, second pass q. Source: docs/formulas.md, “Folds”. */
function folds({ wish, cloth: { thicknessMm } }: FoldRequest): FoldPlan {
  const [total, second] = [wish.seamAllowanceMm ?? 0, wish.secondPassMm ?? 0];
  const first = total - second - 2 * thicknessMm;
  const kept = Math.min(first, second - shortOfSecondMm);
  const cut = first - kept;
  const lengthMm = total + second + 8;
  const layer = (
    piece: string,
    [fromSMm, toSMm]: readonly [number, number],
    [fromXMm, toXMm]: readonly [number, number],
  ): Layer => ({ piece, thicknessMm, fromSMm, toSMm, fromXMm, toXMm });
  const wrongSides = (from: number) => [
    layer('garment', [from, lengthMm], [from, lengthMm]),
    layer('other side', [from, lengthMm], [from, lengthMm]),
  ];
  // The first seam becomes the fold, x = 0, with both trimmed allowances shut in.
  const far = lengthMm - first;
  const enclosed = [
    layer('garment', [first, lengthMm], [0, far]),
    layer('garment', [cut, first], [kept, 0]),
    layer('other side', [cut, first], [kept, 0]),
    layer('other side', [first, lengthMm], [0, far]),
  ];
  const fin = first + second;
  const pressed = [
    layer('garment', [fin, lengthMm], [second, second - (lengthMm - fin)]),
    layer('garment', [first, fin], [0, second]),
    layer('garment', [cut, first], [kept, 0]),
    layer('other side', [cut, first], [kept, 0]),
    layer('other side', [first, lengthMm], [0, far]),
  ];
  return {
    allowanceMm: total,
    marks: [
      { id: 'first-pass', name: 'First seam', atMm: first, action: 'stitch', from: 'raw-edge' },
      {
        id: 'trim',
        name: 'Trim to at most',
        atMm: second - shortOfSecondMm,
        action: 'cut',
        from: 'first-seam',
      },
      {
        id: 'second-pass',
        name: 'Second seam',
        atMm: second,
        action: 'stitch',
        from: 'first-seam',
      },
    ],
    layersAtStitch: 4,
    // The needle passes between the trimmed allowances and the body: two layers, in a fin of four.
    layersUnderNeedle: 2,
    stackMm: stackMm(4, thicknessMm),
    stitchFromHemlineMm: second,
    finishedDepthMm: second,
    trim: { needed: cut > 0, leaveMm: kept, cutAwayMm: cut },
    stages: [
      stage('flat', 'Wrong sides together, raw edges at the left', wrongSides(0)),
      stage('first', 'First seam', wrongSides(0), { stitchesXMm: [first] }),
      stage('trimmed', 'Allowances trimmed', wrongSides(cut), { stitchesXMm: [first] }),
      stage('enclosed', 'Turned, right sides together', enclosed),
      stage('stitch', 'Second seam, past the raw edges', enclosed, { stitchesXMm: [second] }),
      stage('pressed', 'Opened and pressed to one side', pressed, { stitchesXMm: [second] }),
    ],
  };
}

function steps(request: WorkRequest): WorkStep[] {
  const { schools, passes } = request;
  const { allowanceMm, marks, trim } = folds(foldsAsSewn(request));
  const [firstMm = 0, trimMm = 0, secondMm = 0] = marks.map(({ atMm }) => atMm);
  const at = home('straight');
  const first = passes?.['first']?.sewn ?? null;
  const dials = first && dialsClause(first);
  return course(request, {
    at,
    footName: 'straight-stitch foot',
    measure: [
      along(0.5, 'cut', 'table', 'Check that both edges have {allowanceMm} of allowance.', {
        allowanceMm,
      }),
    ],
    prepare: [
      pin('Lay the cloth wrong sides together and pin.'),
      step(
        'first',
        at,
        dials
          ? `First seam, on a test of its own, {firstMm:fine} from the raw edges: {foot}, ${dials.text}.`
          : 'Sew the first seam {firstMm:fine} from the raw edges.',
        { firstMm, ...(first && dials ? { ...dials.values, foot: first.footName } : {}) },
        ['needle'],
      ),
      along(
        0.8,
        'trim',
        'table',
        trim?.needed
          ? 'Trim both allowances to {trimMm:fine} or less, and every loose thread with them.'
          : 'The allowances are within {trimMm:fine} already; only cut loose threads off.',
        { trimMm },
        ['cutter'],
      ),
    ],
    fold: [
      press(
        'press',
        schools['crease'] === 'template'
          ? 'Press the seam open, then fold along it over the edge of a card, right sides together, and press.'
          : 'Press the seam open, then fold along it, right sides together, and press.',
      ),
    ],
    layers: 2,
    scrap: { text: 'both seams, as the real one is', layers: 2 },
    look: 'does any thread of the first seam look out?',
    sew: [
      step('second', at, 'Sew the second seam {secondMm:fine} from the fold.', { secondMm }, [
        'needle',
      ]),
    ],
    check: 'no thread looks out on the right side.',
    press: lastPress('Press the seam to one side.'),
  });
}

/** Two passes: the raw edges end up inside the seam. */
export const frenchSeam: Finish = {
  id: 'french-seam',
  name: 'French seam',
  family: 'edge',
  group: 'french-seam',
  about: 'Shuts the raw edges of a seam inside it; for sheers and for cloth that frays.',
  variants: [
    {
      id: 'plain',
      name: 'two passes',
      costs: [said('two', 'No overcasting; two seams, and it cannot be let out.')],
    },
  ],
  fields: {
    seamAllowanceMm: {
      name: 'Seam allowance in all',
      neededBy: ['plain'],
      leastMm: 4,
      mostMm: 60,
      startMm: 15,
    },
    secondPassMm: {
      name: 'Second pass from the fold',
      neededBy: ['plain'],
      leastMm: 2.5,
      mostMm: 40,
      startMm: 6,
    },
  },
  schools: [creaseSchool, endsSchool],
  needs: () => ({
    machineKinds: ['lockstitch', 'straight-stitch'],
    patterns: ['straight'],
    feet: ['straight', 'clear', 'zigzag', 'edge-guide'],
  }),
  contradictions({ wish, cloth: { thicknessMm } }) {
    const [total, second] = [wish.seamAllowanceMm ?? 0, wish.secondPassMm ?? 0];
    const most = total - 2 * thicknessMm - nearestFirstSeamMm;
    if (second <= most) return [];
    const fits =
      most >= 2.5
        ? 'a second pass up to {mostMm} would fit'
        : 'an allowance of {neededMm} would fit';
    return [
      refusal(
        'secondPassMm',
        'no-first-pass',
        `A second pass of {secondMm} and the cloth’s turn of {turnMm:fine} leave no first pass in an allowance of {totalMm}; ${fits}.`,
        {
          secondMm: second,
          turnMm: 2 * thicknessMm,
          totalMm: total,
          mostMm: most,
          neededMm: second + 2 * thicknessMm + nearestFirstSeamMm,
        },
      ),
    ];
  },
  folds,
  steps,
  passes({ wish, cloth }) {
    const [first] = folds({ wish, cloth }).marks;
    return first && first.atMm >= 3
      ? [
          {
            id: 'first',
            name: 'First seam, wrong sides together',
            finish: 'plain-seam',
            wish: { variant: 'open', seamAllowanceMm: first.atMm },
            purpose: 'seam',
          },
        ]
      : [];
  },
  startingValues({ wish, cloth, edge }) {
    const { stackMm: stack } = folds({ wish, cloth });
    return [straightLength(stack), needle({ cloth, edge }, stack), pressure(cloth, stack)];
  },
  nature: () => ({
    purposes: ['seam'],
    worked: ['joins'],
    hidden: rated(0.9, 'hidden', 'Nothing shows outside, and no raw edge inside.'),
    sturdy: rated(0.7, 'sturdy', 'Sewn twice, the raw edges shut in.'),
    decorative: rated(0.2, 'decorative', 'Clean on both faces.'),
    holdsFray: 3,
    leastRadius: { mm: 200 },
    thickestMm: 0.36,
    shutsIn: true,
    freeLayers: 2,
  }),
  seamClass: () => '1.06',
  margin: () =>
    encloseMargin(
      ({ fold, cloth }) => folds({ wish: fold, cloth }).trim?.leaveMm ?? 0,
      ({ fold, cloth }) => asLength(straightLength(folds({ wish: fold, cloth }).stackMm)),
    ),
};
