import { expect, test } from './app.fixture';

test('what was seen beside the counts leads to one move, and a reload keeps it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  const panel = page.getByRole('region', { name: 'What else you see' });
  const moves = panel.getByRole('list', { name: 'What to change, likeliest first' });
  await expect(panel).toContainText('Pick what is wrong');
  await panel.getByRole('button', { name: 'A ridge or a row of pits' }).click();
  await expect(panel).toContainText('Look at the right side.');
  await expect(moves.getByRole('listitem').first()).toContainText('fewer layers');
  await panel.getByRole('button', { name: 'Stitches show on the right side' }).click();
  // A tight thread makes both.
  await expect(moves).toContainText('Needle-thread tension: looser');
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
  await panel.getByRole('button', { name: 'Whiskers outside the stitches' }).focus();
  await page.keyboard.press('Space');
  await expect(panel.getByRole('listitem').filter({ hasText: 'Cutting width' })).toContainText(
    'narrower',
  );
  await page.keyboard.press('Space');
  await expect(panel).toContainText('Pick what is wrong');
  // Nothing that cannot happen on a machine without a bobbin is offered.
  await expect(panel.getByRole('button', { name: /puckers all along/ })).toHaveCount(0);
});
