import type { LookAt } from './on-seam';
import type { ReferenceLine } from './reference-line';
import { isWithin, type ThreadAt } from './thread-across';
import { twoCloths, type TwoCloths } from './two-cloths';

/** Something looked at along a line, but where thread covers it. */
export interface LookedAlong {
  readonly look: LookAt;
  readonly isSeen: (along: number, across: number) => boolean;
  readonly threadAt: ThreadAt;
  readonly line: Pick<ReferenceLine, 'acrossMm' | 'slope'>;
}

/** Looks lie so far from each other along, mm: a yarn is as wide. */
const alongStepMm = 0.1;
/** So far to either side they go, mm: as far as thread leaves enough of them. */
const sidesMm = [1.12, 0.8, 0.66];

/**
 * The two cloths that meet at a line, by every look across it that no thread crosses.
 *
 * @param ends from and to along, mm
 * @param acrossStepMm from one place of a look to the next, mm
 * @param black what black would be in the picture
 * @returns null where too little is free of thread
 */
export function clothsBeside(
  { look, isSeen, threadAt, line }: LookedAlong,
  [firstMm, lastMm]: readonly [number, number],
  acrossStepMm: number,
  black: number,
): TwoCloths | null {
  for (const sideMm of sidesMm) {
    const reach = Math.round(sideMm / acrossStepMm);
    const steps = Array.from({ length: 2 * reach + 1 }, (_, i) => (i - reach) * acrossStepMm);
    const looks: Float64Array[] = [];
    for (let along = firstMm; along <= lastMm; along += alongStepMm) {
      const covered = threadAt(along);
      const middle = line.acrossMm + line.slope * along;
      const isBare = steps.every(
        (mm) => !isWithin(covered, middle + mm) && isSeen(along, middle + mm),
      );
      if (isBare) looks.push(Float64Array.from(steps, (mm) => look(along, middle + mm) - black));
    }
    const cloths = twoCloths(looks, acrossStepMm);
    if (cloths) return cloths;
  }
  return null;
}
