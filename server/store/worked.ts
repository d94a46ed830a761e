import { Op } from 'sequelize';
import type { WorkedBefore } from '../../contract/book';
import type { BookEntry } from '../../contract/records';
import { carryOver } from '../../core/book/carry';
import { nearestKept, type Seeker } from '../../core/book/nearest';
import { skillsOf, type DatedScrap, type Skill } from '../../core/book/skill';
import { learningKey } from '../../core/plan/same-set-up';
import type { Row } from './journal';
import { assemble, planDraftOf } from './sewing-plan';
import { Change, type Store } from './store';

type Scrap = BookEntry & { readonly id: string; readonly createdAt: string };
type Where = Record<string | symbol, unknown>;

/** The latest scraps are those that say most; more than this are not read. */
const mostRead = 300;
const mostNearest = 3;

async function latest(store: Store, where: Where, limit = mostRead): Promise<Scrap[]> {
  const rows = await store.database.models.attempts.findAll({
    where,
    order: [
      ['sewnOn', 'DESC'],
      ['createdAt', 'DESC'],
    ],
    limit,
  });
  return rows.map((row) => row.get({ plain: true }) as Scrap);
}

function dated(scrap: Scrap): DatedScrap & { readonly clothId: string | null } {
  const { finish, setUp, settings, counts, clothId } = scrap;
  return {
    ...{ finish, setUp, settings, counts, clothId },
    sewnOn: scrap.sewnOn ?? scrap.createdAt.slice(0, 10),
    group: `${finish} ${scrap.footId} ${scrap.machineId} ${learningKey(setUp)}`,
  };
}

/** Feet along which the edge is led in one way. */
async function feetWith(store: Store, guidance: string): Promise<string[]> {
  return (await store.list('feet'))
    .filter(({ specs }) => (specs as { guidance: string }).guidance === guidance)
    .map(({ id }) => id);
}

/**
 * What worked before, as far as a plan can start from it: the nearest kept settings, and what was
 * learned of the foot and the hand on other edges.
 *
 * @throws Refusal 404 without the plan
 */
export async function workedBefore(store: Store, planId: string): Promise<WorkedBefore> {
  const row: Row = await store.find('plans', planId);
  const assembled = await store.reading((change: Change) => assemble(change, planDraftOf(row)));
  const { finish, plan, ids } = assembled;
  const elsewhere = { planId: { [Op.or]: [{ [Op.ne]: planId }, { [Op.is]: null }] } };
  const { footId, machineId } = ids;
  const [kept, ofFoot, ofHand] = await Promise.all([
    latest(store, { ...elsewhere, finish: finish.id, verdict: 'keep' }),
    latest(store, { ...elsewhere, footId, machineId }),
    latest(store, {
      ...elsewhere,
      footId: await feetWith(store, plan.foot.guidance),
    }),
  ]);
  const seeker: Seeker = { finish: finish.id, ...ids, plan };
  return {
    nearest: nearestKept(seeker, kept, mostNearest).map((one) => ({
      ...{ likeness: one.likeness, pinnedHere: one.pinnedHere },
      attempt: one.kept as unknown as WorkedBefore['nearest'][number]['attempt'],
    })),
    ...(finish.margin(plan.fold.variant)
      ? carryOver(plan, ofFoot.map(dated), ofHand.map(dated))
      : { carried: {}, from: { sameSetUp: null, foot: null, hand: null } }),
  };
}

/** The skill along every kind of guidance, over time. */
export async function skillOverTime(store: Store): Promise<Skill[]> {
  const feet = await store.list('feet');
  const byGuidance = new Map<string, string[]>();
  for (const { id, specs } of feet) {
    const { guidance } = specs as { guidance: string };
    byGuidance.set(guidance, [...(byGuidance.get(guidance) ?? []), id]);
  }
  const scraps: DatedScrap[] = [];
  for (const footId of byGuidance.values()) {
    scraps.push(...(await latest(store, { footId })).map(dated));
  }
  return skillsOf(scraps);
}
