/** A share as “93 of 100”, never rounding a doubt away: 100 only when it is sure. */
export function ofHundred(chance: number): number {
  if (chance > 0.995 && chance < 1 - 1e-9) return 99;
  return Math.round(chance * 100);
}

/** A count that is an expectation: whole from 10 up, one decimal below. */
export function about(count: number): string {
  if (count >= 9.95) return String(Math.round(count));
  return count < 0.05 ? '0' : String(Math.round(count * 10) / 10);
}

/** A word as it begins a label. */
export const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** A whole number with its noun. */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`;
}

/** A share as one says it: “8 %”, without its sign. */
export const percent = (share: number): string => `${Math.round(Math.abs(share) * 1000) / 10} %`;
