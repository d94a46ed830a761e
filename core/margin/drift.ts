import type { Cloth } from '../cloth/cloth';
import type { Guidance } from '../kit/foot';

/** Starting guesses: spread of a steady hand on firm cloth and a straight edge, mm. */
export const guidanceSpreadMm: Readonly<Record<Guidance, number>> = {
  blade: 0.2,
  bar: 0.25,
  bed: 0.35,
  edge: 0.4,
  mark: 0.4,
  line: 0.6,
  eye: 0.9,
};

/** Starting guesses: spread of a pressed crease, by eye and over a card template, mm. */
export const pressSpreadMm = { crease: 0.5, template: 0.3 } as const;
/** Starting guess: spread of cloth fed into a scroll by hand, mm. */
export const feedSpreadMm = 0.45;
/** Starting guesses: spread of a binding's back, wrapped by hand and in a binder, mm. */
export const wrapSpreadMm = { hand: 0.5, binder: 0.3 } as const;

/** Starting guesses: how much the cloth and the curve add to a spread. */
const perSlipGrade = 0.2;
const stretchThatDoublesPercent = 200;
const radiusThatDoublesMm = 40;

/** Starting guess: how far apart two free layers creep at each grade of slip, mm. */
const creepPerSlipGradeMm = 0.1;

/**
 * How far layers that are fed together and not fastened to one another drift apart, as a spread:
 * 0.10 · slip · √(free layers − 1). Source: docs/formulas.md, “Fair chances”.
 *
 * @param freeLayers 1 or fewer for layers that are fastened already
 */
export function creepMm({ slip }: Pick<Cloth, 'slip'>, freeLayers: number): number {
  return creepPerSlipGradeMm * slip * Math.sqrt(Math.max(0, freeLayers - 1));
}

/**
 * Spread of the drift, σ in mm.
 * σ = base × (1 + 0.20·slip) × (1 + stretch%/200) × (1 + min(1, 40/radius)) × skill.
 * Source: craft practice, docs/formulas.md “Drift”.
 *
 * @param baseMm spread of the guidance, e.g. {@link guidanceSpreadMm}
 * @param minRadiusMm tightest curve of the edge; null for a straight one
 * @param skill 1 until samples say otherwise; below 1 is steadier
 */
export function spreadMm(
  baseMm: number,
  cloth: Pick<Cloth, 'slip' | 'stretchPercent'>,
  minRadiusMm: number | null,
  skill: number,
): number {
  const curve = minRadiusMm === null ? 0 : Math.min(1, radiusThatDoublesMm / minRadiusMm);
  return (
    baseMm *
    (1 + perSlipGrade * cloth.slip) *
    (1 + cloth.stretchPercent / stretchThatDoublesPercent) *
    (1 + curve) *
    skill
  );
}
