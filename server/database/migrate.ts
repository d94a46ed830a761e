import type { QueryInterface, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { firstTables } from './migrations/0001-first-tables';

/** One step of the database's history. Steps are listed here, so that a bundle holds them all. */
export interface Migration {
  readonly name: string;
  up(tables: QueryInterface): Promise<void>;
}

const migrations: readonly Migration[] = [firstTables];

/** Runs the migrations that this database has not seen. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: migrations.map(({ name, up }) => ({
      name,
      up: ({ context }: { context: QueryInterface }) => up(context),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  await umzug.up();
}
