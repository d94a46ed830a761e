import { expect, test } from './app.fixture';

test('on a phone the margin says what waits at its ends, and bed and lens have a page each', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${app.address}/edges/edge-trousers/setting`);
  const margin = page.getByRole('region', { name: 'Margin' });
  await expect(margin).toContainText('← left');
  await expect(margin).toContainText(/then loose lip/);
  // Bed and lens stand under one another, each as wide as the page.
  const picture = (await page.getByRole('img', { name: /View under the foot/ }).boundingBox())!;
  expect(picture.height).toBeGreaterThan(picture.width);
});
