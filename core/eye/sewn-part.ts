import { middleOf } from './middle';
import type { TracedHole } from './trace';

/** One line can't bridge more than a gap or two, in log. */
const mostOfALine = 4;
/** A seam’s first and last line are as likely thread as so much of its usual one. */
const likelyShare = 0.5;
/** And stand out as plainly on both sides; at a bite, across what it was led along, even more so. */
const plainShare = 0.5;
const plainBiteShare = 0.7;
/** The machine swings as wide for every bite, a hand’s wander aside; what goes on along a fold’s shadow does not swing. */
const swingShare = 0.65;

/** A line of thread from hole to hole. */
interface Line {
  /** Where it lies along the seam, mm. */
  readonly ends: readonly [number, number];
  readonly logOdds: number;
  /** The same for each mm. */
  readonly perMm: number;
  readonly plain: number;
  /** How far across it goes, mm. */
  readonly swingMm: number;
  /** It crosses what it was led along, which no shadow does. */
  readonly isBite: boolean;
}

function linesOf(thread: readonly TracedHole[]): Line[] {
  return thread
    .flatMap((to, i): Line[] => {
      const from = thread[i - 1];
      const logOdds = to.lineLogOdds;
      if (logOdds === null || !from) return [];
      const swingMm = Math.abs(to.acrossMm - from.acrossMm);
      const perMm = logOdds / Math.max(0.1, Math.hypot(to.alongMm - from.alongMm, swingMm));
      const ends = [from.alongMm, to.alongMm].sort((a, b) => a - b) as [number, number];
      const isBite = from.hole.role === 'bite' || to.hole.role === 'bite';
      return [{ ends, logOdds, perMm, plain: to.linePlain, swingMm, isBite }];
    })
    .sort((a, b) => a.ends[0] - b.ends[0]);
}

/** The stretch whose lines are together the likeliest: each more than a gap adds to it. */
function likeliest(lines: readonly Line[]): Line[] {
  let [from, to, most] = [0, 0, 0];
  let [start, sum] = [0, 0];
  lines.forEach(({ logOdds }, i) => {
    if (sum <= 0) [start, sum] = [i, 0];
    sum += Math.max(-mostOfALine, Math.min(mostOfALine, logOdds));
    if (sum > most) [from, to, most] = [start, i + 1, sum];
  });
  return lines.slice(from, to);
}

/** Those of its lines that tell how far a thread goes: where a stitch bites, its bites. */
function tellingLines(lines: Line[]): Line[] {
  const bites = lines.filter(({ isBite }) => isBite);
  return bites.length > 0 ? bites : lines;
}

/** The usual line of a thread. */
type UsualLine = Pick<Line, 'perMm' | 'plain' | 'swingMm'>;

const usualOf = (lines: readonly Line[]): UsualLine => ({
  perMm: middleOf(lines.map(({ perMm }) => perMm)),
  plain: middleOf(lines.map(({ plain }) => plain)),
  swingMm: middleOf(lines.map(({ swingMm }) => swingMm)),
});

/** How likely thread the usual line of a thread is that is there, how plain, and how far across it goes. */
export const sewnLines = (sewn: readonly TracedHole[]): UsualLine =>
  usualOf(tellingLines(linesOf(sewn)));

/** What is cut off beyond an end says nothing of it: thread comes to it from one side only. */
const endsByOwnLine = (sewn: readonly TracedHole[]): TracedHole[] =>
  sewn.map((hole, i) => {
    const isEnd = i === 0 || i === sewn.length - 1;
    const logOdds = (i === 0 ? sewn[1] : hole)?.lineLogOdds ?? null;
    return isEnd && logOdds !== null ? { ...hole, logOdds } : hole;
  });

/**
 * The part of a thread that is there: the longest stretch of lines from hole to hole that are
 * likelier thread than cloth, gaps of a line or two let through; at either end without what is only
 * half a line, or the shadow that goes on along the fold. Where a stitch bites, only its bites tell
 * how far it goes.
 */
export function sewnPart(thread: readonly TracedHole[]): TracedHole[] {
  const all = likeliest(linesOf(thread));
  const lines = tellingLines(all);
  const hasBites = lines.some(({ isBite }) => isBite);
  const usual = usualOf(lines);
  const plain = lines.filter(
    (line) =>
      line.perMm >= likelyShare * usual.perMm &&
      line.plain >= (hasBites ? plainBiteShare : plainShare) * usual.plain &&
      (!hasBites || line.swingMm >= swingShare * usual.swingMm),
  );
  const [from, to] = [plain[0]?.ends[0] ?? 0, Math.max(...plain.map(({ ends }) => ends[1]))];
  return endsByOwnLine(thread.filter(({ alongMm }) => alongMm >= from && alongMm <= to));
}
