import type { BookChoices, BookQuery, BookSort } from '../../contract/book';
import { catalogue, finishById } from '../../core/finish/catalogue';
import type { Store } from './store';

const columnOf: Readonly<Record<BookSort, string>> = {
  sewnOn: 'sewnOn',
  finish: 'finish',
  cloth: 'clothName',
  machine: 'machineName',
  foot: 'footName',
  faults: 'faultShare',
  verdict: 'verdict',
};

/** A text as SQLite's LIKE takes it literally. */
const containing = (text: string) => `%${text.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** A condition and the values it asks for. */
interface Condition {
  readonly sql: string;
  readonly values: readonly string[];
}

const allOf = (conditions: readonly Condition[]): Condition => ({
  sql: conditions.map(({ sql }) => `(${sql})`).join(' AND ') || '1',
  values: conditions.flatMap(({ values }) => values),
});

/**
 * A word as it may be written: SQLite knows small and capital letters of English only, so one with
 * others is looked for in each way it is usually written.
 */
function writtenAs(word: string): readonly string[] {
  if (/^\p{ASCII}*$/u.test(word)) return [word];
  const [first = '', ...rest] = [...word.toLowerCase()];
  return [
    ...new Set([word, word.toLowerCase(), word.toUpperCase(), first.toUpperCase() + rest.join('')]),
  ];
}

const named = ['clothName', 'machineName', 'footName', 'note'];

/** Scraps in which a word stands, in their own words or in the name of their finish. */
function searched(word: string): Condition {
  const finishes = catalogue
    .filter(({ name }) => name.toLowerCase().includes(word.toLowerCase()))
    .map(({ id }) => id);
  const ways = writtenAs(word);
  return {
    sql: [
      ...named.flatMap((name) => ways.map(() => `${name} LIKE ? ESCAPE '\\'`)),
      ...finishes.map(() => 'finish = ?'),
    ].join(' OR '),
    values: [...named.flatMap(() => ways.map(containing)), ...finishes],
  };
}

function narrowed(query: BookQuery): Condition {
  const fields = ['finish', 'clothId', 'machineId', 'footId', 'verdict'] as const;
  const wanted = fields.flatMap((field): Condition[] => {
    const value = query[field];
    return value ? [{ sql: `${field} = ?`, values: [value] }] : [];
  });
  const words = query.q.trim().split(/\s+/).filter(Boolean);
  return allOf([...wanted, ...words.map(searched)]);
}

const shownColumns = [
  'id',
  'version',
  'createdAt',
  'planId',
  'number',
  'finish',
  'clothId',
  'machineId',
  'footId',
  'verdict',
  'sewnOn',
  'pinned',
  'names',
  'counts',
  'settings',
  'dialValues',
  'symptoms',
  'photoId',
  'note',
];

/**
 * One page of the book, without the set-ups, as the JSON of a `BookPage`: SQLite puts it together
 * from what it holds, so that nothing is read into objects only to be written out again.
 */
export async function bookPageJson(store: Store, query: BookQuery): Promise<string> {
  const { reading } = store.database;
  const { sql, values } = narrowed(query);
  const direction = query.dir === 'asc' ? 'ASC' : 'DESC';
  const column = columnOf[query.sort];
  // What has nothing there comes last, whichever way it is sorted; a day is always there.
  const emptyLast = query.sort === 'sewnOn' ? '' : `${column} IS NULL, `;
  const order = `${emptyLast}${column} ${direction}, createdAt ${direction}, id`;
  const edge = `'edgeId', (SELECT edgeId FROM plans WHERE plans.id = attempts.planId)`;
  // Left alone, SQLite looks for words in the table, most of which is set-ups.
  const looked = query.q.trim() ? 'attempts INDEXED BY attempts_looked_at' : 'attempts';
  const [counted, rows] = await Promise.all([
    reading.rows<{ total: number }>(`SELECT count(*) AS total FROM ${looked} WHERE ${sql}`, values),
    // Which scraps make the page is told by the index alone; only those are read.
    reading.rows<{ json: string }>(
      `SELECT json_object(${reading.asJson('attempts', shownColumns)}, ${edge}) AS json
       FROM attempts WHERE rowid IN (
         SELECT rowid FROM ${looked}
         WHERE ${sql} ORDER BY ${order} LIMIT ? OFFSET ?)
       ORDER BY ${order}`,
      [...values, query.size, query.page * query.size],
    ),
  ]);
  const total = counted[0]?.total ?? 0;
  return `{"total":${total},"rows":[${rows.map(({ json }) => json).join(',')}]}`;
}

/** What the book can be narrowed to, with how many scraps there are of each. */
export async function bookChoices(store: Store): Promise<BookChoices> {
  const grouped = async (idColumn: string, nameColumn: string) => {
    const rows = await store.database.reading.rows<{ id: string; name: string; scraps: number }>(
      `SELECT ${idColumn} AS id, MAX(${nameColumn}) AS name, COUNT(*) AS scraps FROM attempts
       WHERE ${idColumn} IS NOT NULL AND ${idColumn} <> '' GROUP BY ${idColumn}
       ORDER BY name`,
    );
    return rows;
  };
  const [finishes, cloths, machines, feet] = await Promise.all([
    grouped('finish', 'finish'),
    grouped('clothId', 'clothName'),
    grouped('machineId', 'machineName'),
    grouped('footId', 'footName'),
  ]);
  return {
    finishes: finishes.map((one) => ({ ...one, name: finishById(one.id)?.name ?? one.id })),
    cloths,
    machines,
    feet,
  };
}

/** For each edge with a kept scrap, the number of the first. */
export async function scrapsUntilKept(store: Store): Promise<number[]> {
  const rows = await store.database.reading.rows<{ scraps: number }>(
    `SELECT MIN(number) AS scraps FROM attempts
     WHERE verdict = 'keep' AND planId IS NOT NULL GROUP BY planId`,
  );
  return rows.map(({ scraps }) => scraps);
}
