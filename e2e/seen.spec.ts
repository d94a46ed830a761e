import { expect, test } from './app.fixture';

test('what was seen beside the counts joins one ranked list, and a reload keeps it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  const panel = page.getByRole('region', { name: 'What else you see' });
  const slip = page.getByRole('complementary', { name: 'Test: the slip' });
  await expect(panel).toContainText('Pick what is wrong');
  await expect(slip.getByTestId('advice')).toContainText('Width');
  await panel.getByRole('button', { name: 'A ridge or a row of pits' }).click();
  await expect(panel).toContainText('Look at the right side.');
  // The counts keep the first word; what the eye minds comes next.
  await expect(slip.getByTestId('advice')).toContainText('Width');
  await expect(slip.getByText('And for what you saw').first()).toBeVisible();
  await panel.getByRole('button', { name: 'Stitches show on the right side' }).click();
  await expect(slip).toContainText('your counts say otherwise');
  await page.reload();
  await expect(panel.getByRole('button', { name: 'A ridge or a row of pits' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('by keyboard, where nothing is counted: an overlocked edge with whiskers', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-lining/test`);
  const panel = page.getByRole('region', { name: 'What else you see' });
  const slip = page.getByRole('complementary', { name: 'Test: the slip' });
  await panel.getByRole('button', { name: 'Whiskers outside the stitches' }).focus();
  await page.keyboard.press('Space');
  await expect(slip).toContainText('Cutting width');
  await expect(slip).toContainText('narrower');
  await page.keyboard.press('Space');
  await expect(panel).toContainText('Pick what is wrong');
  // Nothing that cannot happen on a machine without a bobbin is offered.
  await expect(panel.getByRole('button', { name: /puckers all along/ })).toHaveCount(0);
});
