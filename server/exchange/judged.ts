import {
  exchangeTables,
  outcomes,
  type ImportPreview,
  type ImportRow,
} from '../../contract/exchange';
import type { ToldRefusal } from '../work/told-refusal';
import type { KeptPhoto } from '../photos/keep-photo';
import { digestOf, judgeRows, type JudgedRow, type Stored } from './judge-rows';
import { readFile } from './read-file';
import { sentPhotos, type PhotoHelp } from './sent-photos';

/** What would become of a file, before any of it is written. */
export interface Judged {
  readonly digest: string;
  /** The whole preview as the JSON that is sent. */
  readonly preview: string;
  /** What undo will call it. */
  readonly label: string;
  /** Why nothing of it can be taken; null when all can. */
  readonly refusal: ToldRefusal | null;
  readonly photos: readonly KeptPhoto[];
  /** The rows that would be written. */
  readonly rows: readonly JudgedRow[];
}

export type Help = Stored & PhotoHelp;

function labelOf(rows: readonly JudgedRow[]): string {
  const parts = exchangeTables.flatMap((table) => {
    const count = rows.filter((row) => row.table === table && row.outcome !== 'same').length;
    return count > 0 ? [`${count} ${table === 'attempts' ? 'scraps' : table}`] : [];
  });
  return `import of ${parts.join(', ') || 'nothing new'}`;
}

/** Named one by one up to here; a file of nothing but faults would be answered by a book of them. */
const mostNamed = 500;

function refusalOf(rows: readonly JudgedRow[]): ToldRefusal | null {
  const refused = rows.filter(({ outcome }) => outcome === 'refused');
  const [first] = refused;
  if (!first) return null;
  return {
    status: 400,
    code: 'refused-rows',
    message: `${refused.length} of ${rows.length} rows cannot be taken, so none was. ${first.place}: ${first.issues[0]?.message ?? ''}`,
    issues: refused
      .slice(0, mostNamed)
      .flatMap(({ place, issues }) =>
        issues.map(({ path, message }) => ({ path: `${place}.${path}`, message })),
      ),
  };
}

/**
 * Reads a file and says what would become of each of its rows.
 *
 * @param progress told now and then how many of how many rows are judged
 * @throws Refusal 400 when nothing can be made of the file as a whole
 */
export async function judgeFile(
  bytes: Buffer,
  help: Help,
  progress: (done: number, total: number) => Promise<void> | void = () => undefined,
): Promise<Judged> {
  const file = readFile(bytes);
  const photos = await sentPhotos(help, file);
  const total = file.rows.length;
  const rows = await judgeRows(help, file.rows, photos, (done) => progress(done, total));
  const digest = digestOf(bytes, rows);
  const preview: ImportPreview = {
    digest,
    rows: rows.map(({ draft: _draft, before: _before, createdAt: _day, ...row }): ImportRow => row),
    counts: Object.fromEntries(
      outcomes.map((one) => [one, rows.filter(({ outcome }) => outcome === one).length]),
    ) as ImportPreview['counts'],
    repairs: [...file.repairs],
    photos: photos.whole.length,
  };
  return {
    ...{ digest, preview: JSON.stringify(preview), label: labelOf(rows), refusal: refusalOf(rows) },
    photos: photos.whole,
    rows: rows.filter(({ outcome }) => outcome === 'added' || outcome === 'changed'),
  };
}
