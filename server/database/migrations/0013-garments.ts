import type { Migration } from '../migration';

/**
 * A project can be a garment; steps are timed; a machine remembers settings and how it usually
 * stands.
 */
export const garments: Migration = {
  name: '0013-garments',
  async up(tables) {
    await tables.addColumn('projects', 'garment', 'JSON');
    await tables.addColumn('plans', 'took', "JSON NOT NULL DEFAULT '{}'");
    await tables.addColumn('machines', 'usual', "JSON NOT NULL DEFAULT '{}'");
    await tables.addColumn('machines', 'memory', "JSON NOT NULL DEFAULT '[]'");
  },
};
