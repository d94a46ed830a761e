import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Connection } from './connection';
import { closedMark } from './file-header';

/** Why a snapshot was taken. */
export const snapshotReasons = [
  'daily',
  'by-hand',
  'before-update',
  'before-import',
  'before-archive',
  'before-going-back',
  'before-project',
] as const;
export type SnapshotReason = (typeof snapshotReasons)[number];

export interface Snapshot {
  /** Its name: when, and why. */
  readonly id: string;
  readonly at: string;
  readonly reason: SnapshotReason;
  readonly bytes: number;
}

const keptDays = 7;
const keptWeeks = 4;
const dayMs = 86_400_000;
const named = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z_([a-z-]+)\.sqlite$/;

const folderOf = (dataFolder: string) => join(dataFolder, 'snapshots');

/** A snapshot's file; null when its name is none of ours. */
export function snapshotFile(dataFolder: string, id: string): string | null {
  const name = `${id}.sqlite`;
  const file = join(folderOf(dataFolder), name);
  return named.test(name) && existsSync(file) ? file : null;
}

/** The snapshots of a folder, the latest first. */
export function listSnapshots(dataFolder: string): Snapshot[] {
  const folder = folderOf(dataFolder);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): Snapshot[] => {
      const [, day, hour, minute, second, ms, reason] = named.exec(name) ?? [];
      if (day === undefined || !snapshotReasons.includes(reason as SnapshotReason)) return [];
      return [
        {
          id: name.replace(/\.sqlite$/, ''),
          at: `${day}T${hour}:${minute}:${second}.${ms}Z`,
          reason: reason as SnapshotReason,
          bytes: statSync(join(folder, name)).size,
        },
      ];
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/**
 * Those to keep: everything of the last seven days, and the latest of each of the four weeks
 * before.
 */
export function keptSnapshots(all: readonly Snapshot[], now: Date): Snapshot[] {
  const age = ({ at }: Snapshot) => (now.getTime() - Date.parse(at)) / dayMs;
  const weekOf = (it: Snapshot) => Math.floor((age(it) - keptDays) / 7);
  const latestFirst = [...all].sort((a, b) => (a.at < b.at ? 1 : -1));
  const weeks = new Set<number>();
  return latestFirst.filter((it) => {
    if (age(it) < keptDays) return true;
    const week = weekOf(it);
    if (week >= keptWeeks || weeks.has(week)) return false;
    weeks.add(week);
    return true;
  });
}

/** Makes a copy of an open database one that needs nothing beside it. */
async function standsAlone(file: string): Promise<void> {
  const copy = await Connection.open(file, 'write');
  try {
    await copy.run('PRAGMA journal_mode = DELETE');
    await copy.run(`PRAGMA application_id = ${closedMark}`);
  } finally {
    await copy.close();
  }
}

/** Copies a database as it is now beside itself, and lets go of what is too old. */
export async function takeSnapshot(
  connection: Connection,
  dataFolder: string,
  reason: SnapshotReason,
  now = new Date(),
): Promise<string> {
  const folder = folderOf(dataFolder);
  mkdirSync(folder, { recursive: true });
  const id = `${now.toISOString().replace(/[:.]/g, '-')}_${reason}`;
  // Under another name until it is whole: half a snapshot is none.
  const part = join(folder, `${id}.part`);
  rmSync(part, { force: true });
  await connection.copyInto(part);
  await standsAlone(part);
  renameSync(part, join(folder, `${id}.sqlite`));
  const all = listSnapshots(dataFolder);
  const kept = new Set(keptSnapshots(all, now).map((it) => it.id));
  for (const it of all) {
    if (!kept.has(it.id)) rmSync(join(folder, `${it.id}.sqlite`), { force: true });
  }
  return id;
}

/** Takes the snapshot of the day unless there is one. */
export async function takeDaily(
  connection: Connection,
  dataFolder: string,
  now = new Date(),
): Promise<void> {
  const day = now.toISOString().slice(0, 10);
  const taken = listSnapshots(dataFolder).some(
    ({ at, reason }) => reason === 'daily' && at.startsWith(day),
  );
  if (!taken) await takeSnapshot(connection, dataFolder, 'daily', now);
}
