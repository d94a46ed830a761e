/** Nothing that is stored or computed here is nested deeper. */
export const deepestNesting = 32;

/**
 * Whether objects and lists lie deeper in one another than a number of times. Goes through them
 * without calling itself, since a few thousand brackets would be more than a stack holds.
 */
export function isNestedDeeper(value: unknown, most: number): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    const inner = level.filter((it): it is object => typeof it === 'object' && it !== null);
    if (inner.length > 0 && depth >= most) return true;
    level = inner.flatMap((it) => Object.values(it) as unknown[]);
  }
  return false;
}
