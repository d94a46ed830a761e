import { createHash } from 'node:crypto';
import * as z from 'zod';
import type { ClothDraft } from '../../contract/cloth';
import { issuesOf } from '../../contract/error';
import { exchangeTables, type ExchangeTable, type ImportRow } from '../../contract/exchange';
import { photoFields } from '../../contract/photo';
import type { BookEntry } from '../../contract/records';
import { finishById } from '../../core/finish/catalogue';
import { Impossible, type Issue } from '../../core/impossible';
import { zeroByteAt, zeroByteMessage } from '../http/zero-bytes';
import { refuseEmpty, refuseLater } from '../store/attempts';
import { draftOfRow, type Row } from '../store/journal';
import { refuseImplausible } from '../store/resources';
import { columns } from './columns';
import { draftSchema, exchanged } from './record';
import type { ReadRow } from './read-file';
import type { SentPhotos } from './sent-photos';

/** A row with what would be written, when it can be. */
export interface JudgedRow extends ImportRow {
  readonly draft: Record<string, unknown> | null;
  readonly before: Row | null;
  readonly createdAt: string | null;
}

/** What a new record starts with where a file says nothing. */
const blanks: Readonly<Record<ExchangeTable, Record<string, unknown>>> = {
  cloths: { weightClass: null, tests: {}, note: '' },
  machines: { specs: {}, note: '' },
  feet: { channelMm: null, specs: {}, soleMm: {}, note: '' },
  needles: { left: 0, note: '' },
  threads: { fibre: null, tex: null, colour: '', note: '' },
  attempts: {
    ...{ planId: null, clothId: null, machineId: null, footId: null, number: 1, settings: null },
    ...{ counts: [], note: '' },
  },
};

const idSchema = z
  .string()
  .regex(/^[\w.-]{1,64}$/, 'An id is 1 to 64 letters, digits, points, hyphens or underscores.');
const dayOf = z.iso.datetime();

type Fields = Record<string, unknown>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Fields over the ones that are there; a guide is one thing and never half of each. */
function merged(base: Fields, over: Fields): Fields {
  const result: Fields = { ...base };
  for (const [name, value] of Object.entries(over)) {
    const below = base[name];
    result[name] =
      name !== 'guide' && isFields(value) && isFields(below) ? merged(below, value) : value;
  }
  return result;
}

/** What contradicts itself though each field alone is right. */
function contradictions(table: ExchangeTable, draft: Fields): readonly Issue[] {
  try {
    if (table === 'cloths') refuseImplausible(draft as unknown as ClothDraft);
    if (table === 'attempts') refuseWrongEntry(draft as unknown as BookEntry);
    return [];
  } catch (error) {
    if (error instanceof Impossible) return error.issues;
    throw error;
  }
}

/** @throws Impossible for a scrap that says nothing, of no finish, counted by no check, or sewn later */
function refuseWrongEntry(entry: BookEntry): void {
  const finish = finishById(entry.finish);
  if (!finish?.variants.some(({ id }) => id === entry.setUp.fold.variant)) {
    const message = `“${entry.finish}”, ${entry.setUp.fold.variant}, is no finish that is known here.`;
    throw new Impossible([{ path: 'finish', message }]);
  }
  refuseEmpty(entry);
  refuseLater(entry.sewnOn);
  const checks = finish.margin(entry.setUp.fold.variant)?.words.checks ?? {};
  entry.counts.forEach(({ check }, i) => {
    if (Object.hasOwn(checks, check)) return;
    const known = Object.keys(checks).join(', ') || 'none';
    const message = `“${check}” is not a check of ${finish.id}; it has ${known}.`;
    throw new Impossible([{ path: `counts.${i}.check`, message }]);
  });
}

/** What a scrap is called in a list of many kinds of things. */
function scrapName(draft: Fields | null): string | undefined {
  const entry = draft as unknown as BookEntry | null;
  return entry ? `${entry.finish}, ${entry.names.cloth}`.slice(0, 120) : undefined;
}

/** A value for comparing: what is null and what is left out mean the same. */
function said(value: unknown): string {
  return JSON.stringify(value, (_, part: unknown) => part ?? undefined) ?? '';
}

function changedFields(table: ExchangeTable, before: Row, draft: Fields): string[] {
  const was = exchanged(table, before);
  const is = exchanged(table, { ...before, ...draft });
  return Object.keys(was).filter((name) => said(was[name]) !== said(is[name]));
}

/** The places of each id that a file gives more than once. */
function places(rows: readonly ReadRow[]): Map<string, string[]> {
  const byId = new Map<string, string[]>();
  for (const { table, place, record } of rows) {
    const { id } = record;
    if (typeof id !== 'string' || id === '') continue;
    const key = `${table}/${id}`;
    const there = byId.get(key);
    if (there) there.push(place);
    else byId.set(key, [place]);
  }
  return byId;
}

/** An issue at the column it stands in, where the file has columns. */
const inFile =
  ({ table, partial }: ReadRow) =>
  ({ path, message }: Issue): Issue => {
    const column = columns[table].find((one) => one.path.join('.') === path);
    return { path: partial ? (column?.name ?? path) : path, message };
  };

function judgeRow(
  row: ReadRow,
  stored: Row | null,
  twice: readonly string[],
  photos: SentPhotos,
  plans: ReadonlySet<string>,
): JudgedRow {
  const { table, place } = row;
  const { id: givenId, createdAt: givenDay, ...fields } = row.record;
  const issues: Issue[] = [...row.issues];
  const zeroByte = zeroByteAt(row.record);
  if (zeroByte !== null) issues.push({ path: zeroByte, message: zeroByteMessage });
  const repairs: Issue[] = [...row.repairs];
  const id = givenId === undefined || givenId === null || givenId === '' ? null : givenId;
  if (id !== null) {
    const shaped = idSchema.safeParse(id);
    if (!shaped.success) issues.push({ path: 'id', message: issuesOf(shaped.error)[0]!.message });
  }
  if (twice.length > 1) {
    const message = `The id “${id as string}” is there ${twice.length} times: ${twice.slice(0, 4).join(', ')}.`;
    issues.push({ path: 'id', message });
  }
  const schema = draftSchema(table);
  const known = Object.entries(fields).filter(([name]) => {
    if (Object.hasOwn(schema.shape, name)) return true;
    repairs.push({ path: name.slice(0, 60), message: 'This field is not known; it is left out.' });
    return false;
  });
  const before = stored;
  const base = before && row.partial ? draftOfRow(before) : blanks[table];
  const whole = merged(base, Object.fromEntries(known));
  const parsed = schema.safeParse(whole);
  if (!parsed.success) issues.push(...issuesOf(parsed.error).map(inFile(row)));
  const draft = parsed.success ? parsed.data : null;
  if (draft) issues.push(...contradictions(table, draft).map(inFile(row)));
  for (const path of draft ? photoFields : []) {
    const sent = draft?.[path];
    if (!draft || typeof sent !== 'string') continue;
    const kept = photos.keptAs(sent);
    if (kept === null) issues.push({ path, message: photos.why(sent) });
    else draft[path] = kept;
  }
  const { planId } = draft ?? {};
  if (draft && typeof planId === 'string' && !plans.has(planId)) {
    draft['planId'] = null;
    repairs.push({ path: 'planId', message: 'Its edge is not here; the scrap stands alone.' });
  }
  const day = dayOf.safeParse(givenDay);
  if (!day.success && givenDay !== undefined && givenDay !== null) {
    repairs.push({ path: 'createdAt', message: 'This is no date; today is taken.' });
  }
  const changed = before && draft && issues.length === 0 ? changedFields(table, before, draft) : [];
  const name = table === 'attempts' ? scrapName(draft) : fields['name'];
  return {
    table,
    place,
    id: typeof id === 'string' ? id : null,
    name:
      typeof name === 'string'
        ? name.slice(0, 120)
        : ((before?.['name'] as string | undefined) ?? ''),
    outcome:
      issues.length > 0 ? 'refused' : !before ? 'added' : changed.length > 0 ? 'changed' : 'same',
    fields: changed,
    ...{ issues, repairs, draft, before },
    createdAt: day.success ? day.data : null,
  };
}

/** What is stored, as far as a file asks for it. */
export interface Stored {
  rows(table: ExchangeTable, ids: readonly string[]): Promise<readonly Row[]>;
  /** Those of some plans that are there. */
  plans(ids: readonly string[]): Promise<readonly string[]>;
}

const idOf = ({ record }: ReadRow): string | null =>
  typeof record['id'] === 'string' ? record['id'] : null;

/** Rows between two looks at whether anybody still waits. */
const rowsAtOnce = 100;

/**
 * What would become of each row, against what is stored now.
 *
 * @param progress called now and then with how many rows are judged
 */
export async function judgeRows(
  stored: Stored,
  rows: readonly ReadRow[],
  photos: SentPhotos,
  progress: (done: number) => Promise<void> | void = () => undefined,
): Promise<JudgedRow[]> {
  const there = new Map<string, Row>();
  for (const table of exchangeTables) {
    const ids = rows.flatMap((row) => (row.table === table ? (idOf(row) ?? []) : []));
    if (ids.length === 0) continue;
    for (const row of await stored.rows(table, [...new Set(ids)]))
      there.set(`${table}/${row.id}`, row);
  }
  const byId = places(rows);
  const planIds = rows.flatMap(({ record }) =>
    typeof record['planId'] === 'string' ? [record['planId']] : [],
  );
  const plans = new Set(await stored.plans([...new Set(planIds)]));
  const judged: JudgedRow[] = [];
  for (const row of rows) {
    if (judged.length % rowsAtOnce === 0) await progress(judged.length);
    const key = `${row.table}/${idOf(row)}`;
    judged.push(judgeRow(row, there.get(key) ?? null, byId.get(key) ?? [], photos, plans));
  }
  return judged;
}

/** A mark of a file and of what would become of it; another shelf gives another mark. */
export function digestOf(bytes: Buffer, rows: readonly JudgedRow[]): string {
  const hash = createHash('sha256').update(bytes);
  for (const { place, outcome, before } of rows) {
    hash.update(`${place} ${outcome} ${before?.version ?? ''}\n`);
  }
  return hash.digest('hex');
}
