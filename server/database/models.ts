import {
  DataTypes,
  type Model,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/**
 * The tables that hold a person's records, each with a version; parents before children, so that
 * rows are written in an order the foreign keys allow.
 */
export const recordTables = [
  'cloths',
  'machines',
  'feet',
  'needles',
  'threads',
  'projects',
  'edges',
  'plans',
  'attempts',
  'preferences',
] as const;
export type RecordTable = (typeof recordTables)[number];

/** What a table's rows are called in messages. */
export const singular: Record<RecordTable, string> = {
  cloths: 'cloth',
  machines: 'machine',
  feet: 'foot',
  needles: 'needle',
  threads: 'thread',
  projects: 'project',
  edges: 'edge',
  plans: 'plan',
  attempts: 'attempt',
  preferences: 'preferences',
};

export type Models = Record<RecordTable | 'changes' | 'steps' | 'photos', ModelStatic<Model>>;

const text = DataTypes.TEXT;
const json = DataTypes.JSON;
const number = DataTypes.DOUBLE;

const columns: Record<RecordTable, ModelAttributes> = {
  cloths: {
    name: text,
    weightClass: text,
    tests: json,
    note: text,
    like: text,
    fibre: text,
    colour: text,
    face: text,
    nap: text,
    shine: text,
    pressNote: text,
    widthMm: number,
    lengthLeftMm: number,
    photoId: text,
    readyMade: json,
  },
  machines: {
    name: text,
    specs: json,
    note: text,
    usual: { type: json, defaultValue: {} },
    memory: { type: json, defaultValue: [] },
  },
  feet: {
    name: text,
    kind: text,
    channelMm: number,
    mouthMm: number,
    stripMm: number,
    flangeMm: json,
    specs: json,
    soleMm: json,
    note: text,
  },
  needles: { name: text, size: number, point: text, left: DataTypes.INTEGER, note: text },
  threads: { name: text, use: text, fibre: text, tex: number, colour: text, note: text },
  projects: { name: text, note: text, garment: json },
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
    form: json,
    forChild: DataTypes.BOOLEAN,
    spareMm: number,
    purpose: { type: text, defaultValue: 'hem' },
    oldHem: json,
    joined: text,
    pair: { type: text, defaultValue: 'alone' },
    depthMm: number,
    secondEdge: text,
    seamAllowanceMm: number,
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
    aim: { type: text, defaultValue: 'even' },
    thread: { type: text, defaultValue: 'matching' },
    threadColour: text,
    reference: text,
    stripClothId: text,
    attachmentId: text,
    placing: json,
    settings: json,
    keptAttemptId: text,
    schools: json,
    ticks: json,
    took: { type: json, defaultValue: {} },
    // What a row starts with that was written down before there was such a column.
    carryOver: { type: DataTypes.BOOLEAN, defaultValue: false },
  },
  attempts: {
    planId: text,
    number: DataTypes.INTEGER,
    settings: json,
    counts: json,
    note: text,
    names: json,
    finish: { type: text, defaultValue: '' },
    clothId: text,
    machineId: text,
    footId: text,
    dialValues: { type: json, defaultValue: {} },
    measured: json,
    corners: json,
    pass: text,
    symptoms: { type: json, defaultValue: [] },
    verdict: text,
    photoId: text,
    otherFacePhotoId: text,
    sewnOn: text,
    pinned: { type: DataTypes.BOOLEAN, defaultValue: false },
    setUp: json,
  },
  preferences: {
    unit: text,
    inchRounding: text,
    schools: json,
    acceptedPercent: { type: number, defaultValue: 2 },
    platesMm: { type: json, defaultValue: [] },
  },
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
    undone: DataTypes.BOOLEAN,
    /** Whether it took something away. */
    removal: { type: DataTypes.BOOLEAN, defaultValue: false },
    /** The person whose change it is; undo is one's own. */
    by: { type: text, defaultValue: '' },
  });
  const steps = define('steps', {
    changeId: { type: DataTypes.INTEGER, primaryKey: true },
    position: { type: DataTypes.INTEGER, primaryKey: true },
    table: text,
    recordId: text,
    before: json,
    after: json,
  });
  // A photo never changes: its id is the hash of its bytes.
  const photos = define('photos', {
    id: { type: DataTypes.STRING, primaryKey: true },
    bytes: DataTypes.BLOB,
    widthPx: DataTypes.INTEGER,
    heightPx: DataTypes.INTEGER,
  });
  return { ...Object.fromEntries(records), changes, steps, photos } as Models;
}
