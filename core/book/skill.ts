import { guidances, type Guidance } from '../kit/foot';
import {
  likelihoodOf,
  logPriorOfOffset,
  logPriorOfSkill,
  logSkills,
  logSum,
  momentsOf,
  normalised,
  offsetsMm,
  quantileOf,
} from './coarse-grid';
import { guidanceOf, guideReader, type BookScrap, type ReadGuide } from './sewn-group';

/** A scrap with its day and what it was sewn with, for telling set-ups apart. */
export interface DatedScrap extends BookScrap {
  /** 2026-11-25 */
  readonly sewnOn: string;
  /** The same for scraps of the same set-up. */
  readonly group: string;
}

/** How steady a hand is along one kind of guidance, against the rule: below 1 is steadier. */
export interface Steadiness {
  readonly factor: number;
  readonly interval: readonly [number, number];
  /** Standard deviation of its logarithm. */
  readonly logSd: number;
  readonly scraps: number;
  readonly stitches: number;
}

export interface SkillPeriod extends Steadiness {
  readonly fromDay: string;
  readonly toDay: string;
}

/** The skill along one kind of guidance, over time. */
export interface Skill {
  readonly guidance: Guidance;
  /** Of the latest scraps together; null while there are not enough of them. */
  readonly now: Steadiness | null;
  readonly periods: readonly SkillPeriod[];
  /** How many scraps there are, of how many are needed. */
  readonly scraps: number;
  readonly needed: number;
}

/** Fewer scraps than this say nothing of a hand. */
export const leastScraps = 3;
/** Older scraps than the latest so many say little of the hand today. */
const latestScraps = 300;
/** A period has at least so many scraps; there are at most so many periods. */
const leastOfPeriod = 3;
const mostPeriods = 8;
const tail = 0.05;

/**
 * The steadiness that explains some scraps: every set-up has an offset of its own, which is
 * integrated out; the hand is one for all. Source: docs/formulas.md, “Skill over time”.
 *
 * @param scraps along one kind of guidance
 */
export function steadinessOf(
  scraps: readonly DatedScrap[],
  read: ReadGuide = guideReader(),
): Steadiness {
  const groups = new Map<string, DatedScrap[]>();
  for (const scrap of scraps) groups.set(scrap.group, [...(groups.get(scrap.group) ?? []), scrap]);
  const logs = logSkills.map(logPriorOfSkill);
  let stitches = 0;
  for (const group of groups.values()) {
    const counts = group.flatMap(read);
    stitches += counts.reduce((sum, { left, sound, right }) => sum + left + sound + right, 0);
    const likelihood = likelihoodOf(counts);
    logSkills.forEach((_, row) => {
      const byOffset = offsetsMm.map(
        (mm, i) => logPriorOfOffset(mm) + (likelihood[row * offsetsMm.length + i] ?? 0),
      );
      logs[row] = (logs[row] ?? 0) + logSum(byOffset);
    });
  }
  const weights = normalised(logs);
  const { mean, sd } = momentsOf(logSkills, weights);
  return {
    factor: Math.exp(mean),
    interval: [
      Math.exp(quantileOf(logSkills, weights, tail)),
      Math.exp(quantileOf(logSkills, weights, 1 - tail)),
    ],
    logSd: sd,
    scraps: scraps.length,
    stitches,
  };
}

/** Scraps parted into periods of about as many each, the oldest first. */
function periodsOf(scraps: readonly DatedScrap[]): DatedScrap[][] {
  const count = Math.min(mostPeriods, Math.floor(scraps.length / leastOfPeriod));
  return Array.from({ length: count }, (_, i) =>
    scraps.slice(
      Math.round((i * scraps.length) / count),
      Math.round(((i + 1) * scraps.length) / count),
    ),
  );
}

/**
 * The skill along every kind of guidance that was sewn with.
 *
 * @param scraps in any order; those that counted nothing along a guide are left out
 */
export function skillsOf(scraps: readonly DatedScrap[]): Skill[] {
  const read = guideReader();
  return guidances.flatMap((guidance): Skill[] => {
    const latest = scraps
      .filter((scrap) => guidanceOf(scrap) === guidance)
      .sort((a, b) => (a.sewnOn < b.sewnOn ? 1 : a.sewnOn > b.sewnOn ? -1 : 0))
      .slice(0, latestScraps)
      .filter((scrap) => read(scrap).length > 0)
      .reverse();
    if (latest.length === 0) return [];
    const enough = latest.length >= leastScraps;
    return [
      {
        guidance,
        now: enough ? steadinessOf(latest, read) : null,
        periods: periodsOf(latest).map((some) => ({
          ...steadinessOf(some, read),
          fromDay: some[0]?.sewnOn ?? '',
          toDay: some.at(-1)?.sewnOn ?? '',
        })),
        scraps: latest.length,
        needed: leastScraps,
      },
    ];
  });
}
