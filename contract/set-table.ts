import * as z from 'zod';
import { clothDraft } from './cloth';
import { footDraft, machineDraft } from './kit';
import { edgeDraft } from './records';
import { title } from './title';

/** `POST /api/table`: what stands on the table, all of it one change. */
export const setTableRequest = z
  .strictObject({
    machine: machineDraft.optional(),
    feet: z.array(footDraft).max(30, 'At most 30 feet at once.').default([]),
    cloth: clothDraft.optional(),
    /** A first edge, with a project for it; on the cloth given, or on one of the shelf. */
    edge: z
      .strictObject({
        project: title('project'),
        draft: edgeDraft.omit({ projectId: true, clothId: true }),
        clothId: z.string().min(1).max(64).optional(),
      })
      .optional(),
  })
  .refine((it) => Boolean(it.machine ?? it.cloth ?? it.edge) || it.feet.length > 0, {
    error: 'Say what stands on the table: a machine, feet, a cloth or an edge.',
  });

/** What was made of it. */
export interface TableSet {
  readonly machineId: string | null;
  readonly footIds: readonly string[];
  readonly clothId: string | null;
  readonly projectId: string | null;
  readonly edgeId: string | null;
}

/** `POST /api/demo`: whether the demo is wanted. */
export const demoRequest = z.strictObject({
  here: z.boolean({ error: 'Whether the demo is to be here: true or false.' }),
});

/** What of the demo was moved, and what of it one's own work still uses. */
export interface DemoMoved {
  readonly moved: number;
  readonly kept: readonly string[];
}
