import { carryOver } from '../../core/book/carry';
import { skillsOf, type Skill } from '../../core/book/skill';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { alongBestOrFirst } from '../../core/plan/ride';
import { knownFinish } from './known-finish';
import type { TaughtScrap } from './taught-scrap';

/** Sums that the server itself needs while it reads and writes records; too long for its thread. */
export const innerSums = {
  /** A plan led along the reference of its foot that harms least. */
  ride: ({ finish, plan }: { readonly finish: string; readonly plan: SewingPlan }): SewingPlan =>
    alongBestOrFirst(knownFinish(finish), plan),

  /** What a plan can take over from scraps of other edges. */
  carried: ({
    plan,
    ofFoot,
    ofHand,
  }: {
    readonly plan: SewingPlan;
    readonly ofFoot: readonly TaughtScrap[];
    readonly ofHand: readonly TaughtScrap[];
  }): ReturnType<typeof carryOver> => carryOver(plan, ofFoot, ofHand),

  /** The skill along every kind of guidance. */
  skills: (scraps: readonly TaughtScrap[]): Skill[] => skillsOf(scraps),
} as const;

export type InnerSum = keyof typeof innerSums;
