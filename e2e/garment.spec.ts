import type { OrderedWork } from '../core/garment/work-of';
import type { ProjectRecord } from '../contract/records';
import { type App, expect, follow, quiet, tabTo, test } from './app.fixture';

const minutes = (text: string | null) => Number(/([\d.]+) min/.exec(text ?? '')?.[1]);

async function begin(app: App, kind: string): Promise<string> {
  const answer = await fetch(`${app.address}/api/garments`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ kind, name: `My ${kind}`, clothId: 'cloth-ponte' }),
  });
  return ((await answer.json()) as { id: string }).id;
}

test('by mouse: a singlet from its picture to its order, a step put elsewhere, evenings, ready', async ({
  page,
  app,
}) => {
  test.setTimeout(90_000);
  await page.goto(app.address);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('radio', { name: /singlet/ }).click();
  await expect(page.getByText('Begins with 3 edges and 2 seams')).toBeVisible();
  await page.getByLabel('Cloth').selectOption({ label: 'Ponte knit, brick red' });
  await page.getByRole('button', { name: 'Make the project' }).click();
  await expect(page.getByText(/proved: no order has less/)).toBeVisible();
  const { id } = (await app.api<ProjectRecord[]>('projects')).at(-1)!;
  const order = await app.api<OrderedWork>(`projects/${id}/order`);
  const status = page.getByRole('status').filter({ hasText: 'of changes' });
  expect(minutes(await status.textContent())).toBeCloseTo(order.best.changeMinutes, 1);
  // The picture is to scale: as wide as its minutes.
  await expect(
    page.getByRole('img', { name: `${order.tasks.length} steps in`, exact: false }),
  ).toBeVisible();

  // What waits for what is told where one looks; a step can't go before what it waits for.
  const list = page.getByRole('list', { name: 'Steps in their order' });
  await expect(list.getByRole('listitem').first()).toContainText('Cut the pieces out');
  await expect(page.getByText('Waiting for it')).toBeVisible();
  const second = page.getByRole('button', { name: 'Move step 2', exact: true });
  await second.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Step 2 as step 2.')).toBeAttached();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('As step 1: it can’t go there')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText(/It can’t go there: “Garment: Cut the pieces out/)).toBeVisible();

  await page.getByRole('link', { name: 'Evenings' }).click();
  await page.getByRole('button', { name: 'Two evenings a week' }).click();
  await expect(page.getByText(/evenings, done on/)).toBeVisible();
  await page.getByLabel('For', { exact: true }).fill('5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('An evening has 10 to 720 minutes.')).toBeVisible();
  await page.getByLabel('For', { exact: true }).fill('45');
  await page.keyboard.press('Enter');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Calendar file' }).click();
  expect((await file).suggestedFilename()).toBe('evenings.ics');

  await page.getByRole('link', { name: 'Have ready' }).click();
  await page.getByRole('checkbox', { name: /Iron and board/ }).check();
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('checkbox', { name: /Iron and board/ })).toBeChecked();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('checkbox', { name: /Iron and board/ })).not.toBeChecked();
});

test('by keyboard: this before that, a ring told, and an edge put before its seam', async ({
  page,
  app,
}) => {
  test.setTimeout(60_000);
  const id = await begin(app, 'tote');
  await page.goto(`${app.address}/projects/${id}/order`);
  const list = page.getByRole('list', { name: 'Steps in their order' });
  await expect(list.getByRole('listitem').first()).toBeVisible();
  const first = list.getByRole('listitem').nth(1).getByRole('button', { name: /^2 ·/ });
  await tabTo(page, first);
  // Before what it waits for: that goes round in a ring.
  const before = page.getByLabel('Do it before …');
  await before.selectOption({ index: 1 });
  await page.getByRole('button', { name: 'This before that' }).press('Enter');
  await expect(page.getByRole('alert')).toContainText('goes round in a ring');

  await follow(page, `/projects/${id}/seams`);
  const turn = page.getByRole('button', { name: 'Top edge: finish it before the seam instead' });
  await tabTo(page, turn);
  await page.keyboard.press('Enter');
  await expect
    .poll(async () => (await app.api<ProjectRecord>(`projects/${id}`)).garment!.meets)
    .toMatchObject([{ edge: 'before' }]);
});

test('an empty project says what it waits for in every part', async ({ page, app }) => {
  await page.goto(app.address);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByLabel('Name').fill('Nothing yet');
  await page.getByRole('button', { name: 'Make the project' }).click();
  for (const part of ['Order of work', 'Evenings', 'Have ready']) {
    await page.getByRole('link', { name: part }).click();
    await expect(page.getByText('No edges yet')).toBeVisible();
  }
  await page.getByRole('link', { name: 'Seams and pieces' }).click();
  await expect(page.getByText('No seams yet.')).toBeVisible();
});

test('the worktable: put away the demo, three questions, a first edge by its picture', async ({
  page,
  app,
}) => {
  test.setTimeout(60_000);
  await page.goto(app.address);
  await expect(page.getByRole('region', { name: 'Under way' })).toContainText(/sew scrap 2, width/);
  await page.getByRole('button', { name: 'Put the demo away' }).click();
  await expect(page.getByText('Three questions, and it is set.')).toBeVisible();
  await page.getByLabel('Widest stitch').fill('5');
  await page.getByLabel('Widest stitch').press('Enter');
  await page.getByLabel('Search the plain kinds').fill('poplin');
  await page.getByRole('button', { name: /Cotton poplin/ }).click();
  await page.getByRole('button', { name: 'Set the table' }).click();
  await expect(page.getByRole('region', { name: 'What edge lies before you?' })).toBeVisible();
  await page.getByRole('button', { name: 'sleeve', exact: true }).click();
  await page.getByLabel('What it is on').fill('blue tunic');
  await page.getByRole('button', { name: 'Make the edge' }).click();
  await expect(page).toHaveURL(/\/edges\/.*\/finish/);
  const [project] = await app.api<ProjectRecord[]>('projects');
  expect(project?.name).toBe('blue tunic');
  // The edge and its project were one change.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await app.api<unknown[]>('projects')).length).toBe(0);
  await follow(page, '/');
  await page.getByRole('button', { name: 'Bring the demo here' }).click();
  await expect(page.getByRole('region', { name: 'Projects' })).toContainText('Lantern-parade');
  await quiet(page);
});

test('a setting is saved on the machine, recalled, and what was changed is put back', async ({
  page,
  app,
}) => {
  test.setTimeout(60_000);
  await page.goto(`${app.address}/edges/edge-shirt/setting`);
  await page.getByText('The machine’s memory').click();
  await page.getByLabel('Save this setting as').fill('linen, blind');
  await page.getByRole('button', { name: 'Save on the machine' }).click();
  await expect(page.getByText('✓ It stands so.')).toBeVisible();
  const width = page.getByRole('textbox', { name: /Width/ }).first();
  const was = await width.inputValue();
  await width.focus();
  await page.keyboard.press(']');
  await expect(page.getByText(/^Width: /)).toBeVisible();
  await page.getByRole('button', { name: 'Set the dials as “linen, blind”' }).click();
  await expect(width).toHaveValue(was);

  await follow(page, '/edges/edge-shirt/folds?view=steps');
  await page.getByRole('checkbox', { name: /Put on Blind foot/ }).check();
  await follow(page, '/kit?it=machine-home');
  await expect(page.getByRole('region', { name: 'Saved settings' })).toContainText('linen, blind');
  await page.getByLabel('Presser pressure').selectOption('less');
  const card = page.getByRole('region', { name: /Put back after Marshal/ });
  await expect(card).toContainText('Presser pressure: back to a little less from normal');
  await card.getByRole('button', { name: 'Put back' }).click();
  await expect(card).toBeHidden();
});
