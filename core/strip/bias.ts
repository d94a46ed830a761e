import { joined, type OnCloth, type StripPiece, type StripPlanned } from './piece';

/** Below this a piece is nothing, mm. */
const nothingMm = 1e-9;

/**
 * A strip of the bias in a rectangle A × B: between the lines y − x = c₀ and y − x = c₀ + s√2, with
 * ends on the straight grain. Its length is √2·(min(A, B − c₀ − s√2) − max(0, −c₀)).
 * Source: docs/formulas.md, “Strips”.
 *
 * @returns null where nothing of it lies on the cloth
 */
function pieceAt(fromC: number, stripMm: number, [wide, high]: OnCloth): StripPiece | null {
  const across = stripMm * Math.SQRT2;
  const left = Math.max(0, -fromC);
  const right = Math.min(wide, high - fromC - across);
  if (right - left <= nothingMm) return null;
  const at = (x: number, c: number): OnCloth => [x, x + c];
  const toC = fromC + across;
  return {
    lengthMm: Math.SQRT2 * (right - left),
    fromMm: [at(left, fromC + across / 2), at(right, fromC + across / 2)],
    corners: [at(left, fromC), at(right, fromC), at(right, toC), at(left, toC)],
  };
}

/** Every strip side by side, the first of them at c. */
function piecesFrom(c: number, stripMm: number, cloth: OnCloth): StripPiece[] {
  const across = stripMm * Math.SQRT2;
  const [wide, high] = cloth;
  // The first line that is not left of the cloth's lower right corner.
  const first = Math.ceil((-wide - c) / across - 1e-9);
  const last = Math.floor((high - c) / across + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) =>
    pieceAt(c + (first + i) * across, stripMm, cloth),
  ).filter((piece) => piece !== null);
}

/**
 * The best way to cut bias strips from a rectangle: side by side, from the place that gives the most
 * when all of them are joined. The total is piecewise linear in that place, so that its best is one
 * of the few where a piece begins to count, to be cut short, or to shrink.
 *
 * @param cloth across and along the grain, mm
 * @param seamMm of a join, mm; on the straight grain it takes √2 of it along the strip
 */
export function biasPlan(cloth: OnCloth, stripMm: number, seamMm: number): StripPlanned {
  const across = stripMm * Math.SQRT2;
  const [wide, high] = cloth;
  const joinMm = Math.SQRT2 * seamMm;
  const short = joinMm / Math.SQRT2;
  const turns = [
    0,
    high - across - wide,
    -wide,
    high - across,
    short - wide,
    high - across - short,
  ];
  const plans = turns.map((c) => {
    const offset = ((c % across) + across) % across;
    return joined(piecesFrom(offset, stripMm, cloth), joinMm);
  });
  return plans.reduce((best, plan) => (plan.totalMm > best.totalMm + nothingMm ? plan : best));
}

/** The widest strip of which any bias piece fits a rectangle, mm. */
export const widestBiasMm = ([, high]: OnCloth): number => high / Math.SQRT2;
