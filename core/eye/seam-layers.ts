import type { Field } from './flatten';
import {
  laidWave,
  turnedBy,
  wavesOf,
  type LaidWave,
  type Pattern,
  type Rows,
  type Waves,
} from './waves';

// Asked for at every pixel.
const { ceil, floor, max, min, round } = Math;

/** Turned by so little as one is at last, a seam lies no farther across than this, mm. */
const nearMm = 2;

/** How a pattern lies: along and across the way the machine has it, or turned. */
type Turned = readonly [along: 1 | -1, across: 1 | -1];

/** Rows along a direction, taken apart into waves. */
export interface Layer {
  readonly firstRow: number;
  /** What the cloth has of each wave. */
  readonly power: Waves['power'];
  /** The waves of the stitch laid on them, its repeat so long; each is laid once. */
  readonly laid: (turned: Turned, waveNumbers: readonly number[], repeatMm: number) => LaidWave[];
}

type Patterns = Readonly<Record<'1' | '-1', Pattern>>;

function layerOf(waves: Waves, patterns: Patterns, firstRow: number): Layer {
  const known = new Map<string, LaidWave>();
  return {
    firstRow,
    power: waves.power,
    laid: ([along, across], waveNumbers, repeatMm) =>
      waveNumbers.map((k) => {
        const index = round(k / repeatMm / waves.perMm);
        const key = `${along} ${across} ${k} ${index}`;
        const laid = known.get(key) ?? laidWave(waves, patterns[across], k, index, along);
        known.set(key, laid);
        return laid;
      }),
  };
}

/** A field’s rows along directions, each direction taken apart once. */
export interface SeamLayers {
  /** All rows along a direction, radians. */
  readonly along: (angle: number) => Layer;
  /**
   * The rows on which a seam can come to lie that lies on a row, turned a little.
   *
   * @param power of each wave in the cloth: so few rows don’t tell it
   */
  readonly near: (angle: number, row: number, power: Waves['power'] | undefined) => Layer;
}

/**
 * Takes a field’s rows apart into waves as they are asked for. Where a seam lies is known after the first few
 * directions; after that a tenth of the rows is enough.
 *
 * @param patterns the stitch as it lies, and with its other face up
 * @param finestPerMm the finest waves that are asked for, waves a mm
 */
export function seamLayers(field: Field, patterns: Patterns, finestPerMm: number): SeamLayers {
  const { height, pxPerMm } = field;
  const reach = max(
    ...Object.values(patterns).flatMap(({ firstRow, re }) => [-firstRow, firstRow + re[0]!.length]),
  );
  const block = max(1, round(nearMm * pxPerMm));
  const layers = new Map<string, Layer>();
  const turnedTo = (angle: number, rows: Rows, power?: Waves['power']): Layer => {
    const key = `${round(angle * 1e5)} ${rows.join(' ')}`;
    const known =
      layers.get(key) ??
      layerOf(wavesOf(turnedBy(field, angle, rows), finestPerMm, power), patterns, rows[0]);
    layers.set(key, known);
    return known;
  };
  return {
    along: (angle) => turnedTo(angle, [0, height]),
    // In blocks, so that seams beside each other are looked for in the same rows.
    near: (angle, row, power) =>
      turnedTo(
        angle,
        [
          max(0, (floor((row - reach) / block) - 1) * block),
          min(height, (ceil((row + reach) / block) + 1) * block),
        ],
        power,
      ),
  };
}
