import { expect, test } from './app.fixture';

test('by mouse: wishes move the list, and each place says why', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/finish`);
  const list = page.getByRole('list', { name: /best first/ });
  const first = list.getByRole('listitem').first();
  await expect(first).toContainText('Blind hem');
  await expect(first).toContainText('of 100 sound with this kit');
  const why = page.getByRole('region', { name: 'Why this place' });
  await expect(why).toContainText('stitches come out sound');
  await page.getByLabel('What I want').selectOption('Done tonight');
  await expect(first).not.toContainText('Blind hem');
  // Nothing is lost on a reload.
  await page.reload();
  await expect(page.getByLabel('What I want')).toHaveValue('Done tonight');
  await expect(first).not.toContainText('Blind hem');
  await expect(list.getByRole('listitem')).toHaveCount(15);
});

test('by keyboard: a wish is leaned on until another finish overtakes', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-cape/finish`);
  const list = page.getByRole('list', { name: /best first/ });
  const first = list.getByRole('listitem').first();
  await expect(first).toContainText('Blind hem');
  await page.getByRole('slider', { name: 'not seen' }).focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowLeft');
  await page.getByRole('slider', { name: 'sturdy' }).focus();
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowRight');
  await expect(first).not.toContainText('Blind hem');
  await expect(page.getByLabel('What I want')).toHaveValue('own');
});

test('what is out says what would bring it back', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-trousers/finish?look=kept-hem.seams`);
  const why = page.getByRole('region', { name: 'Why not' });
  await expect(why).toContainText('a factory hem that is there already');
  const list = page.getByRole('list', { name: /best first/ });
  await expect(list.getByRole('listitem').last()).toContainText(/would need|needs/);
});
