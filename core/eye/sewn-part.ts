import type { TracedHole } from './trace';

/** One line can't bridge more than a gap or two, in log. */
const mostOfALine = 4;

/**
 * The part of a thread that is there: the longest stretch of lines from hole to hole that are
 * likelier thread than cloth, gaps of a line or two let through.
 */
export function sewnPart(thread: readonly TracedHole[]): TracedHole[] {
  const lines = thread
    .flatMap((to, i) => {
      const from = thread[i - 1];
      if (to.lineLogOdds === null || !from) return [];
      const ends = [from.alongMm, to.alongMm].sort((a, b) => a - b) as [number, number];
      return [{ ends, logOdds: Math.max(-mostOfALine, Math.min(mostOfALine, to.lineLogOdds)) }];
    })
    .sort((a, b) => a.ends[0] - b.ends[0]);
  let [from, to, most] = [0, 0, 0];
  let [start, sum] = [0, 0];
  for (const { ends, logOdds } of lines) {
    if (sum <= 0) [start, sum] = [ends[0], 0];
    sum += logOdds;
    if (sum > most) [from, to, most] = [start, ends[1], sum];
  }
  return thread.filter(({ alongMm }) => alongMm >= from && alongMm <= to);
}
