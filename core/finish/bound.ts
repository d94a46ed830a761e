import { foldedStrip, layersAt } from '../fold/layer';
import { straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { said } from './parts/said';
import { stackAtMm } from '../fold/stack';
import { refusal, type Issue } from '../impossible';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { FoldRequest } from './fold-request';
import type { SewingPlan } from './sewing-plan';
import { boundStack, stitchFromFrontMm, stripOf } from './parts/binding';
import {
  attachSchool,
  coverSchool,
  covered,
  curveSchool,
  elasticSchool,
  pullSchool,
  shorterSchool,
  stripSource,
  woven,
} from './parts/binding-schools';
import { bindingMargin, nearestToFoldMm } from './parts/binding-margin';
import {
  bindingStarting,
  coverLength,
  elasticSwing,
  satinLength,
  satinSwing,
  swingsAcross,
  zigzagOnElastic,
} from './parts/binding-starting';
import type { Pattern } from '../stitch/stitch';
import { bindingSteps } from './parts/binding-work';
import { coverSpan } from './parts/cover';
import { asLength } from './parts/margin-parts';
import { garmentBeyondMm, stage } from './parts/stages';
import { rated } from './parts/rated';

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
      refusal(
        'depthMm',
        'narrower-than-turn',
        'A satin binding of {widthMm} is narrower than its own turn of {turnMm}; {turnMm} or wider would fit.',
        { widthMm: width, turnMm: turn },
      ),
    ];
  }
  if (width < narrowestMm) {
    return [
      refusal(
        'depthMm',
        'too-narrow-to-hold',
        'A binding of {widthMm} leaves {halfMm} for the stitch, and the needle needs {neededMm} to hold it; {narrowestMm} or wider would fit.',
        {
          widthMm: width,
          halfMm: width / 2,
          neededMm: nearestToFoldMm + needleRadiusMm,
          narrowestMm,
        },
      ),
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
  const stitchX = width - stitchFromFrontMm(wish, strip.tuckInMm, request.sewn?.['front']);
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

/** Layers that lie free on one another at the stitch: front of the strip, cloth, back. */
function freeLayersOf(variant: string): number {
  switch (variant) {
    case 'fold-over-elastic':
    case 'satin':
      return 3;
    case 'single-fold':
      return 4;
    default:
      return 5;
  }
}

/** What sews through front and back at once; a woven strip also goes on with a chain or a cover. */
function sewnPatterns(variant: string): readonly Pattern[] {
  if (variant === 'satin') return ['zigzag', 'three-step', 'straight'];
  return variant === 'seam-allowances'
    ? ['straight']
    : ['straight', 'chain', 'cover-left', 'cover-right'];
}

/** A strip wrapped round the edge. */
export const bound: Finish = {
  id: 'bound',
  name: 'Bound edge',
  family: 'bound',
  group: 'bound',
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
  schools: [
    ...[attachSchool, coverSchool, elasticSchool, stripSource],
    ...[shorterSchool, pullSchool, curveSchool],
  ],
  needs: (variant) =>
    covered.includes(variant)
      ? variant === 'fold-over-elastic'
        ? {
            machineKinds: ['coverstitch', 'lockstitch'],
            patterns: ['cover-left', 'cover-right', 'three-step', 'zigzag'],
            feet: [],
            besides: said('elastic', 'fold-over elastic'),
          }
        : {
            machineKinds: ['coverstitch'],
            patterns: ['cover-left', 'cover-right'],
            feet: [],
          }
      : {
          machineKinds:
            variant === 'double-fold' || variant === 'single-fold'
              ? ['lockstitch', 'straight-stitch', 'coverstitch']
              : ['lockstitch', 'straight-stitch'],
          patterns: sewnPatterns(variant),
          feet:
            variant === 'satin'
              ? ['walking', 'zigzag']
              : ['edge-guide', 'binder', 'binder-attachment', 'straight', 'zigzag', 'clear'],
        },
  contradictions,
  folds,
  steps: (request) => bindingSteps(request, folds(foldsAsSewn(request)).layersAtStitch),
  passes({ wish, cloth, strip, schools, machineKind }) {
    if (covered.includes(wish.variant) || wish.variant === 'satin') return [];
    if ((schools['attach'] ?? 'by-hand') !== 'by-hand') return [];
    // A coverstitch machine wraps and sews at once.
    if (machineKind === 'coverstitch') return [];
    const { tuckInMm } = stripOf({ wish, cloth, strip });
    return tuckInMm < 3
      ? []
      : [
          {
            id: 'first',
            name: 'Strip to the edge, along its first fold',
            finish: 'plain-seam',
            wish: { variant: 'open', seamAllowanceMm: tuckInMm },
          },
        ];
  },
  startingValues(request) {
    const { wish, cloth, strip } = request;
    return bindingStarting(request, folds({ wish, cloth, strip }).stackMm);
  },
  nature: (variant) => {
    const inside = variant === 'seam-allowances';
    const satin = variant === 'satin';
    const stretches = covered.includes(variant);
    return {
      purposes: inside
        ? ['allowance']
        : satin
          ? ['hem']
          : variant === 'fold-over-elastic'
            ? ['opening']
            : ['hem', 'opening'],
      worked: ['strip'],
      hidden: inside
        ? rated(0.55, 'hidden', 'A clean narrow band, inside only.')
        : rated(0.15, 'hidden', 'A band {depthMm} wide shows on both faces.'),
      sturdy: rated(0.75, 'sturdy', 'The raw edge is wrapped whole; the strip takes the wear.'),
      decorative: satin
        ? rated(0.9, 'decorative', 'A wide band of satin.')
        : inside
          ? rated(0.65, 'decorative', 'Pretty where the inside is seen.')
          : rated(0.5, 'decorative', 'A band in a colour of its own.'),
      holdsFray: 3,
      leastRadius: { mm: satin ? 300 : inside ? 100 : 15 },
      thickestMm: satin ? Infinity : 4,
      thinnestMm: satin ? 1.2 : 0,
      stripMm: 0.3,
      freeLayers: freeLayersOf(variant),
      ...(stretches ? { leastStretchPercent: 10 } : { stripGivesPercent: satin ? 5 : 20 }),
    };
  },
  seamClass: (variant) =>
    variant === 'fold-over-elastic' ? '3.01' : variant === 'single-fold' ? '3.03' : '3.05',
  margin: (variant) =>
    covered.includes(variant)
      ? bindingMargin({
          layers: freeLayersOf(variant),
          startingLength: ({ machine, stitch }) =>
            machine.kind === 'coverstitch' ? coverLength : zigzagOnElastic(stitch),
          spanWidth: ({ machine }) =>
            machine.kind === 'coverstitch' ? coverSpan(machine) : elasticSwing,
        })
      : bindingMargin({
          layers: freeLayersOf(variant),
          startingLength: ({ fold, cloth, strip, stitch, machine }) =>
            machine.kind === 'coverstitch'
              ? coverLength
              : variant === 'satin' && swingsAcross(stitch)
                ? satinLength
                : asLength(straightLength(folds({ wish: fold, cloth, strip }).stackMm)),
          ...(variant !== 'satin'
            ? {
                spanWidth: ({ machine, stitch }: SewingPlan) =>
                  machine.kind === 'coverstitch' && stitch.pattern !== 'chain'
                    ? coverSpan(machine)
                    : null,
              }
            : {
                spanWidth: ({ stitch }: SewingPlan) => (swingsAcross(stitch) ? satinSwing : null),
                // Beyond its turn nothing of a satin is doubled that a stitch could hold.
                mostFromFoldMm: ({ fold }: SewingPlan) =>
                  Math.max(2 * nearestToFoldMm, (fold.turnMm ?? 0) - satinSwing.value),
              }),
        }),
};
