import type { QueryInterface } from 'sequelize';

/** One step of the database's history. */
export interface Migration {
  readonly name: string;
  up(tables: QueryInterface): Promise<void>;
}
