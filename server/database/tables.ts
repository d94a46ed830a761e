import type { Connection, RawRow, Value } from './connection';

/** A database's tables, as a migration changes them: each change is made unless it is there. */
export class Tables {
  constructor(private readonly connection: Connection) {}

  rows(sql: string): Promise<RawRow[]> {
    return this.connection.rows(sql);
  }

  run(sql: string, values: readonly Value[] = []): Promise<void> {
    return this.connection.run(sql, values);
  }

  /** @param columns name and definition of each, in order; or a whole clause */
  createTable(table: string, columns: Readonly<Record<string, string>>): Promise<void> {
    const parts = Object.entries(columns).map(([name, definition]) => `"${name}" ${definition}`);
    return this.run(`CREATE TABLE IF NOT EXISTS "${table}" (${parts.join(', ')})`);
  }

  createIndex(name: string, table: string, columns: string): Promise<void> {
    return this.run(`CREATE INDEX IF NOT EXISTS ${name} ON "${table}" (${columns})`);
  }

  async addColumn(table: string, column: string, definition: string): Promise<void> {
    if (await this.hasColumn(table, column)) return;
    await this.run(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${definition}`);
  }

  async hasColumn(table: string, column: string): Promise<boolean> {
    const found = await this.connection.rows('SELECT 1 FROM pragma_table_info(?) WHERE name = ?', [
      table,
      column,
    ]);
    return found.length > 0;
  }
}
