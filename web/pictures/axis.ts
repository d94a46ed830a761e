import type { LengthUnit } from '../../core/measure/unit';

const mmSteps = [0.1, 0.25, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500];
const inchSteps = [0.005, 0.01, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2, 4, 8, 16].map(
  (inches) => inches * 25.4,
);

/**
 * The distance between ticks of an axis: round in the person's unit, and far enough apart.
 *
 * @returns mm
 */
export function tickStepMm(unit: LengthUnit, pxPerMm: number, leastPx: number): number {
  const steps = unit === 'in' ? inchSteps : mmSteps;
  return steps.find((step) => step * pxPerMm >= leastPx) ?? steps.at(-1) ?? 1;
}

/** The ticks of an axis within two ends, mm. */
export function ticksWithin(fromMm: number, toMm: number, stepMm: number): number[] {
  const first = Math.ceil(fromMm / stepMm - 1e-9);
  const last = Math.floor(toMm / stepMm + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * stepMm);
}

/** Upright lines as one path: many of them in one element are drawn and moved at once. */
export function upright(xsPx: readonly number[], fromPx: number, toPx: number): string {
  return xsPx.map((x) => `M${x.toFixed(1)},${fromPx.toFixed(1)} V${toPx.toFixed(1)}`).join(' ');
}
