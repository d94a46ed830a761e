import type * as z from 'zod';
import type { ExchangeTable } from '../../contract/exchange';
import { bookEntry } from '../../contract/records';
import { draftOfRow, type Row } from '../store/journal';
import { resources } from '../store/resources';

/** The schema of a table's records as a person writes them. */
export function draftSchema(table: ExchangeTable): z.ZodObject {
  // A scrap travels with everything that was written down for it, not only what one can type.
  return table === 'attempts' ? bookEntry : resources[table].draft;
}

/** The fields of a record that travel: what a person wrote, its id and its day, in a fixed order. */
export function exchanged(table: ExchangeTable, row: Row): Record<string, unknown> {
  const draft = draftSchema(table).parse(draftOfRow(row));
  const result: Record<string, unknown> = { id: row.id };
  for (const name of Object.keys(draftSchema(table).shape)) result[name] = draft[name];
  result['createdAt'] = row['createdAt'];
  return result;
}
