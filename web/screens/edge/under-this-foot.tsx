import type { Bench } from '../../bench/bench';
import { UnderFoot } from '../../pictures/under-foot';

/** The view under the foot of a bench; nothing while there is no setting to draw. */
export function UnderThisFoot({ bench }: { bench: Bench }) {
  const { margin, plan, foot, attachment, judgement, set } = bench;
  if (!margin || !judgement || !set) return null;
  return (
    <UnderFoot
      margin={margin}
      plan={plan}
      foot={foot}
      attachment={attachment}
      judgement={judgement}
      beliefs={set.beliefs}
    />
  );
}
