import type { Situation } from '../../../core/diagnose/situation';
import { isClosed } from '../../../core/edge/shape';
import type { Bench } from '../edge/bench';

/** What is sewn at an edge, as far as a fault can come from it. */
export function situationOf({ finish, plan, machine, foot, edge }: Bench): Situation {
  return {
    finish,
    variant: plan.fold.variant,
    cloth: plan.cloth,
    machine: machine.specs,
    foot: { kind: foot.kind, guide: foot.specs.guide },
    stitch: plan.stitch,
    edge: {
      closed: isClosed(edge),
      curved: edge.minRadiusMm !== null,
      crossed: edge.crossings.length > 0,
    },
  };
}
