import { Sequelize } from 'sequelize';
import { durableSqlite } from './durable-sqlite';

/** The object mapper on a database file that is there; every connection of it is durable. */
export function mappedFile(file: string): Sequelize {
  return new Sequelize({
    dialect: 'sqlite',
    dialectModule: durableSqlite,
    storage: file,
    logging: false,
  });
}
