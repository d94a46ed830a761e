import { meanAndSpread } from './mean-and-spread';
import { middleOf } from './middle';

const { abs, exp, hypot, max, min } = Math;

/** Bare cloth spreads so much besides, in log: of a few looks little is known. */
const leastSpread = 0.5;
/** What stands out of bare cloth by so many spreads is thread plainly. */
const plainly = 4;
/** Where nothing does, thread is taken to stand out by so many. */
const takenFor = 8;
/** Thread strays by so much of how far it stands out, and by no less than so many spreads of bare cloth. */
const straysShare = 0.4;
const straysLeast = 2;

const bell = (x: number, mean: number, spread: number) =>
  exp(-(((x - mean) / spread) ** 2) / 2) / spread;

/**
 * How likely each place shows thread: what cloth alone shows is taken from where none comes out, what thread shows from the
 * plainest places. Source: Bayes’ rule, both as likely before.
 *
 * @param logs how much likelier the best stretch at each place is thread than cloth, in log
 * @param bareLogs the same where no thread comes out
 * @returns of each place, 0 … 1
 */
export function likelyShown(logs: readonly number[], bareLogs: readonly number[]): number[] {
  const { mean, sd } = meanAndSpread(bareLogs);
  const spread = hypot(sd, leastSpread);
  const plain = logs.filter((log) => log > mean + plainly * spread);
  const shown = plain.length > 0 ? middleOf(plain) : mean + takenFor * spread;
  const strays = max(
    straysLeast * spread,
    straysShare * abs(plain.length > 0 ? shown : takenFor * spread),
  );
  return logs.map((log) => {
    const asThread = bell(min(log, shown), shown, strays);
    // Of many looks the best is seen: a heavier tail than a bell’s.
    const above = max(log, mean);
    const asCloth = bell(above, mean, spread) + 0.02 * bell(above, mean, 3 * spread);
    return asThread / (asThread + asCloth);
  });
}
