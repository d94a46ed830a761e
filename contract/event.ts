import * as z from 'zod';

/** What a tab is told of a change that reached the disk. */
export const changedEvent = z.object({
  /** The tab that made it. */
  tab: z.string(),
  /** Which records, as address and id; null when everything may be different. */
  records: z.array(z.tuple([z.string(), z.string()])).nullable(),
});
export type ChangedEvent = z.infer<typeof changedEvent>;
