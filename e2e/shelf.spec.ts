import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { expect, follow, onDisk, test } from './app.fixture';

interface Cloth {
  id: string;
  name: string;
  like: string | null;
  photoId: string | null;
  tests: Record<string, unknown>;
  properties: { weightGsm: number; estimated: string[] };
}

test('measured by mouse: a square on the simulated scale, then through all the tests', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/cloths`);
  await page
    .getByRole('listbox', { name: 'Cloths' })
    .getByRole('option', { name: /Cotton canvas/ })
    .click();
  const known = page.getByRole('list', { name: 'What is known of it' });
  await expect(known.getByRole('listitem').filter({ hasText: 'Thickness' })).toContainText(
    'about 0.75 mm',
  );
  await page.getByRole('link', { name: 'Again: Weight' }).click();
  const result = page.getByRole('status', { name: 'Result' });
  await expect(result).toContainText('339 g/m²');
  await page.getByRole('radio', { name: 'Simulated kitchen scale' }).click();
  await expect(page.getByRole('button', { name: 'Take the reading' })).toBeDisabled();
  await page.getByRole('button', { name: 'Put the square on' }).click();
  await expect(page.getByLabel('Display')).toContainText('settling');
  await expect(page.getByLabel('Display')).toContainText('steady');
  await page.getByRole('button', { name: 'Take the reading' }).click();
  await expect
    .poll(async () => (await app.api<Cloth>('cloths/cloth-canvas')).tests['sampleGrams'])
    .toBeGreaterThan(2.5);

  await page.getByRole('button', { name: /^Next: thickness/ }).click();
  await expect(result).toContainText('A guess: not tested yet.');
  await page.getByLabel('Height of the stack').fill('6.4');
  await page.getByLabel('Height of the stack').press('Enter');
  await expect(page.getByText('A stack needs both its height')).toBeVisible();
  await page.getByLabel('Layers, 8 or more').fill('8');
  await page.getByLabel('Layers, 8 or more').press('Enter');
  await expect(result).toContainText('0.8 mm');

  await page.getByRole('button', { name: /^Next: stretch/ }).click();
  await page.getByRole('radio', { name: 'Simulated pull tester' }).click();
  await page.getByRole('button', { name: 'Pull the strip' }).click();
  await page.getByRole('button', { name: 'Take the reading' }).click();
  await expect(result).toContainText('A straight stitch holds.');
  await page.getByRole('button', { name: /^Next: fray/ }).click();
  await page.getByRole('button', { name: 'Threads loose: one more' }).click();
  await page.getByRole('button', { name: 'Threads loose: one more' }).click();
  await expect(result).toContainText('frays a little');
  await page.getByRole('button', { name: /^Next: curl/ }).click();
  await page.getByLabel('it rolls all the way over').check();
  await expect(result).toContainText('rolls over');
  await page.getByRole('button', { name: /^Next: slip/ }).click();
  await page.getByLabel('It slides at').fill('25');
  await page.getByLabel('It slides at').press('Enter');
  await expect(result).toContainText('slips');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(known.getByText('✓ measured')).toHaveCount(6);
  await page.reload();
  await expect(known.getByText('✓ measured')).toHaveCount(6);
});

test('measured by keyboard: digits go to a test, awkward readings wait with their reason', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/cloths/cloth-veil/measure`);
  const result = page.getByRole('status', { name: 'Result' });
  await expect(result).toContainText('42 g/m²');
  await page.keyboard.press('3');
  const pulled = page.getByRole('textbox', { name: 'Pulled' });
  await pulled.focus();
  await page.keyboard.type('9 cm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Pulled to 90 mm is shorter than the 100 mm at rest')).toBeVisible();
  await expect(result).toContainText('contradict');
  await pulled.fill('10,3 cm');
  await page.keyboard.press('Enter');
  await expect(result).toContainText('3 %');
  await page.getByRole('button', { name: 'Wait 60 s' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Stop' })).toBeFocused();
  await expect(page.getByText('for it to come back')).toBeVisible();
  await page.keyboard.press('4');
  const threads = page.getByRole('spinbutton', { name: /Threads loose/ });
  await threads.fill('-5');
  await expect(page.getByText('It can be 0 to 1000 threads.')).toBeVisible();
  await page.getByRole('link', { name: /Back/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 2, name: /Sheer veil/ })).toBeVisible();
  expect((await app.api<Cloth>('cloths/cloth-veil')).tests).toMatchObject({
    restMm: 100,
    pulledMm: 103,
    looseThreads: 9,
  });
});

test('the shelf is searched, narrowed and walked by keyboard, and a reload keeps it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/cloths`);
  const list = page.getByRole('listbox', { name: 'Cloths' });
  await expect(list.getByRole('option')).toHaveCount(9);
  await list.focus();
  await page.keyboard.press('Home');
  await expect(page.getByRole('heading', { level: 2, name: /Cotton canvas/ })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('heading', { level: 2, name: /Denim/ })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search the shelf' }).fill('knit red');
  await expect(list.getByRole('option')).toHaveCount(1);
  await page.reload();
  await expect(list.getByRole('option')).toHaveCount(1);
  await page.getByRole('searchbox', { name: 'Search the shelf' }).fill('zzz');
  await page.getByRole('button', { name: 'Show the whole shelf' }).click();
  await page.getByRole('button', { name: 'Filter' }).click();
  await page.getByLabel('Only').selectOption('not used yet');
  await page.getByLabel('Order').selectOption('heaviest first');
  await page.getByLabel('Made', { exact: true }).selectOption('woven');
  await expect(page.getByText(/^\d of 9 cloths$/)).toBeVisible();
});

test('a cloth like a plain kind, with a photo; what is none is refused', async ({ page, app }) => {
  await page.goto(`${app.address}/cloths`);
  await page.getByRole('button', { name: 'Put a cloth on the shelf' }).click();
  await page.getByRole('radio', { name: 'Like a plain kind' }).click();
  await page.getByLabel('Search the plain kinds').fill('jersey');
  await page.getByRole('button', { name: 'Put Cotton jersey on the shelf' }).click();
  await expect(page.getByText('On the shelf now: Cotton jersey.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { level: 2, name: 'Cotton jersey' })).toBeVisible();
  await expect(page.getByText('~ as such cloths are')).toHaveCount(6);
  const photo = page.getByLabel('Photo of Cotton jersey');
  await photo.setInputFiles({
    name: 'note.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByRole('alert')).toContainText('no picture that can be read');
  await photo.setInputFiles(onDisk('big.jpg', Buffer.alloc(30 * 1024 * 1024, 7)));
  await expect(page.getByRole('alert')).toContainText('This file is 30 MB');
  await photo.setInputFiles({
    name: 'swatch.png',
    mimeType: 'image/png',
    buffer: await sharp({
      create: { width: 60, height: 40, channels: 3, background: '#963226' },
    })
      .png()
      .toBuffer(),
  });
  await expect(page.getByRole('img', { name: 'Photo of Cotton jersey' })).toBeVisible();
  const cloths = await app.api<Cloth[]>('cloths');
  const jersey = cloths.find(({ like }) => like === 'jersey');
  await expect
    .poll(async () => (await app.api<Cloth>(`cloths/${jersey?.id}`)).photoId)
    .toMatch(/^[0-9a-f]{64}$/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('img', { name: 'Photo of Cotton jersey' })).toHaveCount(0);
});

test('out and in: a file is looked at row by row before anything is taken', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/kit`);
  await page.getByRole('link', { name: /Carry it in or out/ }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Cloths', exact: true }).click();
  const csv = readFileSync(await (await waiting).path(), 'utf8');
  expect(csv.split('\r\n')).toHaveLength(11);

  const give = (text: string) =>
    page.getByLabel('File to take in').setInputFiles({
      name: 'shelf.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(text),
    });
  const rows = page.getByRole('table', { name: 'What would become of each row' });
  await give(csv);
  await expect(page.getByText('Everything in this file is here already.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take in/ })).toBeDisabled();

  await give('name,construction,weightClass\n=1+1,woven,light\nTweed,tweed,light\n');
  await expect(rows.getByRole('row')).toHaveCount(1);
  await expect(rows).toContainText('row 3');
  await expect(rows).toContainText('construction: Cloth is made woven, knit');
  await expect(page.getByText('1 of 2 rows cannot be taken, so none will be.')).toBeVisible();
  await page.getByRole('radio', { name: 'All 2' }).click();
  await expect(rows).toContainText('begins like a spreadsheet formula');

  await give('{"format":"pin-margin-shelf-and-drawer","version":1,"cloths":[');
  await expect(page.getByRole('alert')).toContainText('cut short');

  await give(csv.replace('Linen, unbleached', 'Linen, washed') + ',Tweed,woven,,,medium\r\n');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(rows).toContainText('it may have been cut short');
  await give(
    'id,name,construction,weightClass\ncloth-linen,"Linen, washed",woven,light\n,Tweed,woven,heavy\n',
  );
  await expect(rows.getByRole('row')).toHaveCount(2);
  await page.getByRole('button', { name: 'Take in 2 rows' }).click();
  await expect(page.getByText('1 added, 1 changed', { exact: false })).toBeVisible();
  expect((await app.api<Cloth[]>('cloths')).map(({ name }) => name)).toEqual(
    expect.arrayContaining(['Linen, washed', 'Tweed']),
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect
    .poll(async () => (await app.api<Cloth[]>('cloths')).map(({ name }) => name))
    .not.toContain('Tweed');
});

test('the drawer: a plain foot, an attachment by its letters, needles, and what goes on', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/kit`);
  await page.getByRole('button', { name: 'One of twenty plain feet' }).click();
  await page.getByRole('button', { name: 'Put Hemmer foot, 4 mm scroll into the drawer' }).click();
  await expect(page.getByRole('button', { name: /Hemmer foot, 4 mm/ })).toHaveText('✓ there');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Channel of the scroll')).toHaveValue('4');
  await page.getByRole('button', { name: 'Binder attachment, narrow' }).click();
  const fits = page.getByRole('region', { name: 'Goes on' });
  await expect(fits.getByRole('listitem').filter({ hasText: 'Home machine' })).toContainText(
    'fits',
  );
  await expect(fits.getByRole('listitem').filter({ hasText: 'Fine-step' })).toContainText(
    'does not go on: low bar',
  );
  await page.getByLabel('How it is held').selectOption('high bar');
  await expect(fits.getByRole('listitem').filter({ hasText: 'Fine-step' })).toContainText('fits');
  await page.getByLabel(/Mouth/).fill('30');
  await page.getByLabel(/Mouth/).press('Enter');
  await expect(page.getByText('The strip is wider than the mouth')).toBeVisible();

  await page.getByRole('button', { name: /^Universal 80/ }).click();
  await page.getByRole('button', { name: 'Left in the drawer: one fewer' }).click();
  await expect(page.getByRole('button', { name: /^Universal 80/ })).toContainText('5 left');
  await page.getByRole('button', { name: 'Another thread' }).click();
  await page.getByLabel('Thread', { exact: true }).fill('Basting cotton');
  await page.getByLabel('Thread', { exact: true }).press('Enter');
  await expect
    .poll(async () => (await app.api<{ name: string }[]>('threads')).map(({ name }) => name))
    .toContain('Basting cotton');
  // What a setting asks for is looked up in the drawer.
  await follow(page, '/edges/edge-shirt/setting');
  await expect(page.getByText(/in the drawer: /).first()).toBeVisible();
});
