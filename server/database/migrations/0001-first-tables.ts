import { DataTypes, type ModelAttributes } from 'sequelize';
import type { Migration } from '../migration';

const stored = (): ModelAttributes => ({
  id: { type: DataTypes.STRING(64), primaryKey: true },
  version: { type: DataTypes.INTEGER, allowNull: false },
  createdAt: { type: DataTypes.STRING(32), allowNull: false },
  updatedAt: { type: DataTypes.STRING(32), allowNull: false },
});
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const json = () => ({ type: DataTypes.JSON, allowNull: false });
const belongsTo = (model: string) => ({
  type: DataTypes.STRING(64),
  allowNull: false,
  references: { model, key: 'id' },
  onDelete: 'RESTRICT',
});

/** Cloths, kit, projects, edges, plans, attempts, preferences, and the journal for undo. */
export const firstTables: Migration = {
  name: '0001-first-tables',
  async up(tables) {
    await tables.createTable('cloths', {
      ...stored(),
      name: text(),
      weightClass: { type: DataTypes.STRING(32) },
      tests: json(),
      note: text(),
    });
    await tables.createTable('machines', {
      ...stored(),
      name: text(),
      specs: json(),
      note: text(),
    });
    await tables.createTable('feet', {
      ...stored(),
      name: text(),
      specs: json(),
      soleMm: json(),
      note: text(),
    });
    await tables.createTable('projects', { ...stored(), name: text(), note: text() });
    await tables.createTable('edges', {
      ...stored(),
      projectId: belongsTo('projects'),
      name: text(),
      on: text(),
      clothId: belongsTo('cloths'),
      shape: text(),
      lengthMm: { type: DataTypes.DOUBLE, allowNull: false },
      minRadiusMm: { type: DataTypes.DOUBLE },
    });
    await tables.createTable('plans', {
      ...stored(),
      edgeId: belongsTo('edges'),
      finish: text(),
      fold: json(),
      machineId: belongsTo('machines'),
      footId: belongsTo('feet'),
      stitch: json(),
      needleSize: { type: DataTypes.DOUBLE, allowNull: false },
      pickMm: { type: DataTypes.DOUBLE, allowNull: false },
      faultWeights: json(),
      settings: { type: DataTypes.JSON },
      keptAttemptId: { type: DataTypes.STRING(64) },
    });
    await tables.createTable('attempts', {
      ...stored(),
      planId: belongsTo('plans'),
      number: { type: DataTypes.INTEGER, allowNull: false },
      settings: json(),
      counts: json(),
      note: text(),
      setUp: json(),
      names: json(),
    });
    await tables.createTable('preferences', {
      ...stored(),
      unit: text(),
      inchRounding: text(),
    });
    await tables.createTable('changes', {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      at: text(),
      label: text(),
      steps: json(),
      undone: { type: DataTypes.BOOLEAN, allowNull: false },
    });
    for (const [table, column] of [
      ['edges', 'projectId'],
      ['edges', 'clothId'],
      ['plans', 'edgeId'],
      ['plans', 'machineId'],
      ['plans', 'footId'],
      ['attempts', 'planId'],
    ] as const) {
      await tables.addIndex(table, [column]);
    }
  },
};
