import { Op, QueryTypes, col, literal, where, type WhereOptions } from 'sequelize';
import type { Literal } from 'sequelize/types/utils';
import type { BookChoices, BookPage, BookQuery, BookRow, BookSort } from '../../contract/book';
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

/** The index of the book's words is one of every three letters after one another. */
const shortestIndexed = 3;

/**
 * How SQLite goes through what matches: by the matches, which it then sorts; or along the order that
 * is asked for, looking whether each is among them, until the page is full (a plus before the column
 * tells it so). The first is quick for few matches, the second for many.
 */
type Way = 'by-the-matches' | 'along-the-order';
const fewMatches = 2000;

/** Scraps in whose names or note a word stands, by the index where the word is long enough. */
function withWord(store: Store, word: string, way: Way): WhereOptions {
  const { sequelize } = store.database;
  if ([...word].length >= shortestIndexed) {
    const phrase = sequelize.escape(`"${word.replaceAll('"', '""')}"`);
    return literal(
      `${way === 'along-the-order' ? '+' : ''}attempts.rowid IN (SELECT rowid FROM attempts_words WHERE attempts_words MATCH ${phrase})`,
    );
  }
  const like = literal(`${sequelize.escape(containing(word))} ESCAPE '\\'`);
  return {
    [Op.or]: ['clothName', 'machineName', 'footName', 'note'].map((name) =>
      where(col(name), Op.like, like),
    ),
  };
}

function searched(store: Store, q: string, way: Way): WhereOptions[] {
  return q
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => {
      const named = catalogue.filter(({ name }) => name.toLowerCase().includes(word.toLowerCase()));
      const found = withWord(store, word, way);
      if (named.length === 0) return found;
      return { [Op.or]: [found, { finish: named.map(({ id }) => id) }] };
    });
}

function narrowed(store: Store, query: BookQuery, way: Way): WhereOptions {
  const fields = ['finish', 'clothId', 'machineId', 'footId', 'verdict'] as const;
  return {
    [Op.and]: [
      ...fields.flatMap((field) => (query[field] ? [{ [field]: query[field] }] : [])),
      ...searched(store, query.q, way),
    ],
  };
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

/** One page of the book, without the set-ups. */
export async function bookPage(store: Store, query: BookQuery): Promise<BookPage> {
  const { attempts } = store.database.models;
  const direction = query.dir === 'asc' ? 'ASC' : 'DESC';
  const total = await attempts.count({ where: narrowed(store, query, 'by-the-matches') });
  const way = total <= fewMatches ? 'by-the-matches' : 'along-the-order';
  const rows = await attempts.findAll({
    where: narrowed(store, query, way),
    attributes: shownColumns,
    order: [
      // What has nothing there comes last, whichever way it is sorted; a day is always there.
      ...(query.sort === 'sewnOn'
        ? []
        : [[literal(`${columnOf[query.sort]} IS NULL`), 'ASC'] as [Literal, string]]),
      [literal(columnOf[query.sort]), direction],
      ['createdAt', direction],
      ['id', 'ASC'],
    ],
    limit: query.size,
    offset: query.page * query.size,
  });
  const plain = rows.map((row) => row.get({ plain: true }) as Omit<BookRow, 'edgeId'>);
  const planIds = [...new Set(plain.flatMap(({ planId }) => planId ?? []))];
  const plans = await store.database.models.plans.findAll({
    where: { id: planIds },
    attributes: ['id', 'edgeId'],
  });
  const edges = new Map(plans.map((row) => [String(row.get('id')), String(row.get('edgeId'))]));
  return {
    total,
    rows: plain.map((row) => ({ ...row, edgeId: edges.get(row.planId ?? '') ?? null })),
  };
}

/** What the book can be narrowed to, with how many scraps there are of each. */
export async function bookChoices(store: Store): Promise<BookChoices> {
  const grouped = async (idColumn: string, nameColumn: string) => {
    const rows = await store.database.sequelize.query<{ id: string; name: string; scraps: number }>(
      `SELECT ${idColumn} AS id, MAX(${nameColumn}) AS name, COUNT(*) AS scraps FROM attempts
       WHERE ${idColumn} IS NOT NULL AND ${idColumn} <> '' GROUP BY ${idColumn}
       ORDER BY name`,
      { type: QueryTypes.SELECT },
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
  const rows = await store.database.sequelize.query<{ scraps: number }>(
    `SELECT MIN(number) AS scraps FROM attempts
     WHERE verdict = 'keep' AND planId IS NOT NULL GROUP BY planId`,
    { type: QueryTypes.SELECT },
  );
  return rows.map(({ scraps }) => scraps);
}
