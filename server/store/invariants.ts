import type { Change } from './change';

/**
 * What must hold whenever a change ends, whoever wrote it and however: by a request, an import, an
 * undo or a restore. What can be mended is mended as a part of the same change.
 */
export async function keepSound(change: Change): Promise<void> {
  await letGoOfRemovedScraps(change);
  await keepOwnScrapsOnly(change);
  await numberApart(change);
}

const idsOf = (change: Change, table: string, removed: boolean) => [
  ...new Set(
    change.steps
      .filter((step) => step.table === table && (step.after === null) === removed)
      .map(({ id }) => id),
  ),
];

/** A plan does not keep a scrap that is gone. */
async function letGoOfRemovedScraps(change: Change): Promise<void> {
  for (const keptAttemptId of idsOf(change, 'attempts', true)) {
    if (await change.find('attempts', keptAttemptId)) continue;
    for (const plan of await change.list('plans', { keptAttemptId })) {
      await change.update('plans', plan.id, plan.version, { keptAttemptId: null });
    }
  }
}

/** A plan keeps a scrap of its own, or none. */
async function keepOwnScrapsOnly(change: Change): Promise<void> {
  for (const id of idsOf(change, 'plans', false)) {
    const plan = await change.find('plans', id);
    const kept = plan?.keptAttemptId;
    if (!plan || !kept) continue;
    const scrap = await change.find('attempts', kept);
    if (scrap?.planId === id) continue;
    await change.update('plans', id, plan.version, { keptAttemptId: null });
  }
}

/** No two scraps of a plan have one number; the one that was written now gets the next that is free. */
async function numberApart(change: Change): Promise<void> {
  const written = new Set(idsOf(change, 'attempts', false));
  const planIds = change.steps.flatMap(({ table, after }) =>
    table === 'attempts' && typeof after?.['planId'] === 'string' ? [after['planId']] : [],
  );
  for (const { planId, number } of await change.numberedTwice([...new Set(planIds)])) {
    const those = await change.list('attempts', { planId, number });
    const stays = those.find(({ id }) => !written.has(id)) ?? those[0];
    for (const row of those.filter((row) => row !== stays)) {
      const next = (await change.greatest('attempts', 'number', { planId })) + 1;
      await change.update('attempts', row.id, row.version, { number: next });
    }
  }
}
