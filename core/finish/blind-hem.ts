import { stackMm } from '../fold/stack';
import type { FoldMark } from '../fold/mark';
import type { Issue } from '../impossible';
import type { Check } from '../margin/check';
import { guidanceSpreadMm } from '../margin/drift';
import { repeatOf } from '../stitch/repeat';
import { widthCoefficient } from '../stitch/needle-path';
import type { FoldRequest, FoldWish } from './fold-request';
import type { ClothRegion, Finish, FoldPlan, FoldStage, SewingPlan, WorkStep } from './finish';

/** A bite shallower than this slips off the fold, mm. Starting guess. */
const shallowestBiteMm = 0.2;
/** The run keeps this far from the fold and from the extension's edge, mm. Starting guesses. */
const runFromFoldMm = 0.8;
const runFromEdgeMm = 1.5;
/** Bite spacing when hiding is all that counts, and when holding is, mm. Starting guesses. */
const hiddenSpacingMm = 14;
const sturdySpacingMm = 8;

/** Cloth thickness below which a bite has hardly anywhere to hide, mm. */
const thinClothMm = 0.35;

const flatOrEnclosed = (wish: FoldWish) => (wish.variant === 'enclosed' ? (wish.turnMm ?? 0) : 0);

/** +1 as usual, garment to the left of the blade; −1 for a mirrored stitch. */
const handOf = (plan: SewingPlan): 1 | -1 => (plan.stitch.mirror ? -1 : 1);

function contradictions(wish: FoldWish): Issue[] {
  const issues: Issue[] = [];
  const [depth, extension, turn] = [wish.depthMm ?? 0, wish.extensionMm ?? 0, wish.turnMm ?? 0];
  if (extension > depth) {
    issues.push({
      path: 'extensionMm',
      message: `An extension of ${extension} mm is wider than the hem of ${depth} mm; it can be up to ${depth} mm.`,
    });
  }
  if (wish.variant === 'enclosed' && turn > depth) {
    issues.push({
      path: 'turnMm',
      message: `A turn of ${turn} mm is wider than the hem of ${depth} mm; it can be up to ${depth} mm.`,
    });
  }
  return issues;
}

/** Marks and stages. Source: docs/formulas.md, “Folds”: A = D + e (+ u). */
function folds({ wish, cloth, sewn }: FoldRequest): FoldPlan {
  const [depth, extension] = [wish.depthMm ?? 0, wish.extensionMm ?? 0];
  const turn = flatOrEnclosed(wish);
  const hemlineMm = depth + extension + turn;
  const backMm = hemlineMm + depth;
  const marks: FoldMark[] = [
    ...(turn > 0 ? [{ name: 'turn', fromRawEdgeMm: turn, action: 'press' } as const] : []),
    { name: 'hemline', fromRawEdgeMm: hemlineMm, action: 'press' },
    { name: 'temporary-fold', fromRawEdgeMm: backMm, action: 'temporary' },
  ];
  const turned = turn > 0 ? [{ atMm: turn, direction: 'over' as const, temporary: false }] : [];
  const hemmed = [...turned, { atMm: hemlineMm, direction: 'over' as const, temporary: false }];
  const foldedBack = [...hemmed, { atMm: backMm, direction: 'under' as const, temporary: true }];
  // The extension ends where the garment is folded back; run and bite lie on either side of it.
  const lipEndMm = turn + extension;
  const holesAtMm = [lipEndMm - (sewn?.['run'] ?? extension / 2), lipEndMm + (sewn?.['bite'] ?? 0)];
  const stages: FoldStage[] = [
    { id: 'flat', folds: [], holesAtMm: [] },
    ...(turn > 0 ? [{ id: 'turn', folds: turned, holesAtMm: [] }] : []),
    { id: 'hemline', folds: hemmed, holesAtMm: [] },
    { id: 'temporary-fold', folds: foldedBack, holesAtMm: [] },
    { id: 'stitch', folds: foldedBack, holesAtMm },
    { id: 'open', folds: hemmed, holesAtMm },
  ];
  return {
    allowanceMm: hemlineMm,
    marks,
    layersAtStitch: 1,
    layersUnderNeedle: turn >= extension / 2 ? 2 : 1,
    stackMm: stackMm(1, cloth.thicknessMm),
    stitchFromHemlineMm: depth,
    stages,
    shownMm: backMm + Math.max(20, depth * 0.6),
  };
}

/** Where a hole of a stitch stands, as a linear form in the dials. */
function hole(plan: SewingPlan, role: 'run' | 'bite') {
  const u = repeatOf(plan.stitch).penetrations.find((place) => place.role === role)?.u ?? 0;
  return widthCoefficient(u, plan.stitch);
}

/**
 * How deep the needle bites into the fold, and how far the run keeps off it.
 * Source: docs/formulas.md, “Checks per finish”.
 */
function checks(plan: SewingPlan): Check[] {
  const hand = handOf(plan);
  const [biteWidth, runWidth] = [hole(plan, 'bite'), hole(plan, 'run')];
  return [
    {
      name: 'bite',
      source: 'guide',
      k: hand,
      loMm: shallowestBiteMm,
      hiMm: hiddenUpToMm(plan),
      below: 'missed',
      above: 'shows',
      v0: { constantMm: 0, width: -hand * biteWidth, needlePosition: -hand, guide: hand },
    },
    {
      name: 'run',
      source: 'guide',
      k: -hand as 1 | -1,
      loMm: runFromFoldMm,
      hiMm: (plan.fold.extensionMm ?? 0) - runFromEdgeMm,
      below: 'run-on-fold',
      above: 'run-off-edge',
      v0: { constantMm: 0, width: hand * runWidth, needlePosition: hand, guide: -hand },
    },
  ];
}

/**
 * The deepest bite that stays hidden: a needle less than the cloth's thickness from the fold
 * passes inside the bend; beyond it, twice the difference lies open as thread.
 */
function hiddenUpToMm(plan: SewingPlan): number {
  return plan.cloth.thicknessMm + plan.pickMm / 2;
}

function spacingMm({ faultWeights: { below, above } }: SewingPlan): number {
  const hidden = above + below > 0 ? above / (above + below) : 0.5;
  return sturdySpacingMm + (hiddenSpacingMm - sturdySpacingMm) * hidden;
}

function steps(plan: SewingPlan): WorkStep[] {
  const plain = (
    id: string,
    values: WorkStep['values'] = {},
    cautions: string[] = [],
  ): WorkStep => ({
    id,
    values,
    cautions,
  });
  const plan_ = folds({ wish: plan.fold, cloth: plan.cloth });
  const [depth, extension] = [plan.fold.depthMm ?? 0, plan.fold.extensionMm ?? 0];
  const enclosed = plan.fold.variant === 'enclosed';
  return [
    plain('cut', { allowanceMm: plan_.allowanceMm }, ['cutter']),
    enclosed
      ? plain('turn', { turnMm: plan.fold.turnMm ?? 0 }, ['iron'])
      : plain('overcast', { fray: plan.cloth.fray }, ['power-off']),
    plain('press-hemline', { hemlineMm: plan_.allowanceMm }, ['iron']),
    plain('fold-back', { depthMm: depth, extensionMm: extension }, ['pins']),
    plain('change-foot', {}, ['power-off']),
    plain('sew', {}, ['needle']),
    plain('open-and-press', { depthMm: depth }, ['iron', 'pins']),
  ];
}

function regions(plan: SewingPlan): ClothRegion[] {
  const extension = plan.fold.extensionMm ?? 0;
  const under = plan.fold.variant === 'enclosed' ? 2 : 1;
  const [garment, lip] = [
    { name: 'garment-folded-back', fromMm: -Infinity, toMm: 0, layers: 3 },
    { name: 'extension', fromMm: 0, toMm: extension, layers: under },
  ];
  if (handOf(plan) === 1) return [garment, lip];
  return [
    { ...garment, fromMm: 0, toMm: Infinity },
    { ...lip, fromMm: -extension, toMm: 0 },
  ];
}

/** The blind hem: a fold of the garment rides a blade, and the needle bites into its edge. */
export const blindHem: Finish = {
  id: 'blind-hem',
  variants: ['flat', 'enclosed'],
  fields: {
    depthMm: { neededBy: ['flat', 'enclosed'], leastMm: 3, mostMm: 500, startMm: 40 },
    extensionMm: { neededBy: ['flat', 'enclosed'], leastMm: 1, mostMm: 100, startMm: 8 },
    turnMm: { neededBy: ['enclosed'], leastMm: 1, mostMm: 200, startMm: 12 },
  },
  needs: {
    machineKinds: ['lockstitch'],
    patterns: ['blind-woven', 'blind-stretch'],
    guidances: ['blade', 'edge', 'mark', 'bed', 'eye', 'line', 'bar'],
  },
  countedCheck: 'bite',
  schools: [
    {
      id: 'overcast-first',
      variant: 'flat',
      costs: [{ about: 'thread-line-inside', values: {} }],
    },
    {
      id: 'turned-in',
      variant: 'enclosed',
      costs: [{ about: 'bulk-at-turn', values: { layers: 3 } }],
    },
  ],
  contradictions,
  folds,
  checks,
  baseSpreadMm: ({ foot }) => ({ guide: guidanceSpreadMm[foot.guidance] }),
  startingLength(plan) {
    const { stitches } = repeatOf(plan.stitch);
    const spacing = spacingMm(plan);
    return {
      value: spacing / stitches,
      because: [{ about: 'bite-spacing', values: { spacingMm: spacing, stitches } }],
      startingGuess: true,
    };
  },
  dialReasons(plan, dials) {
    const [bite, run] = checks(plan).map(
      ({ v0 }) =>
        v0.width * dials.widthMm +
        v0.needlePosition * dials.needlePositionMm +
        v0.guide * dials.guideMm,
    );
    const thick = plan.cloth.thicknessMm;
    return {
      widthMm: [
        {
          about: thick < thinClothMm ? 'bite-in-thin-fold' : 'bite-in-fold',
          values: { biteMm: bite ?? 0, thicknessMm: thick, hiddenUpToMm: hiddenUpToMm(plan) },
        },
      ],
      needlePositionMm: [
        {
          about: 'run-on-extension',
          values: { runMm: run ?? 0, extensionMm: plan.fold.extensionMm ?? 0 },
        },
      ],
      guideMm: [
        'atMm' in plan.foot.guide
          ? { about: 'guide-fixed', values: { atMm: plan.foot.guide.atMm } }
          : { about: 'guide-adjusts', values: { stepMm: plan.foot.guide.stepMm ?? 0.25 } },
      ],
    };
  },
  countedPerRepeat: () => 1,
  regions,
  steps,
};
