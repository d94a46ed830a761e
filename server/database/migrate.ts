import type { QueryInterface, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import type { Migration } from './migration';
import { firstTables } from './migrations/0001-first-tables';
import { catalogueColumns } from './migrations/0002-catalogue';
import { crossingsColumn } from './migrations/0003-crossings';
import { shelfAndDrawer } from './migrations/0004-shelf-and-drawer';
import { sampleBook } from './migrations/0005-sample-book';
import { whatAnEdgeIsFor } from './migrations/0006-what-an-edge-is-for';
import { trueSettings } from './migrations/0007-true-settings';

// Listed here rather than found in a folder, so that a bundle holds them all.
const migrations: readonly Migration[] = [
  firstTables,
  catalogueColumns,
  crossingsColumn,
  shelfAndDrawer,
  sampleBook,
  whatAnEdgeIsFor,
  trueSettings,
];

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
