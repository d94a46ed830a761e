import type { Migration } from '../migration';

/** The levelling plates a person owns, by how thick each is. */
export const levellingPlates: Migration = {
  name: '0011-levelling-plates',
  up: (tables) => tables.addColumn('preferences', 'platesMm', "JSON NOT NULL DEFAULT '[]'"),
};
