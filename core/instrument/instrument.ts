import { evenDraws } from '../swatch/draw';

/**
 * A thing on the bench that gives a reading. The simulated ones that ship with the app answer to
 * this; a real one would too.
 */
export interface Instrument {
  readonly id: string;
  readonly name: string;
  readonly unit: 'g' | 'mm';
  /** The last place of its display. */
  readonly resolution: number;
  /**
   * What it shows.
   *
   * @param load what really lies on it, in its unit; 0 for nothing
   * @param seconds since the load was put on
   * @param seed the same seed gives the same wobble
   */
  reading(load: number, seconds: number, seed: number): Reading;
}

export interface Reading {
  readonly value: number;
  /** Whether it has come to rest and may be taken. */
  readonly steady: boolean;
}

/** How a simulated instrument behaves. */
interface Behaviour {
  readonly resolution: number;
  /** In about three of these it comes to rest, s. */
  readonly settlingS: number;
  /** Swings past and back while it settles; 0 creeps up without. */
  readonly swing: number;
  /** Spread of the wobble that stays, in its unit. */
  readonly noise: number;
}

/** It is at rest when what is left of the settling is below this share of the last place. */
const restShare = 0.4;
/** A display changes so many times a second. */
const perSecond = 5;

/** A sum of twelve even draws is close enough to a bell curve for a wobble. */
function wobble(seed: number, slot: number): number {
  const draw = evenDraws(seed * 1009 + slot);
  return Array.from({ length: 12 }, draw).reduce((sum, it) => sum + it, -6);
}

function simulated(
  id: string,
  name: string,
  unit: Instrument['unit'],
  { resolution, settlingS, swing, noise }: Behaviour,
): Instrument {
  return {
    id,
    name,
    unit,
    resolution,
    reading(load, seconds, seed) {
      const left = Math.exp(-Math.max(0, seconds) / settlingS);
      const slot = Math.floor(Math.max(0, seconds) * perSecond);
      const shape = swing > 0 ? Math.cos(swing * seconds) : 1;
      // Nothing on it: it stands at nothing, but for the wobble of its last place.
      const shown = load * (1 - left * shape) + noise * wobble(seed, slot);
      const value = Math.max(0, Math.round(shown / resolution) * resolution);
      return {
        value: Number(value.toFixed(3)),
        steady: Math.abs(load) * left < restShare * resolution,
      };
    },
  };
}

/** The simulated bench: starting guesses of how such things behave. */
export const kitchenScale = simulated('scale', 'simulated kitchen scale', 'g', {
  resolution: 0.1,
  settlingS: 0.7,
  swing: 6,
  noise: 0.02,
});
export const thicknessGauge = simulated('gauge', 'simulated thickness gauge', 'mm', {
  resolution: 0.01,
  settlingS: 0.9,
  swing: 0,
  noise: 0.003,
});
export const pullTester = simulated('pull', 'simulated pull tester', 'mm', {
  resolution: 0.5,
  settlingS: 0.8,
  swing: 0,
  noise: 0.08,
});
