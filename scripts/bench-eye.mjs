// A photo of 12 megapixels of a scrap on its card: how long it takes to measure, and how long the
// page stands still meanwhile, by the browser's own trace.
import { existsSync, readFileSync } from 'node:fs';
import { cardPhoto, dials } from './card-photo.mjs';

/** So many are taken in a row. */
const photos = 7;

/** How long processors were another machine's though this one wanted them, ms; Linux alone tells. */
function lentOutMs() {
  if (!existsSync('/proc/stat')) return NaN;
  const [, , , , , , , , ticks] = readFileSync('/proc/stat', 'utf8').split(/\s+/);
  return 10 * Number(ticks);
}

export async function benchEye({ address, browser, row }) {
  const bytes = await cardPhoto(address);
  const asked = `finish=blind-hem&variant=flat&face=wrong&lengthMm=${dials.lengthMm}&widthMm=${dials.widthMm}`;
  const served = [];
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    const answer = await fetch(`${address}/api/compute/scrap?${asked}`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: bytes,
    });
    const found = await answer.json();
    if (!answer.ok || !(found.counts?.n > 4)) throw new Error(JSON.stringify(found).slice(0, 300));
    served.push(performance.now() - begun);
  }
  served.sort((a, b) => a - b);
  row('a photo of 12 megapixels measured by the server, median of 5', served[2], 'ms', 2000);

  // As they are taken: in a tab that was opened once, one after the other. What other pages left behind in the tab is
  // cleared away by the browser whenever it likes, and is not the photo's.
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/edges/edge-cape/test`);
  await page.getByRole('button', { name: 'Count from a photo' }).click();
  const lentBefore = lentOutMs();
  const taken = [];
  for (let i = 0; i < photos; i++) {
    if (i > 0) await page.getByRole('button', { name: 'Another photo' }).click();
    await page.getByRole('button', { name: 'Take or choose the photo' }).waitFor();
    taken.push(await tracedPhoto(page, bytes));
  }
  const lent = lentOutMs() - lentBefore;
  await page.close();
  const of = (measure) => taken.map((one) => one[measure]).sort((a, b) => a - b);
  const [told, still, worked] = [of('toldMs'), of('stillMs'), of('workedMs')];
  row(
    `the same in the browser, until it is told, median of ${photos}`,
    told[Math.floor(photos / 2)],
    'ms',
    null,
  );
  row(`longest that the page stood still meanwhile, of all ${photos}`, still.at(-1), 'ms', 16);
  row('  longest that it worked without a break', worked.at(-1), 'ms', null);
  // Whoever else has the processors holds the page up whatever it does.
  if (!Number.isNaN(lent)) row('  processors lent out to others meanwhile', lent, 'ms', null);
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
    // By the thread's own clock, which stands while another thread has the processor, but not another machine.
    workedMs: Math.max(...tasks.map(({ tdur = 0 }) => tdur)) / 1000,
  };
}
