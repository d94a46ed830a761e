import { Impossible } from '../impossible';
import {
  dialPositions,
  dialTravel,
  marginDials,
  positionCount,
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
}

/** More settings than this are a slip in a step, not a machine. */
export const mostSettings = 2_000_000;

/**
 * The positions of every dial that moves the margin.
 *
 * @throws Impossible when a dial has no position, or when there are more settings than
 *   {@link mostSettings}
 */
export function dialSpace(set: Pick<SetUp, 'machine' | 'foot'>): Record<MarginDial, number[]> {
  const travels = marginDials.map((dial) => dialTravel(dial, set.machine, set.foot.guide));
  const counts = travels.map(positionCount);
  const total = counts.reduce((product, count) => product * count, 1);
  if (total > mostSettings) {
    throw new Impossible([
      {
        path: 'machine.widthStepMm',
        message: `These steps make ${Math.round(total).toLocaleString('en')} settings; at most ${mostSettings.toLocaleString('en')} are searched. Give the steps the machine really has.`,
      },
    ]);
  }
  const [width, needlePosition, guide] = travels.map(dialPositions);
  return { width: width ?? [], needlePosition: needlePosition ?? [], guide: guide ?? [] };
}

/** The dials without the length, which spaces stitches and moves no margin. */
export type MarginSettings = Omit<DialSettings, 'lengthMm'>;
