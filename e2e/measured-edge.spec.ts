import { expect, quiet, test } from './app.fixture';
import { seriousTroubles } from './axe';

interface Edge {
  id: string;
  name: string;
  lengthMm: number;
  form: { left: { frontMm: number; backMm: number }; sides: { lengthMm: number }[] };
}

test('by mouse: a trouser leg by its picture, a mark dragged, and its sheet printed', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/projects/project-lantern-parade`);
  await page.getByRole('button', { name: 'New edge' }).click();
  const dialog = page.getByRole('dialog', { name: 'New edge' });
  await dialog.getByRole('radio', { name: 'trouser leg' }).click();
  await dialog.getByRole('button', { name: 'Make the edge' }).click();
  await expect(page.getByRole('list', { name: /best first/ })).toBeVisible();
  await page.getByRole('link', { name: /Edge/ }).click();
  const back = page.getByRole('slider', { name: 'Back mark, left leg' });
  await expect(back).toHaveAttribute('aria-valuenow', '1020');
  await quiet(page);
  const box = (await back.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 12, { steps: 4 });
  await page.mouse.up();
  await expect(back).not.toHaveAttribute('aria-valuenow', '1020');
  const now = Number(await back.getAttribute('aria-valuenow'));
  expect(now).toBeGreaterThan(1020);
  // The field says the same number, and so does the server.
  await expect(page.getByLabel('Back mark, from the waist')).toHaveValue(String(now));
  const made = async () =>
    (await app.api<Edge[]>('edges?projectId=project-lantern-parade')).find(
      ({ name }) => name === 'Trouser leg',
    );
  await expect.poll(async () => (await made())?.form.left.backMm).toBe(now);
  // A browser that shows no PDF takes it as a file: what is asked for is the same.
  const [sheet] = await Promise.all([
    page.context().waitForEvent('request', (request) => request.url().includes('/marks.pdf')),
    page.getByRole('link', { name: 'PDF, A4' }).click(),
  ]);
  expect(sheet.url()).toContain('/marks.pdf?page=a4');
  expect((await sheet.response())?.headers()['content-type']).toBe('application/pdf');
});

test('by keyboard: a blanket, its height by its handle, nearer and back', async ({ page, app }) => {
  await page.goto(`${app.address}/projects/project-lantern-parade`);
  await page.getByRole('button', { name: 'New edge' }).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'New edge' });
  await dialog.getByRole('radio', { name: 'blanket' }).press('Space');
  await expect(dialog.getByRole('img', { name: /from above/ })).toBeVisible();
  expect(await seriousTroubles(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Make the edge' }).press('Enter');
  await expect(page.getByRole('list', { name: /best first/ })).toBeVisible();
  await page.getByRole('link', { name: /Edge/ }).press('Enter');
  const height = page.getByRole('slider', { name: 'Height' });
  await height.focus();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('PageDown');
  await expect(height).toHaveAttribute('aria-valuenow', '996');
  await expect
    .poll(async () => {
      const edges = await app.api<Edge[]>('edges?projectId=project-lantern-parade');
      return edges.find(({ name }) => name === 'Blanket')?.lengthMm;
    })
    .toBe(2 * (762 + 996));
  const picture = page.getByRole('group', { name: /from above, to scale/ });
  await picture.focus();
  await page.keyboard.press('+');
  await expect(page.getByRole('button', { name: 'Look from further' })).toBeEnabled();
  await page.keyboard.press('0');
  await expect(page.getByRole('button', { name: 'Look from further' })).toBeDisabled();
  expect(await seriousTroubles(page)).toEqual([]);
});

test('by keyboard: ready-made trousers, from trying on to the second leg', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-lamplighter/edge`);
  await page.getByRole('tab', { name: 'Alter it, step by step' }).focus();
  await page.keyboard.press('Enter');
  const status = page.getByRole('status').filter({ hasText: ' of ' }).first();
  await expect(page.getByText('Put it on, with the shoes', { exact: false })).toBeVisible();
  const done = page.getByRole('button', { name: 'Done, next' });
  await done.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('find the end that runs', { exact: false })).toBeVisible();
  await expect(page.getByRole('img', { name: /runs out from its right end/ })).toBeVisible();
  await expect
    .poll(async () => (await app.api<{ ticks: string[] }>('plans/plan-lamplighter')).ticks)
    .toEqual(['try-on']);
  // Nothing is lost on reload: it goes on where one stood.
  await page.reload();
  await expect(page.getByText('find the end that runs', { exact: false })).toBeVisible();
  const total = Number(/of (\d+)/.exec((await status.textContent()) ?? '')?.[1]);
  for (let i = 2; i <= total; i++) {
    await done.focus();
    await page.keyboard.press('Enter');
  }
  await expect(status).toContainText('the second one');
  await expect(status).toContainText('all done');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(done).toBeVisible();
});
