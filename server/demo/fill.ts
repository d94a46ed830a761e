import { preferencesDraft } from '../../contract/records';
import { Change } from '../store/change';
import type { Store } from '../store/store';
import { wardrobe } from './wardrobe';

/**
 * Fills a database that holds nothing at all: preferences always, and the demo wardrobe. Not
 * journalled, so that undo never empties a new user's first look.
 *
 * @param demo whether the wardrobe is wanted; one's own things first otherwise
 */
export async function fillWhenEmpty(store: Store, { demo = true } = {}): Promise<void> {
  const { models, sequelize } = store.database;
  if ((await models.preferences.count()) > 0) return;
  await sequelize.transaction(async (transaction) => {
    const change = new Change(store.database, transaction, store.sums);
    const preferences = preferencesDraft.parse({ unit: 'mm', inchRounding: '1/16', schools: {} });
    await change.create('preferences', preferences, 'mine');
    for (const { table, id, draft } of demo ? wardrobe() : [])
      await change.create(table, draft, id);
  });
}
