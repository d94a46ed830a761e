import { foldFlat, type Fold } from './flat-fold';

/** A flat piece of cloth where it lies: part of one strip, at its place across the stack. */
export interface Layer {
  /** Which strip it belongs to: `garment`, `binding`, `other side`. */
  readonly piece: string;
  readonly thicknessMm: number;
  /** Which part of the strip, from its raw edge. */
  readonly fromSMm: number;
  readonly toSMm: number;
  /** Where the two ends lie; x is 0 at a place the finish chooses. */
  readonly fromXMm: number;
  readonly toXMm: number;
}

/** Layers from the bottom to the top. */
export type Stack = readonly Layer[];

/**
 * A strip folded flat, as layers of one piece.
 *
 * @param lengthMm of cloth looked at, from the raw edge
 * @param thicknessMm of the cloth
 * @throws RangeError when a fold lies outside the strip
 */
export function foldedStrip(
  lengthMm: number,
  folds: readonly Fold[],
  thicknessMm: number,
  piece = 'garment',
): Layer[] {
  return foldFlat(lengthMm, folds).map((flat) => ({ ...flat, piece, thicknessMm }));
}

/** Where a place on a strip came to lie across the stack; null when it was cut off. */
export function placeOf(stack: Stack, sMm: number, piece = 'garment'): number | null {
  const layer = stack.find(
    (it) => it.piece === piece && sMm >= it.fromSMm - 1e-9 && sMm <= it.toSMm + 1e-9,
  );
  if (!layer) return null;
  const share = (sMm - layer.fromSMm) / Math.max(1e-9, layer.toSMm - layer.fromSMm);
  return layer.fromXMm + share * (layer.toXMm - layer.fromXMm);
}

/** What is left of a stack when part of a strip is cut out of it. */
export function cutOut(stack: Stack, fromSMm: number, toSMm: number, piece = 'garment'): Layer[] {
  const partOf = (layer: Layer, from: number, to: number): Layer[] => {
    if (to - from < 1e-9) return [];
    const at = (sMm: number) => placeOf([layer], sMm, piece) ?? layer.fromXMm;
    return [{ ...layer, fromSMm: from, toSMm: to, fromXMm: at(from), toXMm: at(to) }];
  };
  return stack.flatMap((layer) =>
    layer.piece !== piece
      ? [layer]
      : [
          ...partOf(layer, layer.fromSMm, Math.min(layer.toSMm, fromSMm)),
          ...partOf(layer, Math.max(layer.fromSMm, toSMm), layer.toSMm),
        ],
  );
}

/** A stretch across a stack over which the number of layers does not change. */
export interface Plateau {
  readonly fromXMm: number;
  readonly toXMm: number;
  readonly layers: number;
  /** The layers' thickness added up, not pressed together. */
  readonly heightMm: number;
}

/** How many layers lie on one another, from left to right; empty places are left out. */
export function plateausOf(stack: Stack): Plateau[] {
  const ends = stack.flatMap(({ fromXMm, toXMm }) => [fromXMm, toXMm]).sort((a, b) => a - b);
  const places = ends.filter((x, i) => i === 0 || x - (ends[i - 1] ?? 0) > 1e-6);
  const plateaus: Plateau[] = [];
  places.slice(0, -1).forEach((fromXMm, i) => {
    const toXMm = places[i + 1] ?? fromXMm;
    const middle = (fromXMm + toXMm) / 2;
    const here = layersAt(stack, middle);
    if (here.length === 0) return;
    const heightMm = here.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
    const last = plateaus.at(-1);
    const joins = last?.toXMm === fromXMm && last.layers === here.length;
    if (last && joins && Math.abs(last.heightMm - heightMm) < 1e-9) {
      plateaus[plateaus.length - 1] = { ...last, toXMm };
    } else plateaus.push({ fromXMm, toXMm, layers: here.length, heightMm });
  });
  return plateaus;
}

/** The layers over one place, bottom first. */
export function layersAt(stack: Stack, xMm: number): Layer[] {
  return stack.filter(
    ({ fromXMm, toXMm }) => xMm > Math.min(fromXMm, toXMm) && xMm < Math.max(fromXMm, toXMm),
  );
}
