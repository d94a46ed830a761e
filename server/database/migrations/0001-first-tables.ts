import type { Migration } from '../migration';

const stored = {
  id: 'VARCHAR(64) PRIMARY KEY',
  version: 'INTEGER NOT NULL',
  createdAt: 'VARCHAR(32) NOT NULL',
  updatedAt: 'VARCHAR(32) NOT NULL',
};
const text = 'TEXT NOT NULL';
const json = 'JSON NOT NULL';
const number = 'DOUBLE PRECISION NOT NULL';
const belongsTo = (table: string) =>
  `VARCHAR(64) NOT NULL REFERENCES ${table} (id) ON DELETE RESTRICT`;

/** Cloths, kit, projects, edges, plans, attempts, preferences, and the journal for undo. */
export const firstTables: Migration = {
  name: '0001-first-tables',
  async up(tables) {
    await tables.createTable('cloths', {
      ...stored,
      ...{ name: text, weightClass: 'VARCHAR(32)', tests: json, note: text },
    });
    await tables.createTable('machines', { ...stored, name: text, specs: json, note: text });
    await tables.createTable('feet', {
      ...stored,
      ...{ name: text, specs: json, soleMm: json, note: text },
    });
    await tables.createTable('projects', { ...stored, name: text, note: text });
    await tables.createTable('edges', {
      ...stored,
      projectId: belongsTo('projects'),
      name: text,
      on: text,
      clothId: belongsTo('cloths'),
      shape: text,
      lengthMm: number,
      minRadiusMm: 'DOUBLE PRECISION',
    });
    await tables.createTable('plans', {
      ...stored,
      edgeId: belongsTo('edges'),
      finish: text,
      fold: json,
      machineId: belongsTo('machines'),
      footId: belongsTo('feet'),
      stitch: json,
      needleSize: number,
      pickMm: number,
      faultWeights: json,
      settings: 'JSON',
      keptAttemptId: 'VARCHAR(64)',
    });
    await tables.createTable('attempts', {
      ...stored,
      planId: belongsTo('plans'),
      number: 'INTEGER NOT NULL',
      settings: json,
      counts: json,
      note: text,
      setUp: json,
      names: json,
    });
    await tables.createTable('preferences', { ...stored, unit: text, inchRounding: text });
    await tables.createTable('changes', {
      id: 'INTEGER PRIMARY KEY AUTOINCREMENT',
      at: text,
      label: text,
      steps: json,
      undone: 'TINYINT(1) NOT NULL',
    });
    await tables.createIndex('edges_project_id', 'edges', 'projectId');
    await tables.createIndex('edges_cloth_id', 'edges', 'clothId');
    await tables.createIndex('plans_edge_id', 'plans', 'edgeId');
    await tables.createIndex('plans_machine_id', 'plans', 'machineId');
    await tables.createIndex('plans_foot_id', 'plans', 'footId');
    await tables.createIndex('attempts_plan_id', 'attempts', 'planId');
  },
};
