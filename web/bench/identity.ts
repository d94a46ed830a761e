const numbers = new WeakMap<object, number>();
let last = 0;

/**
 * A number that stands for an object as long as it lives: a short key for what was worked out from
 * it. Two that are equal but not the same have two.
 */
export function identityOf(value: object | null): number {
  if (value === null) return 0;
  const known = numbers.get(value);
  if (known !== undefined) return known;
  numbers.set(value, ++last);
  return last;
}
