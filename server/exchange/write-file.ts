import Papa from 'papaparse';
import {
  bookFormat,
  exchangeFormat,
  exchangeVersion,
  shelfTables,
  type ExchangeTable,
} from '../../contract/exchange';
import { photoFields } from '../../contract/photo';
import type { Row } from '../store/journal';
import type { Store } from '../store/store';
import { columns } from './columns';
import { cellsOf } from './flat';
import { exchanged } from './record';

/** Records of a table by their ids, a lot at a time, so that no list keeps others waiting. */
async function* lotsOf(
  store: Store,
  table: ExchangeTable,
): AsyncGenerator<Record<string, unknown>[]> {
  let last = '';
  for (;;) {
    const rows: Row[] = await store.after(table, last);
    if (rows.length === 0) return;
    last = rows.at(-1)!.id;
    yield rows.map((row) => exchanged(table, row));
  }
}

/** A table as CSV after RFC 4180, no cell of which a spreadsheet works out; in parts. */
export async function* csvOf(store: Store, table: ExchangeTable): AsyncGenerator<string> {
  const line = (cells: readonly string[]) =>
    `${Papa.unparse([[...cells]], { newline: '\r\n' })}\r\n`;
  yield line(columns[table].map(({ name }) => name));
  for await (const lot of lotsOf(store, table)) {
    yield lot.map((record) => line(cellsOf(table, record))).join('');
  }
}

/** The JSON files there are: what is in them, and the name they carry. */
export const jsonFiles = {
  'shelf-and-drawer.json': { format: exchangeFormat, holds: shelfTables },
  'sample-book.json': { format: bookFormat, holds: ['attempts'] },
} as const satisfies Record<string, { format: string; holds: readonly ExchangeTable[] }>;

/** Values as a list in JSON, one after another; an empty list is closed at once. */
async function* listOf(name: string, values: AsyncIterable<unknown>): AsyncGenerator<string> {
  yield `  ${JSON.stringify(name)}: [`;
  let any = false;
  for await (const value of values) {
    yield `${any ? ',' : ''}\n    ${JSON.stringify(value, null, 2).replaceAll('\n', '\n    ')}`;
    any = true;
  }
  yield any ? '\n  ]' : ']';
}

/** A file whole, with its photos, as JSON in parts; the same records give the same bytes. */
export async function* jsonOf(store: Store, name: keyof typeof jsonFiles): AsyncGenerator<string> {
  const { format, holds } = jsonFiles[name];
  const used = new Set<string>();
  async function* records(table: ExchangeTable): AsyncGenerator<unknown> {
    for await (const lot of lotsOf(store, table)) {
      for (const record of lot) {
        for (const field of photoFields) {
          const id = record[field];
          if (typeof id === 'string') used.add(id);
        }
        yield record;
      }
    }
  }
  async function* photos(): AsyncGenerator<unknown> {
    for (const id of [...used].sort()) {
      const photo = await store.photo(id);
      if (photo) yield { id, base64: photo.toString('base64') };
    }
  }
  yield `{\n  "format": ${JSON.stringify(format)},\n  "version": ${exchangeVersion},\n`;
  for (const table of holds) {
    yield* listOf(table, records(table));
    yield ',\n';
  }
  yield* listOf('photos', photos());
  yield '\n}\n';
}
