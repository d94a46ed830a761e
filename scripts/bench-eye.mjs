// A photo of 12 megapixels of a scrap on its card: how long it takes to measure, and how long the
// page stands still meanwhile, by the browser's own trace.
import { existsSync, readFileSync } from 'node:fs';
import { cardPhoto, dials } from './card-photo.mjs';

/** So many are taken in a row, and as many more at the most as the machine was held up in. */
const photos = 7;
/** A photo in which another machine had the processors for so long tells of that machine, ms. */
const mostStolenMs = 100;

/** How long processors were another machine's though this one wanted them, ms; Linux alone tells. */
function stolenMs() {
  if (!existsSync('/proc/stat')) return 0;
  const [, , , , , , , , ticks] = readFileSync('/proc/stat', 'utf8').split(/\s+/);
  return 10 * Number(ticks);
}

export async function benchEye({ address, page, row }) {
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
  const own = await page.context().browser().newPage({ viewport: page.viewportSize() });
  await own.goto(`${address}/edges/edge-cape/test`);
  await own.getByRole('button', { name: 'Count from a photo' }).click();
  const taken = [];
  const undisturbed = () => taken.filter((one) => one.stolenMs <= mostStolenMs);
  while (undisturbed().length < photos && taken.length < 2 * photos) {
    if (taken.length > 0) await own.getByRole('button', { name: 'Another photo' }).click();
    await own.getByRole('button', { name: 'Take or choose the photo' }).waitFor();
    const before = stolenMs();
    const traced = await tracedPhoto(own, bytes);
    taken.push({ ...traced, stolenMs: stolenMs() - before });
  }
  await own.close();
  const still = undisturbed();
  const longest = (some, measure) => Math.max(...some.map((one) => one[measure]));
  const told = taken.map((one) => one.toldMs).sort((a, b) => a - b);
  const ofAll = `of ${taken.length}`;
  row(
    `the same in the browser, until it is told, median ${ofAll}`,
    told[Math.floor(told.length / 2)],
    'ms',
    null,
  );
  row(
    `longest that the page worked without a break, ${ofAll}`,
    longest(taken, 'workedMs'),
    'ms',
    16,
  );
  if (still.length > 0) {
    const held = taken.length - still.length;
    const but = held > 0 ? `, the machine not held up as in ${held}` : '';
    row(
      `longest that it stood still, of ${still.length}${but}`,
      longest(still, 'stillMs'),
      'ms',
      16,
    );
  }
  if (still.length < taken.length) {
    row(`the same ${ofAll}, held up or not`, longest(taken, 'stillMs'), 'ms', null);
  }
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
    // By the thread's own clock, which stands while it waits for a processor.
    workedMs: Math.max(...tasks.map(({ tdur = 0 }) => tdur)) / 1000,
  };
}
