import type { OrderedWork } from '../core/garment/work-of';
import type { AttemptRecord, PlanRecord, ProjectRecord } from '../contract/records';
import { expect, quiet, test } from './app.fixture';

const ticks = async (app: { api<T>(path: string): Promise<T> }, plan: string) =>
  (await app.api<PlanRecord>(`plans/${plan}`)).ticks;

for (const [width, height] of [
  [390, 844],
  [820, 1180],
  [1024, 768],
] as const) {
  test(`at ${width} × ${height}: a knuckle on either half, letters for two metres, room for thumbs`, async ({
    page,
    app,
  }) => {
    await page.setViewportSize({ width, height });
    await page.goto(`${app.address}/at/edge-shirt`);
    await expect(page.getByText('1 of 16')).toBeVisible();
    const text = page.getByText(/Measure and cut/);
    const size = await text.evaluate((element) => parseFloat(getComputedStyle(element).fontSize));
    expect(size).toBeGreaterThanOrEqual(28);
    // Far from any button.
    await page.mouse.click(width - 20, height / 2);
    await expect(page.getByText('2 of 16')).toBeVisible();
    await expect.poll(() => ticks(app, 'plan-shirt')).toEqual(['cut']);
    await page.mouse.click(20, height / 2);
    await expect(page.getByText('1 of 16')).toBeVisible();
    await page.getByRole('button', { name: 'Not done yet' }).click();
    await expect.poll(() => ticks(app, 'plan-shirt')).toEqual([]);
    await page.keyboard.press('Space');
    await expect(page.getByText('2 of 16')).toBeVisible();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByText('1 of 16')).toBeVisible();
    for (const control of await page
      .locator('main')
      .getByRole('button')
      .or(page.locator('main').getByRole('link'))
      .all()) {
      if (!(await control.isVisible())) continue;
      const box = (await control.boundingBox())!;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
    }
    const wider = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(wider).toBeLessThanOrEqual(0);
  });
}

test('a scrap is tallied without looking, and the one next move stands there', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${app.address}/at/edge-shirt`);
  for (let step = 1; step <= 6; step++) {
    await expect(page.getByText(`${step} of 16`)).toBeVisible();
    await page.keyboard.press('ArrowRight');
  }
  await page.getByRole('button', { name: 'Count a scrap' }).click();
  for (let i = 0; i < 14; i++) await page.getByRole('button', { name: /Good/ }).click();
  for (let i = 0; i < 7; i++) await page.keyboard.press('2');
  await page.getByRole('button', { name: 'Last tap back' }).click();
  await expect(page.getByText('20 bites counted')).toBeVisible();
  // What was tapped is there after a reload.
  await page.reload();
  await expect(page.getByText('20 bites counted')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the scrap' }).click();
  await expect(page.getByText(/Stitch width|Needle position|Guide|Blade/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'I have set it so' })).toBeVisible();
  const [scrap] = await app.api<AttemptRecord[]>('attempts?planId=plan-shirt');
  expect(scrap?.counts.at(-1)).toMatchObject({ n: 20, short: 6, over: 0 });
});

test('the network goes: steps and tally stay, over a reload, and are sent once', async ({
  page,
  ownApp: app,
}) => {
  test.setTimeout(90_000);
  await page.goto(`${app.address}/at/edge-shirt`);
  await expect(page.getByText('1 of 16')).toBeVisible();
  const kept = page.getByText('Kept on this device');
  await expect(kept).toBeVisible();
  await page.reload();
  await expect(page.getByText('1 of 16')).toBeVisible();
  await expect(kept).toBeVisible();
  await app.kill();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('2 of 16')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('does not answer');
  for (let step = 2; step <= 6; step++) {
    await expect(page.getByText(`${step} of 16`)).toBeVisible();
    await page.keyboard.press('ArrowRight');
  }
  await page.getByRole('button', { name: 'Count a scrap' }).click();
  for (let i = 0; i < 5; i++) await page.keyboard.press('1');
  await page.getByRole('button', { name: 'Keep the scrap' }).click();
  await expect(page.getByText('kept here until the server has it')).toBeVisible();
  await app.start();
  await expect
    .poll(async () => (await app.api<AttemptRecord[]>('attempts?planId=plan-shirt')).length)
    .toBe(1);
  await expect.poll(async () => (await ticks(app, 'plan-shirt')).length).toBe(6);
  await page.reload();
  await quiet(page);
  expect(await app.api<AttemptRecord[]>('attempts?planId=plan-shirt')).toHaveLength(1);
});

test('what one device ticks the other shows, and both ticks stand', async ({
  page,
  app,
  browser,
}) => {
  await page.goto(`${app.address}/edges/edge-shirt/folds?view=steps`);
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 } })
  ).newPage();
  await phone.goto(`${app.address}/at/edge-shirt`);
  await expect(phone.getByText('1 of 16')).toBeVisible();
  await phone.keyboard.press('ArrowRight');
  await expect(page.getByRole('checkbox', { name: /Measure and cut/ })).toBeChecked();
  // Both at once: the laptop another step, the phone the next.
  await Promise.all([
    page.getByRole('checkbox', { name: /Turn the raw edge under/ }).check(),
    phone.keyboard.press('ArrowRight'),
  ]);
  await expect
    .poll(async () => [...(await ticks(app, 'plan-shirt'))].sort())
    .toEqual(['cut', 'mark', 'turn']);
  await expect(page.getByRole('dialog')).toBeHidden();
  await phone.context().close();
});

test('a garment at the machine: in its order, from edge to edge', async ({ page, app }) => {
  // A whole wardrobe is put in order, twice: two seconds each with nothing beside it, ten with two other browsers.
  test.setTimeout(150_000);
  await page.goto(`${app.address}/at/garment/project-lantern-parade`);
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/^2 of \d+/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^2 of \d+/)).toBeVisible();
});

test('a garment is walked from cutting out to the end: all that is done is kept, the laptop follows', async ({
  page,
  app,
  browser,
}) => {
  test.setTimeout(90_000);
  const made = await fetch(`${app.address}/api/garments`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ kind: 'napkins', name: 'Napkins', clothId: 'cloth-linen' }),
  });
  const { id } = (await made.json()) as ProjectRecord;
  const { tasks } = await app.api<OrderedWork>(`projects/${id}/order`);
  await page.goto(`${app.address}/projects/${id}/order`);
  await expect(page.getByText(`0 of ${tasks.length}`)).toBeVisible();
  // Nobody took a finish: whoever does its first step takes the one that was proposed.
  await expect(page.getByText('Only proposed yet')).toBeVisible();
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 } })
  ).newPage();
  await phone.goto(`${app.address}/at/garment/${id}`);
  for (let step = 1; step <= tasks.length; step++) {
    await expect(phone.getByText(`${step} of ${tasks.length}`)).toBeVisible();
    await phone.keyboard.press('Space');
  }
  await expect(phone.getByText('All of it is done.')).toBeVisible();
  await expect(page.getByText(`${tasks.length} of ${tasks.length}`)).toBeVisible();
  await expect(page.getByText('Only proposed yet')).toBeHidden();
  const [plan] = (await app.api<PlanRecord[]>('plans')).filter(({ edgeId }) =>
    tasks.some((task) => task.edgeId === edgeId),
  );
  expect(plan?.finish).not.toBeNull();
  expect(plan?.ticks).toHaveLength(tasks.filter(({ edgeId }) => edgeId !== null).length);
  await phone.context().close();
});
