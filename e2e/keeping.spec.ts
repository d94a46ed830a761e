import { expect, onDisk, test } from './app.fixture';

const edgeName = (app: { api<T>(path: string): Promise<T> }) =>
  app.api<{ name: string }>('edges/edge-cape').then(({ name }) => name);

test('everything saved, changed, and taken in again; and back to before that, by snapshots', async ({
  page,
  ownApp: app,
}) => {
  await page.goto(app.address);
  await page.getByRole('link', { name: 'Safe keeping' }).click();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save the archive' }).click(),
  ]);
  await app.change('edges/edge-cape', { version: 1, name: 'Renamed since' });
  await page.getByLabel('Archive to take in').setInputFiles(await saved.path());
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText(/Taken in: 1 project/)).toBeVisible();
  expect(await edgeName(app)).toBe('Cape, lower edge');
  const row = page.getByRole('listitem').filter({ hasText: 'before an archive was taken in' });
  await row.getByRole('button', { name: /Go back/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Gone back/)).toBeVisible();
  expect(await edgeName(app)).toBe('Renamed since');
  await expect(page.getByRole('listitem').filter({ hasText: 'before going back' })).toBeVisible();
});

test('an archive that is cut short is refused with its reason, and nothing is changed', async ({
  page,
  ownApp: app,
}) => {
  await page.goto(`${app.address}/keeping`);
  const archive = Buffer.from(await (await fetch(`${app.address}/api/archive`)).arrayBuffer());
  const half = onDisk('half.tar', archive.subarray(0, Math.floor(archive.length / 2)));
  await page.getByLabel('Archive to take in').setInputFiles(half);
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing was taken in.');
  expect(await edgeName(app)).toBe('Cape, lower edge');
});

test('undo is one’s own: two people, each takes back what they did themselves', async ({
  page,
  app,
  browser,
}) => {
  const elsewhere = await browser.newContext();
  const other = await elsewhere.newPage();
  for (const each of [page, other]) await each.goto(`${app.address}/edges/edge-cape/edge`);
  await expect(other.getByLabel('Name')).toHaveValue('Cape, lower edge');
  await page.getByLabel('Name').fill('Mine');
  await page.getByLabel('Name').press('Enter');
  await expect(other.getByLabel('Name')).toHaveValue('Mine');
  await other.getByLabel('Length along the edge').fill('3000');
  await other.getByLabel('Length along the edge').press('Enter');
  await expect(page.getByLabel('Length along the edge')).toHaveValue('3000');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Cape, lower edge');
  expect(await app.api('edges/edge-cape')).toMatchObject({ lengthMm: 3000 });
  await elsewhere.close();
});
