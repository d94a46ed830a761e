import type { Migration } from '../migration';

/** How an edge was measured beyond its length; null for what was stored before, which stays as it is. */
export const measuredEdges: Migration = {
  name: '0010-measured-edges',
  up: (tables) => tables.addColumn('edges', 'form', 'JSON'),
};
