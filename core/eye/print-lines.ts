import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { isSeenAlong, lookAlong } from './on-seam';
import type { ReferenceLine } from './reference-line';
import { isWithin, threadAcross } from './thread-across';
import type { TracedHole } from './trace';

const { abs, round } = Math;

/** So far to either side of a line its like are looked for, mm: three stripes of most cloths. */
const reachMm = 24;
const acrossStepMm = 0.06;
const alongStepMm = 1;
/** What is so far apart is compared, mm, and lines so far apart are two. */
const besideMm = 0.18;
const apartMm = 0.9;
/** Nearer to thread than this, it is thread that is seen, mm. */
const threadMm = 0.4;
/** Of fewer looks at a distance nothing is told. */
const leastLooks = 20;
/** A line is like another that turns as far, within this, either way. */
const alike = 0.75;
/** Borders of stripes lie evenly, within this, mm; a fold lies among them as it happens. */
const evenMm = 0.15;

/**
 * Whether a line is one of three or more that are alike and lie evenly, as the borders of stripes do: nothing tells then
 * that it is what the seam was led along.
 *
 * @param tones how light the window is
 */
export function isOneOfMany(
  tones: Field,
  seam: FoundSeam,
  { acrossMm, slope }: Pick<ReferenceLine, 'acrossMm' | 'slope'>,
  thread: readonly TracedHole[],
): boolean {
  const look = lookAlong(tones, seam);
  const isSeen = isSeenAlong(tones, seam);
  const threadAt = threadAcross(thread, threadMm);
  const alongs = thread.map(({ alongMm }) => alongMm);
  const [first, last] = [Math.min(...alongs), Math.max(...alongs)];
  const reach = round(reachMm / acrossStepMm);
  const [sums, counts] = [new Float64Array(2 * reach + 1), new Float64Array(2 * reach + 1)];
  for (let along = first; along <= last; along += alongStepMm) {
    const covered = threadAt(along);
    for (let i = 0; i < sums.length; i++) {
      const across = acrossMm + slope * along + (i - reach) * acrossStepMm;
      const [low, high] = [across - besideMm, across + besideMm];
      if (isWithin(covered, low) || isWithin(covered, high)) continue;
      if (!isSeen(along, low) || !isSeen(along, high)) continue;
      sums[i]! += look(along, high) - look(along, low);
      counts[i]!++;
    }
  }
  const turns = sums.map((sum, i) => (counts[i]! < leastLooks ? 0 : sum / counts[i]!));
  const around = (i: number, by: number) =>
    turns.subarray(Math.max(0, i - by), Math.min(turns.length, i + by + 1));
  const own = around(reach, round(besideMm / acrossStepMm)).reduce(
    (most, turn) => (abs(turn) > abs(most) ? turn : most),
    0,
  );
  const [apart, wide] = [round(apartMm / acrossStepMm), round((2 * besideMm) / acrossStepMm)];
  // Others that turn as far and the same way, how far from it they lie.
  const others = [...turns.keys()].filter((i) => {
    const turn = turns[i]! * Math.sign(own);
    const isAlike = turn >= alike * abs(own) && turn * alike <= abs(own);
    return (
      isAlike &&
      abs(i - reach) > apart &&
      around(i, apart).every((by) => by * Math.sign(own) <= turn)
    );
  });
  // A sharp border turns as far all along what is compared: its place is the middle of that, not its highest.
  const placeMm = (i: number) => {
    let [sum, places] = [0, 0];
    for (let k = Math.max(0, i - wide); k <= Math.min(turns.length - 1, i + wide); k++) {
      const turn = Math.max(0, turns[k]! * Math.sign(own));
      sum += turn;
      places += turn * k;
    }
    return (places / sum) * acrossStepMm;
  };
  const ownMm = placeMm(turns.indexOf(own));
  const off = others.map((i) => placeMm(i) - ownMm);
  const isEven = (one: number, other: number) => abs(2 * one - other) <= evenMm;
  return off.some((one) => off.some((other) => isEven(one, other) || abs(one + other) <= evenMm));
}
