/** A fold across a strip: everything from the raw edge to here goes over, or under, the rest. */
export interface Fold {
  /** Distance from the raw edge on the flat cloth, mm. */
  readonly atMm: number;
  readonly direction: 'over' | 'under';
}

/** A flat piece of the strip between two folds, where it lies after folding. */
export interface FlatLayer {
  readonly fromSMm: number;
  readonly toSMm: number;
  /** Where its two ends lie; x counts from the raw edge of the unfolded strip. */
  readonly fromXMm: number;
  readonly toXMm: number;
}

function mirrorAbout(layer: FlatLayer, xMm: number): FlatLayer {
  return { ...layer, fromXMm: 2 * xMm - layer.fromXMm, toXMm: 2 * xMm - layer.toXMm };
}

/** Cuts the layer that holds s in two; leaves the others as they are. */
function splitAt(layers: readonly FlatLayer[], sMm: number): FlatLayer[] {
  return layers.flatMap((layer) => {
    if (sMm <= layer.fromSMm || sMm >= layer.toSMm) return [layer];
    const share = (sMm - layer.fromSMm) / (layer.toSMm - layer.fromSMm);
    const xMm = layer.fromXMm + share * (layer.toXMm - layer.fromXMm);
    return [
      { ...layer, toSMm: sMm, toXMm: xMm },
      { ...layer, fromSMm: sMm, fromXMm: xMm },
    ];
  });
}

/**
 * Folds a strip flat, one fold after another, as paper would fold.
 *
 * The part on the raw-edge side of a fold turns about it as one body: its layers come out
 * mirrored and in reverse order, above the rest for `over`, below it for `under`.
 *
 * @param lengthMm how much of the cloth is looked at, from the raw edge
 * @param folds in the order they are made; each 0 < atMm < lengthMm
 * @returns the layers from the bottom to the top
 * @throws RangeError when a fold lies outside the strip
 */
export function foldFlat(lengthMm: number, folds: readonly Fold[]): FlatLayer[] {
  let layers: FlatLayer[] = [{ fromSMm: 0, toSMm: lengthMm, fromXMm: 0, toXMm: lengthMm }];
  for (const fold of folds) {
    if (!(fold.atMm > 0 && fold.atMm < lengthMm)) {
      throw new RangeError(`A fold at ${fold.atMm} mm lies outside a strip of ${lengthMm} mm.`);
    }
    layers = splitAt(layers, fold.atMm);
    const still = layers.filter((layer) => layer.fromSMm >= fold.atMm);
    const moving = layers.filter((layer) => layer.toSMm <= fold.atMm);
    const hinge = still.find((layer) => layer.fromSMm === fold.atMm);
    const turned = moving.map((layer) => mirrorAbout(layer, hinge?.fromXMm ?? 0)).reverse();
    layers = fold.direction === 'over' ? [...still, ...turned] : [...turned, ...still];
  }
  return layers;
}
