import { expect, follow, tabTo, test } from './app.fixture';

interface Cloth {
  readonly version: number;
  readonly lengthLeftMm: number;
}

test('by mouse: a blanket bound with satin, from its package to its corners', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-blanket/folds`);
  await page.getByRole('tab', { name: 'The strip, cut' }).click();
  await expect(page.getByText('✓ 1 package')).toBeVisible();
  const left = async () => (await app.api<Cloth>('cloths/binding-satin')).lengthLeftMm;
  await page.getByRole('button', { name: 'Cut it off' }).click();
  await expect.poll(left).toBeCloseTo(4343.4 - 3594.1, 3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(left).toBe(4343.4);

  await page.getByRole('tab', { name: 'The corner' }).click();
  for (const title of ['Turned over', 'at the back first', 'fold on fold', 'snug up']) {
    await page.getByRole('button', { name: 'Corner one step on' }).click();
    await expect(page.getByText(title, { exact: false })).toBeVisible();
  }
  await page.getByRole('radio', { name: /Rounded/ }).click();
  await expect(page.getByText('1066.8 mm', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('1066.8 mm', { exact: true })).toBeVisible();
  await page.getByRole('tab', { name: 'The work, step by step' }).click();
  await expect(page.getByText(/Round every corner with a plate/)).toBeVisible();
});

test('by keyboard: a strip of the cloth that is left, and what is typed stays over a reload', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-collar/folds?view=cut`);
  const along = page.getByRole('textbox', { name: 'Along the grain' });
  await tabTo(page, along);
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('12 in');
  await page.keyboard.press('Enter');
  await expect(along).toHaveValue('304.8');
  await expect(page.getByText(/^✓ \d strips?$/)).toBeVisible();
  await page.reload();
  await expect(along).toHaveValue('304.8');
  const link = page.getByRole('link', { name: 'A4', exact: true }).first();
  const sheet = await page.request.get(app.address + (await link.getAttribute('href')));
  expect(sheet.headers()['content-type']).toBe('application/pdf');
});

test('by keyboard: an attachment is nudged before the foot, and the picture follows', async ({
  page,
  app,
}) => {
  const { version } = await app.api<{ version: number }>('plans/plan-tabard');
  await app.change('plans/plan-tabard', {
    version,
    ...{ finish: 'bound', fold: { variant: 'double-fold', depthMm: 9, statedStripMm: 40 } },
    ...{ attachmentId: 'attachment-binder', footId: 'foot-straight', settings: null },
    stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
    schools: { attach: 'binder-attachment' },
  });
  await page.goto(`${app.address}/edges/edge-tabard/setting`);
  const off = page.getByLabel('Off toe', { exact: true });
  await expect(page.getByText('12 mm off the toe')).toBeVisible();
  await tabTo(page, off);
  await page.keyboard.press(']');
  await expect(off).toHaveValue('12.5');
  await expect(page.getByText('12.5 mm off the toe')).toBeVisible();
  await follow(page, '/edges/edge-tabard/folds?view=loading');
  await expect(page.getByText('Screwed on')).toBeVisible();
  await expect(page.getByText(/attachment on 12.5 mm before the toe/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('A point at 45°')).toBeVisible();
});
