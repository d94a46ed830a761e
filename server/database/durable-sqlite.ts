import sqlite3 from 'sqlite3';

/**
 * Settings of every connection. A transaction of the object mapper opens one of its own, so they
 * belong to the opening of a connection, not to the start of the server.
 * FULL makes each commit reach the disk before it is acknowledged, also under WAL.
 */
export const durable =
  'PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000;';

class DurableDatabase extends sqlite3.Database {
  constructor(file: string, mode: number, opened: (error: Error | null) => void) {
    // A file that is gone stays gone: no connection ever makes a new, empty one in its place.
    super(file, mode & ~sqlite3.OPEN_CREATE, (error) => {
      if (error) opened(error);
      else this.exec(durable, opened);
    });
  }

  /**
   * The object mapper puts down where each statement was asked for, in words, in case it fails; what failed is
   * told by the statement itself. Nothing is put down of what is made in here.
   */
  override serialize(work?: () => void): void {
    const kept = Error.stackTraceLimit;
    Error.stackTraceLimit = 0;
    try {
      super.serialize(work);
    } finally {
      Error.stackTraceLimit = kept;
    }
  }
}

/** The sqlite3 module with connections that are set up before they are handed out. */
export const durableSqlite = { ...sqlite3, Database: DurableDatabase };
