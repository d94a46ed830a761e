import type { MeasuredStitch } from '../eye/measured-scrap';
import type { MeasuredDepth } from '../margin/measured-depths';
import type { DrawnPhoto } from './eye-study';

/** A find is a true stitch’s own if it lies so near, mm. */
const nearMm = 1.2;
const nineTenths = 1.645;

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
