import type { Prior } from './prior';

/** How far to either side the grid of offsets goes where a prior says nothing else, mm. */
const usualReachMm = 2;
const shiftStepMm = 0.025;

/** The even grid of offsets that a posterior is worked out on, mm. */
export interface ShiftGrid {
  readonly fromMm: number;
  readonly stepMm: number;
  readonly count: number;
}

/** As far as a prior reaches. */
export const shiftGridOf = ({ reachMm = usualReachMm }: Pick<Prior, 'reachMm'>): ShiftGrid => ({
  ...{ fromMm: -reachMm, stepMm: shiftStepMm },
  count: Math.round((2 * reachMm) / shiftStepMm) + 1,
});

/** The offset of a place on it, mm. */
export const shiftAt = ({ fromMm, stepMm }: ShiftGrid, i: number): number => fromMm + i * stepMm;
