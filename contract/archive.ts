import * as z from 'zod';

/** What an archive of ours calls itself, and the version of its layout. */
export const archiveFormat = 'pin-margin-archive';
export const archiveVersion = 1;

/** The first entry: whose it is and which tables the rows were taken from. */
export const archiveAbout = z.strictObject({
  format: z.literal(archiveFormat, { error: 'This is no archive of Pin Margin.' }),
  version: z.int(),
  /** The last step of the database's history that its tables had seen. */
  schema: z.string().max(64),
  /** Everything, or one project with what it needs. */
  holds: z.enum(['everything', 'project']),
});
export type ArchiveAbout = z.infer<typeof archiveAbout>;

/** The last entry: how many rows of each table, and the SHA-256 of every other entry. */
export const archiveManifest = z.strictObject({
  counts: z.record(z.string(), z.int().min(0)),
  sha256: z.record(z.string(), z.string().regex(/^[0-9a-f]{64}$/)),
});
export type ArchiveManifest = z.infer<typeof archiveManifest>;

/** What became of an archive that was taken in. */
export interface ArchiveTaken {
  readonly counts: Readonly<Record<string, number>>;
  /** The snapshot of what was there before; null when nothing was replaced. */
  readonly before: string | null;
}

/** A snapshot as it is listed. */
export interface SnapshotEntry {
  readonly id: string;
  readonly at: string;
  readonly reason: string;
  readonly bytes: number;
  /** Records of each table in it, and how many more there are now. */
  readonly counts: Readonly<Record<string, number>>;
  readonly moreNow: Readonly<Record<string, number>>;
}
