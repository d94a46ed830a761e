import { TestApp, click, mainText, screen, waitFor } from '../testing/test-app';
import { viewsOfLengths } from '../testing/views';

const app = new TestApp();
beforeAll(() => app.start());

/** What is shown once nothing of it changes any more. */
async function settled(): Promise<string> {
  let [before, now] = ['', mainText()];
  for (let i = 0; i < 40 && (before !== now || /Loading|Working out/.test(now)); i++) {
    await new Promise((later) => setTimeout(later, 120));
    [before, now] = [now, mainText()];
  }
  expect(now).not.toMatch(/Loading|Working out/);
  return now;
}

const unit = (name: string) => click(screen.findByRole('radio', { name }));

/** Lengths in millimetres; machines are marked in them, and marks show both. */
const lengthsInMm = () =>
  [...document.querySelectorAll('main *')]
    .filter((part) => !part.closest('[data-print-alone]'))
    .flatMap((part) => [...part.childNodes])
    .filter((node) => node.nodeType === Node.TEXT_NODE)
    .map((node) => node.textContent ?? '')
    .filter((text) => /\d mm/.test(text))
    .filter(
      (text) => !/· (shown )?[−+-]?[\d.]+ mm|^[−-]?[\d.]+ mm\s*$|machine, \d mm wide/i.test(text),
    );

test.each(viewsOfLengths)('the unit switch changes every length at %s', async (view) => {
  await app.open(view);
  await unit('mm');
  const inMm = await settled();
  await unit('in');
  await waitFor(() => expect(mainText()).not.toBe(inMm));
  await settled();
  // A part whose words come from a worker may follow a busy machine's page by seconds.
  await waitFor(() => expect(lengthsInMm()).toEqual([]), { timeout: 10_000 });
});
