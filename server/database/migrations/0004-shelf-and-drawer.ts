import type { Migration } from '../migration';

/** What is known of a cloth beside its tests; attachments, needles, threads, photos. */
export const shelfAndDrawer: Migration = {
  name: '0004-shelf-and-drawer',
  async up(tables) {
    const word = 'VARCHAR(64)';
    const number = 'DOUBLE PRECISION';
    const text = (start: string) => `TEXT NOT NULL DEFAULT '${start}'`;
    for (const column of ['like', 'fibre', 'face', 'nap', 'photoId']) {
      await tables.addColumn('cloths', column, word);
    }
    await tables.addColumn('cloths', 'shine', text('untested'));
    await tables.addColumn('cloths', 'pressNote', text(''));
    await tables.addColumn('cloths', 'widthMm', number);
    await tables.addColumn('cloths', 'lengthLeftMm', number);
    await tables.addColumn('feet', 'mouthMm', number);
    await tables.addColumn('feet', 'stripMm', number);
    await tables.addColumn('edges', 'forChild', 'TINYINT(1) NOT NULL DEFAULT 0');
    await tables.addColumn('edges', 'spareMm', number);
    const stored = {
      id: 'VARCHAR(64) PRIMARY KEY',
      version: 'INTEGER NOT NULL',
      createdAt: 'VARCHAR(32) NOT NULL',
      updatedAt: 'VARCHAR(32) NOT NULL',
      name: 'TEXT NOT NULL',
      note: 'TEXT NOT NULL',
    };
    await tables.createTable('needles', {
      ...stored,
      size: 'DOUBLE PRECISION NOT NULL',
      point: 'VARCHAR(32) NOT NULL',
      left: 'INTEGER NOT NULL',
    });
    await tables.createTable('threads', {
      ...stored,
      use: 'VARCHAR(32) NOT NULL',
      fibre: word,
      tex: number,
      colour: text(''),
    });
    await tables.createTable('photos', {
      id: 'VARCHAR(64) PRIMARY KEY',
      bytes: 'BLOB NOT NULL',
      widthPx: 'INTEGER NOT NULL',
      heightPx: 'INTEGER NOT NULL',
    });
  },
};
