import { readFile } from 'node:fs/promises';
import { Buffer } from 'node:buffer';
import { expect, follow, test } from './app.fixture';

interface Attempt {
  id: string;
  note: string;
  verdict: string | null;
  pinned: boolean;
}

test('the table: sorted, searched, gone through by keys, with the columns one wants', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/book`);
  const table = page.getByRole('table', { name: 'Scraps' });
  const rows = table.locator('tbody tr');
  await expect(page.getByRole('status')).toContainText('1 to 21 of 21');
  await table.getByRole('button', { name: 'Cloth' }).click();
  await expect(table.getByRole('columnheader', { name: 'Cloth' })).toHaveAttribute(
    'aria-sort',
    /scending/,
  );
  const cloths = async () => rows.locator('td:nth-child(4)').allInnerTexts();
  await expect
    .poll(async () => {
      const all = await cloths();
      return (
        JSON.stringify(all) === JSON.stringify([...all].sort()) ||
        JSON.stringify(all) === JSON.stringify([...all].sort().reverse())
      );
    })
    .toBe(true);

  await page.getByRole('searchbox', { name: 'Search the book' }).fill('starched');
  await expect(rows).toHaveCount(1);
  await expect(page.getByRole('complementary', { name: 'The scrap' })).toContainText('Linen');
  await page.reload();
  await expect(rows).toHaveCount(1);
  await page.getByRole('button', { name: 'the whole book' }).click();
  await expect(rows).toHaveCount(21);

  await rows.first().focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(2)).toHaveAttribute('aria-selected', 'true');
  await expect(rows.nth(2)).toBeFocused();
  await page.keyboard.press('End');
  await expect(rows.last()).toHaveAttribute('aria-selected', 'true');

  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Machine' }).click();
  await page.keyboard.press('Escape');
  await expect(table.getByRole('columnheader', { name: 'Machine' })).toBeVisible();
  await page.reload();
  await expect(table.getByRole('columnheader', { name: 'Machine' })).toBeVisible();
});

test('what worked on this cloth, as cards that are flipped by key', async ({ page, app }) => {
  await page.goto(`${app.address}/cloths?cloth=cloth-denim`);
  await page.getByRole('link', { name: 'What worked on this cloth' }).click();
  await expect(page.getByRole('heading', { name: 'What worked on Denim, indigo' })).toBeVisible();
  await page.getByRole('radio', { name: 'Cards' }).click();
  const card = page.getByRole('group', { name: 'Card 1 of 2' });
  await expect(card).toContainText('Jeans hem');
  await card.focus();
  await page.keyboard.press('Space');
  await expect(card).toContainText('Shim behind the heel');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('group', { name: 'Card 2 of 2' })).toContainText('Stilt trousers');
});

test('a verdict, a note and a pin from the book; what is pinned is where a plan starts', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/book?scrap=earlier-8-1&q=jeans`);
  const slip = page.getByRole('complementary', { name: 'The scrap' });
  await slip.getByRole('button', { name: 'Pin to this cloth, finish, machine' }).click();
  await expect(slip.getByRole('button', { name: 'Take the pin out' })).toBeVisible();
  await slip.getByLabel('Note').fill('Held a whole parade.');
  await slip.getByLabel('Note').blur();
  await expect
    .poll(() => app.api<Attempt>('attempts/earlier-8-1'))
    .toMatchObject({ pinned: true, note: 'Held a whole parade.' });
  await follow(page, '/edges/edge-trousers/setting');
  const worked = page.getByTestId('worked');
  await worked.locator('summary').click();
  await expect(worked).toContainText('This very set-up');
  await expect(worked).toContainText('pinned');
  await expect(worked).toContainText('the same cloth, the same machine, the same foot');
  const chance = page.getByTestId('chance');
  const taken = (await chance.textContent()) ?? '';
  await worked.getByRole('button', { name: /taken over here/ }).click();
  await expect(chance).not.toHaveText(taken);
  await expect(page.getByText('The spread is a starting guess.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chance).toHaveText(taken);
});

test('out and in again through the page: a book wiped comes back as it was', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/book`);
  await page.getByRole('link', { name: 'Carry it in or out' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Sample book, JSON' }).click(),
  ]);
  const before = await readFile(await download.path());
  for (const { id, version } of await app.api<{ id: string; version: number }[]>('attempts')) {
    await fetch(`${app.address}/api/attempts/${id}?version=${version}`, { method: 'DELETE' });
  }
  await follow(page, '/book');
  await expect(page.getByText('The book is empty.')).toBeVisible();
  await follow(page, '/exchange');
  await page.getByLabel('File to take in').setInputFiles({
    ...{ name: 'sample-book.json', mimeType: 'application/json', buffer: before },
  });
  await page.getByRole('button', { name: 'Take in 21 rows' }).click();
  await expect(page.getByText('Taken in: 21 added, 0 changed.', { exact: false })).toBeVisible();
  const after = await (await fetch(`${app.address}/api/export/sample-book.json`)).text();
  expect(after).toBe(before.toString());
  const half = before.toString().replace('"verdict": "keep"', '"verdict": "splendid"');
  await page.getByLabel('File to take in').setInputFiles({
    ...{ name: 'half.json', mimeType: 'application/json', buffer: Buffer.from(half) },
  });
  await expect(page.getByText('A verdict is keep, nearly or no.', { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take in/ })).toBeDisabled();
});

test('a page of a sample stands on its own, with both faces drawn', async ({ page, app }) => {
  await page.goto(`${app.address}/book?scrap=earlier-1-3&clothId=cloth-flannel`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'A page to share' }).click(),
  ]);
  const html = (await readFile(await download.path())).toString();
  expect(html).not.toMatch(/(src|href)="(?!data:|#)/);
  // On a page of nobody's: nothing of the app helps it.
  await page.goto('about:blank');
  await page.setContent(html);
  await expect(page.getByRole('heading')).toContainText('Wool flannel, slate');
  await expect(page.getByRole('img', { name: /Both faces, predicted/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Both faces, counted/ })).toBeVisible();
  await expect(page.locator('clipPath')).toHaveCount(4);
  await expect(page.getByText('Lamp bearer’s cloak.')).toBeVisible();
});

test('taken out, much changed, brought back', async ({ page, app }) => {
  await page.goto(`${app.address}/book?scrap=earlier-1-3&clothId=cloth-flannel`);
  await page.getByRole('button', { name: 'Remove scrap 3' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect.poll(async () => (await app.api<Attempt[]>('attempts')).length).toBe(20);
  await follow(page, '/cloths?cloth=cloth-canvas');
  await follow(page, '/removed');
  await page.getByRole('button', { name: 'Bring back scrap 3' }).click();
  await expect(page.getByText('Nothing was taken out.')).toBeVisible();
  expect(await app.api<Attempt[]>('attempts')).toHaveLength(21);
});

test('your hand: a spread with its doubt, and where there is not enough to say', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/book?view=hand`);
  const blade = page.getByRole('region', { name: 'Along the blade on the foot' });
  await expect(blade).toContainText(/of the usual spread \(0\.\d+ to \d\.\d+\)/);
  await expect(page.getByText('Not enough samples yet: 2 scraps of 3.')).toBeVisible();
});
