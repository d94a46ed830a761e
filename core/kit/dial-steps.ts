import { defaultGuideStepMm, type Guide } from './foot';
import type { Machine } from './machine';

/** The dials that move the margin. Stitch length spaces the stitches and is ruled, not solved. */
export const marginDials = ['width', 'needlePosition', 'guide'] as const;
export type MarginDial = (typeof marginDials)[number];

/** Every dial of a lockstitch set-up. */
export type Dial = MarginDial | 'length';

/** Where the dials stand. */
export interface DialSettings {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly needlePositionMm: number;
  readonly guideMm: number;
}

/** The field of {@link DialSettings} that each dial writes. */
export const dialField = {
  width: 'widthMm',
  length: 'lengthMm',
  needlePosition: 'needlePositionMm',
  guide: 'guideMm',
} as const satisfies Record<Dial, keyof DialSettings>;

/** Room for binary noise when a range is divided by a step. */
const hair = 1e-6;

const clean = (mm: number): number => Math.round(mm * 1e6) / 1e6 + 0;

/**
 * The positions of a stepped dial.
 *
 * @param fromMm lower end of the range
 * @param toMm upper end of the range
 * @param stepMm the dial's own step, > 0
 * @param originMm a position that is certainly on the dial: the centre needle position, width 0
 * @returns ascending positions within the range; empty when none falls inside
 */
export function steppedRange(
  fromMm: number,
  toMm: number,
  stepMm: number,
  originMm: number,
): number[] {
  const first = Math.ceil((fromMm - originMm) / stepMm - hair);
  const last = Math.floor((toMm - originMm) / stepMm + hair);
  const positions: number[] = [];
  for (let i = first; i <= last; i++) positions.push(clean(originMm + i * stepMm));
  return positions;
}

/** How one dial can move: its positions' ends, step and a position certainly on it. */
export interface DialTravel {
  readonly fromMm: number;
  readonly toMm: number;
  /** 0 for a dial that does not move. */
  readonly stepMm: number;
  readonly originMm: number;
}

/**
 * How far and in what steps a dial of this machine and guide moves.
 *
 * A needle dial is counted from the centre, which every machine has, unless its range leaves the
 * centre out; a guide is counted from its left stop.
 */
export function dialTravel(dial: Dial, machine: Machine, guide: Guide): DialTravel {
  switch (dial) {
    case 'width':
      return { fromMm: 0, toMm: machine.maxWidthMm, stepMm: machine.widthStepMm, originMm: 0 };
    case 'length':
      return {
        fromMm: machine.lengthStepMm,
        toMm: machine.maxLengthMm,
        stepMm: machine.lengthStepMm,
        originMm: 0,
      };
    case 'needlePosition': {
      const [fromMm, toMm] = machine.needleRangeMm;
      const originMm = fromMm <= 0 && toMm >= 0 ? 0 : fromMm;
      return { fromMm, toMm, stepMm: machine.needleStepMm, originMm };
    }
    case 'guide': {
      if ('atMm' in guide)
        return { fromMm: guide.atMm, toMm: guide.atMm, stepMm: 0, originMm: guide.atMm };
      const [fromMm, toMm] = guide.rangeMm;
      return { fromMm, toMm, stepMm: guide.stepMm ?? defaultGuideStepMm, originMm: fromMm };
    }
  }
}

/** The number of positions of a dial, without listing them. */
export function positionCount(travel: DialTravel): number {
  if (travel.stepMm === 0) return 1;
  const first = Math.ceil((travel.fromMm - travel.originMm) / travel.stepMm - hair);
  const last = Math.floor((travel.toMm - travel.originMm) / travel.stepMm + hair);
  return Math.max(0, last - first + 1);
}

/** Every position of a dial, ascending. */
export function dialPositions(travel: DialTravel): number[] {
  return travel.stepMm === 0
    ? [travel.fromMm]
    : steppedRange(travel.fromMm, travel.toMm, travel.stepMm, travel.originMm);
}

/**
 * The position nearest to a wish.
 *
 * @returns a position on the dial; the nearer stop when the wish lies outside the range
 */
export function snapToDial(wishMm: number, travel: DialTravel): number {
  if (travel.stepMm === 0) return travel.fromMm;
  const first = Math.ceil((travel.fromMm - travel.originMm) / travel.stepMm - hair);
  const last = Math.floor((travel.toMm - travel.originMm) / travel.stepMm + hair);
  // A tie (7.5 steps) goes up; the hair keeps 1.85 / 0.1 from being read as 18.4999….
  const index = Math.floor((wishMm - travel.originMm) / travel.stepMm + 0.5 + hair);
  const kept = Math.min(last, Math.max(first, index));
  return clean(travel.originMm + kept * travel.stepMm);
}
