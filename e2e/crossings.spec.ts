import { expect, follow, test } from './app.fixture';

interface Edge {
  crossings: { kind: string; atMm: number; widthMm: number }[];
}

test('a felled seam crosses a leg: what the foot meets, and where to begin', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-tunic/edge`);
  await page.getByRole('tab', { name: 'Along the edge' }).click();
  await expect(page.getByText('No seam crosses this edge yet.', { exact: false })).toBeVisible();
  const seams = page.getByRole('region', { name: 'Seams that cross it' });
  await seams.getByRole('button', { name: 'Add a seam' }).click();
  await seams.getByLabel('Seam 1', { exact: true }).selectOption('felled');
  await expect(seams.getByLabel('Middle of it at')).toHaveValue('155');
  const verdict = page.getByRole('status').filter({ hasText: 'thickest place' });
  await expect(verdict).toContainText('The thickest place passes');
  const hands = page.getByRole('list', { name: 'From the start to the close' });
  await expect(hands).toContainText('at 144 mm along the edge');
  await expect(page.getByRole('img', { name: 'The stack along the edge' })).toContainText(
    '2.69 mm, 4 layers',
  );

  // Off the edge, it is refused where it is typed; what was there stays.
  const at = seams.getByLabel('Middle of it at');
  await at.fill('13 in');
  await at.press('Enter');
  await expect(
    seams.getByText('off the edge; it can be at 0 to 310 mm', { exact: false }),
  ).toBeVisible();
  await at.press('Escape');
  await at.fill('0');
  await at.press('Enter');
  await expect(hands).toContainText('at 299 mm along the edge');
  await page.reload();
  await expect(hands).toContainText('at 299 mm along the edge');
  // Shown at once, stored a moment later.
  await expect
    .poll(async () => (await app.api<Edge>('edges/edge-tunic')).crossings)
    .toEqual([{ kind: 'felled', atMm: 0, widthMm: 16 }]);
  await seams.getByRole('button', { name: 'Remove seam 1' }).click();
  await expect(page.getByText('No seam crosses this edge yet.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(verdict).toBeVisible();
});

test('a thick crossing is graded: with care, not at all, freely, by the machine’s two lifts', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-trousers/edge?view=along`);
  // Twelve layers of denim are sewn every day: hammered, with the handwheel and a shim.
  const verdict = page
    .getByRole('status')
    .filter({ hasText: 'thickest place' })
    .or(page.getByRole('status').filter({ hasText: /With care|will not pass/ }));
  await expect(verdict).toContainText('With care:');
  await expect(verdict).toContainText('a starting guess of the lift');
  await expect(verdict).toContainText(/\d+ layers? of this cloth/);
  await follow(page, '/kit');
  await page.getByRole('button', { name: /^Home machine/ }).click();
  const lift = page.getByLabel('Presser foot lifts');
  await lift.fill('40');
  await lift.press('Enter');
  await expect(page.getByText('It can be 2 to 25 mm.')).toBeVisible();
  await lift.fill('3');
  await lift.press('Enter');
  const higher = page.getByLabel('Lever pushed further');
  await higher.fill('2');
  await higher.press('Enter');
  await expect(page.getByText('The higher lift is not less than the ordinary one.')).toBeVisible();
  await higher.fill('3.5');
  await higher.press('Enter');
  await follow(page, '/edges/edge-trousers/edge?view=along');
  await expect(verdict).toContainText('It will not pass:');
  await follow(page, '/kit');
  await page.getByRole('button', { name: /^Home machine/ }).click();
  await lift.fill('9');
  await lift.press('Enter');
  await expect(page.getByText('The higher lift is not less than the ordinary one.')).toBeVisible();
  await higher.fill('12');
  await higher.press('Enter');
  await lift.fill('9');
  await lift.press('Enter');
  await follow(page, '/edges/edge-trousers/edge?view=along');
  await expect(verdict).toContainText('The thickest place passes');
});
