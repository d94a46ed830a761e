import { expect, follow, test } from './app.fixture';

const setting = (edge: string) => `/edges/${edge}/setting`;

test('every finish is solved, drawn and sewn as a swatch: overcast, bound, hemmer, jeans', async ({
  page,
  app,
}) => {
  await page.goto(app.address);
  for (const [edge, reference] of [
    ['edge-apron', 'raw edge'],
    ['edge-collar', 'front fold'],
    ['edge-flounce', 'raw edge'],
    ['edge-trousers', 'inner fold'],
  ] as const) {
    await follow(page, setting(edge));
    await expect(page.getByTestId('chance')).toContainText('of 100');
    const picture = page.getByRole('img', { name: 'View under the foot, to scale' });
    await expect(picture.getByText(`${reference} wanders`)).toBeVisible();
    await expect(page.getByRole('img', { name: `Margin of the ${reference}` })).toBeVisible();
    await page.getByRole('tab', { name: 'Swatch' }).click();
    await expect(page.getByRole('img', { name: 'Swatch, both faces, to scale' })).toBeVisible();
  }
});

test('the swatch’s rings are its faults, and another seed sews another', async ({ page, app }) => {
  await page.goto(`${app.address}${setting('edge-apron')}?view=swatch`);
  const picture = page.getByRole('img', { name: 'Swatch, both faces, to scale' });
  await expect(picture).toBeVisible();
  const count = page.getByTestId('swatch-count');
  const seen: string[] = [];
  for (let i = 0; i < 4; i++) {
    const text = (await count.textContent()) ?? '';
    const [, faults, all] = /^(\d+) of (\d+)/.exec(text) ?? [];
    expect(Number(all)).toBeGreaterThan(20);
    // The first window shows the whole length, true to size: each fault is ringed there once.
    const rings = picture.locator('g[clip-path="url(#up-true)"] [data-part="fault"]');
    await expect(rings).toHaveCount(Number(faults));
    seen.push(text);
    await page.getByRole('button', { name: 'Sew another' }).click();
  }
  expect(new Set(seen).size).toBeGreaterThan(1);
  // Too tight a thread pulls the other one up on one face only.
  const dots = (face: string) =>
    picture.locator(`g[clip-path="url(#${face}-true)"] [data-part="pulled-thread"]`);
  await expect(dots('up')).toHaveCount(0);
  await page.getByRole('radio', { name: 'upper too tight' }).click();
  await expect(dots('up')).not.toHaveCount(0);
  await expect(dots('under')).toHaveCount(0);
});

test('an overlocked edge waves when the differential is too low, and lies flat at its start', async ({
  page,
  app,
}) => {
  await page.goto(app.address + setting('edge-lining'));
  const look = page.getByTestId('edge-look');
  await expect(look).toContainText('lies flat');
  const slider = page.getByRole('slider', { name: 'Differential' });
  await slider.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  await expect(look).toContainText('stands in waves: raise the differential');
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight');
  await expect(look).toContainText('puckers: lower the differential');
  await page.getByRole('button', { name: /^back to/ }).click();
  await expect(look).toContainText('lies flat');
  await expect(page.getByLabel('Stitch', { exact: true })).toContainText('ISO 514');
});

test('a straight-stitch plate blocks every width, in words and in the picture', async ({
  page,
  app,
}) => {
  const plate = async (plateHoleMm: [number, number] | null) => {
    const { version, specs } = await app.api<{ version: number; specs: object }>(
      'machines/machine-home',
    );
    await app.change('machines/machine-home', { version, specs: { ...specs, plateHoleMm } });
  };
  const { specs } = await app.api<{ specs: { plateHoleMm?: [number, number] | null } }>(
    'machines/machine-home',
  );
  await plate([-1, 1]);
  await page.goto(app.address + setting('edge-apron'));
  await expect(page.getByRole('alert').first()).toContainText(
    'a plate with a wide hole would sew it',
  );
  await expect(page.getByRole('link', { name: /Setting/ })).toContainText('can’t be sewn so');
  // A width that was chosen on the other plate.
  await plate(specs.plateHoleMm ?? null);
  await page.reload();
  await page.getByLabel('Width', { exact: true }).fill('3');
  await page.getByLabel('Width', { exact: true }).press('Enter');
  await expect
    .poll(async () => (await app.api<{ settings: object | null }>('plans/plan-apron')).settings)
    .not.toBeNull();
  await plate([-1, 1]);
  await page.reload();
  await expect(page.getByTestId('chance')).toContainText('blocked');
  await expect(page.getByRole('alert').first()).toContainText(
    'a straight-stitch plate leaves no room to swing, and this stitch swings 3 mm',
  );
  const picture = page.getByRole('img', { name: 'View under the foot, to scale' });
  await expect(picture.locator('[data-part="meets-metal"]').first()).toHaveAttribute('d', /M/);
});

test('a stitch the machine does not have is refused by name, and the others are offered', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/kit`);
  await page.getByRole('button', { name: 'Home machine, 7 mm wide', exact: true }).click();
  await page.getByRole('checkbox', { name: /overcast, woven/ }).uncheck();
  await follow(page, setting('edge-apron'));
  await expect(page.getByRole('alert').first()).toContainText('This machine has no overcast-woven');
  await page.getByLabel('Stitch', { exact: true }).selectOption('zigzag');
  await expect(page.getByTestId('chance')).toContainText('of 100');
});

test('by keyboard: a scrap of a binding counts its front and its back', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-collar/test`);
  const count = (name: RegExp) => page.getByRole('spinbutton', { name });
  await count(/Stitches sewn/).fill('30');
  await count(/Back not caught/).fill('6');
  await count(/Too far in/).fill('2');
  await page.keyboard.press('Enter');
  await expect(page.getByText('30 stitches: 2 too far in, 6 at the back')).toBeVisible();
  await expect(page.getByTestId('chance')).toContainText('of 100');
  const [attempt] = await app.api<{ counts: object[] }[]>('attempts?planId=plan-collar');
  expect(attempt?.counts).toEqual([
    { check: 'back', n: 30, short: 6, over: 0 },
    { check: 'front', n: 30, short: 0, over: 2 },
  ]);
});
