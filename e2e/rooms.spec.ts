import { expect, test } from './app.fixture';

test('another cloth on the edge: the dials are solved anew, and old scraps are not counted', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/cloth`);
  await page.getByRole('listbox').getByRole('option', { name: /Linen/ }).click();
  await expect(page.getByRole('link', { name: /Cloth Linen/ })).toBeVisible();
  await page.keyboard.press('6');
  await expect(page.getByText(/Sewn with another set-up/)).toBeVisible();
  await expect(page.getByText('they teach nothing about this one', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Move one dial' })).toBeVisible();
});

test('the printed slip is the size of a hand and holds the setting and its margin', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/setting`);
  await expect(page.getByTestId('chance')).toContainText('of 100');
  await page.emulateMedia({ media: 'print' });
  await page.setViewportSize({ width: 794, height: 1123 });
  const card = page.getByRole('region', { name: 'Card' });
  await expect(card.getByText(/Margin 0.6 mm left, 0.6 mm right; 71 of 100/)).toBeVisible();
  // Numbers only: nothing on paper can be filled in or pressed, and nothing else is on it.
  await expect(card.locator('input, select, button, textarea')).toHaveCount(0);
  await expect(page.locator('#root')).toBeHidden();
  const box = await card.locator('div').first().boundingBox();
  expect((box?.width ?? 0) / 96).toBeCloseTo(105 / 25.4, 1);
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test('what was really on the dials can differ from the slip, and is what is learned from', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  await page.getByText('Sewn at').click();
  const width = page.getByRole('group').getByLabel('Width');
  await width.fill('12');
  await width.press('Enter');
  await expect(page.getByText('This goes from 0 mm to 9 mm.')).toBeVisible();
  // Enter takes a length; it never records the scrap behind one's back.
  expect(await app.api<unknown[]>('attempts?planId=plan-cape')).toHaveLength(1);
  await width.fill('3');
  await width.press('Enter');
  await page.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(page.getByText('Scrap 2 is in the book.')).toBeVisible();
  await expect(page.getByText('Width 2.2 → 3', { exact: true })).toBeVisible();
  expect(await app.api('plans/plan-cape')).toMatchObject({ settings: { widthMm: 3 } });
});
