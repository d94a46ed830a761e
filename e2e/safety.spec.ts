import { expect, test } from './app.fixture';

test('a needle that would meet the foot blocks the setting, and it is not kept', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-shirt/setting`);
  const foot = page.getByLabel('Foot', { exact: true });
  await foot.selectOption({ label: 'Narrow-slot foot, centre blade' });
  const width = page.getByLabel('Width', { exact: true });
  // A page opened anew has no earlier foot's setting to show while it works out this one's.
  await page.goto(`${app.address}/edges/edge-shirt/setting`);
  await expect(foot).toHaveValue('foot-narrow');
  await expect(page.getByTestId('chance')).toContainText('of 100');
  const clear = await width.inputValue();
  await width.fill('4');
  await width.press('Enter');
  await expect(page.getByTestId('chance')).toContainText('blocked');
  await expect(
    page.getByRole('alert').getByText(/needle would meet the foot on the left/),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Log a scrap' })).toBeDisabled();
  await page.reload();
  await expect(width).toHaveValue(clear);
});

test('a fold that cannot be is refused at its field in both units', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/folds`);
  const extension = page.getByLabel('Extension left showing');
  await extension.fill('45');
  await extension.press('Enter');
  await expect(
    page.getByText('An extension of 45 mm is wider than the hem of 40 mm'),
  ).toBeVisible();
  await expect(extension).toHaveValue('45');
  await extension.press('Escape');
  await expect(extension).toHaveValue('8');
  const depth = page.getByLabel('Hem depth');
  for (const [typed, words] of [
    ['0', '0 mm is out of range'],
    ['3000', '3000 mm is out of range'],
    ['', 'Type a length'],
  ] as const) {
    await depth.fill(typed);
    await depth.press('Enter');
    await expect(page.getByText(words)).toBeVisible();
  }
  await depth.press('Escape');
  await expect(page.getByTestId('allowance')).toContainText('48 mm');
});

test('a machine whose width step is 0 is refused where it is typed', async ({ page, app }) => {
  await page.goto(`${app.address}/kit`);
  const step = page.getByLabel('Width step');
  await step.fill('0');
  await step.press('Enter');
  await expect(page.getByText('It can be 0.01 to 5 mm.')).toBeVisible();
  const machines = await app.api<{ specs: { widthStepMm: number } }[]>('machines');
  expect(machines.map(({ specs }) => specs.widthStepMm)).not.toContain(0);
});

test('two tabs on one edge: each hears of the other, and what was typed meanwhile is asked about', async ({
  page,
  app,
  context,
}) => {
  const other = await context.newPage();
  await page.goto(`${app.address}/edges/edge-veil/edge`);
  await other.goto(`${app.address}/edges/edge-veil/edge`);
  await expect(other.getByLabel('Length along the edge')).toHaveValue('1900');
  const mine = page.getByLabel('Length along the edge');
  await mine.fill('2000');
  await mine.press('Enter');
  await expect
    .poll(async () => (await app.api<{ lengthMm: number }>('edges/edge-veil')).lengthMm)
    .toBe(2000);
  // The other tab hears of it by itself, without being asked or brought to the front.
  await expect(other.getByLabel('Length along the edge')).toHaveValue('2000');
  const name = other.getByLabel('Name');
  await name.fill('Veil, back edge');
  await name.press('Enter');
  await expect
    .poll(async () => await app.api('edges/edge-veil'))
    .toMatchObject({ name: 'Veil, back edge', lengthMm: 2000 });
  // What is typed and not kept yet is asked about too, at its field.
  await name.fill('Veil, my name');
  await app.change('edges/edge-veil', { version: 3, name: 'Veil, their name' });
  const meanwhile = other.getByRole('alert').filter({ hasText: 'Changed elsewhere meanwhile' });
  await expect(meanwhile).toContainText('Veil, their name');
  await name.press('Enter');
  expect(await app.api('edges/edge-veil')).toMatchObject({ name: 'Veil, their name' });
  await meanwhile.getByRole('button', { name: 'Set it to mine' }).click();
  await expect
    .poll(async () => await app.api('edges/edge-veil'))
    .toMatchObject({ name: 'Veil, my name' });
  // A tab that was left behind with something unsent asks before it writes over newer work.
  const unsent = [
    { key: 'edges/edge-veil', patch: { lengthMm: 1700 }, bases: { lengthMm: [1900] } },
  ];
  await other.goto('about:blank');
  await page.evaluate(
    (left) => localStorage.setItem('pin-margin unsent changes', JSON.stringify(left)),
    unsent,
  );
  await other.goto(`${app.address}/edges/edge-veil/edge`);
  const asked = other.getByRole('alertdialog');
  await expect(asked).toContainText('changed elsewhere meanwhile');
  await expect(asked).toContainText('1700 mm');
  await expect(asked).toContainText('2000 mm');
  await asked.getByRole('button', { name: 'Leave theirs' }).click();
  expect(await app.api('edges/edge-veil')).toMatchObject({ lengthMm: 2000 });
});
