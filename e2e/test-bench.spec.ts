import { Buffer } from 'node:buffer';
import { expect, tabTo, test } from './app.fixture';

interface Attempt {
  id: string;
  number: number;
  note: string;
  verdict: string | null;
  symptoms: string[];
  photoId: string | null;
  sewnOn: string;
  dialValues: Record<string, number | string>;
  counts: { check: string; n: number; short: number; over: number }[];
}

test('by keyboard alone: three scraps to “enough”, and the setting is kept', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-tabard/setting`);
  await expect(page.getByTestId('chance')).toContainText('of 100');
  await page.keyboard.press('t');
  const slip = page.getByRole('complementary', { name: 'Test: the slip' });
  await expect(slip).toContainText('Sew the first scrap');
  for (const [number, missed] of [
    [1, 12],
    [2, 1],
    [3, 0],
  ] as const) {
    await tabTo(page, page.getByRole('spinbutton', { name: /sewn/ }));
    await page.keyboard.type('40');
    await tabTo(page, page.getByRole('spinbutton', { name: /Missed the fold/ }));
    await page.keyboard.type(String(missed));
    await tabTo(page, page.getByRole('button', { name: `Record scrap ${number}` }));
    await page.keyboard.press('Enter');
    await expect(page.getByText(`Scrap ${number} is in the book.`)).toBeVisible();
    if (number === 3) break;
    // Where the counts advise a move, it is taken; else the next scrap is sewn as the last.
    const advice = slip.getByRole('button', { name: `Take it for scrap ${number + 1}` });
    const settled = slip.getByRole('heading', { name: /Move one dial|Enough|No dial/ });
    await expect(settled).toBeVisible();
    if (number === 1) {
      await tabTo(page, advice);
      await page.keyboard.press('Enter');
      await expect(slip.getByRole('button', { name: 'Dial set: sew scrap 2' })).toBeVisible();
    }
  }
  await expect(slip.getByRole('heading', { name: 'Enough. Sew the edge.' })).toBeVisible();
  await expect(slip.getByTestId('enough')).toContainText(/\d+ to \d+ with nine chances of ten/);
  await tabTo(page, slip.getByRole('button', { name: 'Keep the setting of scrap 3' }));
  await page.keyboard.press('Enter');
  await expect(slip.getByRole('button', { name: '✓ Setting of scrap 3 is kept' })).toBeVisible();
  await expect
    .poll(async () =>
      (await app.api<Attempt[]>('attempts?planId=plan-tabard')).map(({ verdict }) => verdict),
    )
    .toEqual([null, null, 'keep']);
});

test('counts, symptoms, verdict, photo and day are kept with the scrap, and over a reload', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  const form = page.getByRole('form', { name: 'Scrap 2' });
  await form.getByRole('spinbutton', { name: /Missed the fold/ }).fill('30');
  await expect(form.getByText('30 faults are more than the 24 counted.')).toBeVisible();
  await form.getByRole('button', { name: 'Record scrap 2' }).click();
  expect(await app.api<Attempt[]>('attempts?planId=plan-cape')).toHaveLength(1);
  await form.getByRole('button', { name: 'Missed the fold: one fewer' }).click();
  await form.getByRole('spinbutton', { name: /Missed the fold/ }).fill('2');
  await form.getByText('Count more').click();
  await form.getByRole('button', { name: 'Run piles on fold: one more' }).click();
  await form.getByRole('button', { name: 'Nearly' }).click();
  await page.getByRole('button', { name: 'A ridge or a row of pits' }).click();
  await form.getByText('Photo and day').click();
  const photo = form.getByLabel('Photo of scrap 2', { exact: true });
  await photo.setInputFiles({
    ...{ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture at all') },
  });
  await expect(form.getByRole('alert')).toContainText(/picture/);
  await photo.setInputFiles('docs/screenshots/book.png');
  await expect(form.getByRole('img', { name: 'Photo of scrap 2' })).toBeVisible();
  await form.getByLabel('Sewn on').fill('2026-03-01');
  await page.reload();
  await expect(form.getByRole('button', { name: 'Nearly' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await form.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(page.getByText('Scrap 2 is in the book.')).toBeVisible();
  const [, stored] = await app.api<Attempt[]>('attempts?planId=plan-cape');
  expect(stored).toMatchObject({
    ...{ verdict: 'nearly', symptoms: ['ridge'], sewnOn: '2026-03-01' },
    counts: [
      { check: 'run', n: 24, short: 1, over: 0 },
      { check: 'bite', n: 24, short: 2, over: 0 },
    ],
  });
  expect(stored?.photoId).toMatch(/^[0-9a-f]{64}$/);
  // The draft starts anew, and what was recorded is listed with what was seen.
  await expect(page.getByRole('form', { name: 'Scrap 3' })).toBeVisible();
  await expect(page.getByText(/1 Mar · a ridge or a row of pits/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('form', { name: 'Scrap 2' })).toBeVisible();
});

test('an overlocked edge: what stood otherwise is marked, one list of moves', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-lining/test`);
  const form = page.getByRole('form', { name: 'Scrap 1' });
  await expect(form.getByText('Loops hang', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'The edge stretches into waves' }).click();
  const slip = page.getByRole('complementary', { name: 'Test: the slip' });
  await expect(slip.getByTestId('advice')).toContainText('Differential');
  await expect(slip.getByTestId('advice')).toContainText('up a little');
  await expect(slip.getByText('Or instead').first()).toBeVisible();
  await form.getByRole('button', { name: 'Record scrap 1' }).click();
  await expect(page.getByText('Scrap 1 is in the book.')).toBeVisible();

  // The second with two things moved at once: they can't be told apart.
  const second = page.getByRole('form', { name: 'Scrap 2' });
  await second.getByText('Sewn at').click();
  await second.getByLabel('Differential feed').fill('1.5');
  await second.getByLabel('Differential feed').press('Enter');
  await second.getByLabel('Length', { exact: true }).fill('3');
  await second.getByLabel('Length', { exact: true }).press('Enter');
  await expect(second.locator('[data-changed=true]')).toHaveCount(2);
  await second.getByRole('button', { name: 'Keep' }).click();
  await second.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(page.getByText('Scrap 2 is in the book.')).toBeVisible();
  await expect(slip.getByRole('note')).toContainText(/moved at once/);
  await expect(slip.getByRole('note')).toContainText('“the edge stretches into waves” went');
  await page.getByRole('tab', { name: 'Side by side' }).click();
  await expect(page.getByText(/length 2.5 → 3, differential feed 1.2 → 1.5/i)).toBeVisible();
});

test('side by side: what was moved, both pictures, and a belief that narrows', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-tunic/test?view=beside`);
  await expect(page.getByRole('img', { name: 'Scrap 1, as it was counted' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Scrap 3, as it was to be expected' })).toBeAttached();
  await expect(page.getByText('Needle 0.4 → 0.7')).toBeVisible();
  const spread = page.getByRole('table', { name: /Spread, with nine chances/ });
  const widths = await spread.getByRole('row').evaluateAll((rows) =>
    rows.flatMap((row) => {
      const found = /\((\S+) .*to (\S+) /.exec(row.textContent ?? '');
      return found ? [Number(found[2]) - Number(found[1])] : [];
    }),
  );
  expect(widths.length).toBeGreaterThanOrEqual(3);
  expect(widths.at(-1)!).toBeLessThan(widths[0]!);
});

test('a ladder: planned, kept half entered over a reload, recorded in one go', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-shirt/test?view=ladder`);
  await page.getByRole('radio', { name: '4 scraps' }).click();
  await expect(page.getByText('4 scraps, one dial', { exact: false })).toBeVisible();
  const form = page.getByRole('form', { name: 'The ladder’s counts' });
  await expect(form.getByRole('listitem')).toHaveCount(4);
  await form.getByLabel('Missed the fold on scrap 1').fill('9');
  await page.reload();
  await expect(form.getByRole('listitem')).toHaveCount(4);
  await expect(form.getByLabel('Missed the fold on scrap 1')).toHaveValue('9');
  await form.getByRole('button', { name: 'Record all 4' }).click();
  await expect(form.getByRole('alert').first()).toContainText('Whole numbers');
  for (const [i, [missed, shows]] of [
    [9, 0],
    [4, 0],
    [1, 2],
    [0, 20],
  ].entries()) {
    await form.getByLabel(`Missed the fold on scrap ${i + 1}`).fill(String(missed));
    await form.getByLabel(`Seen on the right side on scrap ${i + 1}`).fill(String(shows));
  }
  await form.getByRole('button', { name: 'Record all 4' }).click();
  await expect(form.getByText('20 faults are more than the 12 counted.')).toBeVisible();
  await form.getByLabel('Seen on the right side on scrap 4').fill('6');
  await form.getByRole('button', { name: 'Record all 4' }).click();
  await expect(page.getByText('4 scraps are in the book')).toBeVisible();
  const attempts = await app.api<Attempt[]>('attempts?planId=plan-shirt');
  expect(attempts.map(({ counts }) => counts[0]?.short)).toEqual([9, 4, 1, 0]);
  await expect(page.getByRole('complementary', { name: 'Test: the slip' })).toContainText(
    'from 48 bites on 4 scraps',
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => app.api<Attempt[]>('attempts?planId=plan-shirt')).toEqual([]);
});

test('the ladder’s labels print alone, one for each scrap', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-shirt/test?view=ladder`);
  await expect(page.getByRole('button', { name: 'Print labels' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const labels = page.getByRole('region', { name: 'Labels' });
  await expect(labels.getByRole('listitem')).toHaveCount(3);
  await expect(labels).toContainText('Linen, unbleached');
  await expect(page.locator('#root')).toBeHidden();
});

test('an edge taken out in another tab: said, and the counts are not lost', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  await page.getByRole('spinbutton', { name: /Missed the fold/ }).fill('5');
  const { version } = await app.api<{ version: number }>('edges/edge-cape');
  await fetch(`${app.address}/api/edges/edge-cape?version=${version}`, { method: 'DELETE' });
  await page.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(page.getByRole('alert')).toContainText('taken out, perhaps in another tab');
  await expect(page.getByRole('spinbutton', { name: /Missed the fold/ })).toHaveValue('5');
  await fetch(`${app.address}/api/undo`, { method: 'POST' });
  await page.getByRole('button', { name: 'Record scrap 2' }).click();
  await expect(page.getByText('Scrap 2 is in the book.')).toBeVisible();
});
