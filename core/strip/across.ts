import { joined, type OnCloth, type StripPiece, type StripPlanned } from './piece';

/**
 * Strips across the grain: each as long as the cloth is wide, laid above one another.
 *
 * @param cloth across and along the grain, mm
 * @param seamMm of a join, mm; square ends take it twice
 */
export function acrossPlan([wide, high]: OnCloth, stripMm: number, seamMm: number): StripPlanned {
  const count = Math.floor(high / stripMm + 1e-9);
  const pieces = Array.from({ length: count }, (_, i): StripPiece => {
    const [low, top] = [i * stripMm, (i + 1) * stripMm];
    return {
      lengthMm: wide,
      fromMm: [
        [0, (low + top) / 2],
        [wide, (low + top) / 2],
      ],
      corners: [
        [0, low],
        [wide, low],
        [wide, top],
        [0, top],
      ],
    };
  });
  return joined(pieces, 2 * seamMm);
}
