import { viewsOfLengths } from '../web/testing/views';
import { expect, follow, quiet, test } from './app.fixture';
import { seriousTroubles } from './axe';

const views = [
  ...viewsOfLengths,
  '/',
  '/projects/project-lantern-parade/order',
  '/projects/project-lantern-parade/seams',
  '/projects/project-lantern-parade/evenings',
  '/projects/project-lantern-parade/ready',
  '/devices',
  '/at/edge-shirt',
  '/edges/edge-shirt/setting?view=map',
  '/cloths',
  '/cloths/cloth-canvas/measure/weigh',
  '/cloths/cloth-canvas/measure/pull',
  '/cloths/cloth-canvas/measure/slip',
  '/exchange',
  '/keeping',
  '/kit',
  '/kit?it=attachment-binder',
  '/kit?it=needle-80',
  '/kit?it=thread-top',
  '/edges/edge-tunic/test?view=beside',
  '/edges/edge-shirt/test?view=ladder',
  '/edges/edge-lining/test',
  '/book',
  '/book?view=cards',
  '/book?view=hand',
  '/removed',
  '/nowhere',
  '/edges/none/cloth',
];

/** So many views are gone through by one test, in one page. */
const inOneGo = 10;

for (let from = 0; from < views.length; from += inOneGo) {
  const some = views.slice(from, from + inOneGo);
  test(`axe finds nothing serious from ${some[0]} to ${some.at(-1)}`, async ({ page, app }) => {
    test.setTimeout(240_000);
    await page.goto(app.address);
    for (const view of some) {
      await follow(page, view);
      await expect(page.locator('main, [role=main]').first()).toBeVisible();
      await quiet(page);
      expect(await seriousTroubles(page), view).toEqual([]);
      for (const width of [1024, 820, 390]) {
        await page.setViewportSize({ width, height: 844 });
        const wider = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
        await expect.poll(wider, { message: `${view} at ${width}` }).toBeLessThanOrEqual(0);
      }
      // The layout farthest from the first; what lies between them is made of the same two.
      expect(await seriousTroubles(page), `${view} at 390`).toEqual([]);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  });
}

test('axe would say so: a picture without a word for it', async ({ page, app }) => {
  await page.goto(app.address);
  await quiet(page);
  // Outside of what the app draws, so that nothing of it takes the picture away again.
  await page.evaluate(() => document.body.append(new Image(20, 20)));
  expect((await seriousTroubles(page)).map(([id]) => id)).toContain('image-alt');
});

test('a very long name breaks nothing, on a tablet either', async ({ page, app }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`${app.address}/edges/edge-cape/edge`);
  const name = page.getByLabel('Name');
  await name.fill('Ceremonialovergarmentwithtrain '.repeat(3).trim());
  await name.press('Enter');
  for (const station of ['cloth', 'edge', 'finish', 'folds', 'setting', 'test']) {
    await follow(page, `/edges/edge-cape/${station}`);
    await quiet(page);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
  }
  const long = 'Ceremonialovergarmentlining '.repeat(4).trim();
  await app.change('cloths/cloth-flannel', { version: 1, name: long });
  await app.change('feet/foot-blind-screw', { version: 1, name: long });
  for (const path of [
    'cloths?cloth=cloth-flannel',
    'cloths/cloth-flannel/measure/stack',
    'kit?it=foot-blind-screw',
    'exchange',
    'edges/edge-shirt/setting',
  ]) {
    await follow(page, `/${path}`);
    await quiet(page);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow, path).toBeLessThanOrEqual(0);
  }
});

test('the fold picture is to scale', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/folds`);
  for (let i = 0; i < 5; i++) {
    const back = page.getByRole('button', { name: 'Fold one step back' });
    if (await back.isEnabled()) await back.click();
  }
  await expect(page.getByText('Flat cloth, raw edge at the left')).toBeVisible();
  const picture = page.getByRole('img', { name: 'Section through the hem, to scale' });
  // On flat cloth the marks lie at 48 and 88 mm from the raw edge.
  const [rawEdge, hemline, foldBack] = await Promise.all(
    ['raw edge', 'Hemline', 'Fold back'].map(async (text) =>
      Number(await picture.getByText(text, { exact: true }).getAttribute('x')),
    ),
  );
  expect((foldBack! - rawEdge!) / (hemline! - rawEdge!)).toBeCloseTo(88 / 48, 3);
});

test('an empty kit and shelf say what to do first', async ({ page, app }) => {
  await page.goto(app.address);
  await page.getByRole('button', { name: /Remove project/ }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await follow(page, '/kit');
  for (const [drawer, left] of [
    ['Machines', 3],
    ['Feet', 9],
    ['Attachments', 1],
  ] as const) {
    const items = page.getByRole('region', { name: drawer }).getByRole('listitem');
    for (let count: number = left; count > 0; count--) {
      await expect(items).toHaveCount(count);
      await items.first().getByRole('button').click();
      await page.getByRole('button', { name: /^Remove “/ }).click();
      await page.getByRole('button', { name: 'Remove', exact: true }).click();
    }
    await expect(items).toHaveCount(0);
  }
  await expect(page.getByText('The drawer is empty.')).toBeVisible();
  await follow(page, '/cloths');
  for (let count = 9; count > 0; count--) {
    await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(count);
    await page.getByRole('button', { name: /^Remove cloth/ }).click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
  }
  await expect(page.getByText('The shelf is empty. Put the first cloth there')).toBeVisible();
  await page.getByRole('button', { name: 'Put a cloth on the shelf' }).click();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('Give the cloth a name.')).toBeVisible();
  await page.getByLabel('Name').fill('First cloth');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 2, name: 'First cloth' })).toBeVisible();
});
