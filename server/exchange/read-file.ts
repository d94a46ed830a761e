import Papa from 'papaparse';
import {
  bookFormat,
  exchangeFormat,
  exchangeTables,
  exchangeVersion,
  mostImportRows,
  type ExchangeTable,
} from '../../contract/exchange';
import type { Issue } from '../../core/impossible';
import { nestingMessage } from '../http/guards';
import { deepestNesting, isNestedDeeper } from '../http/nesting';
import { Refusal } from '../http/refusal';
import { isFormula } from './cell';
import { columns } from './columns';
import { decoded } from './decode';
import { recordOf } from './flat';

/** A row as it was read, before anyone looks whether it can be stored. */
export interface ReadRow {
  readonly table: ExchangeTable;
  readonly place: string;
  readonly record: Record<string, unknown>;
  /** Whether fields it does not name stay as they are; in JSON a record is whole. */
  readonly partial: boolean;
  readonly issues: readonly Issue[];
  readonly repairs: readonly Issue[];
}

export interface ReadFile {
  readonly rows: readonly ReadRow[];
  /** Photos as they were sent, base64. */
  readonly photos: readonly {
    readonly place: string;
    readonly id: string;
    readonly base64: string;
  }[];
  readonly repairs: readonly string[];
}

/** No list of ours has half as many. */
const mostColumns = 200;

function refuse(message: string): never {
  throw new Refusal(400, 'unreadable-file', message, [{ path: 'file', message }]);
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function refuseTooMany(count: number): void {
  if (count <= mostImportRows) return;
  refuse(
    `The file holds ${count.toLocaleString('en')} rows; at most ${mostImportRows.toLocaleString('en')} are taken at once. Part it.`,
  );
}

function formulaRepairs(record: Record<string, unknown>): Issue[] {
  const { name } = record;
  if (typeof name !== 'string' || !isFormula(name)) return [];
  const message = `It begins like a spreadsheet formula: “${name.slice(0, 40)}” is kept as plain text, and written to CSV with an apostrophe before it.`;
  return [{ path: 'name', message }];
}

const formats: readonly unknown[] = [exchangeFormat, bookFormat];

function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    const why = error instanceof Error ? error.message : '';
    return refuse(
      `The file is no whole JSON; it may have been cut short. What the reader says: ${why.slice(0, 160)}.`,
    );
  }
}

function readJson(text: string, said: readonly string[]): ReadFile {
  const file = parsedJson(text);
  if (isNestedDeeper(file, deepestNesting)) refuse(nestingMessage);
  if (!isObject(file) || !formats.includes(file['format'])) {
    refuse(
      `This JSON is no shelf, drawer or sample book: its "format" should be ${formats.map((one) => `"${String(one)}"`).join(' or ')}.`,
    );
  }
  const { format: _format, version, photos = [], ...tables } = file;
  if (version !== exchangeVersion) {
    refuse(
      `This file is of version ${JSON.stringify(version)}; version ${exchangeVersion} is read here.`,
    );
  }
  const known = Object.keys(tables).filter((name) => exchangeTables.includes(name as never));
  const repairs = Object.keys(tables)
    .filter((name) => !known.includes(name))
    .map((name) => `“${name.slice(0, 60)}” is nothing of a shelf, drawer or book; it is left out.`);
  const lists = known.map((name) => [name as ExchangeTable, tables[name]] as const);
  for (const [name, list] of lists) {
    if (!Array.isArray(list)) refuse(`“${name}” should be a list of records.`);
  }
  refuseTooMany(lists.reduce((sum, [, list]) => sum + (list as unknown[]).length, 0));
  if (!Array.isArray(photos)) refuse('“photos” should be a list.');
  return {
    repairs: [...said, ...repairs],
    photos: (photos as unknown[]).map((photo, i) => {
      const place = `photos[${i}]`;
      if (
        !isObject(photo) ||
        typeof photo['id'] !== 'string' ||
        typeof photo['base64'] !== 'string'
      )
        refuse(`${place} should have an "id" and its bytes as "base64".`);
      return { place, id: photo['id'], base64: photo['base64'] };
    }),
    rows: lists.flatMap(([table, list]) =>
      (list as unknown[]).map((record, i): ReadRow => {
        const place = `${table}[${i}]`;
        return isObject(record)
          ? { table, place, record, partial: false, issues: [], repairs: formulaRepairs(record) }
          : {
              ...{ table, place, record: {}, partial: false, repairs: [] },
              issues: [{ path: place, message: 'A record in braces is needed here.' }],
            };
      }),
    ),
  };
}

/** The table whose columns a header names; the one that shares the most when several could be. */
function tableOf(header: readonly string[]): ExchangeTable {
  const shared = (table: ExchangeTable) =>
    columns[table].filter(({ name }) => header.includes(name)).length;
  const best = [...exchangeTables].sort((a, b) => shared(b) - shared(a))[0]!;
  const own = columns[best].some(
    ({ name }) => !['id', 'name', 'note'].includes(name) && header.includes(name),
  );
  const named =
    best === 'attempts'
      ? header.includes('id') || header.includes('setUp')
      : header.includes('name');
  if (!named || !own) {
    refuse(
      `The first line should name the columns; “name” and some of a table are needed, for cloths for example ${columns.cloths
        .slice(1, 7)
        .map(({ name }) => name)
        .join(', ')}.`,
    );
  }
  return best;
}

function readCsv(text: string, said: readonly string[]): ReadFile {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t'],
    skipEmptyLines: 'greedy',
  });
  const torn = errors.find(({ code }) => code === 'MissingQuotes' || code === 'InvalidQuotes');
  if (torn) {
    refuse(
      `A quotation mark that opens on row ${(torn.row ?? 0) + 1} is never closed properly; the file may have been cut short.`,
    );
  }
  const [header = [], ...lines] = data;
  if (header.length > mostColumns) {
    refuse(`The file has ${header.length} columns; at most ${mostColumns} are read.`);
  }
  const names = header.map((name) => name.trim());
  refuseTooMany(lines.length);
  const table = tableOf(names);
  const seen = new Set<string>();
  const twice = names.find((name) => seen.size === seen.add(name).size);
  if (twice !== undefined) refuse(`The column “${twice.slice(0, 60)}” is there twice.`);
  const known = columns[table].map(({ name }) => name);
  const unknown = names.filter((name) => !known.includes(name));
  return {
    photos: [],
    repairs: [
      ...said,
      ...unknown.map((name) => `The column “${name.slice(0, 60)}” is not known; it is left out.`),
    ],
    rows: lines.map((line, i): ReadRow => {
      const cells = Object.fromEntries(names.map((name, c) => [name, line[c] ?? '']));
      const { record, issues, repairs } = recordOf(table, cells);
      const message = `The row has ${line.length} cells and the header ${names.length}; it may have been cut short.`;
      const uneven = line.length === names.length ? [] : [{ path: 'row', message }];
      return {
        ...{ table, place: `row ${i + 2}`, record, partial: true },
        ...{ issues: [...uneven, ...issues], repairs },
      };
    }),
  };
}

/**
 * The rows of a file of shelf or drawer, JSON or CSV, whichever it is.
 *
 * @throws Refusal 400 when nothing can be made of the file as a whole
 */
export function readFile(bytes: Buffer): ReadFile {
  const { text, repairs } = decoded(bytes);
  if (text.trim() === '') refuse('The file is empty.');
  return /^[\uFEFF\s]*[{[]/.test(text) ? readJson(text, repairs) : readCsv(text, repairs);
}
