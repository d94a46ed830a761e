import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Sequelize } from 'sequelize';
import { durableSqlite } from './durable-sqlite';
import { migrate } from './migrate';
import { defineModels, type Models } from './models';

export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
}

/**
 * Opens the database file of a data folder, creating both when they are not there, and brings
 * its tables up to date.
 *
 * @throws Error when the folder cannot be written or a migration fails
 */
export async function openDatabase(dataFolder: string): Promise<Database> {
  mkdirSync(dataFolder, { recursive: true });
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: durableSqlite,
    storage: join(dataFolder, 'pin-margin.sqlite'),
    logging: false,
  });
  await sequelize.query('PRAGMA journal_mode = WAL');
  await migrate(sequelize);
  return { sequelize, models: defineModels(sequelize) };
}
