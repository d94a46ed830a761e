import type { ExchangeTable } from '../../contract/exchange';
import type { Models } from '../database/models';
import type { Row } from '../store/journal';
import type { Stored } from './judge-rows';

/** So many ids are asked for at once. */
const idsAtOnce = 200;

function* inParts(ids: readonly string[]): Generator<readonly string[]> {
  for (let at = 0; at < ids.length; at += idsAtOnce) yield ids.slice(at, at + idsAtOnce);
}

/** What a database holds, as far as a file asks for it. */
export function storedIn(models: Models): Stored & {
  here(ids: readonly string[]): Promise<readonly string[]>;
} {
  const idsOf = async (table: 'plans' | 'photos', ids: readonly string[]) => {
    const found: string[] = [];
    for (const some of inParts(ids)) {
      const rows = await models[table].findAll({ where: { id: [...some] }, attributes: ['id'] });
      found.push(...rows.map((row) => String(row.get('id'))));
    }
    return found;
  };
  return {
    async rows(table: ExchangeTable, ids) {
      const found: Row[] = [];
      for (const some of inParts(ids)) {
        const rows = await models[table].findAll({ where: { id: [...some] } });
        found.push(...rows.map((row) => row.get({ plain: true }) as Row));
      }
      return found;
    },
    plans: (ids) => idsOf('plans', ids),
    here: (ids) => idsOf('photos', ids),
  };
}
