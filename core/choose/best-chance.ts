import type { Finish, SewingPlan } from '../finish/finish';
import type { FoldWish } from '../finish/fold-request';
import { Impossible } from '../impossible';
import type { Guide } from '../kit/foot';
import { defaultGuideStepMm } from '../kit/foot';
import { misfitOf } from '../kit/foot-fit';
import type { Machine } from '../kit/machine';
import { startingNeedle } from '../kit/needle';
import { workAids } from '../plan/aids';
import { judge } from '../plan/judge';
import { setUpOf } from '../plan/set-up-of';
import { usualStitch } from '../plan/usual-stitch';
import { solve } from '../margin/solve';
import type { ChooseRequest, DrawerFoot } from './request';

/** To compare finishes half a millimetre is fine enough; a plan is solved on the real steps. */
const coarseMm = 0.5;
/** An adjustable guide is tried at about so many places. */
const guidePlaces = 8;
/** The longest thread one accepts on the right side, mm. */
const usualPickMm = 1;

/** What a kit can reach with a finish. */
export interface BestChance {
  readonly chance: number;
  /** Places in the kit's own lists. */
  readonly machine: number;
  readonly foot: number;
}

function coarseGuide(guide: Guide): Guide {
  if ('atMm' in guide) return guide;
  const [from, to] = guide.rangeMm;
  const stepMm = Math.max(guide.stepMm ?? defaultGuideStepMm, (to - from) / guidePlaces);
  return { rangeMm: guide.rangeMm, stepMm };
}

const coarse = (machine: Machine): Machine => ({
  ...machine,
  widthStepMm: Math.max(machine.widthStepMm, coarseMm),
  needleStepMm: Math.max(machine.needleStepMm, coarseMm),
});

/** Whether a foot of the drawer is of a kind, and a scroll of the size, that the wish asks for. */
function serves({ kind, channelMm }: DrawerFoot, finish: Finish, wish: FoldWish): boolean {
  const { feet } = finish.needs(wish.variant);
  if (feet.length > 0 && !feet.includes(kind)) return false;
  const wanted = kind === 'hemmer' ? wish.channelMm : kind === 'wide-hemmer' ? wish.depthMm : null;
  return (wanted ?? null) === null || Math.abs((channelMm ?? wanted!) - wanted!) < 0.26;
}

/**
 * The best chance that any machine and foot of a kit reach with a finish, on coarse steps.
 *
 * @returns null for a finish whose dials are not solved, or when nothing in the kit can sew it
 */
export function bestChance(
  finish: Finish,
  wish: FoldWish,
  { cloth, edge, kit }: ChooseRequest,
): BestChance | null {
  if (!finish.margin(wish.variant)) return null;
  const { machineKinds, patterns } = finish.needs(wish.variant);
  let best: BestChance | null = null;
  kit.machines.forEach((machine, m) => {
    if (!machineKinds.includes(machine.kind)) return;
    const stitch = usualStitch(patterns, machine, cloth.stretchPercent);
    if (!stitch) return;
    kit.feet.forEach((foot, f) => {
      if (!serves(foot, finish, wish)) return;
      if (misfitOf(machine, { kind: foot.kind, shank: foot.specs.shank })) return;
      const plan: SewingPlan = {
        cloth,
        edge: { lengthMm: edge.lengthMm, minRadiusMm: edge.minRadiusMm },
        fold: wish,
        machine: coarse(machine),
        foot: { ...foot.specs, guide: coarseGuide(foot.specs.guide) },
        stitch,
        needleSize: startingNeedle(cloth.weightGsm).size,
        pickMm: usualPickMm,
        faultWeights: { below: 1, above: 1 },
        skill: 1,
        aids: workAids(foot.kind, {}),
      };
      try {
        const set = setUpOf(finish, plan);
        const { chance } = judge(set, { ...solve(set), lengthMm: 2 });
        if (!best || chance > best.chance) best = { chance, machine: m, foot: f };
      } catch (error) {
        // A foot that no setting clears is a foot that does not serve.
        if (!(error instanceof Impossible)) throw error;
      }
    });
  });
  return best;
}
