/** How many scraps a person usually needs. */
export interface UsualScraps {
  readonly median: number;
  /** Half of all edges took between these. */
  readonly middle: readonly [number, number];
  readonly edges: number;
}

/** Fewer edges than this make no habit. */
export const leastEdges = 3;

/**
 * The scraps sewn until one was kept.
 *
 * @param scraps for each edge with a kept scrap, its number
 * @returns null while there are fewer than {@link leastEdges}
 */
export function usualScraps(scraps: readonly number[]): UsualScraps | null {
  if (scraps.length < leastEdges) return null;
  const sorted = [...scraps].sort((a, b) => a - b);
  const at = (share: number) => {
    const place = share * (sorted.length - 1);
    const [low, high] = [sorted[Math.floor(place)] ?? 0, sorted[Math.ceil(place)] ?? 0];
    return low + (place - Math.floor(place)) * (high - low);
  };
  return { median: at(0.5), middle: [at(0.25), at(0.75)], edges: sorted.length };
}
