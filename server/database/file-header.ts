import { closeSync, openSync, readSync } from 'node:fs';

/** What the first hundred bytes of a database file say. Source: the file format of SQLite 3. */
export interface FileHeader {
  readonly isDatabase: boolean;
  /** The number the app gave its tables, 0 for none. */
  readonly schema: number;
  readonly applicationId: number;
}

const magic = 'SQLite format 3\0';

/** Marks of a file that is open, and of one that was closed in good order. */
export const openMark = 0x504d_6f70;
export const closedMark = 0x504d_636c;

/** Reads the head of a file; null when it is empty. @throws Error of the system */
export function headerOf(file: string): FileHeader | null {
  const bytes = Buffer.alloc(100);
  const descriptor = openSync(file, 'r');
  let length: number;
  try {
    length = readSync(descriptor, bytes, 0, 100, 0);
  } finally {
    closeSync(descriptor);
  }
  if (length === 0) return null;
  return {
    isDatabase: length === 100 && bytes.toString('latin1', 0, 16) === magic,
    schema: bytes.readUInt32BE(60),
    applicationId: bytes.readUInt32BE(68),
  };
}
