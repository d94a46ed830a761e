import type { SewingPlan } from '../../core/finish/sewing-plan';
import { learningKey } from '../../core/plan/same-set-up';
import type { TaughtScrap } from '../compute/taught-scrap';
import type { Store } from './store';

type Where = Record<string | symbol, unknown>;

/** A stored row as SQLite has it: what is JSON is still text. */
interface RawScrap extends Omit<TaughtScrap, 'settings' | 'counts' | 'setUp' | 'group' | 'pinned'> {
  readonly settings: string | null;
  readonly counts: string;
  readonly setUp: string;
  readonly createdAt: string;
  readonly pinned: number;
}

/** The latest scraps are those that say most; more than this are not read. */
const mostRead = 300;
const columns = [
  ...['id', 'finish', 'clothId', 'machineId', 'footId', 'pinned', 'sewnOn', 'createdAt'],
  ...['settings', 'counts', 'setUp'],
];

/** Reads the latest scraps of the book; set-ups repeat from scrap to scrap, and each is read once. */
export class LatestScraps {
  private readonly setUps = new Map<string, { readonly plan: SewingPlan; readonly key: string }>();
  constructor(private readonly store: Store) {}

  /** The latest that are so, the newest first. */
  async where(where: Where): Promise<TaughtScrap[]> {
    const rows = (await this.store.database.models.attempts.findAll({
      where,
      attributes: columns,
      order: [
        ['sewnOn', 'DESC'],
        ['createdAt', 'DESC'],
      ],
      limit: mostRead,
      raw: true,
    })) as unknown as RawScrap[];
    return rows.map((row) => this.parsed(row));
  }

  /** The latest of some feet together; each foot's are read along its own index. */
  async ofFeet(feet: readonly string[], where: Where = {}): Promise<TaughtScrap[]> {
    const each = await Promise.all(feet.map((footId) => this.where({ ...where, footId })));
    return each
      .flat()
      .sort((a, b) => (a.sewnOn < b.sewnOn ? 1 : a.sewnOn > b.sewnOn ? -1 : 0))
      .slice(0, mostRead);
  }

  private parsed(row: RawScrap): TaughtScrap {
    const { id, finish, clothId, machineId, footId } = row;
    const { plan, key } = this.setUpOf(row.setUp);
    return {
      ...{ id, finish, clothId, machineId, footId, setUp: plan },
      pinned: Boolean(row.pinned),
      settings: JSON.parse(row.settings ?? 'null') as TaughtScrap['settings'],
      counts: JSON.parse(row.counts) as TaughtScrap['counts'],
      sewnOn: row.sewnOn ?? row.createdAt.slice(0, 10),
      group: `${finish} ${footId} ${machineId} ${key}`,
    };
  }

  private setUpOf(text: string): { readonly plan: SewingPlan; readonly key: string } {
    const known = this.setUps.get(text);
    if (known) return known;
    const plan = JSON.parse(text) as SewingPlan;
    const read = { plan, key: learningKey(plan) };
    this.setUps.set(text, read);
    return read;
  }
}
