import type { Migration } from '../migration';

/** The seams that cross an edge. */
export const crossingsColumn: Migration = {
  name: '0003-crossings',
  up: (tables) => tables.addColumn('edges', 'crossings', `JSON NOT NULL DEFAULT '[]'`),
};
