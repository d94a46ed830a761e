import type { Migration } from '../migration';

/** Kinds of feet; how far an edge turns; schools chosen and steps ticked. */
export const catalogueColumns: Migration = {
  name: '0002-catalogue',
  async up(tables) {
    const number = 'DOUBLE PRECISION';
    const json = (start: string) => `JSON NOT NULL DEFAULT '${start}'`;
    await tables.addColumn('feet', 'kind', `VARCHAR(32) NOT NULL DEFAULT 'zigzag'`);
    await tables.run(
      `UPDATE feet SET kind = 'blind' WHERE json_extract(specs, '$.guidance') = 'blade'`,
    );
    await tables.addColumn('feet', 'channelMm', number);
    await tables.addColumn('edges', 'turnDegrees', number);
    await tables.addColumn('edges', 'passesOverMm', number);
    await tables.addColumn('plans', 'schools', json('{}'));
    await tables.addColumn('plans', 'ticks', json('[]'));
    await tables.addColumn('preferences', 'schools', json('{}'));
  },
};
