import { DataTypes } from 'sequelize';
import type { Connection, RawRow, Value } from './connection';
import { recordTables, type Models, type RecordTable } from './models';
import type { RowOf } from './rows';

/** What a column holds that is not kept as it is. */
type Kind = 'json' | 'boolean' | 'as-it-is';

const kindOf = (type: unknown): Kind =>
  type instanceof DataTypes.JSON
    ? 'json'
    : type instanceof DataTypes.BOOLEAN
      ? 'boolean'
      : 'as-it-is';

/** A text that is no JSON holds nothing anybody can use; whoever needs it says that it is missing. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function decoded(kind: Kind, value: Value): unknown {
  if (kind === 'json' && typeof value === 'string') return parsed(value);
  return kind === 'boolean' && value !== null ? value === 1 : value;
}

type Kinds = Readonly<Record<string, Kind>>;

/** Makes something for every table of records. */
const forEach = <T>(make: (table: RecordTable) => T) =>
  Object.fromEntries(recordTables.map((table) => [table, make(table)])) as Record<RecordTable, T>;

/** A value of a condition: a column that equals it, or one of several. */
type Condition = string | readonly string[];

/**
 * Reads records without the object mapper, which asks SQLite for the columns of a table each time it
 * reads from it. What is read is what was last stored; nothing is kept in between.
 */
export class Reading {
  private readonly types: Readonly<Record<RecordTable, Kinds>>;
  /** The columns of each table as SQL. */
  private readonly columns: Readonly<Record<RecordTable, string>>;

  constructor(
    private readonly connection: Connection,
    models: Models,
  ) {
    this.types = forEach((table) =>
      Object.fromEntries(
        Object.entries(models[table].getAttributes()).map(([name, { type }]) => [
          name,
          kindOf(type),
        ]),
      ),
    );
    this.columns = forEach((table) =>
      Object.keys(this.types[table])
        .map((name) => `"${name}"`)
        .join(', '),
    );
  }

  /** Rows of a query, what is JSON still being text. */
  rows<T = RawRow>(sql: string, values: readonly Value[] = []): Promise<T[]> {
    return this.connection.kept<T>(sql, values);
  }

  /** A row as SQLite gave it, with its JSON and its yes and no read. */
  private decoded<T extends RecordTable>(table: T, row: RawRow): RowOf<T> {
    const read: Record<string, unknown> = {};
    for (const [name, kind] of Object.entries(this.types[table])) {
      const value = row[name];
      if (value !== undefined) read[name] = decoded(kind, value);
    }
    // Taken at its word, as by `plainRow`.
    return read as unknown as RowOf<T>;
  }

  /**
   * Columns as the inside of SQLite's `json_object`; what is no JSON where it should be is null.
   *
   * @example `'id', attempts."id", 'pinned', json(iif(attempts."pinned", 'true', 'false'))`
   */
  asJson(table: RecordTable, names: readonly string[]): string {
    const types = this.types[table];
    return names
      .map((name) => {
        const column = `${table}."${name}"`;
        if (types[name] === 'json')
          return `'${name}', json(iif(json_valid(${column}), ${column}, 'null'))`;
        if (types[name] === 'boolean') return `'${name}', json(iif(${column}, 'true', 'false'))`;
        return `'${name}', ${column}`;
      })
      .join(', ');
  }

  async find<T extends RecordTable>(table: T, id: string): Promise<RowOf<T> | null> {
    const columns = this.columns[table];
    const [row] = await this.rows(`SELECT ${columns} FROM ${table} WHERE id = ?`, [id]);
    return row ? this.decoded(table, row) : null;
  }

  /** Records in the order they were made. */
  async list<T extends RecordTable>(
    table: T,
    where: Readonly<Record<string, Condition>>,
    { limit, offset }: { readonly limit: number; readonly offset: number },
  ): Promise<RowOf<T>[]> {
    const columns = this.columns[table];
    const { text, values } = this.narrowed(table, where);
    const rows = await this.rows(
      `SELECT ${columns} FROM ${table}${text} ORDER BY createdAt, id LIMIT ? OFFSET ?`,
      [...values, limit, offset],
    );
    return rows.map((row) => this.decoded(table, row));
  }

  /** Records that come after an id, in the order of their ids. */
  async after<T extends RecordTable>(table: T, id: string, most: number): Promise<RowOf<T>[]> {
    const columns = this.columns[table];
    const rows = await this.rows(
      `SELECT ${columns} FROM ${table} WHERE id > ? ORDER BY id LIMIT ?`,
      [id, most],
    );
    return rows.map((row) => this.decoded(table, row));
  }

  async count(table: RecordTable, where: Readonly<Record<string, Condition>>): Promise<number> {
    const { text, values } = this.narrowed(table, where);
    const [row] = await this.rows<{ n: number }>(
      `SELECT count(*) AS n FROM ${table}${text}`,
      values,
    );
    return row?.n ?? 0;
  }

  /** @throws Error for a column the table has not got: names of columns never come from outside */
  private narrowed(table: RecordTable, where: Readonly<Record<string, Condition>>) {
    const values: Value[] = [];
    const parts = Object.entries(where).map(([name, wanted]) => {
      if (!Object.hasOwn(this.types[table], name)) throw new Error(`No column ${table}.${name}.`);
      if (typeof wanted === 'string') {
        values.push(wanted);
        return `"${name}" = ?`;
      }
      // One value, so that the statement is the same for any number of them.
      values.push(JSON.stringify(wanted));
      return `"${name}" IN (SELECT value FROM json_each(?))`;
    });
    return { text: parts.length > 0 ? ` WHERE ${parts.join(' AND ')}` : '', values };
  }
}
