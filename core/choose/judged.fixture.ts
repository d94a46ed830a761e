import { genericCloth } from '../cloth/generic-cloths';
import type { Cloth } from '../cloth/cloth';
import { genericFeet } from '../kit/generic-feet';
import { genericMachines } from '../kit/generic-machines';
import type { MachineKind } from '../kit/machine';
import { edgeOf } from './cases.fixture';
import { presets, type ChooseRequest, type ChosenEdge, type Wishes } from './request';

const preset = (name: string): Wishes => presets.find((it) => it.name === name)!.wishes;
export const [unseen, lasting, light, tonight, shown] = [
  preset('A hem nobody sees'),
  preset('One that lasts'),
  preset('Light as the cloth'),
  preset('Done tonight'),
  preset('To be looked at'),
];

/** A plain kind of cloth as the sums take it. */
export function kind(id: string): Cloth {
  const found = genericCloth(id);
  if (!found) throw new Error(`no plain kind ${id}`);
  const { construction, weightGsm, thicknessMm, stretchPercent, fray, curl, slip } = found;
  return { construction, weightGsm, thicknessMm, stretchPercent, fray, curl, slip };
}

/** Machines of these kinds, with a drawer of the plain feet; all of them when none are named. */
function kitOf(kinds: readonly MachineKind[], feet?: readonly string[]): ChooseRequest['kit'] {
  return {
    machines: kinds.map((it) => genericMachines[it]),
    feet: genericFeet
      .filter(({ id }) => feet?.includes(id) ?? true)
      .map(({ kind: footKind, channelMm, stripMm, specs }) => ({
        kind: footKind,
        ...{ channelMm, stripMm, specs },
      })),
  };
}

const fewFeet = ['zigzag-7', 'clear', 'straight', 'blind-fixed', 'overcast-flat'];
/** A zigzag machine and the feet that come with it. */
export const home = kitOf(['lockstitch'], [...fewFeet, 'hemmer-2']);
/** The same with an overlocker beside it. */
export const withOverlocker = kitOf(['lockstitch', 'overlocker']);
/** Every kind of machine and foot. */
export const everything = kitOf(['lockstitch', 'straight-stitch', 'overlocker', 'coverstitch']);
/** A machine that sews straight and nothing else. */
export const straightOnly = kitOf(
  ['straight-stitch'],
  ['straight', 'quarter', 'hemmer-2', 'walking'],
);

const felled = [
  { kind: 'felled', atMm: 0, widthMm: 12 },
  { kind: 'felled', atMm: 210, widthMm: 12 },
] as const;
export const leg = edgeOf({ shape: 'tube', lengthMm: 420 });
export const jeansLeg = edgeOf({ shape: 'tube', lengthMm: 420, crossings: felled });
export const neck = edgeOf({
  purpose: 'opening',
  shape: 'inside-curve',
  lengthMm: 508,
  minRadiusMm: 60,
});
export const armhole = edgeOf({
  purpose: 'opening',
  shape: 'inside-curve',
  lengthMm: 440,
  minRadiusMm: 50,
});
export const circle = edgeOf({ shape: 'circle', lengthMm: 3770 });
export const shirtTail = edgeOf({ shape: 'outside-curve', lengthMm: 1100, minRadiusMm: 90 });
export const scarf = edgeOf({ shape: 'cornered', lengthMm: 2000 });
export const blanket = edgeOf({ shape: 'cornered', lengthMm: 3600 });
export const skirt = edgeOf({ shape: 'tube', lengthMm: 1100 });
export const seam = edgeOf({ purpose: 'seam', lengthMm: 900, seamAllowanceMm: 15 });
export const allowance = edgeOf({ purpose: 'allowance', lengthMm: 700 });
export const withOldHem = (edge: ChosenEdge, keepLook: boolean): ChosenEdge => ({
  ...edge,
  oldHem: { depthMm: 13, sewn: 'topstitched', keepLook },
});

/** One judgement on which most who sew agree. */
export interface Judgement {
  /** The reason of the craft. */
  readonly why: string;
  readonly request: Partial<ChooseRequest>;
  /** The construction that leads is one of these, as `finish` or `finish.variant`. */
  readonly first?: readonly string[];
  /** One of these is among the first three constructions. */
  readonly among?: readonly string[];
  /** None of these is among the first three constructions. */
  readonly notAmong?: readonly string[];
  /** All variants of these are ruled out. */
  readonly out?: readonly string[];
  /** None of these is ruled out. */
  readonly left?: readonly string[];
}
