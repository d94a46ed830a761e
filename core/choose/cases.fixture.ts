import type { Cloth } from '../cloth/cloth';
import type { Foot } from '../kit/foot';
import type { Machine } from '../kit/machine';
import { examplePlan } from '../plan/example.fixture';
import type { ChooseRequest, ChosenEdge, DrawerFoot, Wishes } from './request';

/** A cloth of the shelf, with what differs from a plain medium woven. */
export const clothOf = (patch: Partial<Cloth>): Cloth => ({
  construction: 'woven',
  weightGsm: 180,
  thicknessMm: 0.4,
  stretchPercent: 2,
  fray: 1,
  curl: 0,
  slip: 0,
  ...patch,
});

export const cloths = {
  lawn: clothOf({ weightGsm: 80, thicknessMm: 0.2 }),
  shirting: clothOf({ weightGsm: 120, thicknessMm: 0.28 }),
  sheer: clothOf({
    construction: 'sheer',
    weightGsm: 42,
    thicknessMm: 0.15,
    fray: 2,
    slip: 3,
  }),
  flannel: clothOf({ construction: 'felted', weightGsm: 320, thicknessMm: 1, fray: 1 }),
  twill: clothOf({ weightGsm: 390, thicknessMm: 0.8, fray: 2 }),
  linen: clothOf({ weightGsm: 200, thicknessMm: 0.4, fray: 3 }),
  jersey: clothOf({
    construction: 'knit',
    weightGsm: 200,
    thicknessMm: 0.6,
    stretchPercent: 45,
    fray: 0,
    curl: 2,
  }),
  ponte: clothOf({
    construction: 'knit',
    weightGsm: 300,
    thicknessMm: 0.95,
    stretchPercent: 22,
    fray: 0,
  }),
  felt: clothOf({ construction: 'felted', weightGsm: 300, thicknessMm: 1.5, fray: 0 }),
  plush: clothOf({ construction: 'pile', weightGsm: 350, thicknessMm: 3, fray: 1 }),
} as const;

export const edgeOf = (patch: Partial<ChosenEdge>): ChosenEdge => ({
  lengthMm: 1400,
  shape: 'straight',
  minRadiusMm: null,
  turnDegrees: null,
  depthMm: null,
  crossings: [],
  ...patch,
});

const home: Machine = examplePlan.machine;
const overlocker: Machine = {
  ...home,
  kind: 'overlocker',
  needleRangeMm: [0, 0],
  maxLengthMm: 4,
};
const coverstitch: Machine = { ...overlocker, kind: 'coverstitch' };

const foot = (
  kind: DrawerFoot['kind'],
  specs: Foot,
  channelMm: number | null = null,
): DrawerFoot => ({ kind, specs, channelMm });

const feet: DrawerFoot[] = [
  foot('zigzag', { slotMm: [-4.5, 4.5], guidance: 'edge', guide: { atMm: -2 } }),
  foot('clear', { slotMm: [-4.5, 4.5], guidance: 'mark', guide: { atMm: -1 } }),
  foot('straight', { slotMm: [-1.2, 1.2], guidance: 'edge', guide: { atMm: -2 } }),
  foot('blind', { slotMm: [-4.5, 4.5], guidance: 'blade', guide: { rangeMm: [-3, 1] } }),
  foot('overcasting', { slotMm: [-4, 4], guidance: 'bar', guide: { atMm: 2.5 } }),
  foot('edge-guide', { slotMm: [-4, 4], guidance: 'blade', guide: { atMm: 0 } }),
  foot('walking', { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: -2 } }),
  foot('hemmer', { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: 0 } }, 2),
  foot('hemmer', { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: 0 } }, 4),
  foot('tall-bar', { slotMm: [-3, 3], guidance: 'line', guide: { atMm: 0 } }),
];

/** A lockstitch machine and its feet. */
export const plainKit: ChooseRequest['kit'] = { machines: [home], feet };
/** The same with an overlocker and a coverstitch machine beside it. */
export const fullKit: ChooseRequest['kit'] = { machines: [home, overlocker, coverstitch], feet };

export const evenWishes: Wishes = {
  hidden: 0.5,
  sturdy: 0.5,
  light: 0.5,
  quick: 0.5,
  decorative: 0.2,
};
