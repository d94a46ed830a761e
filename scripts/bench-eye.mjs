// A photo of 12 megapixels of a scrap on its card: how long it takes to measure, and how long the
// page stands still meanwhile, by the browser's own trace.
import { cardPhoto, dials } from './card-photo.mjs';

/** So many are taken in a row. */
const photos = 7;

export async function benchEye({ address, page, row }) {
  const bytes = await cardPhoto(address);
  const asked = `finish=blind-hem&variant=flat&face=wrong&lengthMm=${dials.lengthMm}&widthMm=${dials.widthMm}`;
  const taken = [];
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    const answer = await fetch(`${address}/api/compute/scrap?${asked}`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: bytes,
    });
    const found = await answer.json();
    if (!answer.ok || !(found.counts?.n > 4)) throw new Error(JSON.stringify(found).slice(0, 300));
    taken.push(performance.now() - begun);
  }
  taken.sort((a, b) => a - b);
  row('a photo of 12 megapixels measured by the server, median of 5', taken[2], 'ms', 2000);

  // As they are taken: in a tab that was opened once, one after the other. What other pages left behind in the tab is
  // cleared away by the browser whenever it likes, and is not the photo's.
  const own = await page.context().browser().newPage({ viewport: page.viewportSize() });
  await own.goto(`${address}/edges/edge-cape/test`);
  await own.getByRole('button', { name: 'Count from a photo' }).click();
  const longest = [];
  const told = [];
  for (let i = 0; i < photos; i++) {
    if (i > 0) await own.getByRole('button', { name: 'Another photo' }).click();
    await own.getByRole('button', { name: 'Take or choose the photo' }).waitFor();
    const { toldMs, stillMs } = await tracedPhoto(own, bytes);
    told.push(toldMs);
    longest.push(stillMs);
  }
  await own.close();
  told.sort((a, b) => a - b);
  row(
    `the same in the browser, until it is told, median of ${photos}`,
    told[Math.floor(photos / 2)],
    'ms',
    null,
  );
  row(
    `longest that the page stood still meanwhile, of all ${photos}`,
    Math.max(...longest),
    'ms',
    16,
  );
}

/** Runs in the page: notes when looking begins and when it is told, and is done once that is drawn. */
const untilTold = () =>
  new Promise((done) => {
    const isLooking = () => document.body.textContent.includes('Looking at the scrap…');
    let begun = false;
    const note = () => {
      if (isLooking() === begun) return;
      performance.mark(begun ? 'told' : 'looking');
      if (begun) setTimeout(done, 500);
      begun = !begun;
    };
    note();
    const watched = { subtree: true, childList: true, characterData: true };
    new MutationObserver(note).observe(document.body, watched);
  });

/**
 * One photo in the page, by the browser's own account of what its main thread did: whoever asks the page how far
 * it is holds it up.
 */
async function tracedPhoto(page, buffer) {
  const browser = page.context().browser();
  await browser.startTracing(page, { categories: ['toplevel', 'blink.user_timing'] });
  const chosen = page
    .getByLabel('Photo of the scrap on its card')
    .setInputFiles({ name: 'scrap.jpg', mimeType: 'image/jpeg', buffer });
  await page.evaluate(untilTold);
  await chosen;
  const { traceEvents } = JSON.parse(String(await browser.stopTracing()));
  const [looking, told] = ['looking', 'told'].map((mark) =>
    traceEvents.find(({ name, cat }) => name === mark && cat === 'blink.user_timing'),
  );
  // From when the file is handed over, which is the browser’s, until what was found has been drawn.
  const tasks = traceEvents.filter(
    ({ name, ph, pid, tid, ts }) =>
      ph === 'X' &&
      name.endsWith('RunTask') &&
      pid === told.pid &&
      tid === told.tid &&
      ts > looking.ts &&
      ts < told.ts + 400_000,
  );
  return {
    toldMs: (told.ts - looking.ts) / 1000,
    stillMs: Math.max(...tasks.map(({ dur }) => dur)) / 1000,
  };
}
