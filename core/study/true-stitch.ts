import { measureScrap } from '../eye/measure';
import type { MeasuredScrap, MeasuredStitch } from '../eye/measured-scrap';
import type { Face } from '../eye/seen-on';
import { Impossible } from '../impossible';
import type { MeasuredDepth } from '../margin/measured-depths';
import type { DrawnPhoto } from './drawn-photo';

/** A find is a true stitch’s own if it lies so near, mm. */
export const nearMm = 1.2;
const nineTenths = 1.645;

/** A photo whose stitches could be judged. */
export interface JudgedScrap extends MeasuredScrap {
  readonly counts: NonNullable<MeasuredScrap['counts']>;
}

/** What a photo is measured to show; null where that is refused, or nothing can be judged: the screen refuses it too. */
export function measuredOf({ window, expected }: DrawnPhoto): JudgedScrap | null {
  try {
    const measured = measureScrap(window, expected)!;
    return measured.counts && { ...measured, counts: measured.counts };
  } catch (error) {
    if (error instanceof Impossible) return null;
    throw error;
  }
}

/** What a face comes to. */
interface Counts {
  readonly short: number;
  readonly over: number;
}

/** Whether counts are right to within one each; the right side shows none that is too short. */
export const isWithinOne = (told: Counts, is: Counts, face: Face): boolean =>
  Math.abs(told.over - is.over) <= 1 && (face === 'right' || Math.abs(told.short - is.short) <= 1);

/** Which true stitch a find is; −1 for none. */
export function trueOf(
  { truth }: Pick<DrawnPhoto, 'truth'>,
  { atMm }: Pick<MeasuredStitch, 'atMm'>,
): number {
  const away = truth.map((one) => Math.hypot(one.atMm[0] - atMm[0], one.atMm[1] - atMm[1]));
  const nearest = away.indexOf(Math.min(...away));
  return away[nearest]! <= nearMm ? nearest : -1;
}

/** How deep a stitch was measured to go; null where it was not. */
export const depthOf = ({ depthMm, depthSpreadMm }: MeasuredStitch): MeasuredDepth | null =>
  depthMm === null ? null : { depthMm, depthSpreadMm: depthSpreadMm ?? 0 };

/** Whether the 90 % interval that is stated for a depth holds what is true. */
export const holds = ({ depthMm, depthSpreadMm }: MeasuredDepth, trueMm: number): boolean =>
  Math.abs(depthMm - trueMm) <= nineTenths * depthSpreadMm;

export const rootMeanSquare = (values: readonly number[]): number =>
  Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / values.length);
