import { finishById } from '../../core/finish/catalogue';
import type { Finish, SewingPlan } from '../../core/finish/finish';
import { Impossible, type Issue } from '../../core/impossible';
import type { DialSettings } from '../../core/kit/dial-steps';
import { learnedBelief, type Posterior } from '../../core/margin/learn';
import { judge } from '../../core/plan/judge';
import { lessonOf, type Lesson, type SewnSample } from '../../core/plan/learn-plan';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';

/** A result, or the issues for which there is none; errors don't cross to another thread whole. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly Issue[] };

function attempt<T>(finishId: string, work: (finish: Finish) => T): Outcome<T> {
  const finish = finishById(finishId);
  if (!finish) return { ok: false, issues: [{ path: 'finish', message: 'No such finish.' }] };
  try {
    return { ok: true, value: work(finish) };
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
    posterior: Posterior | null,
  ): Outcome<{ settings: DialSettings; chance: number }> {
    return attempt(finishId, (finish) => {
      const set = setUpOf(finish, plan, posterior ? { guide: learnedBelief(posterior) } : {});
      const settings = startingSetting(finish, plan, set);
      return { settings, chance: judge(set, settings).chance };
    });
  },

  /** What the scraps teach and the one move that follows. */
  lesson(finishId: string, plan: SewingPlan, samples: readonly SewnSample[]): Outcome<Lesson> {
    return attempt(finishId, (finish) => lessonOf(finish, plan, samples));
  },
};
export type SolverTasks = typeof solverTasks;
