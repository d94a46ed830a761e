import { Op } from 'sequelize';
import type { WorkedBefore } from '../../contract/book';
import { nearestKept, type Seeker } from '../../core/book/nearest';
import type { Skill } from '../../core/book/skill';
import { guidances } from '../../core/kit/foot';
import { LatestScraps } from './latest-scraps';
import { assemble, planDraftOf } from './sewing-plan';
import type { Store } from './store';

const mostNearest = 3;
/** Before a finish is taken nothing can have worked for it. */
const nothingYet: WorkedBefore = {
  nearest: [],
  carried: {},
  from: { sameSetUp: null, foot: null, hand: null },
};

/** Feet along which the edge is led in one way. */
async function feetWith(store: Store, guidance: string): Promise<string[]> {
  return (await store.list('feet'))
    .filter(({ specs }) => specs.guidance === guidance)
    .map(({ id }) => id);
}

/**
 * What worked before, as far as a plan can start from it: the nearest kept settings, and what was
 * learned of the foot and the hand on other edges.
 *
 * @throws Refusal 404 without the plan
 */
export async function workedBefore(store: Store, planId: string): Promise<WorkedBefore> {
  const row = await store.find('plans', planId);
  if (row.finish === null) return nothingYet;
  const assembled = await store.reading((change) => assemble(change, planDraftOf(row)));
  const { finish, plan, ids } = assembled;
  const elsewhere = { planId: { [Op.or]: [{ [Op.ne]: planId }, { [Op.is]: null }] } };
  const { footId, machineId } = ids;
  const latest = new LatestScraps(store);
  const [kept, ofFoot, ofHand] = await Promise.all([
    latest.where({ ...elsewhere, finish: finish.id, verdict: 'keep' }),
    latest.where({ ...elsewhere, footId, machineId }),
    latest.ofFeet(await feetWith(store, plan.foot.guidance), elsewhere),
  ]);
  const seeker: Seeker = { finish: finish.id, ...ids, plan };
  const nearest = await Promise.all(
    nearestKept(seeker, kept, mostNearest).map(async ({ kept: { id }, ...rest }) => ({
      ...rest,
      attempt: await store.find('attempts', id),
    })),
  );
  return {
    nearest,
    ...(finish.margin(plan.fold.variant)
      ? await store.sums.inner('carried', { plan, ofFoot, ofHand })
      : { carried: {}, from: { sameSetUp: null, foot: null, hand: null } }),
  };
}

/** The skill along every kind of guidance, over time. */
export async function skillOverTime(store: Store): Promise<Skill[]> {
  const latest = new LatestScraps(store);
  const scraps = await Promise.all(
    guidances.map(async (guidance) => latest.ofFeet(await feetWith(store, guidance))),
  );
  return store.sums.inner('skills', scraps.flat());
}
