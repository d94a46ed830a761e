/** A day as one writes it down, 2026-11-25, by the clock of whoever asks. */
export function localDay(at: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** The furthest any clock on earth is ahead of universal time, hours. */
const farthestAheadHours = 14;

/**
 * Whether a day has not begun anywhere on earth yet.
 *
 * @param day 2026-11-25
 * @param now the present moment
 */
export function isSewnLater(day: string, now: Date): boolean {
  return Date.parse(day) > now.getTime() + farthestAheadHours * 3_600_000;
}
