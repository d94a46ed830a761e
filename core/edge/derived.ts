import { flareRadiusMm } from './form-course';
import type { EdgeForm } from './form';
import type { EdgeShape } from './shape';
import { slantDegrees } from './slant';

/** What follows from how an edge was measured, in the terms that every sum goes by. */
export interface DerivedEdge {
  readonly shape: EdgeShape;
  readonly lengthMm: number;
  readonly minRadiusMm: number | null;
  readonly turnDegrees: number | null;
}

const degrees = (rad: number) => Math.min(360, (rad * 180) / Math.PI);

/** An edge as far as its form says it, or takes it back. */
export interface FormedEdge extends DerivedEdge {
  readonly form: EdgeForm | null;
}

/**
 * What has to change with some fields of an edge: a form says shape, length, radius and turn; a shape
 * that was picked instead takes the form back.
 *
 * @param changed the fields that were changed by hand
 */
export function followingForm(edge: FormedEdge, changed: readonly string[]): Partial<FormedEdge> {
  if (!edge.form) return {};
  const byHand = ['shape', 'minRadiusMm', 'turnDegrees'].some((field) => changed.includes(field));
  if (byHand && !changed.includes('form')) return { form: null };
  return derivedOf(edge.form, edge.lengthMm);
}

/**
 * The shape, the length, the tightest radius and the turn of a measured edge: worked out here and
 * nowhere else, on the screen before it is stored and by the server when it is.
 *
 * @param lengthMm along the edge, where the form does not say it
 */
export function derivedOf(form: EdgeForm, lengthMm: number): DerivedEdge {
  const none = { minRadiusMm: null, turnDegrees: null };
  switch (form.kind) {
    case 'taper':
      // The finished edge lies halfway between the raw edge and its landing, on two layers.
      return { shape: 'tube', lengthMm: form.rawFlatMm + form.landingFlatMm, ...none };
    case 'slant': {
      const slant = (slantDegrees({ ...form.left, flatWidthMm: form.flatWidthMm }) * Math.PI) / 180;
      return { shape: 'tube', lengthMm: (2 * form.flatWidthMm) / Math.cos(slant), ...none };
    }
    case 'flare': {
      const minRadiusMm = flareRadiusMm(form, lengthMm);
      const turn = degrees(lengthMm / minRadiusMm);
      const shape = turn >= 360 - 1e-6 ? 'circle' : 'outside-curve';
      return { shape, lengthMm, minRadiusMm, turnDegrees: turn };
    }
    case 'curved': {
      const [tightest] = [...form.curves].sort((a, b) => a.radiusMm - b.radiusMm);
      if (!tightest) return { shape: 'straight', lengthMm, ...none };
      const same = form.curves.filter(({ side }) => side === tightest.side);
      const turn = same.reduce(
        (sum, { fromMm, toMm, radiusMm }) => sum + (toMm - fromMm) / radiusMm,
        0,
      );
      return {
        shape: tightest.side === 'outside' ? 'outside-curve' : 'inside-curve',
        lengthMm,
        minRadiusMm: tightest.radiusMm,
        turnDegrees: Math.max(1, degrees(turn)),
      };
    }
    case 'cornered': {
      const round = form.sides.reduce((sum, side) => sum + side.lengthMm, 0);
      return { shape: 'cornered', lengthMm: round, ...none };
    }
  }
}
