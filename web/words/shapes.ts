import type { SeamKind } from '../../core/seam/crossing';
import type { EdgeShape } from '../../core/edge/shape';

/** The shapes of an edge as people name them. */
export const shapeOptions: readonly { readonly value: EdgeShape; readonly label: string }[] = [
  { value: 'straight', label: 'straight, two ends' },
  { value: 'tube', label: 'tube: a leg, a sleeve' },
  { value: 'outside-curve', label: 'outside curve' },
  { value: 'inside-curve', label: 'inside curve: a neck, an armhole' },
  { value: 'cornered', label: 'with corners' },
  { value: 'circle', label: 'full circle' },
];

/** How a seam that crosses an edge was made. */
export const crossingNames: Readonly<Record<SeamKind, string>> = {
  open: 'a seam pressed open',
  oneSide: 'a seam to one side',
  felled: 'a felled seam',
  french: 'a French seam',
};
