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

test('moving a wish: what would overtake is said, and does so there', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-veil/finish`);
  const first = page
    .getByRole('list', { name: /best first/ })
    .getByRole('listitem')
    .first();
  await expect(first).toContainText('French seam');
  const light = page.getByRole('slider', { name: 'light' });
  await expect(light.locator('xpath=ancestor::div[1]')).toContainText('from 7: Narrow rolled hem');
  await light.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(first).toContainText('French seam');
  await page.keyboard.press('ArrowRight');
  await expect(first).toContainText('Narrow rolled hem');
});

test('a second opinion: one fact changed, the ranking moves, and nothing is kept', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/finish`);
  const list = page.getByRole('list', { name: /best first/ });
  const serged = list.getByRole('listitem').filter({ hasText: 'Serged edge' });
  await expect(serged).not.toContainText('would need');
  await page.getByRole('button', { name: 'Second opinion' }).click();
  await page
    .getByLabel('If the machines were')
    .selectOption({ label: 'without Overlocker, four threads' });
  await expect(serged).toContainText('was number');
  await expect(serged).toContainText('would need an overlocker');
  await page.getByRole('button', { name: 'As it is' }).click();
  await expect(serged).not.toContainText('was number');
  await page.getByRole('slider', { name: 'If the cloth were' }).focus();
  await page.keyboard.press('End');
  await expect(
    list
      .getByRole('listitem')
      .filter({ hasText: /was (number|out)/ })
      .first(),
  ).toBeVisible();
  expect((await app.api<unknown[]>('machines')).length).toBe(3);
  await page.reload();
  await expect(list.getByText(/was number/)).toHaveCount(0);
});

test('the cloth there is, and a child: both are asked of the edge and heard by the finish', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/edge`);
  await page.getByLabel('Cloth there is beyond the finished edge').fill('20');
  await page.getByLabel('Cloth there is beyond the finished edge').press('Enter');
  await page.getByLabel(/For a small child/).check();
  await page.keyboard.press('Escape');
  await expect
    .poll(() => app.api('edges/edge-cape'))
    .toMatchObject({ spareMm: 20, forChild: true });
  await page.goto(`${app.address}/edges/edge-cape/finish?look=blind-hem.flat`);
  await expect(page.getByRole('complementary')).toContainText(/beyond the edge/);
  await page.goto(`${app.address}/edges/edge-cape/finish?look=fringe.loops`);
  await expect(page.getByRole('complementary')).toContainText('A small child pulls it off');
});
