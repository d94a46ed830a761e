import * as z from 'zod';
import { dialField, type Dial } from '../core/kit/dial-steps';

/** What comes next on an edge. */
export const nextMove = z.discriminatedUnion('kind', [
  /** No finish is taken yet. */
  z.object({ kind: z.literal('choose') }),
  /** A scrap is to be sewn: which, and at what the last ones advise; null for as it stands. */
  z.object({
    kind: z.literal('scrap'),
    number: z.int(),
    change: z
      .object({ dial: z.enum(Object.keys(dialField) as [Dial, ...Dial[]]), toMm: z.number() })
      .nullable(),
  }),
  /** The scraps are good enough: the setting of this one can be kept. */
  z.object({ kind: z.literal('keep'), number: z.int() }),
  /** So many steps are left, at the usual pace. */
  z.object({ kind: z.literal('steps'), left: z.int(), minutes: z.number() }),
  z.object({ kind: z.literal('done') }),
  /** It can't be worked so; the edge says why. */
  z.object({ kind: z.literal('stuck') }),
]);
export type NextMove = z.infer<typeof nextMove>;

/** An edge on the worktable. */
export const tableEdge = z.object({
  edgeId: z.string(),
  projectId: z.string(),
  name: z.string(),
  clothName: z.string(),
  finish: z.string().nullable(),
  variant: z.string(),
  scraps: z.int(),
  /** The scrap whose setting is kept; null for none. */
  keptNumber: z.int().nullable(),
  stepsDone: z.int(),
  steps: z.int(),
  next: nextMove,
  /** When something of it was last changed. */
  touchedAt: z.string(),
});
export type TableEdge = z.infer<typeof tableEdge>;

/** `GET /api/worktable`: every edge, or those of a project, what was touched last first. */
export const worktable = z.object({ edges: z.array(tableEdge) });
export type Worktable = z.infer<typeof worktable>;

export const worktableQuery = z.strictObject({
  projectId: z.string().min(1).max(64).optional(),
});
