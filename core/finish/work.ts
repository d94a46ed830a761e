import type { Cloth } from '../cloth/cloth';
import type { OldHem } from '../edge/state';
import type { Purpose } from '../edge/purpose';
import type { FootKind } from '../kit/foot-kind';
import type { MachineKind } from '../kit/machine';
import type { Reasoned, Values } from '../fact';
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
  'table' | 'iron' | 'hand' | { readonly machine: MachineKind; readonly foot: FootKind | null };

/** A step of the work with its own numbers, and the cautions that belong to it. */
export interface WorkStep {
  readonly id: string;
  readonly at: Workplace;
  readonly text: string;
  readonly values: Values;
  readonly cautions: readonly CautionId[];
  /** Minutes where it is done once, however long the edge; null where it goes all along it. */
  readonly onceMinutes: number | null;
}

/** A value to start with, of a dial or of what is put into the machine. */
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
  /** The kind of machine it is sewn on, where a variant is sewn on several. */
  readonly machineKind?: MachineKind | undefined;
  /** The chosen way of each school, by the school's id. */
  readonly schools: Readonly<Record<string, string>>;
}
