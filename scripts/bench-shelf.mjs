// The shelf with five thousand cloths: taken in, shown, scrolled and filtered.

/** A frame that comes later than this after the one before was missed, ms; one in time takes 16.7. */
const missedMs = 25;

/** The gaps between frames while something goes on in the page, ms. */
async function framesDuring(page, work) {
  await page.evaluate(() => {
    window.gaps = [];
    let last = performance.now();
    const next = (now) => {
      window.gaps.push(now - last);
      last = now;
      if (window.gaps.length < 100_000 && !window.enough) requestAnimationFrame(next);
    };
    window.enough = false;
    requestAnimationFrame(next);
  });
  await work();
  const gaps = await page.evaluate(() => {
    window.enough = true;
    return window.gaps;
  });
  return gaps.slice(2);
}

const missedShare = (gaps) => (100 * gaps.filter((gap) => gap > missedMs).length) / gaps.length;

/** Puts the measures of the shelf into the table. */
export async function benchShelf({ page, address, row }) {
  const kinds = ['woven', 'knit', 'pile', 'felted', 'sheer'];
  const lines = Array.from(
    { length: 5000 },
    (_, i) => `Cloth ${i} of the bench,${kinds[i % 5]},${1 + (i % 40) / 10},100`,
  );
  const file = `name,construction,sampleGrams,sampleSideMm\n${lines.join('\n')}\n`;
  const send = async (path) => {
    const answer = await fetch(`${address}/api/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
    });
    if (!answer.ok) throw new Error(await answer.text());
    return answer.json();
  };
  let start = performance.now();
  const { digest } = await send('import/preview');
  row('5,000 cloths looked at before they are taken in', performance.now() - start, 'ms', null);
  start = performance.now();
  await send(`import?digest=${digest}`);
  row('5,000 cloths taken in, as one change', performance.now() - start, 'ms', null);

  start = performance.now();
  await page.goto(`${address}/cloths`);
  await page.getByRole('option').first().waitFor();
  row('the shelf shown with 5,000 cloths, from nothing', performance.now() - start, 'ms', null);
  await page.waitForTimeout(1500);

  const scrolled = await framesDuring(page, () =>
    page.evaluate(async () => {
      const list = document.querySelector('[role=listbox]');
      for (let i = 0; i < 300; i++) {
        list.scrollTop += 180;
        await new Promise((next) => requestAnimationFrame(next));
      }
    }),
  );
  row('scrolling through 5,000 cloths: frames missed', missedShare(scrolled), '%', 1);

  const search = page.getByRole('searchbox', { name: 'Search the shelf' });
  await search.focus();
  const typed = await framesDuring(page, async () => {
    for (let round = 0; round < 3; round++) {
      await page.keyboard.type('cloth 12 bench knit', { delay: 80 });
      for (let i = 0; i < 19; i++) {
        await page.keyboard.press('Backspace');
        await page.waitForTimeout(60);
      }
    }
  });
  row('typing a search over 5,000 cloths: frames missed', missedShare(typed), '%', 1);
}
