import { finishById } from '../finish/catalogue';
import type { SewingPlan } from '../finish/sewing-plan';
import type { Guidance } from '../kit/foot';
import type { DialSettings } from '../kit/dial-steps';
import { Impossible } from '../impossible';
import { allowedDrift, undriftedMm } from '../margin/check';
import { ruleSpreads, setUpOf } from '../plan/set-up-of';

/** A scrap as the book keeps it, as far as something is learned from it. */
export interface BookScrap {
  readonly finish: string;
  readonly setUp: SewingPlan;
  readonly settings: DialSettings | null;
  readonly counts: readonly {
    readonly check: string;
    readonly n: number;
    readonly short: number;
    readonly over: number;
  }[];
}

/** What a count says about the drift of the guide: how many of n fell left, inside and right. */
export interface GuideCount {
  readonly fromMm: number;
  readonly toMm: number;
  readonly left: number;
  readonly sound: number;
  readonly right: number;
  /** σ by the rule, mm. */
  readonly ruleSigmaMm: number;
}

/** What the edge rides along on a scrap. */
export const guidanceOf = ({ setUp }: BookScrap): Guidance => setUp.foot.guidance;

/** Checks of the guide and the rule's spread of a set-up; null where it can't be sewn any more. */
function workedOut(finishId: string, setUp: SewingPlan) {
  const finish = finishById(finishId);
  if (!finish?.margin(setUp.fold.variant)) return null;
  try {
    const checks = setUpOf(finish, setUp).checks.filter(({ source }) => source === 'guide');
    const ruleSigmaMm = ruleSpreads(finish, setUp).guide;
    if (ruleSigmaMm === undefined || checks.length === 0) return null;
    return { checks, ruleSigmaMm };
  } catch (error) {
    if (error instanceof Impossible) return null;
    throw error;
  }
}

/** Reads what a scrap's counts say about the drift along its guide. */
export type ReadGuide = (scrap: BookScrap) => GuideCount[];

/**
 * A reader of scraps. A set-up that is shared by many scraps is looked at once.
 *
 * @returns a function that gives nothing for scraps that were only looked at, or whose set-up can
 *   no longer be sewn
 */
export function guideReader(): ReadGuide {
  const known = new WeakMap<SewingPlan, Map<string, ReturnType<typeof workedOut>>>();
  const told = new WeakMap<BookScrap, GuideCount[]>();
  const read: ReadGuide = ({ finish, setUp, settings, counts }) => {
    if (!settings || counts.length === 0) return [];
    const ofSetUp = known.get(setUp) ?? new Map<string, ReturnType<typeof workedOut>>();
    known.set(setUp, ofSetUp);
    if (!ofSetUp.has(finish)) ofSetUp.set(finish, workedOut(finish, setUp));
    const guide = ofSetUp.get(finish);
    if (!guide) return [];
    return counts.flatMap(({ check: name, n, short, over }): GuideCount[] => {
      const check = guide.checks.find((one) => one.name === name);
      if (!check) return [];
      const [fromMm, toMm] = allowedDrift(check, undriftedMm(check, settings));
      const [left, right] = check.k === 1 ? [short, over] : [over, short];
      const { ruleSigmaMm } = guide;
      return [{ fromMm, toMm, left, right, sound: n - left - right, ruleSigmaMm }];
    });
  };
  return (scrap) => {
    const counts = told.get(scrap) ?? read(scrap);
    told.set(scrap, counts);
    return counts;
  };
}
