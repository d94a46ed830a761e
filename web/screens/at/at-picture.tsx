import type { WorkStep } from '../../../core/finish/work';
import type { Bench } from '../../bench/bench';
import { useAlong } from '../../bench/use-along';
import { AlongEdgePicture } from '../../pictures/along-edge';
import { UnderThisFoot } from '../edge/under-this-foot';
import { isLooped } from '../edge/looped';
import { WalkPicture } from '../edge/walk/walk-picture';

/** Steps that are seen along the edge: what the foot meets, and what the hands do there. */
const alongSteps = /^(over-seams|curve|corner|close|begin|start|ends?)/;

/** What a step looks like: along the edge, under the foot, or as the folds and the table have it. */
export function AtPicture({ bench, step }: { bench: Bench; step: WorkStep }) {
  const { along, shown } = useAlong(bench);
  const { margin, judgement, set, plan, edge, folds } = bench;
  const id = step.id.replace(/^second /, '');
  if (along && shown && alongSteps.test(id) && edge.crossings.length > 0) {
    return (
      <AlongEdgePicture
        passes={along.passes}
        mostStackMm={along.mostStackMm}
        lengthMm={edge.lengthMm}
        profile={shown.profile}
        hands={shown.hands}
      />
    );
  }
  const atFoot =
    ['set', 'scrap', 'start', 'sew'].includes(step.phase) && typeof step.at !== 'string';
  // A pass on another machine has a foot of its own, which is not this one.
  const sameMachine = typeof step.at !== 'string' && step.at.machine === plan.machine.kind;
  if (atFoot && sameMachine && margin && judgement && set && folds && !isLooped(plan)) {
    return <UnderThisFoot bench={bench} />;
  }
  return <WalkPicture bench={bench} step={{ ...step, id }} />;
}
