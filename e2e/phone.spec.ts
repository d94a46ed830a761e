import { expect, quiet, test } from './app.fixture';

/** What is looked at beside the machine, on a phone. */
const views = [
  '/projects/project-lantern-parade',
  '/edges/edge-lamplighter/edge',
  '/edges/edge-lamplighter/edge?view=along',
  '/edges/edge-lamplighter/edge?view=alter',
  '/edges/edge-napkins/edge',
  '/edges/edge-collar/folds?view=flat',
  '/edges/edge-collar/folds?view=cut',
  '/edges/edge-blanket/folds?view=cut',
  '/edges/edge-blanket/folds?view=corner',
  '/edges/edge-collar/setting',
  '/edges/edge-lining/setting',
  '/edges/edge-cape/finish',
  '/edges/edge-cape/test',
];

test('nothing is wider than a phone, and the margin says there what waits at its ends', async ({
  page,
  app,
}) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 390, height: 844 });
  for (const view of views) {
    await page.goto(app.address + view);
    await quiet(page);
    const wider = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    await expect.poll(wider, { message: view }).toBeLessThanOrEqual(0);
  }
  await page.goto(`${app.address}/edges/edge-trousers/setting`);
  const margin = page.getByRole('region', { name: 'Margin' });
  await expect(margin).toContainText('← left');
  await expect(margin).toContainText(/then loose lip/);
  // Bed and lens stand under one another, each as wide as the page.
  const picture = (await page.getByRole('img', { name: /View under the foot/ }).boundingBox())!;
  expect(picture.height).toBeGreaterThan(picture.width);
});
