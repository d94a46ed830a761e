import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { lookAlong, type LookAt } from './on-seam';
import { isWithin, threadAcross, type ThreadAt } from './thread-across';
import type { TracedHole } from './trace';

/** Nearer to thread than this, it is thread that is seen, mm. */
const besideThreadMm = 0.45;
/** So finely across, and so often along, mm. */
const acrossStepMm = 0.04;
const alongStepMm = 0.4;
/** Of fewer looks the middle one says little, and the cloth is taken to be like any other. */
const leastLooks = 12;
/** So far beyond its holes a thread’s surroundings are looked at, mm. */
const beyondMm = 1.5;

/** The stretch of a seam that is looked at: along it and across, mm. */
interface Band {
  readonly alongMm: readonly [from: number, to: number];
  readonly acrossMm: readonly [from: number, to: number];
  /** How far all that lies along it runs against it, mm across for every mm along. */
  readonly slope: number;
}

/** At every distance across the middle one of all places along that are not covered. */
export function middleAcross(look: LookAt, coveredAt: ThreadAt, { slope, ...band }: Band): LookAt {
  const [first, last] = band.alongMm;
  const [from, to] = band.acrossMm;
  const columns = Array.from({ length: Math.floor((last - first) / alongStepMm) + 1 }, (_, i) => {
    const along = first + i * alongStepMm;
    return { along, covered: coveredAt(along) };
  });
  const looks = new Float64Array(columns.length);
  const rows = Array.from({ length: Math.ceil((to - from) / acrossStepMm) + 2 }, (_, row) => {
    let count = 0;
    for (const { along, covered } of columns) {
      const across = from + row * acrossStepMm + slope * along;
      if (!isWithin(covered, across)) looks[count++] = look(along, across);
    }
    return count < leastLooks ? 0 : looks.subarray(0, count).sort()[count >> 1]!;
  });
  return (along, across) => {
    const place = (across - slope * along - from) / acrossStepMm;
    const row = Math.max(0, Math.min(rows.length - 2, Math.floor(place)));
    return rows[row]! + (rows[row + 1]! - rows[row]!) * (place - row);
  };
}

/**
 * What the cloth along a seam would show without its thread: the shadow of a fold, the step to the cloth or paper
 * beyond it, stripes that run along.
 *
 * @param slope how all that runs against the seam, mm across for every mm along
 * @param thread what was followed so far
 */
export function bareCloth(
  field: Field,
  seam: FoundSeam,
  slope: number,
  thread: readonly TracedHole[],
): LookAt {
  const alongs = thread.map(({ alongMm }) => alongMm);
  const acrosses = thread.map(({ alongMm, acrossMm }) => acrossMm - slope * alongMm);
  return middleAcross(lookAlong(field, seam), threadAcross(thread, besideThreadMm), {
    alongMm: [Math.min(...alongs), Math.max(...alongs)],
    acrossMm: [Math.min(...acrosses) - beyondMm, Math.max(...acrosses) + beyondMm],
    slope,
  });
}
