import * as z from 'zod';
import type { CarriedFrom } from '../core/book/carry';
import type { Likeness } from '../core/book/nearest';
import type { Carried } from '../core/plan/carried';
import { attemptDraft, bookEntry, verdicts, type AttemptRecord } from './records';

/** What the book can be sorted by. */
export const bookSorts = [
  'sewnOn',
  'finish',
  'cloth',
  'machine',
  'foot',
  'faults',
  'verdict',
] as const;
export type BookSort = (typeof bookSorts)[number];

/** The most rows of one page. */
export const mostPageRows = 200;

const whole = (least: number, most: number) =>
  z.coerce
    .number('A whole number is needed.')
    .int('A whole number is needed.')
    .min(least, `At least ${least}.`)
    .max(most, `At most ${most}.`);
const id = z.string().min(1).max(64).optional();

/** `GET /api/book`: which page of which scraps. */
export const bookQuery = z.strictObject({
  /** Words that stand in a name, the finish or the note. */
  q: z.string().max(120).default(''),
  finish: id,
  clothId: id,
  machineId: id,
  footId: id,
  verdict: z.enum(verdicts, 'A verdict is keep, nearly or no.').optional(),
  sort: z.enum(bookSorts, `Sort by ${bookSorts.join(', ')}.`).default('sewnOn'),
  dir: z.enum(['asc', 'desc'], 'A direction is asc or desc.').default('desc'),
  page: whole(0, 1_000_000).default(0),
  size: whole(1, mostPageRows).default(50),
});
export type BookQuery = z.infer<typeof bookQuery>;

/** A line of the book: a scrap without the long set-up. */
export const bookRow = z.object({
  id: z.string(),
  version: z.int(),
  createdAt: z.string(),
  ...bookEntry.omit({ setUp: true }).shape,
  /** The edge its plan is for; null when that is gone. */
  edgeId: z.string().nullable(),
});
export type BookRow = z.infer<typeof bookRow>;

export const bookPage = z.object({ total: z.int(), rows: z.array(bookRow) });
export type BookPage = z.infer<typeof bookPage>;

const choice = z.object({ id: z.string(), name: z.string(), scraps: z.int() });

/** What the book can be narrowed to. */
export const bookChoices = z.object({
  finishes: z.array(choice),
  cloths: z.array(choice),
  machines: z.array(choice),
  feet: z.array(choice),
});
export type BookChoices = z.infer<typeof bookChoices>;

/** Something that was taken out and can still be brought back. */
export interface RemovedEntry {
  readonly id: number;
  readonly at: string;
  readonly label: string;
  readonly counts: Readonly<Record<string, number>>;
}

/** `POST /api/plans/:id/attempts`: a ladder's scraps, entered in one go. */
export const ladderDraft = z.strictObject({
  attempts: z
    .array(attemptDraft.omit({ planId: true }))
    .min(1, 'Give at least one scrap.')
    .max(12, 'At most 12 scraps at once.'),
});

/** `GET /api/plans/:id/worked`: what a plan can start from. */
export interface WorkedBefore {
  readonly nearest: readonly {
    readonly attempt: AttemptRecord;
    readonly likeness: Likeness;
    /** Pinned to this cloth, finish and machine. */
    readonly pinnedHere: boolean;
  }[];
  readonly carried: Carried;
  readonly from: CarriedFrom;
}
