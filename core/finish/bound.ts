import { foldedStrip, layersAt } from '../fold/layer';
import { stackAtMm } from '../fold/stack';
import type { Issue } from '../impossible';
import type { Finish, FoldPlan, StartingValue } from './finish';
import type { FoldRequest } from './fold-request';
import { boundStack, stitchFromFrontMm, stripOf } from './parts/binding';
import {
  attachSchool,
  coverSchool,
  covered,
  curveSchool,
  stripSource,
  woven,
} from './parts/binding-schools';
import { bindingMargin, nearestToFoldMm } from './parts/binding-margin';
import { bindingSteps } from './parts/binding-work';
import { asLength } from './parts/margin-parts';
import { presserLift, threaded } from './parts/overlock';
import { said } from './parts/said';
import { garmentBeyondMm, stage } from './parts/stages';
import { guess, needle, pressure, straightLength } from './parts/starting';

/** Sewn through front and back at once on a lockstitch machine. */
const sewn = [...woven.slice(0, 2), 'satin', 'seam-allowances'];
const all = [...sewn, ...covered];

/** Half the width of a size 80 needle, which must find its place inside the front fold. */
const needleRadiusMm = 0.4;
const narrowestMm = 2 * (nearestToFoldMm + needleRadiusMm);

function contradictions({ wish }: FoldRequest): Issue[] {
  const [width, turn] = [wish.depthMm ?? 0, wish.turnMm ?? 0];
  if (wish.variant === 'satin' && width < turn) {
    return [
      {
        path: 'depthMm',
        message: `A satin binding of ${width} mm is narrower than its own turn of ${turn} mm; ${turn} mm or wider would fit.`,
      },
    ];
  }
  if (width < narrowestMm) {
    return [
      {
        path: 'depthMm',
        message: `A binding of ${width} mm leaves ${width / 2} mm for the stitch, and the needle needs ${nearestToFoldMm + needleRadiusMm} mm to hold it; ${narrowestMm} mm or wider would fit.`,
      },
    ];
  }
  return [];
}

/** A = −seam allowance. Source: docs/formulas.md, “Folds”. */
function folds(request: FoldRequest): FoldPlan {
  const { wish, cloth } = request;
  const [width, trimmed] = [wish.depthMm ?? 0, wish.seamAllowanceMm ?? 0];
  // Enough garment for it to come down to the table behind the binding.
  const shownMm = width + (wish.extensionMm ?? 0) + garmentBeyondMm(width) + 8;
  const strip = stripOf(request);
  const { strip: around, bound } = boundStack(request, shownMm);
  const core = wish.coreMm ?? cloth.thicknessMm;
  const stitchX = width - stitchFromFrontMm(wish, strip.tuckInMm);
  const layers = layersAt(bound, stitchX).length;
  const flat = foldedStrip(trimmed + shownMm, [], core);
  const cutEdge = flat.map((layer) => ({ ...layer, fromSMm: trimmed, fromXMm: trimmed }));
  return {
    allowanceMm: 0 - trimmed,
    marks: [],
    layersAtStitch: layers,
    layersUnderNeedle: layers,
    stackMm: stackAtMm(bound, stitchX),
    stitchFromHemlineMm: stitchX,
    finishedDepthMm: width,
    strip,
    trim: { needed: trimmed > 0, leaveMm: 0, cutAwayMm: trimmed },
    stages: [
      stage('flat', 'The edge as it was cut', flat),
      ...(trimmed > 0 ? [stage('trimmed', 'Allowance cut off', cutEdge)] : []),
      stage('strip', 'The strip, folded', around),
      stage('wrap', 'Wrapped round the edge', bound),
      stage('stitch', 'Sewn through all at the front fold', bound, { stitchesXMm: [stitchX] }),
    ],
  };
}

const names: readonly (readonly [id: string, name: string, cost: string])[] = [
  ['double-fold', 'double-fold bias', 'Both raw edges inside; five layers at the stitch.'],
  [
    'single-fold',
    'single-fold bias',
    'One layer less; the back edge lies flat and raw on the bias.',
  ],
  [
    'knit-strip',
    'knit strip, coverstitch',
    'Stretches with the edge; needs a coverstitch machine.',
  ],
  [
    'fold-over-elastic',
    'fold-over elastic',
    'No folding at all; holds the edge in by its own pull.',
  ],
  ['satin', 'satin blanket binding', 'Wide and smooth over plush; corners are mitred by hand.'],
  [
    'seam-allowances',
    'bound seam allowances',
    'Inside an unlined garment; each allowance is bound alone.',
  ],
];

/** Two needles this far apart need a binding at least so wide, mm. Starting guess. */
const wideCoverMm = 10;

/** Which needles of a coverstitch fit on a binding. */
function coverNeedles(widthMm: number): StartingValue {
  return widthMm >= wideCoverMm
    ? threaded(3, 'outer two needles', 'The wide pair spans the binding and holds both its folds.')
    : threaded(3, 'left and middle needle', 'The narrow pair fits on a binding this narrow.');
}

/** A strip wrapped round the edge. */
export const bound: Finish = {
  id: 'bound',
  name: 'Bound edge',
  family: 'bound',
  about: 'A strip round the edge: nothing to turn up, and it goes round any curve.',
  variants: names.map(([id, name, cost]) => ({ id, name, costs: [said(id, cost)] })),
  fields: {
    depthMm: { name: 'Width of the binding', neededBy: all, leastMm: 0, mostMm: 120, startMm: 8 },
    seamAllowanceMm: {
      name: 'Allowance to cut off first',
      neededBy: [],
      optionalFor: all,
      leastMm: 0,
      mostMm: 60,
      startMm: null,
    },
    coreMm: {
      name: 'Thickness of what is bound',
      neededBy: [],
      optionalFor: all,
      leastMm: 0.01,
      mostMm: 60,
      startMm: null,
    },
    statedStripMm: {
      name: 'Strip the attachment asks for',
      neededBy: [],
      optionalFor: all,
      leastMm: 5,
      mostMm: 300,
      startMm: null,
    },
    extensionMm: {
      name: 'Back wider by',
      neededBy: [],
      optionalFor: sewn,
      leastMm: 0,
      mostMm: 6,
      startMm: 0,
    },
    turnMm: {
      name: 'Turn of the satin',
      neededBy: [],
      optionalFor: ['satin'],
      leastMm: 1,
      mostMm: 40,
      startMm: 6,
    },
  },
  schools: [attachSchool, coverSchool, stripSource, curveSchool],
  needs: (variant) =>
    covered.includes(variant)
      ? {
          machineKinds: ['coverstitch'],
          patterns: ['cover-left', 'cover-right', 'cover-three'],
          feet: [],
        }
      : {
          machineKinds: ['lockstitch', 'straight-stitch'],
          patterns: ['straight'],
          feet:
            variant === 'satin'
              ? ['walking', 'zigzag']
              : ['edge-guide', 'binder', 'binder-attachment', 'straight', 'zigzag'],
        },
  contradictions,
  folds,
  steps: (request) => bindingSteps(request, folds(request).layersAtStitch),
  startingValues({ wish, cloth, edge }) {
    const { stackMm } = folds({ wish, cloth });
    if (covered.includes(wish.variant)) {
      return [
        coverNeedles(wish.depthMm ?? 0),
        guess(
          'length',
          'Stitch length',
          3.5,
          'mm',
          said('cover-length', '3 to 4: through five layers an ordinary length comes out tiny.'),
        ),
        guess(
          'pressure',
          'Presser pressure',
          'more',
          '',
          said('cover-pressure', 'Five layers of knit lift the foot.'),
        ),
        guess(
          'differential',
          'Differential feed',
          1,
          '',
          said(
            'cover-differential',
            'Lower would stretch the strip; raise it only when the edge waves.',
          ),
        ),
        guess(
          'loopers',
          'Looper',
          'a little less',
          '',
          said('cover-looper', 'A slack looper lets the binding stretch with the edge.'),
        ),
        guess(
          'seam-guide',
          'Seam guide',
          (wish.depthMm ?? 0) / 2,
          'mm',
          said('cover-guide', 'From the middle of the needles to the bound edge: half the width.'),
        ),
        presserLift(stackMm),
        needle({ cloth, edge }, stackMm),
      ];
    }
    return [straightLength(stackMm), needle({ cloth, edge }, stackMm), pressure(cloth, stackMm)];
  },
  nature: (variant) => ({
    hidden: variant === 'seam-allowances' ? 0.7 : 0.2,
    sturdy: 0.8,
    decorative: variant === 'satin' ? 0.9 : 0.6,
    holdsFray: 3,
    givesPercent: covered.includes(variant) ? Infinity : 20,
    leastRadiusMm: variant === 'satin' ? 300 : variant === 'seam-allowances' ? 100 : 15,
    thickestMm: variant === 'satin' ? Infinity : 4,
    thinnestMm: variant === 'satin' ? 1.2 : 0,
    stripMm: 0.3,
    turnsUp: false,
    ...(covered.includes(variant) ? { leastStretchPercent: 10 } : {}),
    ...(variant === 'seam-allowances' ? { onlyWith: 'a seam whose allowances lie open' } : {}),
  }),
  seamClass: (variant) =>
    variant === 'fold-over-elastic' ? '3.01' : variant === 'single-fold' ? '3.03' : '3.05',
  margin: (variant) =>
    sewn.includes(variant)
      ? bindingMargin(variant === 'single-fold' ? 4 : 5, ({ fold, cloth }) =>
          asLength(straightLength(folds({ wish: fold, cloth }).stackMm)),
        )
      : null,
};
