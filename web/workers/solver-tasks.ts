import type { Considered } from '../../core/choose/consider';
import { considerAll } from '../../core/choose/rank';
import type { ChooseRequest } from '../../core/choose/request';
import type { Garment } from '../../core/garment/garment';
import type { GarmentRecords } from '../../core/garment/of-records';
import type { Drawer } from '../../core/garment/ready';
import { orderedWork, type OrderedWork } from '../../core/garment/work-of';
import { catalogue, finishById } from '../../core/finish/catalogue';
import type { Finish } from '../../core/finish/finish';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible, type Issue } from '../../core/impossible';
import type { DialSettings } from '../../core/kit/dial-steps';
import { marginMap, type MarginMap } from '../../core/margin/map';
import { judge } from '../../core/plan/judge';
import type { Carried } from '../../core/plan/carried';
import { ladderOf, type PlannedLadder } from '../../core/plan/ladder-plan';
import {
  learnedBeliefs,
  learnedFrom,
  lessonOf,
  type Learned,
  type Lesson,
  type SewnSample,
} from '../../core/plan/learn-plan';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';

/** A result, or the issues for which there is none; errors don't cross to another thread whole. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly Issue[] };

function attempt<T>(finishId: string, work: (finish: Finish) => T): Outcome<T> {
  const finish = finishById(finishId);
  if (!finish) return { ok: false, issues: [{ path: 'finish', message: 'No such finish.' }] };
  return outcomeOf(() => work(finish));
}

/** A result, or the issues for which there is none. */
function outcomeOf<T>(work: () => T): Outcome<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof Impossible) return { ok: false, issues: error.issues };
    throw error;
  }
}

/** The sums that take longer than a frame. They run in a worker. */
export const solverTasks = {
  /** The best setting, by the rule's spread or by what scraps have taught, and its chance. */
  solve(
    finishId: string,
    plan: SewingPlan,
    learned: Learned,
  ): Outcome<{ settings: DialSettings; chance: number }> {
    return attempt(finishId, (finish) => {
      const set = setUpOf(finish, plan, learnedBeliefs(learned));
      const settings = startingSetting(finish, plan, set);
      return { settings, chance: judge(set, settings).chance };
    });
  },

  /** The chance over width × needle position, at one place of the guide or at its best. */
  map(
    finishId: string,
    plan: SewingPlan,
    learned: Learned,
    guideMm: number | null,
  ): Outcome<MarginMap> {
    return attempt(finishId, (finish) => {
      return marginMap(setUpOf(finish, plan, learnedBeliefs(learned)), guideMm);
    });
  },

  /** Every finish, considered for a cloth, an edge and a kit. */
  consider(request: ChooseRequest): Considered[] {
    return considerAll(catalogue, request);
  },

  /** What is believed, and what the scraps teach where there are any. */
  lesson(
    finishId: string,
    plan: SewingPlan,
    samples: readonly SewnSample[],
    carried: Carried,
    acceptedShare: number,
  ): Outcome<{ learned: Learned; lesson: Lesson | null }> {
    return attempt(finishId, (finish) => {
      if (samples.length === 0) {
        return { learned: learnedFrom(finish, plan, [], carried), lesson: null };
      }
      const lesson = lessonOf(finish, plan, samples, carried, acceptedShare);
      return { learned: lesson.learned, lesson };
    });
  },

  /** What was believed before the first scrap, and after each. */
  beliefs(
    finishId: string,
    plan: SewingPlan,
    scraps: readonly (readonly SewnSample[])[],
    carried: Carried,
  ): Outcome<Learned[]> {
    return attempt(finishId, (finish) =>
      Array.from({ length: scraps.length + 1 }, (_, i) =>
        learnedFrom(finish, plan, scraps.slice(0, i).flat(), carried),
      ),
    );
  },

  /** A garment's work in its order. */
  garment(
    records: GarmentRecords,
    garment: Garment,
    drawer: Omit<Drawer, 'machines' | 'feet'>,
  ): Outcome<OrderedWork> {
    return outcomeOf(() => orderedWork(records, garment, drawer));
  },

  /** A ladder of scraps that would tell the most. */
  ladder(
    finishId: string,
    plan: SewingPlan,
    samples: readonly SewnSample[],
    from: DialSettings,
    count: number,
    carried: Carried,
  ): Outcome<PlannedLadder | null> {
    return attempt(finishId, (finish) => ladderOf(finish, plan, samples, from, count, carried));
  },
};
export type SolverTasks = typeof solverTasks;
