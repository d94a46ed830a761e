import Papa from 'papaparse';
import {
  exchangeFormat,
  exchangeTables,
  exchangeVersion,
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

/** Shelf and drawer whole, with their photos, as JSON; the same records give the same bytes. */
export async function jsonOf(store: Store): Promise<string> {
  const tables: Record<string, unknown> = {};
  for (const table of exchangeTables) tables[table] = await sorted(store, table);
  const used = new Set(
    (tables['cloths'] as Record<string, unknown>[]).map(({ photoId }) => photoId),
  );
  const photos = await store.database.models.photos.findAll({ order: [['id', 'ASC']] });
  const sent = photos
    .filter((photo) => used.has(photo.get('id')))
    .map((photo) => ({
      id: photo.get('id'),
      base64: (photo.get('bytes') as Buffer).toString('base64'),
    }));
  const file = { format: exchangeFormat, version: exchangeVersion, ...tables, photos: sent };
  return `${JSON.stringify(file, null, 2)}\n`;
}
