import type { Migration } from '../migration';

/**
 * A table of scraps that stand on their own: each knows its finish, its cloth and its kit, and may
 * outlive its plan. What the book is sorted and searched by is kept ready beside it, and the long
 * set-up comes last, so that a reader of the rest need not go through it.
 */
const attempts = `CREATE TABLE attempts_new (
  id VARCHAR(64) PRIMARY KEY,
  version INTEGER NOT NULL,
  createdAt VARCHAR(32) NOT NULL,
  updatedAt VARCHAR(32) NOT NULL,
  planId VARCHAR(64) REFERENCES plans (id) ON DELETE RESTRICT,
  number INTEGER NOT NULL,
  finish VARCHAR(64) NOT NULL DEFAULT '',
  clothId VARCHAR(64),
  machineId VARCHAR(64),
  footId VARCHAR(64),
  verdict VARCHAR(16),
  sewnOn VARCHAR(10),
  pinned TINYINT(1) NOT NULL DEFAULT 0,
  names JSON NOT NULL,
  counts JSON NOT NULL,
  clothName TEXT GENERATED ALWAYS AS (json_extract(names, '$.cloth')) STORED,
  machineName TEXT GENERATED ALWAYS AS (json_extract(names, '$.machine')) STORED,
  footName TEXT GENERATED ALWAYS AS (json_extract(names, '$.foot')) STORED,
  faultShare DOUBLE GENERATED ALWAYS AS (
    (json_extract(counts, '$[#-1].short') + json_extract(counts, '$[#-1].over')) * 1.0
      / json_extract(counts, '$[#-1].n')
  ) STORED,
  settings JSON,
  dialValues JSON NOT NULL DEFAULT '{}',
  symptoms JSON NOT NULL DEFAULT '[]',
  photoId VARCHAR(64),
  note TEXT NOT NULL,
  setUp JSON NOT NULL
)`;

const carryOverRows = `INSERT INTO attempts_new
  (id, version, createdAt, updatedAt, planId, number, finish, clothId, machineId, footId,
   verdict, sewnOn, names, counts, settings, note, setUp)
  SELECT a.id, a.version, a.createdAt, a.updatedAt, a.planId, a.number, p.finish, e.clothId,
    p.machineId, p.footId, CASE WHEN p.keptAttemptId = a.id THEN 'keep' END,
    substr(a.createdAt, 1, 10), a.names, a.counts, a.settings, a.note, a.setUp
  FROM attempts a JOIN plans p ON p.id = a.planId JOIN edges e ON e.id = p.edgeId`;

/** Verdict, symptoms, photo and day of a scrap; what is carried over; what was taken away. */
export const sampleBook: Migration = {
  name: '0005-sample-book',
  async up(tables) {
    if (!(await tables.hasColumn('attempts', 'verdict'))) {
      await tables.run('DROP TABLE IF EXISTS attempts_new');
      await tables.run(attempts);
      await tables.run(carryOverRows);
      await tables.run('DROP TABLE attempts');
      await tables.run('ALTER TABLE attempts_new RENAME TO attempts');
    }
    // The book's order, what it is narrowed to, and the latest of a foot or a finish.
    for (const columns of [
      'planId, number',
      'sewnOn, createdAt',
      'clothId, clothName',
      'machineId, machineName',
      'footId, footName',
      'footId, sewnOn, createdAt',
      'finish, verdict, sewnOn, createdAt',
    ]) {
      const name = `attempts_${columns.replace(/\W+/g, '_')}`;
      await tables.createIndex(name, 'attempts', columns);
    }
    const flag = 'TINYINT(1) NOT NULL DEFAULT 0';
    // Plans begun before keep the sums they were begun with.
    await tables.addColumn('plans', 'carryOver', flag);
    await tables.addColumn('changes', 'removal', flag);
    await tables.run(
      `UPDATE changes SET removal = 1 WHERE EXISTS (
        SELECT 1 FROM json_each(changes.steps) WHERE json_extract(value, '$.after') IS NULL)`,
    );
    await tables.addColumn('preferences', 'acceptedPercent', 'DOUBLE PRECISION NOT NULL DEFAULT 2');
  },
};
