import { expect, follow, onDisk, test, type App } from './app.fixture';
import { seriousTroubles } from './axe';
import { capeScrapPhoto, noCard, wavyEdgePhoto } from './scrap-photo.fixture';
import type { Page } from '@playwright/test';

interface Counted {
  readonly depths?: { readonly depthMm: number; readonly depthSpreadMm: number }[];
}

async function counting(page: Page, app: App) {
  await page.goto(`${app.address}/edges/edge-cape/test`);
  await page.getByRole('button', { name: 'Count from a photo' }).click();
  const dialog = page.getByRole('dialog', { name: 'Count from a photo' });
  return {
    dialog,
    input: dialog.getByLabel('Photo of the scrap on its card'),
    picture: dialog.getByRole('application', { name: /finds/ }),
  };
}
const file = (bytes: Buffer) => onDisk('scrap.jpg', bytes);

test('by mouse: a scrap counted from its photo, a find struck out, one added, all in the form', async ({
  page,
  app,
}) => {
  const { dialog, input, picture } = await counting(page, app);
  // A picture without the card is refused in a sentence, and nothing is counted.
  await input.setInputFiles(file(await noCard()));
  await expect(dialog.getByRole('alert')).toContainText('No mark of the scrap card is to be seen');
  expect(await seriousTroubles(page)).toEqual([]);

  const { jpeg, bites } = await capeScrapPhoto();
  await input.setInputFiles(file(jpeg));
  await expect(picture).toBeVisible();
  const found = await picture.locator('[data-find]').count();
  expect(Math.abs(found - bites)).toBeLessThanOrEqual(1);
  expect(await seriousTroubles(page)).toEqual([]);
  // Under the rings lies the cloth: a picture that the browser reads, as wide for its height as the card's window.
  const [wide, high] = await picture.locator('image').evaluate(async (cloth) => {
    const read = new Image();
    read.src = cloth.getAttribute('href')!;
    await read.decode();
    return [read.naturalWidth, read.naturalHeight] as const;
  });
  expect(wide).toBeGreaterThan(900);
  expect(wide / high).toBeCloseTo(100 / 60, 1);

  const numbers = dialog.locator('b.big-number');
  await expect(numbers.first()).toHaveText(String(found));
  await dialog.getByRole('radio', { name: 'No bite' }).click();
  await expect(numbers.first()).toHaveText(String(found - 1));
  // On bare cloth a click adds one.
  const box = (await picture.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.97, box.y + box.height * 0.5);
  await expect(picture.locator('[data-find]')).toHaveCount(found + 1);
  await dialog.getByRole('radio', { name: 'Shows outside' }).click();
  await expect(numbers.nth(2)).toHaveText('1');
  await dialog.getByRole('button', { name: 'Use these counts' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('spinbutton', { name: /^Bites sewn/ })).toHaveValue(String(found));
  await expect(page.getByRole('spinbutton', { name: /^Seen on the right side/ })).toHaveValue('1');
  await expect(page.getByRole('img', { name: /Photo of scrap/ })).toBeVisible();
  await page.getByRole('button', { name: /^Record scrap/ }).click();
  await expect(page.getByText(`${found} bites`, { exact: false }).first()).toBeVisible();
  // What was measured is kept with it, the one that was struck out left out.
  const kept = await app.api<
    { id: string; note: string; photoId: string | null; counts: Counted[] }[]
  >('attempts?planId=plan-cape');
  const [{ depths = [] } = {}] = kept.find(({ photoId }) => photoId !== null)?.counts ?? [];
  expect(depths).toHaveLength(found - 1);
  for (const { depthMm, depthSpreadMm } of depths) {
    expect(Math.abs(depthMm)).toBeLessThan(2);
    expect(depthSpreadMm).toBeLessThan(0.3);
  }

  // In the book the photo is opened again, with all of them where they were.
  const { id } = kept.find(({ photoId }) => photoId !== null)!;
  await page.goto(`${app.address}/book?scrap=${id}`);
  await page.getByRole('button', { name: 'What was found in it' }).click();
  const again = page.getByRole('application', { name: /finds/ });
  await expect(again.locator('[data-find]')).toHaveCount(found - 1);
  // Nothing of the page lies over the dialog, not even what stays in sight while it is scrolled.
  const title = page.getByRole('heading', { name: 'Scrap 2, as it was measured' });
  await title.click({ trial: true });
  await again.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(`Bite 2 of ${found - 1}`)).toBeVisible();
  expect(await seriousTroubles(page)).toEqual([]);
});

test('by keyboard, at 390 px: along the finds, what one is, one more, and Escape leaves no trace', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { dialog, input, picture } = await counting(page, app);
  const { jpeg } = await capeScrapPhoto();
  await input.setInputFiles(file(jpeg));
  await expect(picture).toBeVisible();
  const finds = picture.locator('[data-find]');
  const found = await finds.count();
  await picture.focus();
  // A doubtful one is asked about first, wherever it lies.
  for (let i = 1; i < found; i++) await page.keyboard.press('ArrowLeft');
  await expect(dialog.getByText(`Bite 1 of ${found}`)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(dialog.getByText(`Bite 2 of ${found}`)).toBeVisible();
  await page.keyboard.press('Space');
  await expect(picture.locator('[data-find=struck]')).toHaveCount(1);
  await page.keyboard.press('Space');
  await page.keyboard.press('Enter');
  await expect(picture.locator('[data-find=struck]')).toHaveCount(0);
  await expect(finds.nth(1)).toHaveAttribute('data-find', 'short');
  await page.keyboard.press('Insert');
  await expect(finds).toHaveCount(found + 1);
  const wider = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(await wider()).toBeLessThanOrEqual(0);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('spinbutton', { name: /^Bites sewn/ })).toHaveValue('24');
});

test('both faces: the second is matched with the first bite by bite, and both together are written down', async ({
  page,
  app,
}) => {
  const { dialog, input, picture } = await counting(page, app);
  await input.setInputFiles(file((await capeScrapPhoto('wrong')).jpeg));
  await expect(picture).toBeVisible();
  const found = await picture.locator('[data-find]').count();
  await dialog.getByRole('button', { name: 'Use, then the right side' }).press('Enter');
  await expect(dialog.getByRole('status')).toContainText(
    `The wrong side is counted: ${found} bites`,
  );
  await expect(dialog.getByRole('radio', { name: 'Right side, opened out' })).toBeChecked();

  await input.setInputFiles(file((await capeScrapPhoto('right')).jpeg));
  await expect(picture).toBeVisible();
  await expect(dialog.getByText('Matched with the other side')).toContainText(
    `${found} bites seen`,
  );
  // What one says of either face is what the scrap is counted by.
  const numbers = dialog.locator('b.big-number');
  await expect(numbers).toHaveText([String(found), '0', '0']);
  await dialog.getByRole('radio', { name: 'Shows outside' }).click();
  await expect(numbers).toHaveText([String(found), '0', '1']);
  await dialog.getByRole('button', { name: 'Use these counts' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('spinbutton', { name: /^Seen on the right side/ })).toHaveValue('1');
  // Kept over a reload; the photo is that of the wrong side, where the depths have their places.
  await page.reload();
  await expect(page.getByRole('spinbutton', { name: /^Bites sewn/ })).toHaveValue(String(found));
  await page.getByRole('button', { name: /^Record scrap/ }).click();
  await expect(page.getByText(`${found} bites`, { exact: false }).first()).toBeVisible();
  const kept = await app.api<
    { id: string; photoId: string | null; otherFacePhotoId: string | null; counts: Counted[] }[]
  >('attempts?planId=plan-cape');
  const { id, counts, photoId, otherFacePhotoId } = kept.find((one) => one.photoId !== null)!;
  const [{ depths = [] } = {}] = counts;
  expect(depths).toHaveLength(found - 1);
  // Both photos are kept with it, and shown in the book.
  expect(otherFacePhotoId).not.toBe(photoId);
  await follow(page, `/book?scrap=${id}`);
  for (const [name, photo] of [
    ['Photo of scrap 2', photoId],
    ['Photo of the other face of scrap 2', otherFacePhotoId],
  ] as const) {
    const shown = page.getByRole('complementary').getByRole('img', { name, exact: true });
    await expect(shown).toHaveAttribute('src', `/api/photos/${photo}`);
  }
});

test('a right side whose bites lie twice as far apart as set is asked about, and less sure; at its own length it is not', async ({
  page,
  app,
}) => {
  const right = file((await capeScrapPhoto('right', { deeperMm: 0.65 })).jpeg);
  const asks = /Was it sewn with a longer stitch than is set\?/;
  const { dialog, input, picture } = await counting(page, app);
  await dialog.getByRole('radio', { name: 'Right side, opened out' }).click();
  await input.setInputFiles(right);
  await expect(picture).toBeVisible();
  await expect(dialog.getByText(asks)).toBeHidden();
  await expect(dialog.getByText('Sure to within one.', { exact: true })).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();

  await page.getByText('Sewn at').first().click();
  const length = page.getByRole('textbox', { name: /length/i }).first();
  await length.fill('1.25');
  await length.press('Enter');
  await page.getByRole('button', { name: 'Count from a photo' }).click();
  await dialog.getByRole('radio', { name: 'Right side, opened out' }).click();
  await input.setInputFiles(right);
  await expect(dialog.getByText(asks)).toBeVisible();
  await expect(dialog.getByText('Fairly sure to within one.', { exact: true })).toBeVisible();
});

test('an edge of which nothing is counted: its waves and whiskers are seen, and what is ticked goes with the scrap', async ({
  page,
  app,
}) => {
  await page.goto(`${app.address}/edges/edge-lining/test`);
  await page.getByRole('button', { name: 'Look at the edge in a photo' }).click();
  const dialog = page.getByRole('dialog', { name: 'Look at the edge in a photo' });
  const input = dialog.getByLabel('Photo of the scrap on its card');
  await input.setInputFiles(file(await noCard()));
  await expect(dialog.getByRole('alert')).toContainText('No mark of the scrap card is to be seen');
  await input.setInputFiles(file(await wavyEdgePhoto()));
  await expect(dialog.getByRole('img', { name: 'The edge, with 2 threads' })).toBeVisible();
  const waves = dialog.getByRole('checkbox', { name: /waves: 1\.\d % longer than straight/ });
  await expect(waves).toBeChecked();
  expect(await seriousTroubles(page)).toEqual([]);
  await dialog.getByRole('checkbox', { name: /Whiskers/ }).press('Space');
  await dialog.getByRole('button', { name: 'Use what was seen' }).press('Enter');
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('img', { name: /Photo of scrap/ })).toBeVisible();
  const picked = page
    .getByRole('region', { name: 'What else you see' })
    .locator('[aria-pressed=true]');
  await expect(picked).toHaveText(/waves/);
});

test('of two bites near the bound the least sure is asked about first, and what it is tells of the other', async ({
  page,
  app,
}) => {
  const { dialog, input, picture } = await counting(page, app);
  // Two bites miss surely; of the two that lie beside the bound one is told just below it, the other just above.
  const { jpeg, bites } = await capeScrapPhoto('wrong', { deeperMm: -0.805 });
  await input.setInputFiles(file(jpeg));
  await expect(dialog.getByText(`Bite 6 of ${bites}, doubtful`)).toBeVisible();
  const dashed = picture.locator('[data-doubtful]');
  await expect(dashed).toHaveCount(2);
  await expect(dialog.getByRole('button', { name: 'Next doubtful (2)' })).toBeVisible();
  const [, short] = await dialog.locator('b.big-number').all();
  await expect(short!).toHaveText('3');
  // Nothing is said of it yet; Enter says that it is what it is taken for.
  const sound = dialog.getByRole('radio', { name: 'Sound' });
  await expect(sound).not.toBeChecked();
  await picture.focus();
  await page.keyboard.press('Enter');
  await expect(sound).toBeChecked();
  await expect(short!).toHaveText('3');
  // It was measured to have caught; it is seen to have missed: none lies as deep as was told.
  const misses = dialog.getByRole('radio', { name: 'Needle misses' });
  await misses.click();
  await expect(dialog.getByText('What you said settles 1 other too.')).toBeVisible();
  await expect(dashed).toHaveCount(0);
  await expect(short!).toHaveText('4');
  await expect(dialog).toContainText('Sure to within one.');
  // By keyboard it is taken back: Enter goes on through what it may be.
  await picture.focus();
  for (const as of ['over', 'struck']) {
    await page.keyboard.press('Enter');
    await expect(picture.locator(`[data-find=${as}]`)).toHaveCount(1);
  }
  await page.keyboard.press('Enter');
  await expect(sound).toBeChecked();
  await expect(dashed).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(misses).toBeChecked();
  await expect(dashed).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Take it back' }).click();
  await expect(dashed).toHaveCount(2);
  await expect(misses).not.toBeChecked();
  await misses.click();
  await expect(dashed).toHaveCount(0);
  expect(await seriousTroubles(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Use these counts' }).click();
  await expect(dialog).toBeHidden();
  // What was measured of all of them goes with the scrap, laid as the answer has it.
  await page.getByRole('button', { name: /^Record scrap/ }).click();
  await expect(page.getByText(`${bites} bites`, { exact: false }).first()).toBeVisible();
  const kept = await app.api<{ photoId: string | null; counts: Counted[] }[]>(
    'attempts?planId=plan-cape',
  );
  const [{ depths = [] } = {}] = kept.find(({ photoId }) => photoId !== null)?.counts ?? [];
  expect(depths).toHaveLength(bites);
  // To the hundredth, as they are kept.
  expect(depths.filter(({ depthMm }) => depthMm < 0.2)).toHaveLength(4);
});

test('a fold that one light leaves open is photographed once more, lit from the other side', async ({
  page,
  app,
}) => {
  const { dialog, input, picture } = await counting(page, app);
  // Bites near to what is too short: where the fold lies decides what they are.
  const shallow = { deeperMm: -0.32 } as const;
  const { jpeg, bites } = await capeScrapPhoto('wrong', { ...shallow, lit: 'cloth' });
  await input.setInputFiles(file(jpeg));
  const again = dialog.getByRole('button', { name: 'Once more, lit from the other side' });
  await expect(again).toBeVisible();
  // The only doubtful one is chosen: there is no next one, until another is.
  const doubtful = dialog.getByText(`Bite 2 of ${bites}, doubtful`);
  const next = dialog.getByRole('button', { name: 'Next doubtful (1)' });
  await expect(doubtful).toBeVisible();
  await expect(next).toBeHidden();
  await picture.focus();
  await page.keyboard.press('ArrowRight');
  await next.click();
  await expect(doubtful).toBeVisible();
  // What is said of a find before the second photo stands after it; the doubtful one is left open.
  await picture.focus();
  await page.keyboard.press('ArrowRight');
  await dialog.getByRole('radio', { name: 'No bite' }).click();
  const numbers = dialog.locator('b.big-number');
  await expect(numbers.first()).toHaveText(String(bites - 1));

  // Nothing is lost by going back, by a scrap that was moved, nor by a picture of something else.
  await again.focus();
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('turn its card half round under the lamp');
  // Its card is in hand.
  await expect(dialog.getByRole('link', { name: 'A4' })).toHaveCount(0);
  await input.setInputFiles(file(await noCard()));
  await expect(dialog.getByRole('alert')).toContainText('No mark of the scrap card is to be seen');
  expect(await seriousTroubles(page)).toEqual([]);
  const moved = await capeScrapPhoto('wrong', { ...shallow, lit: 'beyond', lowerMm: 8 });
  await input.setInputFiles(file(moved.jpeg));
  await expect(dialog.getByRole('alert')).toContainText('does not lie in the window as it lay');
  await dialog.getByRole('button', { name: 'Back to the first photo' }).click();
  await expect(numbers.first()).toHaveText(String(bites - 1));

  await again.click();
  const other = await capeScrapPhoto('wrong', { ...shallow, lit: 'beyond' });
  await input.setInputFiles(file(other.jpeg));
  await expect(dialog.getByText('seen under both lights')).toBeVisible();
  await expect(dialog.getByText(new RegExp(`^${bites} bites seen`))).toBeVisible();
  await expect(numbers.first()).toHaveText(String(bites - 1));
  await expect(picture.locator('[data-find]')).toHaveCount(bites);
  // A third photo from one of these sides would tell nothing new.
  await expect(again).toBeHidden();
  expect(await seriousTroubles(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Use these counts' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('spinbutton', { name: /^Bites sewn/ })).toHaveValue(
    String(bites - 1),
  );
});
