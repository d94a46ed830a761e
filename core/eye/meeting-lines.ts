import { besideMm, crossingThreads, type Crossing, type ThreadOnCloth } from './crossing-threads';
import { isClearOf, othersBeside, placeOf } from './hole-patch';
import type { Pair } from './least';
import { fromThread, threadLine } from './thread-line';
import type { TracedHole } from './trace';

const { hypot, max, min } = Math;

/** Places lie so far from each other, mm. */
const everyMm = 0.1;
/** Nearer to the hole a thread comes from it turns, and goes down into the cloth, mm. */
const nearHoleMm = 0.45;

/** Places in even steps around some others, so far farther along. */
function placesAround(some: readonly Pair[]): Pair[] {
  const [acrosses, alongs] = [some.map(([t]) => t), some.map(([, s]) => s)];
  const places: Pair[] = [];
  for (let t = min(...acrosses); t <= max(...acrosses); t += everyMm) {
    for (let s = min(...alongs) - besideMm; s <= max(...alongs) + besideMm; s += everyMm) {
      places.push([t, s]);
    }
  }
  return places;
}

/**
 * Where the two lines of thread that meet beyond an edge would meet, by how they run on the cloth: thread runs straight from hole to
 * hole, and on paper it may be as light as what it lies on. Told by what stands out over a thread’s width, each is drawn to the next thread: they
 * met 0.02 mm too far out, and of stitches 1 mm long up to 0.3 mm too far in.
 *
 * @param isOnCloth whether a place along and across the seam lies on the cloth, clear of its edge
 * @returns for each hole whose two neighbours in its thread lie on the cloth; null for any other
 */
export function meetingLines(
  sight: ThreadOnCloth,
  thread: readonly TracedHole[],
  isOnCloth: (alongMm: number, acrossMm: number) => boolean,
): (Crossing | null)[] {
  const isInside = thread.map(({ alongMm, acrossMm }) => isOnCloth(alongMm, acrossMm));
  return thread.map((hole, i): Crossing | null => {
    const [before, after] = [thread[i - 1], thread[i + 1]];
    if (isInside[i] || !before || !after || !isInside[i - 1] || !isInside[i + 1]) return null;
    const found = placeOf(hole);
    const ends = [placeOf(before), placeOf(after)] as const;
    const threads = [threadLine(ends[0], found), threadLine(ends[1], found)] as const;
    const others = othersBeside(thread, i);
    const places = placesAround([found, ...ends]).filter(
      (place) =>
        isOnCloth(place[1], place[0]) &&
        threads.some((line) => fromThread(line, place) <= besideMm) &&
        ends.every(([t, s]) => hypot(place[0] - t, place[1] - s) >= nearHoleMm) &&
        isClearOf(others, place),
    );
    return crossingThreads(sight, threads, places);
  });
}
