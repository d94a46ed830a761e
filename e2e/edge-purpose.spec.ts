import type { Page } from '@playwright/test';
import { expect, follow, press, test } from './app.fixture';

interface Edge {
  readonly id: string;
  readonly purpose: string;
  readonly secondEdge: string | null;
}
interface Plan {
  readonly finish: string | null;
  readonly machineId: string;
}

/** Puts a cloth like a plain kind on the shelf, from the dialog that asks for a new edge. */
async function another(page: Page, kind: string) {
  await page.getByRole('button', { name: 'Another cloth' }).click();
  const shelf = page.getByRole('dialog', { name: 'A cloth for the shelf' });
  await shelf.getByText('Like a plain kind').click();
  await shelf.getByLabel('Search the plain kinds').fill(kind);
  await shelf.getByRole('button', { name: /^Put / }).first().click();
  await shelf.getByRole('button', { name: /^Go on with/ }).click();
  await expect(shelf).toBeHidden();
}

test('by mouse: jeans whose look is to stay; what leads is a proposal until it is taken', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/projects/project-lantern-parade`);
  await page.getByRole('button', { name: 'New edge' }).click();
  const dialog = page.getByRole('dialog', { name: 'New edge' });
  await dialog.getByLabel('Name').fill('Jeans, leg');
  await another(page, 'denim, heavy');
  await dialog.getByLabel('Shape').selectOption('tube');
  await dialog.getByLabel('Length along the edge').fill('16 1/2 in');
  await dialog.getByLabel('Length along the edge').press('Tab');
  await dialog.getByRole('radio', { name: 'its look stays' }).click();
  await dialog.getByLabel('How deep it is').fill('300');
  await dialog.getByLabel('How deep it is').press('Tab');
  await expect(dialog.getByText('no deeper than the leg lies wide')).toBeVisible();
  await dialog.getByLabel('How deep it is').fill('1/2 in');
  await dialog.getByLabel('How deep it is').press('Tab');
  await dialog.getByRole('radio', { name: 'one of two' }).click();
  await dialog.getByRole('button', { name: 'Make the edge' }).click();

  const strip = page.getByRole('navigation', { name: 'Stations' });
  await expect(strip).toContainText('not chosen yet');
  await expect(strip).toContainText('old hem in it');
  const first = page
    .getByRole('list', { name: /best first/ })
    .getByRole('listitem')
    .first();
  await expect(first).toContainText('Kept hem');
  const id = page.url().split('/edges/')[1]?.split('/')[0] ?? '';
  const plan = async () => (await app.api<Plan[]>(`plans?edgeId=${id}`))[0];
  expect((await plan())?.finish).toBeNull();
  for (const station of ['folds', 'setting', 'test']) {
    await follow(page, `/edges/${id}/${station}`);
    await expect(page.getByRole('region', { name: 'A proposal' })).toContainText('kept hem');
  }
  await page.reload();
  expect((await plan())?.finish).toBeNull();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(strip).toContainText('Kept hem');
  await expect.poll(async () => (await plan())?.finish).toBe('kept-hem');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await plan())?.finish).toBeNull();
  await expect(strip).toContainText('not chosen yet');
});

test('by keyboard: a seam asks for its second edge, and gets a French seam in sheer cloth', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/projects/project-lantern-parade`);
  await page.getByRole('button', { name: 'New edge' }).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'New edge' });
  const purposes = dialog.getByRole('radiogroup', { name: 'What is this edge?' });
  await purposes.getByRole('radio', { name: 'Hem' }).focus();
  for (const name of ['Opening', 'Allowance', 'Seam']) {
    await press(page, 'ArrowRight', () =>
      expect(purposes.getByRole('radio', { name })).toBeChecked(),
    );
  }
  await dialog.getByLabel('Name').fill('Blouse, side');
  await dialog.getByLabel('Length along the edge').fill('0.6 m');
  await dialog.getByRole('button', { name: 'Make the edge' }).press('Enter');
  await expect(dialog.getByText('A seam joins two edges', { exact: false })).toBeVisible();
  await dialog.getByLabel('Joined to').fill('back, side');
  await dialog.getByLabel('Joined to').press('Tab');
  await dialog.getByLabel('Cloth', { exact: true }).selectOption('cloth-veil');
  await dialog.getByRole('button', { name: 'Make the edge' }).press('Enter');
  const first = page
    .getByRole('list', { name: /best first/ })
    .getByRole('listitem')
    .first();
  await expect(first).toContainText('French seam');
  const edges = await app.api<Edge[]>('edges?projectId=project-lantern-parade');
  expect(edges.find(({ purpose }) => purpose === 'seam')?.secondEdge).toBe('back, side');
});

test('a felt bag’s edge is left as cut, and nothing is sewn for it', async ({ page, app }) => {
  await page.goto(`${app.address}/projects/project-lantern-parade`);
  await page.getByRole('button', { name: 'New edge' }).click();
  const dialog = page.getByRole('dialog', { name: 'New edge' });
  await dialog.getByLabel('Name').fill('Felt bag, edge');
  await another(page, 'felt craft');
  await dialog.getByLabel('Length along the edge').fill('2 ft 6');
  await dialog.getByRole('button', { name: 'Make the edge' }).click();
  const first = page
    .getByRole('list', { name: /best first/ })
    .getByRole('listitem')
    .first();
  await expect(first).toContainText('Left as cut');
  await page.getByRole('button', { name: /^Take left as cut/ }).click();
  const strip = page.getByRole('navigation', { name: 'Stations' });
  await expect(strip).toContainText('nothing to set');
  await strip.getByRole('link', { name: /Test/ }).click();
  await expect(page.getByRole('heading', { name: 'Nothing is sewn' })).toBeVisible();
  await page.getByRole('button', { name: 'Record scrap 1' }).click();
  await expect(page.getByText('Say what you saw, or what you think of it.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.getByRole('button', { name: 'Record scrap 1' }).click();
  await expect(page.getByText('Scrap 1 is in the book.')).toBeVisible();
});

test('the plain kinds are found by their own names, and the dialog has a way out', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/cloths`);
  await page.getByRole('button', { name: 'Put a cloth on the shelf' }).click();
  const shelf = page.getByRole('dialog', { name: 'A cloth for the shelf' });
  await shelf.getByText('Like a plain kind').click();
  await shelf.getByLabel('Search the plain kinds').fill('viscose, plain');
  await expect(shelf.getByText('Viscose, plain weave')).toBeVisible();
  await shelf.getByRole('button', { name: 'Close' }).click();
  await expect(shelf).toBeHidden();
});
