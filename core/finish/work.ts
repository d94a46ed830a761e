import type { Cloth } from '../cloth/cloth';
import type { EdgeForm } from '../edge/form';
import type { EdgeShape } from '../edge/shape';
import type { Joining, OldHem, Pairing } from '../edge/state';
import type { Purpose } from '../edge/purpose';
import type { Reasoned, Values } from '../fact';
import type { Binder } from '../kit/binder';
import type { DialSettings } from '../kit/dial-steps';
import type { Foot } from '../kit/foot';
import type { FootKind } from '../kit/foot-kind';
import type { Machine, MachineKind } from '../kit/machine';
import type { Threading } from '../kit/thread';
import type { Crossing } from '../seam/crossing';
import type { Sole } from '../seam/crossings';
import type { Stitch } from '../stitch/stitch';
import type { FoldWish } from './fold-request';
import type { Edge } from './sewing-plan';

/** The edge as the work meets it. */
export interface WorkEdge extends Edge {
  /** A tube, a neck, a full circle: its end meets its beginning. */
  readonly closed: boolean;
  readonly cornered: boolean;
  /** How many times as thick the thickest crossing seam makes the hem; 1 for none. */
  readonly thickestTimes: number;
  /** A hem when nobody said. */
  readonly purpose?: Purpose | undefined;
  readonly oldHem?: OldHem | null | undefined;
  readonly shape?: EdgeShape | undefined;
  /** How far a curved edge turns; null for all the way round. */
  readonly turnDegrees?: number | null | undefined;
  readonly joined?: Joining | null | undefined;
  /** Whether there is a second one that has to come out the same. */
  readonly pair?: Pairing | undefined;
  /** How it was measured; null or left out for its length alone. */
  readonly form?: EdgeForm | null | undefined;
  /** The seams it meets; none when left out. */
  readonly crossings?: readonly Crossing[] | undefined;
}

/** What a line of stitching is sewn with: the setting in force, and what it does. */
export interface SewnWith {
  readonly settings: DialSettings;
  readonly machine: Machine;
  readonly foot: Foot;
  readonly footName: string;
  readonly soleMm: Sole;
  readonly stitch: Stitch;
  /** What rides the guide: “raw edge”, “hemline”. */
  readonly rides: string;
  /** Values of the finish's checks without drift, by name, mm. */
  readonly checks: Readonly<Record<string, number>>;
  /** How far the edge may wander to the less forgiving side, mm; null where nothing waits. */
  readonly smallerSideMm: number | null;
}

/** Another pass of the same work, with whatever it is sewn with. */
export interface WorkPass {
  readonly finish: string;
  readonly variant: string;
  /** Null where it is not sewn, or nothing of the kit sews it. */
  readonly sewn: SewnWith | null;
  /** What else is set for it. */
  readonly values: readonly StartingValue[];
}

/** What can hurt or spoil at a step; the words are the interface's. */
export const cautionIds = [
  'power-off',
  'needle',
  'handwheel',
  'pins',
  'cutter',
  'knife',
  'iron',
  'starch',
  'shine',
  'loose-trim',
  'cords',
  'sleepwear',
] as const;
export type CautionId = (typeof cautionIds)[number];

/** Where a step is done. Going from one machine and foot to another is a machine change. */
export type Workplace =
  | 'table'
  | 'iron'
  | 'hand'
  | { readonly machine: MachineKind; readonly foot: FootKind | null };

/** The phases of the work, in the order in which hands go through them. */
export const phases = [
  'measure',
  'prepare',
  'fold',
  'set',
  'scrap',
  'start',
  'sew',
  'close',
  'check',
  'press',
  'put-back',
] as const;
export type Phase = (typeof phases)[number];

/** A step of the work with its own numbers, and the cautions that belong to it. */
export interface WorkStep {
  readonly id: string;
  readonly at: Workplace;
  readonly text: string;
  readonly values: Values;
  readonly cautions: readonly CautionId[];
  /** Minutes where it is done once, however long the edge; null where it goes all along it. */
  readonly onceMinutes: number | null;
  /** Minutes a metre where the usual ones of its place would be wrong. */
  readonly perMetreMinutes?: number | undefined;
  readonly phase: Phase;
}

/**
 * A value to start with, of a dial or of what is put into the machine: a number, or a code that the
 * interface has words for.
 */
export interface StartingValue extends Reasoned<number | string> {
  readonly id: string;
  readonly name: string;
  /** `mm`, or nothing for a plain number or a word. */
  readonly unit: 'mm' | '';
}

/** What the steps and the starting values are worked out from. */
export interface WorkRequest {
  readonly wish: FoldWish;
  readonly cloth: Cloth;
  readonly edge: WorkEdge;
  /** What a binding is made of; the cloth itself when left out. */
  readonly strip?: Cloth | null | undefined;
  /** What folds the strip at the needle, and how it stands; none when left out. */
  readonly binder?: Binder | null | undefined;
  /** What is known of thread and fibre. */
  readonly threading?: Threading | undefined;
  /** What it is sewn with, where that is worked out. */
  readonly sewn?: SewnWith | null | undefined;
  /** The other passes of the work, by id, as they are worked out. */
  readonly passes?: Readonly<Record<string, WorkPass>> | undefined;
  /** The kind of machine it is sewn on, where a variant is sewn on several. */
  readonly machineKind?: MachineKind | undefined;
  /** The foot that was chosen for it; the usual one of the finish when left out. */
  readonly footKind?: FootKind | undefined;
  /** The chosen way of each school, by the school's id. */
  readonly schools: Readonly<Record<string, string>>;
}

/** A pass of the work that is a finish of its own, by the catalogue's ids. */
export interface PassWish {
  readonly id: string;
  /** What it does: “Raw edge, before it is turned”. */
  readonly name: string;
  readonly finish: string;
  readonly wish: FoldWish;
  /** What the edge is for in that pass; an allowance when left out. */
  readonly purpose?: Purpose;
}
