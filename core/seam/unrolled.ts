import type { Stretch } from './crossing';

/**
 * Stretches of a round as they come when it is sewn from a place on: measured from there, cut where
 * they pass the start, and joined again where two parts of the same thing meet.
 *
 * @param lengthMm all the way round, > 0
 * @param startMm where the line begins
 * @param same whether two stretches that meet are one thing
 */
export function unrolled<T extends Stretch>(
  stretches: readonly T[],
  lengthMm: number,
  startMm: number,
  same: (a: T, b: T) => boolean,
): T[] {
  const parts = stretches.flatMap((stretch): T[] => {
    const off = (((stretch.fromMm - startMm) % lengthMm) + lengthMm) % lengthMm;
    // What begins a hair before the start begins at it.
    const fromMm = lengthMm - off < 1e-9 ? 0 : off;
    const toMm = fromMm + Math.min(lengthMm, stretch.toMm - stretch.fromMm);
    if (toMm <= lengthMm + 1e-9) return [{ ...stretch, fromMm, toMm: Math.min(toMm, lengthMm) }];
    return [
      { ...stretch, fromMm: 0, toMm: toMm - lengthMm },
      { ...stretch, fromMm, toMm: lengthMm },
    ];
  });
  const joined: T[] = [];
  for (const part of parts.sort((a, b) => a.fromMm - b.fromMm || a.toMm - b.toMm)) {
    const last = joined.findLastIndex((it) => same(it, part));
    const before = joined[last];
    if (before && part.fromMm <= before.toMm + 1e-9 && part.toMm > part.fromMm) {
      joined[last] = { ...before, toMm: Math.max(before.toMm, part.toMm) };
    } else joined.push(part);
  }
  return joined;
}
