import type { SewingPlan } from '../finish/sewing-plan';

/** Values as text that does not depend on the order of keys; null and absent are the same. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value ?? null);
  const entries = Object.entries(value)
    .filter(([, inner]) => inner !== null && inner !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${entries.map(([key, inner]) => `${key}:${canonical(inner)}`).join()}}`;
}

/**
 * What makes a set-up this one, as far as learning goes, as text: the same for set-ups between
 * which a sample carries over. A sample brings its own checks, so the folds, the stitch and the eye
 * that judges may differ: what is pooled shares the hand, the cloth and the guide.
 */
export function learningKey({ cloth, edge, machine, foot, aids, binder }: SewingPlan): string {
  // How high the foot lifts and what else it can sew have no part in where a stitch lands.
  const {
    presserLiftMm: _lift,
    presserLiftHighMm: _high,
    patterns: _patterns,
    differentialRange: _range,
    differentialStep: _step,
    ...swinging
  } = machine;
  const { slotMm, besideMm, guidance, guide, shank } = foot;
  return canonical({
    cloth,
    radius: edge.minRadiusMm,
    machine: swinging,
    foot: { slotMm, besideMm, guidance, guide, shank },
    // How a binder stands is a part of what leads the edge.
    placing: binder?.placing,
    aids: { press: 'crease', wrap: 'hand', ...aids },
  });
}

/**
 * Whether what a sample taught carries over to another plan: the same cloth, curve, machine, foot
 * and guide. Folds, stitch, pick and dials may differ.
 */
export function sameForLearning(a: SewingPlan, b: SewingPlan): boolean {
  return learningKey(a) === learningKey(b);
}
