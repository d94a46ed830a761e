import { expect, tabTo, test } from './app.fixture';

test('by mouse: from a new project to a better second scrap', async ({ page, app }) => {
  await page.goto(app.address);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByLabel('Name').fill('Stilt-walker’s coat');
  await page.getByRole('button', { name: 'Make the project' }).click();
  await expect(page.getByText('No edges yet.')).toBeVisible();

  await page.getByRole('button', { name: 'New edge' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Make the edge' }).click();
  await expect(dialog.getByText('Give the edge a name.')).toBeVisible();
  await dialog.getByLabel('Name').fill('Coat, lower edge');
  await dialog.getByLabel('What it is on').fill('coat');
  await dialog.getByLabel('Length along the edge').fill('2.4 cm wide');
  await dialog.getByLabel('Length along the edge').press('Enter');
  await expect(dialog.getByText('“2.4 cm wide” is not a length.')).toBeVisible();
  await dialog.getByLabel('Length along the edge').fill('55 in');
  await dialog.getByRole('button', { name: 'Make the edge' }).click();

  // Nothing is chosen for a new edge; the list stands open.
  const strip = page.getByRole('navigation', { name: 'Stations' });
  await expect(strip).toContainText('not chosen yet');
  await expect(page.getByRole('list', { name: /best first/ })).toBeVisible();

  // Cloth: described by touch, then weighed and stacked.
  await page.getByRole('link', { name: /Cloth/ }).nth(1).click();
  await page.getByRole('button', { name: 'Put a cloth on the shelf' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Coating, soot');
  await page.getByRole('dialog').getByLabel('How it weighs in the hand').selectOption('coating');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  const slip = page.getByRole('complementary');
  await expect(slip.getByRole('heading', { name: 'Coating, soot' })).toBeVisible();
  await expect(slip.getByText('~ derived').first()).toBeVisible();
  await page.getByRole('link', { name: 'Test: Thickness' }).click();
  await page.getByLabel('Height of the stack').fill('9.6 mm');
  await page.getByLabel('Height of the stack').press('Enter');
  await expect(page.getByText('both its height and its number of layers')).toBeVisible();
  await page.getByLabel('Layers, 8 or more').fill('12');
  await page.getByLabel('Layers, 8 or more').press('Enter');
  await page.getByRole('link', { name: 'Back' }).click();
  await expect(slip.getByText('0.8 mm', { exact: true }).first()).toBeVisible();

  // Finish: a blind hem is looked at and taken.
  await strip.getByRole('link', { name: /Finish/ }).click();
  await page.getByRole('button', { name: /^Blind hem/ }).click();
  await page.getByRole('button', { name: /^Take blind hem/ }).click();
  await expect(strip).toContainText('Blind hem');

  // Folds: 30 mm deep with 8 mm of extension.
  await page.getByRole('link', { name: /Folds/ }).click();
  await page.getByLabel('Hem depth').fill('30');
  await page.getByLabel('Hem depth').press('Enter');
  await expect(page.getByTestId('allowance')).toContainText('38 mm');
  await expect(slip.getByText('68 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Fold one step back' }).click();
  await expect(page.getByText('Garment folded back, only for sewing')).toBeVisible();

  // Setting: the margin follows a nudge.
  await page.getByRole('link', { name: /Setting/ }).click();
  const chance = page.getByTestId('chance');
  await expect(chance).toContainText('of 100');
  // The proposal's chance stands there until the plan that was taken is worked out.
  let before: string | null = null;
  await expect(async () => {
    const last = before;
    before = await chance.textContent();
    expect(before).toBe(last);
  }).toPass({ intervals: [1000] });
  await page.getByRole('button', { name: 'Width one step more' }).click();
  await page.getByRole('button', { name: 'Width one step more' }).click();
  await expect(chance).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Back to the solved setting' }).click();
  await expect(chance).toHaveText(before ?? '');

  // Test: more faults than bites is refused, then seven of 24 missed.
  await page.getByRole('button', { name: 'Log a scrap' }).click();
  await page.getByRole('spinbutton', { name: /Missed the fold/ }).fill('25');
  await expect(page.getByText('25 faults are more than the 24 counted.')).toBeVisible();
  await page.getByRole('spinbutton', { name: /Missed the fold/ }).fill('7');
  await page.getByRole('button', { name: 'Record scrap 1' }).click();
  await expect(page.getByRole('heading', { name: 'Move one dial' })).toBeVisible();
  const expected = await slip.getByText(/bites to\s+resew, down from/).textContent();
  const [, after, was] =
    /about ([\d.]+) of \d+ bites to\s+resew, down from ([\d.]+)/.exec(expected ?? '') ?? [];
  expect(Number(after)).toBeLessThan(Number(was));
  await page.getByRole('button', { name: 'Take it for scrap 2' }).click();
  await expect(page.getByRole('button', { name: 'Dial set: sew scrap 2' })).toBeDisabled();

  await page.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(page.getByText('24 bites: all good')).toBeVisible();
  await expect(page.getByText(/→/).first()).toBeVisible();
  await page.getByRole('button', { name: /Keep the setting of scrap 2/ }).click();
  await expect(page.getByRole('link', { name: /scrap 2 kept/ })).toBeVisible();

  await page.reload();
  await expect(page.getByRole('link', { name: /scrap 2 kept/ })).toBeVisible();
});

test('by keyboard alone: a station, a dial, a scrap, the advice', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-tabard`);
  await expect(page.getByRole('heading', { name: 'Tabard, lower edge' })).toBeVisible();
  await page.keyboard.press('5');
  await expect(page).toHaveURL(/setting$/);
  const width = page.getByLabel('Width', { exact: true });
  await expect(width).toBeVisible();
  const start = Number(await width.inputValue());
  await page.keyboard.press(']');
  await expect(width).toBeFocused();
  await expect(width).toHaveValue((start + 0.5).toFixed(1));
  await page.keyboard.press('[');
  await expect(width).toHaveValue(start.toFixed(1));
  await page.keyboard.press('ArrowUp');
  await expect(width).toHaveValue((start + 0.5).toFixed(1));

  // Any length can be typed; it goes to the machine's nearest step and says so.
  await width.fill('1/8 in');
  await page.keyboard.press('Enter');
  await expect(width).toHaveValue('3.0');
  await expect(page.getByText('Nearest step: 3 mm.')).toBeVisible();
  await width.fill('broad');
  await page.keyboard.press('Enter');
  await expect(page.getByText('“broad” is not a length.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(width).toHaveValue('3.0');

  await page.keyboard.press('Tab');
  await page.locator('body').evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('t');
  await expect(page).toHaveURL(/test$/);
  const bites = page.getByRole('spinbutton', { name: /Bites sewn/ });
  await tabTo(page, bites);
  await page.keyboard.press('Control+A');
  await page.keyboard.type('20');
  await tabTo(page, page.getByRole('spinbutton', { name: /Seen on the right side/ }));
  await page.keyboard.type('9');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Move one dial' })).toBeVisible();
  await expect(page.getByText('20 bites: 9 seen on the right side')).toBeVisible();

  const take = page.getByRole('button', { name: 'Take it for scrap 2' });
  await tabTo(page, take);
  await page.keyboard.press('Space');
  await expect(page.getByText('Dial set: sew scrap 2')).toBeVisible();
  await page.locator('body').evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});
