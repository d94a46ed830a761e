import { expect, test } from './app.fixture';

interface Plan {
  settings: { widthMm: number; needlePositionMm: number; guideMm: number } | null;
}

test('on the map by mouse: dragging moves the dials and the margin with them', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-shirt/setting`);
  await page.getByRole('tab', { name: 'Margin map' }).click();
  const map = page.getByRole('group', { name: /^Margin map/ });
  const here = page.getByRole('status').filter({ hasText: 'Width' });
  await expect(here).toHaveText('Width 2 mm, needle 0 mm: 82 of 100');
  const box = (await map.boundingBox())!;
  const cell = (column: number, row: number): [number, number] => [
    box.x + ((column + 0.5) * box.width) / 15,
    box.y + box.height - ((row + 0.5) * box.height) / 15,
  ];
  await page.mouse.move(...cell(4, 7));
  await page.mouse.down();
  await page.mouse.move(...cell(5, 8), { steps: 6 });
  await page.mouse.up();
  await expect(here).toHaveText('Width 2.5 mm, needle 0.5 mm: 82 of 100');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('2.5');
  await expect
    .poll(async () => (await app.api<Plan>('plans/plan-shirt')).settings)
    .toMatchObject({ widthMm: 2.5, needlePositionMm: 0.5 });

  // A drag is one step, however many cells it went over.
  await page.mouse.move(...cell(5, 8));
  await page.mouse.down();
  await page.mouse.move(...cell(2, 6), { steps: 9 });
  await page.mouse.up();
  await expect
    .poll(async () => (await app.api<Plan>('plans/plan-shirt')).settings)
    .toMatchObject({ widthMm: 1 });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(here).toContainText('Width 2.5 mm, needle 0.5 mm');

  // Where the needle would meet metal it is shown, said, and not kept.
  await page.mouse.click(...cell(14, 2));
  await expect(here).toContainText('blocked');
  await expect(page.getByTestId('chance')).toContainText('blocked');
  expect((await app.api<Plan>('plans/plan-shirt')).settings).toMatchObject({ widthMm: 2.5 });
});

test('on the map by keyboard: one machine step an arrow', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-shirt/setting?view=map`);
  const map = page.getByRole('group', { name: /^Margin map/ });
  const here = page.getByRole('status').filter({ hasText: 'Width' });
  await expect(here).toHaveText('Width 2 mm, needle 0 mm: 82 of 100');
  await map.focus();
  await page.keyboard.press('ArrowRight');
  await expect(here).toContainText('Width 2.5 mm, needle 0 mm');
  await page.keyboard.press('ArrowUp');
  await expect(here).toContainText('Width 2.5 mm, needle 0.5 mm');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowLeft');
  await expect(here).toHaveText('Width 2 mm, needle 0 mm: 82 of 100');

  // With the blade free in every cell, a move takes the blade along.
  await page.getByRole('checkbox', { name: /best place of the guide/ }).click();
  await map.focus();
  await page.keyboard.press('ArrowRight');
  await expect(here).toContainText('Width 2.5 mm');
  await expect
    .poll(async () => (await app.api<Plan>('plans/plan-shirt')).settings?.guideMm)
    .not.toBe(-1.5);
});

test('the chance against one dial, as a curve and as numbers', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-shirt/setting?view=map`);
  await page.getByRole('radio', { name: 'Width alone' }).click();
  await expect(page.getByRole('img', { name: 'Chance against the width' })).toBeVisible();
  const numbers = page.getByRole('table', { name: 'Chance against the width' });
  await expect(numbers.getByRole('row', { name: '2 mm', exact: false }).first()).toBeAttached();
  await expect(numbers).toContainText('82.3 of 100');
  await expect(numbers).toContainText('blocked');
});
