// A photo of 12 megapixels of a scrap on its card: how long it takes to measure, and how long the
// page stands still meanwhile.
import { cardPhoto, dials } from './card-photo.mjs';

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

  await page.goto(`${address}/edges/edge-cape/test`);
  await page.getByRole('button', { name: 'Count from a photo' }).click();
  await page.getByRole('button', { name: 'Take or choose the photo' }).waitFor();
  await page.evaluate(() => {
    // A tick after every task of the page; the longest time without one is how long it stood still.
    const { port1, port2 } = new MessageChannel();
    globalThis.stillMs = 0;
    let last = performance.now();
    port1.onmessage = () => {
      const now = performance.now();
      globalThis.stillMs = Math.max(globalThis.stillMs, now - last);
      last = now;
      port2.postMessage(0);
    };
    port2.postMessage(0);
  });
  const begun = performance.now();
  await page
    .getByLabel('Photo of the scrap on its card')
    .setInputFiles({ name: 'scrap.jpg', mimeType: 'image/jpeg', buffer: bytes });
  await page.getByText('Looking at the scrap…').waitFor();
  // Handing over the file is the browser’s; from here on it is ours.
  await page.evaluate(() => (globalThis.stillMs = 0));
  await page.getByText('Looking at the scrap…').waitFor({ state: 'detached', timeout: 60_000 });
  row('the same in the browser, until it is told', performance.now() - begun, 'ms', null);
  const stillMs = await page.evaluate(() => globalThis.stillMs);
  row('longest that the page stood still meanwhile', stillMs, 'ms', 16);
}
