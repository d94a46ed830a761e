import type { Values } from '../fact';
import type { CautionId, Phase, WorkStep } from '../finish/work';
import type { Task } from '../order/task';

/** A step of the work on a garment, with where it belongs. */
export interface GarmentTask extends Task {
  /** The edge or seam it is part of; null for the garment's own and for putting back. */
  readonly edgeId: string | null;
  readonly edgeName: string | null;
  /** As its edge's plan ticks it. */
  readonly stepId: string;
  readonly text: string;
  readonly values: Values;
  readonly cautions: readonly CautionId[];
  readonly phase: Phase | null;
  readonly done: boolean;
  /** The step as its edge has it; null where there is none. */
  readonly step: WorkStep | null;
}

/** Why one task waits for another. */
export const waitReasons = [
  'chain',
  'second',
  'edge-before-seam',
  'seam-before-edge',
  'own',
  'wish',
  'put-back',
] as const;
export type WaitReason = (typeof waitReasons)[number];

/** One task before another, and why. */
export interface Wait {
  readonly first: string;
  readonly then: string;
  readonly why: WaitReason;
}

/** The id of an edge's step among a garment's tasks. */
export const taskId = (edgeId: string, stepId: string): string => `${edgeId}/${stepId}`;
export const ownTaskId = (id: string): string => `own/${id}`;
export const putBackId = (machineId: string): string => `put-back/${machineId}`;
