import { DataTypes } from 'sequelize';
import type { Migration } from '../migration';

/** The seams that cross an edge. */
export const crossingsColumn: Migration = {
  name: '0003-crossings',
  async up(tables) {
    await tables.addColumn('edges', 'crossings', {
      type: DataTypes.JSON,
      allowNull: false,
      defaultValue: '[]',
    });
  },
};
