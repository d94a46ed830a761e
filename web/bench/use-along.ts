import { useMemo } from 'react';
import { liftsOf } from '../../core/kit/machine';
import { isClosed } from '../../core/edge/shape';
import { Impossible } from '../../core/impossible';
import { handsAlong, type HandsAt } from '../../core/plan/hands-along';
import { alongTheEdge, type AlongEdge } from '../../core/seam/crossings';
import type { EdgePlateau } from '../../core/seam/profile';
import { unrolled } from '../../core/seam/unrolled';
import type { KeptPart, SetUpPart, WorkPart } from './bench';

type Along = KeptPart & SetUpPart & WorkPart;

/** What the foot meets round this edge, with this machine and foot; null while it makes no sense. */
function useProfile({ edge, folds, plan, foot, machine }: Along): AlongEdge | null {
  return useMemo(() => {
    if (!folds) return null;
    const crossed = {
      lengthMm: edge.lengthMm,
      closed: isClosed(edge),
      crossings: edge.crossings,
    };
    try {
      return alongTheEdge(
        crossed,
        folds.layersAtStitch,
        plan.cloth,
        foot.soleMm,
        liftsOf(machine.specs),
      );
    } catch (error) {
      if (error instanceof Impossible) return null;
      throw error;
    }
  }, [edge, folds, plan.cloth, foot.soleMm, machine.specs]);
}

/** What the foot meets along an edge, and what the hands do there, from the start to the close. */
export function useAlong(bench: Along): {
  readonly along: AlongEdge | null;
  readonly shown: {
    readonly hands: readonly HandsAt[];
    readonly profile: readonly EdgePlateau[];
  } | null;
} {
  const { edge, finish, work, foot } = bench;
  const along = useProfile(bench);
  const shown = useMemo(() => {
    if (!along) return null;
    const { startAtMm, hands } = handsAlong(finish, edge, work, along, foot.soleMm);
    const same = (a: EdgePlateau, b: EdgePlateau) => a.layers === b.layers;
    return {
      hands,
      profile: isClosed(edge)
        ? unrolled(along.profile, edge.lengthMm, startAtMm, same)
        : along.profile,
    };
  }, [along, finish, edge, work, foot.soleMm]);
  return { along, shown };
}
