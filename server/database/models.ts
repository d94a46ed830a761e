import {
  DataTypes,
  type Model,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** The tables that hold a person's records, each with a version. */
export const recordTables = [
  'cloths',
  'machines',
  'feet',
  'projects',
  'edges',
  'plans',
  'attempts',
  'preferences',
] as const;
export type RecordTable = (typeof recordTables)[number];

export type Models = Record<RecordTable | 'changes', ModelStatic<Model>>;

const text = DataTypes.TEXT;
const json = DataTypes.JSON;
const number = DataTypes.DOUBLE;

const columns: Record<RecordTable, ModelAttributes> = {
  cloths: { name: text, weightClass: text, tests: json, note: text },
  machines: { name: text, specs: json, note: text },
  feet: { name: text, kind: text, channelMm: number, specs: json, soleMm: json, note: text },
  projects: { name: text, note: text },
  edges: {
    projectId: text,
    name: text,
    on: text,
    clothId: text,
    shape: text,
    lengthMm: number,
    minRadiusMm: number,
    turnDegrees: number,
    passesOverMm: number,
    crossings: json,
  },
  plans: {
    edgeId: text,
    finish: text,
    fold: json,
    machineId: text,
    footId: text,
    stitch: json,
    needleSize: number,
    pickMm: number,
    faultWeights: json,
    settings: json,
    keptAttemptId: text,
    schools: json,
    ticks: json,
  },
  attempts: {
    planId: text,
    number: DataTypes.INTEGER,
    settings: json,
    counts: json,
    note: text,
    setUp: json,
    names: json,
  },
  preferences: { unit: text, inchRounding: text, schools: json },
};

/** Sequelize models of all tables. Times are kept as ISO text, written by the store. */
export function defineModels(sequelize: Sequelize): Models {
  const define = (table: string, attributes: ModelAttributes) =>
    sequelize.define(table, attributes, { tableName: table, timestamps: false });
  const records = recordTables.map((table) => [
    table,
    define(table, {
      id: { type: DataTypes.STRING, primaryKey: true },
      version: DataTypes.INTEGER,
      createdAt: text,
      updatedAt: text,
      ...columns[table],
    }),
  ]);
  const changes = define('changes', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    at: text,
    label: text,
    steps: json,
    undone: DataTypes.BOOLEAN,
  });
  return { ...Object.fromEntries(records), changes } as Models;
}
