import { DataTypes } from 'sequelize';
import type { Migration } from '../migration';

/** What is known of a cloth beside its tests; attachments, needles, threads, photos. */
export const shelfAndDrawer: Migration = {
  name: '0004-shelf-and-drawer',
  async up(tables) {
    const word = { type: DataTypes.STRING(64), allowNull: true };
    const number = { type: DataTypes.DOUBLE, allowNull: true };
    const text = (defaultValue: string) => ({
      type: DataTypes.TEXT,
      allowNull: false,
      defaultValue,
    });
    for (const column of ['like', 'fibre', 'face', 'nap', 'photoId']) {
      await tables.addColumn('cloths', column, word);
    }
    await tables.addColumn('cloths', 'shine', text('untested'));
    await tables.addColumn('cloths', 'pressNote', text(''));
    await tables.addColumn('cloths', 'widthMm', number);
    await tables.addColumn('cloths', 'lengthLeftMm', number);
    await tables.addColumn('feet', 'mouthMm', number);
    await tables.addColumn('feet', 'stripMm', number);
    await tables.addColumn('edges', 'forChild', {
      type: DataTypes.BOOLEAN,
      allowNull: false,
      defaultValue: false,
    });
    await tables.addColumn('edges', 'spareMm', number);
    const stored = {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false },
      createdAt: { type: DataTypes.STRING(32), allowNull: false },
      updatedAt: { type: DataTypes.STRING(32), allowNull: false },
      name: { type: DataTypes.TEXT, allowNull: false },
      note: { type: DataTypes.TEXT, allowNull: false },
    };
    await tables.createTable('needles', {
      ...stored,
      size: { type: DataTypes.DOUBLE, allowNull: false },
      point: { type: DataTypes.STRING(32), allowNull: false },
      left: { type: DataTypes.INTEGER, allowNull: false },
    });
    await tables.createTable('threads', {
      ...stored,
      use: { type: DataTypes.STRING(32), allowNull: false },
      fibre: word,
      tex: number,
      colour: text(''),
    });
    await tables.createTable('photos', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      bytes: { type: DataTypes.BLOB, allowNull: false },
      widthPx: { type: DataTypes.INTEGER, allowNull: false },
      heightPx: { type: DataTypes.INTEGER, allowNull: false },
    });
  },
};
