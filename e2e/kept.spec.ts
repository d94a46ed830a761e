import { expect, follow, quiet, test } from './app.fixture';

interface Attempt {
  id: string;
  note: string;
}

test('every change can be undone and done again, also after a reload', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/edge`);
  const length = page.getByLabel('Length along the edge');
  await length.fill('3000');
  await length.press('Enter');
  // Stored before the next change, so that the two are undone one by one.
  await expect
    .poll(async () => (await app.api<{ lengthMm: number }>('edges/edge-cape')).lengthMm)
    .toBe(3000);
  await page.getByLabel('Shape').selectOption('tube');
  await expect(page.getByRole('link', { name: /3000 mm round/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: /3000 mm round/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /3000 mm long/ })).toBeVisible();
  await page.locator('body').press('Control+z');
  await expect(length).toHaveValue('3420');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(length).toHaveValue('3000');
});

test('removing a scrap and a whole project asks once and can be undone', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  await page.getByRole('button', { name: 'Remove scrap 1' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('24 bites: 7 missed')).toBeVisible();
  await page.getByRole('button', { name: 'Remove scrap 1' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('No scrap yet', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('24 bites: 7 missed')).toBeVisible();

  await follow(page, '/');
  await page.getByRole('button', { name: /Remove project/ }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('What edge lies before you?')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Cape, lower edge/ })).toBeVisible();
});

test('a half-counted scrap survives a reload', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  await page.getByRole('spinbutton', { name: /Missed the fold/ }).fill('3');
  await page.getByLabel('Note').fill('thread was loose');
  await page.reload();
  await expect(page.getByRole('spinbutton', { name: /Missed the fold/ })).toHaveValue('3');
  await expect(page.getByLabel('Note')).toHaveValue('thread was loose');
});

test('killed in the middle: what was acknowledged is there, what was not is sent again', async ({
  page,
  ownApp: app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  // The other stations are fetched once this one is drawn, which a busy machine does later.
  await page.waitForFunction(() =>
    performance.getEntriesByType('resource').some(({ name }) => name.includes('edge-station')),
  );
  await quiet(page);
  await page.getByLabel('Note').fill('before the cut');
  await page.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(page.getByText('Scrap 2 is in the book.')).toBeVisible();
  await app.kill();

  await page.getByLabel('Note').fill('during the cut');
  await page.getByRole('button', { name: 'Record scrap 3' }).click();
  await expect(
    page.getByText('The server does not answer.', { exact: false }).first(),
  ).toBeVisible();
  await page.getByRole('link', { name: /Edge/ }).click();
  await page.getByLabel('Length along the edge').fill('3333');
  await page.getByLabel('Length along the edge').press('Enter');

  await app.start();
  await expect
    .poll(async () => (await app.api<{ lengthMm: number }>('edges/edge-cape')).lengthMm)
    .toBe(3333);
  await page.getByRole('link', { name: /Test/ }).click();
  await expect(page.getByLabel('Note')).toHaveValue('during the cut');
  await page.getByRole('button', { name: 'Record scrap 3' }).click();
  await expect(page.getByText('Scrap 3 is in the book.')).toBeVisible();
  const attempts = await app.api<Attempt[]>('attempts?planId=plan-cape');
  expect(attempts.map(({ note }) => note).slice(1)).toEqual(['before the cut', 'during the cut']);
});

test('a part of the app that could not be fetched comes when the server is back', async ({
  page,
  ownApp: app,
  troubles,
}) => {
  await page.goto(app.address);
  await expect(page.getByRole('link', { name: /wardrobe 13 edges/ })).toBeVisible();
  await quiet(page);
  await app.kill();
  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  await expect(page.getByText('does not answer', { exact: false }).first()).toBeVisible();
  await app.start();
  await expect(page.getByRole('region', { name: 'Machines' })).toBeVisible();
  expect(troubles).toEqual([]);
});
