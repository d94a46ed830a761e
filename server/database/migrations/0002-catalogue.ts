import { DataTypes } from 'sequelize';
import type { Migration } from '../migration';

/** Kinds of feet; how far an edge turns; schools chosen and steps ticked. */
export const catalogueColumns: Migration = {
  name: '0002-catalogue',
  async up(tables) {
    const text = (defaultValue: string) => ({
      type: DataTypes.STRING(32),
      allowNull: false,
      defaultValue,
    });
    const number = { type: DataTypes.DOUBLE, allowNull: true };
    const json = (defaultValue: object) => ({
      type: DataTypes.JSON,
      allowNull: false,
      defaultValue: JSON.stringify(defaultValue),
    });
    await tables.addColumn('feet', 'kind', text('zigzag'));
    await tables.sequelize.query(
      `UPDATE feet SET kind = 'blind' WHERE json_extract(specs, '$.guidance') = 'blade'`,
    );
    await tables.addColumn('feet', 'channelMm', number);
    await tables.addColumn('edges', 'turnDegrees', number);
    await tables.addColumn('edges', 'passesOverMm', number);
    await tables.addColumn('plans', 'schools', json({}));
    await tables.addColumn('plans', 'ticks', json([]));
    await tables.addColumn('preferences', 'schools', json({}));
  },
};
