import { Impossible, refusal } from '../impossible';
import {
  dialPositions,
  dialTravel,
  marginDials,
  positionCount,
  snapToDial,
  type DialSettings,
  type MarginDial,
} from '../kit/dial-steps';
import type { Foot } from '../kit/foot';
import type { Machine } from '../kit/machine';
import type { Stitch } from '../stitch/stitch';
import type { Beliefs } from './belief';
import type { Check } from './check';
import type { FaultWeights } from './cost';

/** Everything the engines need to judge a setting; they know no finish beyond its checks. */
export interface SetUp {
  readonly checks: readonly Check[];
  readonly beliefs: Beliefs;
  readonly machine: Machine;
  readonly foot: Foot;
  readonly stitch: Stitch;
  readonly needleSize: number;
  readonly faultWeights: FaultWeights;
  /** The width when a rule sets it and not the margin; the machine's nearest step is taken. */
  readonly ruledWidthMm?: number | null;
}

/** A dial's travel; one that a rule has set stands still at the step nearest to it. */
function travelOf(dial: MarginDial, set: Pick<SetUp, 'machine' | 'foot' | 'ruledWidthMm'>) {
  const travel = dialTravel(dial, set.machine, set.foot.guide);
  if (dial !== 'width' || (set.ruledWidthMm ?? null) === null) return travel;
  const atMm = snapToDial(set.ruledWidthMm ?? 0, travel);
  return { fromMm: atMm, toMm: atMm, stepMm: 0, originMm: atMm };
}

/** More settings than this are a slip in a step, not a machine. */
export const mostSettings = 2_000_000;

/**
 * The positions of every dial that moves the margin.
 *
 * @throws Impossible when a dial has no position, or when there are more settings than
 *   {@link mostSettings}
 */
export function dialSpace(
  set: Pick<SetUp, 'machine' | 'foot' | 'ruledWidthMm'>,
): Record<MarginDial, number[]> {
  const travels = marginDials.map((dial) => travelOf(dial, set));
  const counts = travels.map(positionCount);
  const total = counts.reduce((product, count) => product * count, 1);
  if (total > mostSettings) {
    throw new Impossible([
      refusal(
        'machine.widthStepMm',
        'too-many-settings',
        'These steps make {settings} settings; at most {most} are searched. Give the steps the machine really has.',
        {
          settings: Math.round(total).toLocaleString('en'),
          most: mostSettings.toLocaleString('en'),
        },
      ),
    ]);
  }
  const [width, needlePosition, guide] = travels.map(dialPositions);
  return { width: width ?? [], needlePosition: needlePosition ?? [], guide: guide ?? [] };
}

/** The dials without the length, which spaces stitches and moves no margin. */
export type MarginSettings = Omit<DialSettings, 'lengthMm'>;
