import fc from 'fast-check';
import { derivedOf } from './derived';
import type { CorneredForm, EdgeForm } from './form';

/** Lengths in tenths of a millimetre, as people measure them. */
export const mm = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map((tenths) => tenths / 10);

/** A figure whose corners are all mitred. */
export const sides = (
  ...all: (readonly [lengthMm: number, angleDegrees: number])[]
): CorneredForm => ({
  kind: 'cornered',
  sides: all.map(([lengthMm, angleDegrees]) => ({ lengthMm, angleDegrees, mitred: true })),
});

/** An edge of which nothing is known but how it was measured. */
export const edgeOf = (form: EdgeForm, lengthMm = 4400) => ({
  ...derivedOf(form, lengthMm),
  joined: null,
  form,
});
