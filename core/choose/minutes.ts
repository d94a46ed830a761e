import type { MachineKind } from '../kit/machine';
import type { WorkStep } from '../finish/work';
import { machineChanges } from '../plan/work';
import type { Passage } from '../seam/passage';

/** Starting guesses: minutes a metre of each kind of work takes a person who has done it before. */
const perMetre = { iron: 1, hand: 2.5, table: 0.6 } as const;
/** The same at a machine: an overlocker runs twice as fast as a needle that swings. */
const perMetreAt: Readonly<Record<MachineKind, number>> = {
  lockstitch: 0.8,
  'straight-stitch': 0.7,
  overlocker: 0.4,
  coverstitch: 0.6,
};
/** Starting guess: minutes to go to another machine or foot in the middle of the work. */
const perChange = 1.5;
/** Starting guesses: minutes at each seam that is crossed. */
const perCrossing: Readonly<Record<Passage, number>> = {
  freely: 0.3,
  'with-care': 2,
  'will-not-pass': 0,
};

/** What the work on an edge takes. */
export interface Minutes {
  /** Once an edge: ends, threading, the scrap, the start, each machine change, each crossing. */
  readonly onceMinutes: number;
  /** All along it. */
  readonly perMetreMinutes: number;
  readonly changes: number;
  /** The whole edge. */
  readonly wholeMinutes: number;
}

/** What of the edge itself costs time. */
export interface TimedEdge {
  readonly lengthMm: number;
  /** How the thickest place goes under the foot, and how many seams are crossed. */
  readonly passage: Passage;
  readonly crossings: number;
}

/** Minutes a metre of a step that goes all along the edge. */
const alongMinutes = ({ at, perMetreMinutes }: WorkStep): number =>
  perMetreMinutes ?? (typeof at === 'string' ? perMetre[at] : perMetreAt[at.machine]);

/** What one step takes on an edge of a length: once, or by the metre. */
export function stepMinutes(step: WorkStep, lengthMm: number): number {
  return step.onceMinutes ?? (alongMinutes(step) * lengthMm) / 1000;
}

/**
 * Minutes from cutting to the last pressing. What is done once an edge is billed once, the rest by
 * the metre; so a metre of a long ruffle is cheaper than a metre of a pocket edge.
 * Source: starting guesses of the craft, docs/formulas.md “Choosing”.
 */
export function minutesOf(steps: readonly WorkStep[], edge: TimedEdge): Minutes {
  const changes = machineChanges(steps);
  const once = steps.reduce((sum, { onceMinutes }) => sum + (onceMinutes ?? 0), 0);
  const along = steps
    .filter(({ onceMinutes }) => onceMinutes === null)
    .reduce((sum, step) => sum + alongMinutes(step), 0);
  const onceMinutes = once + perChange * changes + perCrossing[edge.passage] * edge.crossings;
  return {
    onceMinutes,
    perMetreMinutes: along,
    changes,
    wholeMinutes: onceMinutes + (along * edge.lengthMm) / 1000,
  };
}

/** Starting guesses: what a plain hem takes, once and a metre; what is quick is held against it. */
const plainOnce = 8;
const plainPerMetre = 5.4;
/** How sharply twice the time counts. */
const steepness = 2;

/** How quick the work is, 1 for none at all, a half for as long as a plain hem of this edge takes. */
export function quickness(
  { wholeMinutes }: Pick<Minutes, 'wholeMinutes'>,
  lengthMm: number,
): number {
  const plain = plainOnce + (plainPerMetre * lengthMm) / 1000;
  return 1 / (1 + (wholeMinutes / plain) ** steepness);
}
