import type { Fault } from '../margin/check';
import type { MeasuredDepth } from '../margin/measured-depths';
import { normalDrift } from '../margin/normal';
import type { Judged } from './expected';

/** What is wrong with a stitch of a value; null where nothing is. */
export const faultOf = (
  value: number,
  { loMm, hiMm, below: under, above }: Pick<Judged, 'loMm' | 'hiMm' | 'below' | 'above'>,
): Fault | null => (value < loMm ? under : value > hiMm ? above : null);

/**
 * How sure a value lies in the zone it was put into, sound or faulty.
 *
 * @param spreadMm how far it may be off, above 0
 */
export function sureOf(
  value: number,
  spreadMm: number,
  { loMm, hiMm }: Pick<Judged, 'loMm' | 'hiMm'>,
): number {
  const truth = normalDrift(value, spreadMm);
  if (value < loMm) return truth.leftOf(loMm);
  return value > hiMm ? truth.rightOf(hiMm) : truth.within(loMm, hiMm);
}

/** Less sure than this, a find is asked about. */
export const doubtfulBelow = 0.9;

/** How sure it is that a find is one, whatever it is judged to be: what is left without how deep it goes. */
export const sureItIsThere = (
  sure: number,
  { depthMm, depthSpreadMm }: MeasuredDepth,
  bounds: Pick<Judged, 'loMm' | 'hiMm'>,
): number => Math.min(1, sure / sureOf(depthMm, depthSpreadMm, bounds));

/** The chance that of so many independent judgements at most one is wrong. */
export function atMostOneWrong(sures: readonly number[]): number {
  let [none, one] = [1, 0];
  for (const sure of sures) {
    one = one * sure + none * (1 - sure);
    none *= sure;
  }
  return none + one;
}
