import { finishById } from '../finish/catalogue';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { WorkRequest } from '../finish/work';
import { startingWish, workOn } from '../finish/wishes.fixture';
import { Impossible } from '../impossible';
import { genericFeet } from '../kit/generic-feet';
import { genericMachines } from '../kit/generic-machines';
import { ownFootOf } from '../kit/own-foot';
import { examplePlan } from './example.fixture';
import { passesOf, type PassKit } from './passes';
import { alongBest } from './ride';
import { setUpOf } from './set-up-of';
import { judge } from './judge';
import { sewnWith } from './sewn-with';
import { startingSetting } from './starting-setting';
import { usualStitch } from './usual-stitch';
import { wholePlan } from './whole-plan';

/** A drawer with every plain machine and foot. */
export const wholeKit: PassKit = {
  machines: Object.entries(genericMachines).map(([id, specs]) => ({ id, name: id, specs })),
  feet: genericFeet,
};

/** Everything about a variant that is sewn with the best of the plain feet. */
export interface Worked {
  readonly plan: SewingPlan;
  readonly work: WorkRequest;
}

/** The first foot of the variant's own that sews it, with its best setting; null for shears. */
export function workedOut(
  finish: Finish,
  variant: string,
  more: Parameters<typeof workOn>[2] = {},
): Worked | null {
  const need = finish.needs(variant);
  const [kind] = need.machineKinds;
  if (!kind || !finish.margin(variant)) return null;
  const machine = genericMachines[kind];
  const request = workOn(finish, variant, more);
  const stitch = usualStitch(need, machine, request.cloth.stretchPercent);
  if (!stitch) return null;
  const own = ownFootOf(kind);
  const feet = own
    ? [{ name: 'its own foot', specs: own, soleMm: { toeMm: 14, heelMm: 14 } }]
    : genericFeet.filter((foot) => need.feet.length === 0 || need.feet.includes(foot.kind));
  for (const foot of feet) {
    try {
      const plan = alongBest(
        finish,
        wholePlan(finish, {
          ...examplePlan,
          cloth: request.cloth,
          edge: request.edge,
          fold: startingWish(finish, variant),
          machine,
          foot: foot.specs,
          stitch,
          needleSize: 80,
        }),
      );
      const set = setUpOf(finish, plan);
      const sewn = sewnWith(finish, plan, judge(set, startingSetting(finish, plan, set)), foot);
      const asked = { ...request, strip: plan.strip, machineKind: kind };
      const passes = passesOf(finish, asked, wholeKit, finishById);
      return {
        plan,
        work: { ...asked, sewn, passes: Object.fromEntries(passes.map((it) => [it.id, it])) },
      };
    } catch (error) {
      // The next foot may do.
      if (!(error instanceof Impossible)) throw error;
    }
  }
  throw new Error(`No plain foot sews ${finish.id}, ${variant}.`);
}
