import type { PlanRecord as Plan } from '../contract/records';
import { expect, follow, test } from './app.fixture';

const setting = (edge: string) => `/edges/${edge}/setting`;

test('a zigzagged edge on the plain foot: led along the best of its references, or one’s own', async ({
  page,
  app,
}) => {
  await page.goto(app.address + setting('edge-apron'));
  await page.getByLabel('Foot', { exact: true }).selectOption({ label: 'Open zigzag foot' });
  await page.getByLabel('Stitch', { exact: true }).selectOption('zigzag');
  const along = page.getByLabel('Along', { exact: true });
  await expect(along.locator('option:checked')).toHaveText('right inner toe edge, the best');
  await expect(page.getByTestId('chance')).toContainText('of 100');
  // By keyboard: the first of its references is taken, which leaves no setting worth sewing.
  await along.selectOption('left inner toe edge');
  await expect(page.getByRole('alert').first()).toContainText(
    'led along the right inner toe edge it can be sewn',
  );
  await expect
    .poll(async () => (await app.api<Plan>('plans/plan-apron')).reference)
    .toBe('left inner toe edge');
  await page.reload();
  await expect(along).toHaveValue('left inner toe edge');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(along).toHaveValue('');
  await expect(page.getByTestId('chance')).toContainText('of 100');
});

test('hold or hide, the thread and its colour set what is accepted and how far the bites lie', async ({
  page,
  app,
}) => {
  await page.goto(app.address + setting('edge-cape'));
  const length = page.getByLabel('Length', { exact: true });
  const rather = page.getByRole('radiogroup', { name: 'Rather hold or hide' });
  await rather.getByRole('radio', { name: 'Hold' }).click();
  await expect(length).toHaveValue('2.0');
  await rather.getByRole('radio', { name: 'Hold' }).press('End');
  await expect(rather.getByRole('radio', { name: 'Hide' })).toBeFocused();
  await page.keyboard.press('Space');
  await expect(length).toHaveValue('3.0');
  const accepted = page.getByLabel('Accepted on the right side');
  await page.getByLabel('Thread', { exact: true }).selectOption('contrasting');
  await expect(accepted).toHaveValue('0.5');
  await page.getByLabel('Thread', { exact: true }).selectOption('clear');
  await expect(accepted).toHaveValue('1');
  await page.getByLabel('Thread', { exact: true }).selectOption('matching');
  await page.getByLabel('Colour of the thread').fill('#f2d200');
  // Yellow on slate is no match, whatever it is called.
  await expect(accepted).toHaveValue('0.5');
  await expect
    .poll(async () => (await app.api<Plan>('plans/plan-cape')).threadColour)
    .toBe('#f2d200');
  await page.reload();
  await expect(page.getByLabel('Colour of the thread')).toHaveValue('#f2d200');
});

test('the raw edge’s overcasting has a line, a setting and scraps of its own', async ({
  page,
  app,
}) => {
  const { version } = await app.api<Plan>('plans/plan-trousers');
  await app.change('plans/plan-trousers', {
    ...{ version, finish: 'single-hem', fold: { variant: 'overcast', depthMm: 25 } },
    ...{ settings: null, keptAttemptId: null },
  });
  await page.goto(app.address + setting('edge-trousers'));
  const passes = page.getByRole('region', { name: 'Other passes, each with a setting of its own' });
  await expect(passes).toContainText(/\d+ of 100/);
  await expect(passes).toContainText(/foot/i);
  await passes.getByRole('link', { name: 'Log a scrap of this pass' }).click();
  await expect(page).toHaveURL(/test\?pass=/);
  await page.getByRole('button', { name: 'Record scrap 1' }).click();
  await expect
    .poll(async () =>
      (await app.api<{ planId: string; pass: string | null; finish: string }[]>('attempts'))
        .filter(({ planId }) => planId === 'plan-trousers')
        .map(({ pass, finish }) => [pass !== null, finish]),
    )
    .toContainEqual([true, 'overcast']);
  // It teaches nothing about the hem's own line.
  await follow(page, '/edges/edge-trousers/test');
  await expect(page.getByRole('heading', { name: 'Sew the first scrap' })).toBeVisible();
});

test('a serged knit edge goes from waves to flat by two measured scraps', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-lining/test`);
  await expect(page.getByText('Put two marks along it, 100 mm apart.')).toBeVisible();
  const after = page.getByLabel('Marks, after');
  await after.fill('900');
  await after.press('Enter');
  await page.getByRole('button', { name: 'Record scrap 1' }).click();
  await expect(page.getByRole('alert').filter({ hasText: '900' })).toContainText(
    'is more than an edge of 100 mm can have grown',
  );
  await after.fill('112');
  await after.press('Enter');
  await page.getByLabel('Loopers lock').fill('1.2');
  await page.getByRole('button', { name: 'Record scrap 1' }).click();
  const advice = page.getByTestId('loopers');
  await expect(advice).toContainText('100 mm grew to 112 mm, by 12 %');
  await expect(advice).toContainText('Lower looper 1 number tighter');
  // The form is empty again once it is for the next scrap.
  await expect(page.getByRole('button', { name: 'Record scrap 2' })).toBeVisible();
  await expect(page.getByLabel('Marks, after')).toHaveValue('');
  await page.getByLabel('Marks, after').fill('100');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(advice).toContainText('Enough: it lies flat');
});

test('jeans with their look kept: the tuck from the line that is sewn, to the last step', async ({
  page,
  app,
}) => {
  const { version } = await app.api<{ version: number }>('edges/edge-trousers');
  await app.change('edges/edge-trousers', {
    version,
    oldHem: { depthMm: 13, sewn: 'topstitched', keepLook: true },
  });
  const plan = await app.api<Plan>('plans/plan-trousers');
  await app.change('plans/plan-trousers', {
    ...{ version: plan.version, finish: 'kept-hem', fold: { variant: 'seams', shortenMm: 50.8 } },
    ...{ footId: 'foot-zipper', settings: null, keptAttemptId: null },
  });
  await page.goto(app.address + setting('edge-trousers'));
  await expect(page.getByTestId('chance')).toContainText('of 100');
  await follow(page, '/edges/edge-trousers/folds?view=steps');
  const steps = page.getByRole('tabpanel').getByRole('listitem');
  await expect(steps.filter({ hasText: '25.4 mm' }).first()).toBeVisible();
  const boxes = page.getByRole('tabpanel').getByRole('checkbox');
  const many = await boxes.count();
  for (let i = 0; i < many; i++) await boxes.nth(i).check();
  await expect(page.getByText(`${many} of ${many} done`)).toBeVisible();
});

test('a place to lead along that has a taken name says so, and keeps what was typed', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/kit?it=foot-zigzag`);
  await page.getByText('Other places to lead along').click();
  const place = page.getByLabel('Place', { exact: true }).first();
  const before = await place.inputValue();
  const other = await page.getByLabel('Place', { exact: true }).nth(1).inputValue();
  await place.fill(other);
  await place.press('Enter');
  await expect(page.getByText(`Another place is called “${other}” already.`)).toBeVisible();
  await expect(place).toHaveValue(other);
  await place.press('Escape');
  await expect(place).toHaveValue(before);
  await place.fill('scratch on the toe');
  await place.press('Enter');
  await expect
    .poll(
      async () =>
        (await app.api<{ specs: { references: { name: string }[] } }>('feet/foot-zigzag')).specs
          .references[0]?.name,
    )
    .toBe('scratch on the toe');
});
