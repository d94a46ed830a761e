import { type App, expect, follow, tabTo, test } from './app.fixture';

interface Plan {
  version: number;
  finish: string;
  fold: { variant: string; depthMm?: number };
  ticks: string[];
  schools: Record<string, string>;
  settings: object | null;
}

async function plan(app: App, id: string, patch: object): Promise<void> {
  const { version } = await app.api<Plan>(`plans/${id}`);
  const answer = await fetch(`${app.address}/api/plans/${id}`, {
    method: 'PATCH',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ version, settings: null, ...patch }),
  });
  expect(answer.status).toBe(200);
}

test('by mouse: from a look at the finishes to a neck bound, its opening and its ticks', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-veil/finish`);
  const slip = page.getByRole('complementary');
  await page.getByLabel('Kind of finish').selectOption('Bound');
  await expect(page.getByRole('list', { name: 'Finishes' }).getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: /^Bound edge/ }).click();
  await slip.getByRole('radio', { name: /knit strip/ }).click();
  const needs = slip.getByText('Not in your kit yet.', { exact: false }).locator('..');
  await expect(needs).toContainText('Needs a coverstitch machine');
  await slip.getByRole('radio', { name: /^double-fold bias/ }).click();
  await slip.getByRole('radio', { name: 'Binder foot' }).click();
  // Looking changes nothing: the plan is still the blind hem.
  await expect(page.getByRole('link', { name: /Finish Blind hem/ })).toBeVisible();
  await slip.getByRole('button', { name: /^Take bound edge/ }).click();
  await expect(page.getByRole('link', { name: /Finish Bound edge/ })).toBeVisible();
  await slip.getByRole('button', { name: 'On to the folds' }).click();

  const cutOff = page.getByLabel('Allowance to cut off first');
  await cutOff.fill('5/8 in');
  await cutOff.press('Enter');
  await expect(slip.getByText('15.9 mm').first()).toBeVisible();
  await page.getByRole('link', { name: /Edge/ }).first().click();
  await page.getByLabel('Shape').selectOption('inside-curve');
  await page.getByLabel('Length along the edge').fill('508');
  await page.getByLabel('Length along the edge').press('Enter');
  await page.getByLabel(/What has to pass/).fill('640');
  await page.getByLabel(/What has to pass/).press('Enter');
  await page.getByRole('link', { name: /Folds/ }).click();
  await expect(slip.getByText(/The opening grows from 508 mm to/)).toContainText('607.7 mm');
  await expect(slip.getByText(/640 mm has to pass/)).toBeVisible();

  await page.getByRole('tab', { name: /The work/ }).click();
  const boxes = page.getByRole('tabpanel').getByRole('checkbox');
  await boxes.nth(0).check();
  await boxes.nth(1).check();
  await expect(page.getByText(/^2 of \d+ done$/)).toBeVisible();
  await expect(
    page.getByText('Cut the end of the strip to a long point', { exact: false }),
  ).toBeVisible();
  await expect.poll(async () => (await app.api<Plan>('plans/plan-veil')).ticks).toHaveLength(2);
  await page.reload();
  await expect(page.getByText(/^2 of \d+ done$/)).toBeVisible();
  await expect(page.getByRole('tabpanel').getByRole('checkbox').nth(1)).toBeChecked();
});

test('by keyboard alone: look, take, tick, undo', async ({ page, app }) => {
  await page.goto(`${app.address}/edges/edge-tabard/finish`);
  await tabTo(page, page.getByRole('button', { name: /^French seam/ }));
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByRole('button', { name: /^Take French seam/ }));
  await page.keyboard.press('Enter');
  // Planned all the same, and marked: it serves a seam, and this is a hem.
  await expect(page.getByRole('link', { name: /Finish ! French seam/ })).toBeVisible();
  await page.keyboard.press('4');
  const title = page.locator('p[aria-live=polite]').first();
  await expect(title).toContainText('Second seam');
  await page.keyboard.press('ArrowLeft');
  await expect(title).toContainText('Turned, right sides together');
  await page.keyboard.press('ArrowRight');
  await expect(title).toContainText('Second seam');
  await page.getByRole('tab', { name: 'Fold', exact: true }).focus();
  await page.keyboard.press('End');
  await expect(page.getByText(/^0 of \d+ done$/)).toBeVisible();
  await page.getByRole('tabpanel').getByRole('checkbox').first().focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^1 of \d+ done$/)).toBeVisible();
  await page.locator('body').evaluate(() => (document.activeElement as HTMLElement).blur());
  await expect
    .poll(async () => {
      await page.keyboard.press('Control+z');
      return (await app.api<Plan>('plans/plan-tabard')).finish;
    })
    .toBe('blind-hem');
});

test('awkward lengths are refused at their field, and nothing is lost', async ({ page, app }) => {
  await plan(app, 'plan-flounce', {
    finish: 'french-seam',
    fold: { variant: 'plain', seamAllowanceMm: 15, secondPassMm: 6 },
  });
  await page.goto(`${app.address}/edges/edge-flounce/folds`);
  const second = page.getByLabel('Second pass from the fold');
  await second.fill('15');
  await second.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'no first pass' })).toContainText(
    'a second pass up to',
  );
  await second.press('Escape');
  await expect(second).toHaveValue('6');

  // A cloth too thick for the seam that was planned: the plan stays, and says what would fit.
  await plan(app, 'plan-flounce', {
    fold: { variant: 'plain', seamAllowanceMm: 8, secondPassMm: 6 },
  });
  await follow(page, '/edges/edge-flounce/cloth');
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /Wool flannel/ })
    .click();
  await expect(page.getByRole('link', { name: /Folds needs a look/ })).toBeVisible();
  await page.keyboard.press('4');
  await expect(page.getByRole('alert').first()).toContainText('leave no first pass');
  await page.getByLabel('Seam allowance in all').fill('15');
  await page.getByLabel('Seam allowance in all').press('Enter');
  await expect(page.getByRole('img', { name: 'Section through the hem' })).toBeVisible();
});
