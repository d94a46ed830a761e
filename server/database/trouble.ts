import { basename } from 'node:path';

/** What can be wrong with a data folder, as far as a person can do something about it. */
export type TroubleKind =
  | 'folder-gone'
  | 'not-a-folder'
  | 'not-allowed'
  | 'read-only'
  | 'disk-full'
  | 'disk-fails'
  | 'corrupt'
  | 'newer'
  | 'in-use'
  | 'without-wal';

/** Trouble with the data folder: which file, what is wrong, what to do. */
export class FolderTrouble extends Error {
  constructor(
    readonly kind: TroubleKind,
    /** The file or folder it is about. */
    readonly file: string,
    message: string,
  ) {
    super(message);
    this.name = 'FolderTrouble';
  }
}

type Words = (file: string) => string;

const words: Readonly<Record<Exclude<TroubleKind, 'newer' | 'in-use' | 'without-wal'>, Words>> = {
  'folder-gone': (file) =>
    `“${file}” is not there any more: it was moved or deleted while the app was running. Put it back, or start the app again; nothing was written elsewhere instead.`,
  'not-a-folder': (file) =>
    `“${file}” is a file, and a folder is needed. Name another folder with PIN_MARGIN_DATA.`,
  'not-allowed': (file) =>
    `“${file}” may not be read or written by this user. Give yourself the right to it, or name another folder with PIN_MARGIN_DATA.`,
  'read-only': (file) =>
    `“${file}” can only be read, so nothing can be kept. Make it writable, or name another folder with PIN_MARGIN_DATA.`,
  'disk-full': () => 'The disk is full, nothing of this change was kept. Make room and try again.',
  'disk-fails': (file) =>
    `Reading or writing “${file}” failed; the disk may be failing, or it was taken away. Nothing of this change was kept.`,
  corrupt: (file) =>
    `“${basename(file)}” is damaged: some of its pages can't be read. Nothing was changed in it. Go back to a snapshot beside it, or run “npm run salvage” to copy what can still be read into a new file.`,
};

/** What the system and SQLite call it, and what it is here. */
const kinds: Readonly<Record<string, keyof typeof words>> = {
  ENOENT: 'folder-gone',
  ENOTDIR: 'not-a-folder',
  EEXIST: 'not-a-folder',
  EACCES: 'not-allowed',
  EPERM: 'not-allowed',
  EROFS: 'read-only',
  ENOSPC: 'disk-full',
  EDQUOT: 'disk-full',
  SQLITE_READONLY: 'read-only',
  SQLITE_FULL: 'disk-full',
  SQLITE_CORRUPT: 'corrupt',
  SQLITE_NOTADB: 'corrupt',
  SQLITE_IOERR: 'disk-fails',
  SQLITE_CANTOPEN: 'folder-gone',
  EIO: 'disk-fails',
};

/** Trouble of a known kind, in words. */
export function troubleOf(kind: keyof typeof words, file: string): FolderTrouble {
  return new FolderTrouble(kind, file, words[kind](file));
}

/** The code that an error of the system, of SQLite or of the object mapper carries. */
function codeOf(error: unknown): string | undefined {
  const { code, original } = (error ?? {}) as { code?: unknown; original?: unknown };
  if (typeof code === 'string') return code;
  return original === undefined ? undefined : codeOf(original);
}

/**
 * What an error says of the data folder; null when it is about something else.
 *
 * @param file what the error is about, when it does not say so itself
 */
export function troubleIn(error: unknown, file: string): FolderTrouble | null {
  if (error instanceof FolderTrouble) return error;
  const code = codeOf(error);
  const kind = code === undefined ? undefined : kinds[code];
  return kind === undefined ? null : troubleOf(kind, file);
}
