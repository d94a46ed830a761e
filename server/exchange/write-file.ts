import Papa from 'papaparse';
import {
  bookFormat,
  exchangeFormat,
  exchangeVersion,
  shelfTables,
  type ExchangeTable,
} from '../../contract/exchange';
import type { Row } from '../store/journal';
import type { Store } from '../store/store';
import { columns } from './columns';
import { cellsOf } from './flat';
import { exchanged } from './record';

const byId = (a: Row, b: Row) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

async function sorted(store: Store, table: ExchangeTable): Promise<Record<string, unknown>[]> {
  return (await store.list(table)).sort(byId).map((row) => exchanged(table, row));
}

/** A table as CSV after RFC 4180, no cell of which a spreadsheet works out. */
export async function csvOf(store: Store, table: ExchangeTable): Promise<string> {
  const records = await sorted(store, table);
  return (
    Papa.unparse(
      {
        fields: columns[table].map(({ name }) => name),
        data: records.map((record) => cellsOf(table, record)),
      },
      { newline: '\r\n' },
    ) + '\r\n'
  );
}

/** The JSON files there are: what is in them, and the name they carry. */
export const jsonFiles = {
  'shelf-and-drawer.json': { format: exchangeFormat, holds: shelfTables },
  'sample-book.json': { format: bookFormat, holds: ['attempts'] },
} as const satisfies Record<string, { format: string; holds: readonly ExchangeTable[] }>;

/** A file whole, with its photos, as JSON; the same records give the same bytes. */
export async function jsonOf(store: Store, name: keyof typeof jsonFiles): Promise<string> {
  const { format, holds } = jsonFiles[name];
  const tables: Record<string, Record<string, unknown>[]> = {};
  for (const table of holds) tables[table] = await sorted(store, table);
  const used = new Set(
    Object.values(tables).flatMap((records) => records.map(({ photoId }) => photoId)),
  );
  const photos = await store.database.models.photos.findAll({ order: [['id', 'ASC']] });
  const sent = photos
    .filter((photo) => used.has(photo.get('id')))
    .map((photo) => ({
      id: photo.get('id'),
      base64: (photo.get('bytes') as Buffer).toString('base64'),
    }));
  const file = { format, version: exchangeVersion, ...tables, photos: sent };
  return `${JSON.stringify(file, null, 2)}\n`;
}
