import type { Model } from 'sequelize';
import { mappedFile } from '../database/mapped';
import { defineModels, recordTables, type Models, type RecordTable } from '../database/models';
import { plainPhoto, plainRow, type RowOf } from '../database/rows';
import type { Author } from '../http/author';
import { draftOfRow } from '../store/journal';
import type { Change } from '../store/change';
import type { Store } from '../store/store';
import type { Share } from './write-archive';

const quoted = (text: string) => `'${text.replaceAll("'", "''")}'`;

/** What of the database goes with a project: its edges, plans and scraps, and what those need. */
export function shareOf(projectId: string): Share {
  const edges = `SELECT id FROM edges WHERE projectId = ${quoted(projectId)}`;
  const plans = `SELECT id FROM plans WHERE edgeId IN (${edges})`;
  const ofPlans = (column: string) => `SELECT ${column} FROM plans WHERE edgeId IN (${edges})`;
  const cloths = `id IN (SELECT clothId FROM edges WHERE projectId = ${quoted(projectId)})
    OR id IN (${ofPlans('stripClothId')})`;
  const attempts = `planId IN (${plans})`;
  return {
    cloths,
    machines: `id IN (${ofPlans('machineId')})`,
    feet: `id IN (${ofPlans('footId')}) OR id IN (${ofPlans('attachmentId')})`,
    projects: `id = ${quoted(projectId)}`,
    edges: `projectId = ${quoted(projectId)}`,
    plans: `edgeId IN (${edges})`,
    attempts,
    photos: `id IN (SELECT photoId FROM attempts WHERE ${attempts})
      OR id IN (SELECT otherFacePhotoId FROM attempts WHERE ${attempts})
      OR id IN (SELECT photoId FROM cloths WHERE ${cloths})`,
  };
}

const rowsAtOnce = 100;

/** Rows of a table, a lot at a time. */
async function* lotsOf(models: Models, table: RecordTable | 'photos'): AsyncGenerator<Model[]> {
  for (let offset = 0; ; offset += rowsAtOnce) {
    const rows = await models[table].findAll({ order: ['id'], limit: rowsAtOnce, offset });
    yield rows;
    if (rows.length < rowsAtOnce) return;
  }
}

/** A scrap that outlived its plan hangs on it again when the plan comes back. */
async function hangAgain(change: Change, here: RowOf, came: RowOf): Promise<void> {
  if (!('planId' in here) || !('planId' in came)) return;
  const { planId } = came;
  if (here.planId !== null || planId === null) return;
  await change.update('attempts', here.id, here.version, { planId });
}

/**
 * Adds what a database made from a project's archive holds and this one does not. What is here
 * already stays as it is here; all of it is one change, which undo takes back.
 *
 * @returns how many records of each table were added
 */
export async function addFrom(
  store: Store,
  file: string,
  by: Author,
): Promise<Record<string, number>> {
  const sequelize = mappedFile(file);
  const counts: Record<string, number> = {};
  try {
    const from = defineModels(sequelize);
    const project = await from.projects.findOne();
    const name = project ? plainRow('projects', project).name : '';
    await store.change(
      `project “${name}” taken in`,
      async (change) => {
        for await (const photos of lotsOf(from, 'photos')) {
          await change.keepPhotos(photos.map(plainPhoto));
        }
        for (const table of recordTables) {
          if (table === 'preferences') continue;
          counts[table] = 0;
          for await (const lot of lotsOf(from, table)) {
            const added = [];
            for (const row of lot.map((model) => plainRow(table, model))) {
              const here = await change.find(table, row.id);
              if (here) await hangAgain(change, here, row);
              else added.push({ ...draftOfRow(row), id: row.id, createdAt: row.createdAt });
            }
            await change.createMany(table, added);
            counts[table] += added.length;
          }
        }
      },
      by,
    );
  } finally {
    await sequelize.close();
  }
  return counts;
}
