import type * as z from 'zod';
import type { ExchangeTable } from '../../contract/exchange';
import type { Row } from '../store/journal';
import { resources } from '../store/resources';

/** The schema of a table's records as a person writes them. */
export function draftSchema(table: ExchangeTable): z.ZodObject {
  return resources[table]!.draft;
}

/** The fields of a record that travel: what a person wrote, its id and its day, in a fixed order. */
export function exchanged(table: ExchangeTable, row: Row): Record<string, unknown> {
  const draft = draftSchema(table).parse(draftOfRow(row));
  const fields = Object.keys(draftSchema(table).shape).map((name) => [name, draft[name]]);
  return { id: row.id, ...Object.fromEntries(fields), createdAt: row['createdAt'] };
}

/** A stored row without the columns that every row has. */
export function draftOfRow(row: Row): Record<string, unknown> {
  const { id: _id, version: _version, createdAt: _created, updatedAt: _updated, ...draft } = row;
  return draft;
}
