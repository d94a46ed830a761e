import sqlite3 from 'sqlite3';

export type Value = string | number | null | Buffer;
/** A row as SQLite has it: what is JSON is still text. */
export type RawRow = Record<string, Value>;

interface Backup {
  readonly completed: boolean;
  step(pages: number, done: (error: Error | null) => void): void;
  finish(done: (error: Error | null) => void): void;
}

/** The driver's backup, which its own types leave out. */
interface Backing {
  backup(
    file: string,
    to: string,
    from: string,
    fileIsTo: boolean,
    opened: (error: Error | null) => void,
  ): Backup;
}

/** Pages copied at once; between two steps others may write. */
const pagesAStep = 256;

/** How many statements a connection keeps ready. */
const mostStatements = 60;

/** One connection to a database file, without the object mapper: for what only SQLite itself can do. */
export class Connection {
  /** Statements that are asked again and again, read by SQLite once. */
  private readonly statements = new Map<string, Promise<sqlite3.Statement>>();

  private constructor(private readonly database: sqlite3.Database) {}

  /**
   * @param mode `read` never writes a byte, `write` needs the file to be there, `create` makes it
   * @throws Error with SQLite's code
   */
  static open(file: string, mode: 'read' | 'write' | 'create'): Promise<Connection> {
    const flags = {
      read: sqlite3.OPEN_READONLY,
      write: sqlite3.OPEN_READWRITE,
      create: sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE,
    }[mode];
    return new Promise((opened, failed) => {
      const database = new sqlite3.Database(file, flags | sqlite3.OPEN_URI, (error) =>
        error ? failed(error) : opened(new Connection(database)),
      );
    });
  }

  /** Rows of a query. */
  rows<T = RawRow>(sql: string, values: readonly Value[] = []): Promise<T[]> {
    return new Promise((done, failed) => {
      this.database.all<T>(sql, values, (error, rows) => (error ? failed(error) : done(rows)));
    });
  }

  /** Rows of a query that will be asked again with other values: its text is read only once. */
  async kept<T = RawRow>(sql: string, values: readonly Value[] = []): Promise<T[]> {
    const preparing = this.statements.get(sql) ?? this.prepared(sql);
    this.statements.delete(sql);
    // Asked for last, so forgotten last.
    this.statements.set(sql, preparing);
    if (this.statements.size > mostStatements) {
      const [oldest] = this.statements.keys();
      if (oldest !== undefined) await this.forget(oldest);
    }
    const statement = await preparing;
    return new Promise((done, failed) => {
      statement.all<T>(values, (error: Error | null, rows: T[]) =>
        error ? failed(error) : done(rows),
      );
    });
  }

  private async forget(sql: string): Promise<void> {
    const preparing = this.statements.get(sql);
    this.statements.delete(sql);
    // One that could not be read has nothing to be let go of.
    await preparing?.then((statement) => statement.finalize()).catch(() => undefined);
  }

  private prepared(sql: string): Promise<sqlite3.Statement> {
    return new Promise((ready, failed) => {
      const statement: sqlite3.Statement = this.database.prepare(sql, (error: Error | null) =>
        error ? failed(error) : ready(statement),
      );
    });
  }

  /** Rows of a query, one after another; the next is not read before `row` is done with the last. */
  async each<T = RawRow>(sql: string, row: (row: T) => Promise<void> | void): Promise<void> {
    const statement = await this.prepared(sql);
    try {
      for (;;) {
        const next = await new Promise<T | undefined>((got, failed) => {
          statement.get<T>((error: Error | null, found?: T) =>
            error ? failed(error) : got(found),
          );
        });
        if (next === undefined) return;
        await row(next);
      }
    } finally {
      await new Promise<void>((done) => statement.finalize(() => done()));
    }
  }

  run(sql: string, values: readonly Value[] = []): Promise<void> {
    return new Promise((done, failed) => {
      this.database.run(sql, values, (error) => (error ? failed(error) : done()));
    });
  }

  /** Several statements at once, none of which answers. */
  exec(sql: string): Promise<void> {
    return new Promise((done, failed) => {
      this.database.exec(sql, (error) => (error ? failed(error) : done()));
    });
  }

  /** All of `work` or nothing of it. */
  async whole<T>(work: () => Promise<T>): Promise<T> {
    await this.run('BEGIN IMMEDIATE');
    try {
      const result = await work();
      await this.run('COMMIT');
      return result;
    } catch (error) {
      // A full disk may have rolled it back already.
      await this.run('ROLLBACK').catch(() => undefined);
      throw error;
    }
  }

  /** Copies the whole database into a file, while others go on writing. */
  copyInto(file: string): Promise<void> {
    return this.backUp(file, true);
  }

  /** Fills this database with what is in a file, whole or not at all. */
  fillFrom(file: string): Promise<void> {
    return this.backUp(file, false);
  }

  private async backUp(file: string, fileIsTo: boolean): Promise<void> {
    const database = this.database as unknown as Backing;
    const backup = await new Promise<Backup>((ready, failed) => {
      const begun: Backup = database.backup(file, 'main', 'main', fileIsTo, (error) =>
        error ? failed(error) : ready(begun),
      );
    });
    try {
      while (!backup.completed) {
        await new Promise<void>((done, failed) => {
          backup.step(pagesAStep, (error) => (error ? failed(error) : done()));
        });
      }
    } finally {
      await new Promise<void>((done) => backup.finish(() => done()));
    }
  }

  async close(): Promise<void> {
    for (const sql of [...this.statements.keys()]) await this.forget(sql);
    return new Promise((done, failed) => {
      this.database.close((error) => (error ? failed(error) : done()));
    });
  }
}
