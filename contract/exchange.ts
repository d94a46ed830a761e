import * as z from 'zod';

/** What of the shelf and the drawer can be carried out and in, by the name of its table. */
export const shelfTables = ['cloths', 'machines', 'feet', 'needles', 'threads'] as const;
/** Everything that can be carried: shelf, drawer, and the sample book. */
export const exchangeTables = [...shelfTables, 'attempts'] as const;
export type ExchangeTable = (typeof exchangeTables)[number];

/** The names a JSON file of ours carries, and their version. */
export const exchangeFormat = 'pin-margin-shelf-and-drawer';
export const bookFormat = 'pin-margin-sample-book';
export const exchangeVersion = 1;

/** More rows than this are refused, whatever they hold. */
export const mostImportRows = 25_000;
/** Larger files than this are refused, bytes. */
export const mostImportBytes = 96 * 1024 * 1024;

/** The name somebody gives to the reading of a file, to ask how far it is. */
export const importJob = z.string().regex(/^[A-Za-z0-9-]{1,64}$/);

/** What was sent compressed may become no larger than this, bytes: a small file can hold a huge one. */
export const mostExpandedBytes = 8 * 1024 * 1024;

export const outcomes = ['added', 'changed', 'same', 'refused'] as const;
export type Outcome = (typeof outcomes)[number];

const finding = z.object({ path: z.string(), message: z.string() });

/** What would become of one row of a file. */
export const importRow = z.object({
  table: z.enum(exchangeTables),
  /** Where it stands in the file: `line 3`, `cloths[2]`. */
  place: z.string(),
  id: z.string().nullable(),
  name: z.string(),
  outcome: z.enum(outcomes),
  /** Fields that differ from what is stored. */
  fields: z.array(z.string()),
  /** Why it is refused. */
  issues: z.array(finding),
  /** What was mended so that it could be read. */
  repairs: z.array(finding),
});
export type ImportRow = z.infer<typeof importRow>;

/** What would become of a file. */
export const importPreview = z.object({
  /** To be sent back with the file, so that what was looked at is what happens. */
  digest: z.string(),
  rows: z.array(importRow),
  counts: z.record(z.enum(outcomes), z.int()),
  /** What is said of the file as a whole: its encoding, columns that were left out. */
  repairs: z.array(z.string()),
  photos: z.int(),
});
export type ImportPreview = z.infer<typeof importPreview>;
