import { expect, test } from './app.fixture';

interface Foot {
  specs: { slotMm: [number, number]; guide: { atMm?: number; rangeMm?: [number, number] } };
}

test('a foot is described by measuring it, in any unit, and its drawing follows', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/kit`);
  await page.getByRole('button', { name: 'Open zigzag foot' }).click();
  const drawing = page.getByRole('img', { name: 'The foot from above, to scale' });
  await expect(drawing.getByText('−4.5')).toBeVisible();
  const left = page.getByLabel('Slot, left end');
  await left.fill('-1/8 in');
  await left.press('Enter');
  await expect(drawing.getByText('−3.17')).toBeVisible();
  await left.fill('6');
  await left.press('Enter');
  await expect(page.getByText('The first number must be less than the second.')).toBeVisible();
  await left.press('Escape');

  await page.getByRole('radio', { name: 'Adjusts' }).click();
  await expect(page.getByRole('textbox', { name: 'From' })).toHaveValue('−3');
  await expect
    .poll(async () => (await app.api<Foot>('feet/foot-zigzag')).specs)
    .toMatchObject({ slotMm: [expect.closeTo(-3.175, 6), 4.5], guide: { rangeMm: [-3, -1] } });
});

test('a new machine starts with plain numbers and can be taken out again', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/kit`);
  await page.getByRole('button', { name: 'Another machine' }).click();
  await expect(page.getByLabel('Machine', { exact: true })).toHaveValue('New machine');
  const name = page.getByLabel('Machine', { exact: true });
  await name.fill('Travel machine');
  await name.press('Enter');
  const machines = page.getByRole('region', { name: 'Machines' });
  await expect(machines.getByRole('button', { name: 'Travel machine' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove “Travel machine”' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(machines.getByRole('button', { name: 'Travel machine' })).toHaveCount(0);
});

test('a machine that edges are planned for stays, and says why', async ({ page, app }) => {
  await page.goto(`${app.address}/kit`);
  await page.getByRole('button', { name: 'Fine-step machine, 9 mm wide', exact: true }).click();
  await page.getByRole('button', { name: /^Remove “Fine-step/ }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText(/This machine is used by \d plans/)).toBeVisible();
  expect(await app.api<unknown[]>('machines')).toHaveLength(3);
});

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

test('a curve too tight for the hem says how deep it can be', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/edge`);
  const status = page.getByRole('status').filter({ hasText: 'longer than where it lands' });
  await expect(status).toContainText('3.4 % fuller');
  const radius = page.getByLabel('Radius of its tightest curve');
  await radius.fill('300 mm');
  await radius.press('Enter');
  await expect(status).toContainText('30.8 % fuller');
  await expect(status).toContainText('a hem can be 8.7 mm deep');
  await radius.fill('');
  await radius.press('Enter');
  await expect(status).toHaveCount(0);
  await expect.poll(() => app.api('edges/edge-cape')).toMatchObject({ minRadiusMm: null });
});

test('under the foot the picture is to scale: holes a width apart on the ruler', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-tabard/setting`);
  const picture = page.getByRole('img', { name: 'View under the foot, to scale' });
  await expect(picture.getByText('blade', { exact: true })).toBeVisible();
  const table = page.getByRole('table', { name: 'Under the foot, in numbers' });
  const number = async (name: string) =>
    Number(
      (
        await table
          .getByRole('row')
          .filter({ has: page.getByRole('rowheader', { name, exact: true }) })
          .getByRole('cell')
          .textContent()
      )
        ?.replace('−', '-')
        .replace(' mm', ''),
    );
  const width = Number(await page.getByLabel('Width', { exact: true }).inputValue());
  expect((await number('to')) - (await number('Needle swings from'))).toBeCloseTo(width, 2);
  // The swing on the ruler: as long as the width, in the scale of the ruler's own ticks.
  const bar = await picture.locator('line[stroke-width="7"]').evaluate((line) => {
    const { x1, x2 } = line as SVGLineElement;
    return x2.baseVal.value - x1.baseVal.value;
  });
  const ticks = await picture
    .locator('text')
    .evaluateAll((texts) =>
      texts
        .map((text) => [text.textContent ?? '', Number(text.getAttribute('x'))] as const)
        .filter(([text]) => /^[−-]?\d+$/.test(text)),
    );
  // The bed's ruler comes first; the lens has one of its own.
  const zero = ticks.findIndex(([text]) => text === '0');
  const [[, from], [next, to]] = [ticks[zero]!, ticks[zero + 1]!];
  const pxPerMm = (to - from) / Number(next);
  expect(bar / pxPerMm).toBeCloseTo(width, 1);
});

test('the finish station changes the way the raw edge is held, with its allowance', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/finish`);
  const row = page.getByRole('button', { name: /^Blind hem/, pressed: true });
  await expect(row).toContainText('48 mm');
  await page.getByRole('radio', { name: /edge turned in/ }).click();
  await expect(row).toContainText('60 mm');
  await page.getByRole('button', { name: 'Take blind hem, edge turned in' }).click();
  await expect(page.getByRole('link', { name: /Finish Blind hem, edge turned in/ })).toBeVisible();
  await page.getByRole('button', { name: 'On to the folds' }).click();
  await expect(page.getByLabel('Turn under')).toHaveValue('12');
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
