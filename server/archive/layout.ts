import type { Connection } from '../database/connection';
import { recordTables } from '../database/models';

/** The tables that an archive holds, parents before children. */
export const archivedTables = [...recordTables, 'changes', 'steps'] as const;
export type ArchivedTable = (typeof archivedTables)[number];

export const aboutName = 'about.json';
export const manifestName = 'manifest.json';

/** Rows of a table lie in files of at most so many bytes, so that none is ever held whole. */
export const bytesInPart = 1024 * 1024;

export const partName = (table: string, part: number) =>
  `${table}/${String(part).padStart(6, '0')}.jsonl`;
export const photoName = (id: string) => `photos/${id}`;

/** What an entry of an archive is, by its name; null for what belongs to none of ours. */
export function entryKind(
  name: string,
):
  | { readonly is: 'about' }
  | { readonly is: 'manifest' }
  | { readonly is: 'rows'; readonly table: ArchivedTable }
  | { readonly is: 'photo'; readonly id: string }
  | null {
  if (name === aboutName) return { is: 'about' };
  if (name === manifestName) return { is: 'manifest' };
  const [, folder, file] = /^([a-z]+)\/([0-9a-z.]+)$/.exec(name) ?? [];
  if (folder === 'photos' && /^[0-9a-f]{64}$/.test(file ?? '')) return { is: 'photo', id: file! };
  const table = archivedTables.find((one) => one === folder);
  return table && /^\d{6}\.jsonl$/.test(file ?? '') ? { is: 'rows', table } : null;
}

/** A column of a table, as far as an archive needs to know. */
export interface StoredColumn {
  readonly name: string;
  readonly isJson: boolean;
}

/** The columns of a table that are written, in their order; what is worked out from others is not. */
export async function columnsOf(connection: Connection, table: string): Promise<StoredColumn[]> {
  const found = await connection.rows<{ name: string; type: string }>(
    'SELECT name, type FROM pragma_table_info(?)',
    [table],
  );
  return found.map(({ name, type }) => ({ name, isJson: type === 'JSON' }));
}
