import { misfitOf } from '../kit/foot-fit';
import { hasLoopers, type Situation } from './situation';

/** Whatever one can change between two scraps, one at a time. */
export const dialIds = [
  'width',
  'length',
  'needlePosition',
  'guide',
  'upperTension',
  'looperTension',
  'pressure',
  'differential',
  'cuttingWidth',
  'needle',
  'thread',
  'bobbin',
  'hand',
  'iron',
  'fold',
] as const;
export type DialId = (typeof dialIds)[number];

/** Which way a dial is moved; `other` where there is no more and no less. */
export type Direction = 'more' | 'less' | 'left' | 'right' | 'other';

/** What hands, iron and scissors do on any machine. */
const byHand: readonly DialId[] = ['hand', 'iron', 'fold'];

/** The dials that this machine and this foot have. */
export function dialsOf(situation: Situation): DialId[] {
  const { machine, foot } = situation;
  if (hasLoopers(situation)) {
    return [
      ...(['length', 'looperTension', 'upperTension', 'pressure', 'differential'] as const),
      ...(machine.kind === 'overlocker' ? (['cuttingWidth'] as const) : []),
      ...(['needle', 'thread'] as const),
      ...byHand,
    ];
  }
  const [left, right] = machine.needleRangeMm;
  const adjusts = 'rangeMm' in foot.guide && !misfitOf(machine, { kind: foot.kind });
  return [
    ...(machine.maxWidthMm > 0 ? (['width'] as const) : []),
    'length',
    ...(right > left ? (['needlePosition'] as const) : []),
    ...(adjusts ? (['guide'] as const) : []),
    ...(['upperTension', 'pressure', 'needle', 'thread', 'bobbin'] as const),
    ...byHand,
  ];
}

/**
 * How far one goes at first: one step of the machine where it has steps.
 *
 * @returns mm for the three dials of the stitch and the guide, null where the step is in words
 */
export function stepMmOf(dial: DialId, { machine, foot }: Situation): number | null {
  switch (dial) {
    case 'width':
      return machine.widthStepMm;
    case 'length':
      return Math.max(machine.lengthStepMm, 0.3);
    case 'needlePosition':
      return machine.needleStepMm;
    case 'guide':
      return 'rangeMm' in foot.guide ? (foot.guide.stepMm ?? 0.25) : null;
    default:
      return null;
  }
}
