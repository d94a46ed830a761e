import { TestApp, click, mainText, screen, waitFor } from '../testing/test-app';
import { viewsOfLengths } from '../testing/views';

jest.setTimeout(30_000);
const app = new TestApp();
beforeAll(() => app.start());
afterAll(() => app.stop());

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

test.each(viewsOfLengths)('the unit switch changes every length at %s', async (view) => {
  await app.open(view);
  await unit('mm');
  const inMm = await settled();
  await unit('in');
  await waitFor(() => expect(mainText()).not.toBe(inMm));
  await settled();
  // Machines are marked in millimetres, and marks show both; nothing else may stay metric.
  const left = [...document.querySelectorAll('main *')]
    .filter((part) => !part.closest('[data-print-alone]'))
    .flatMap((part) => [...part.childNodes])
    .filter((node) => node.nodeType === Node.TEXT_NODE)
    .map((node) => node.textContent ?? '')
    .filter((text) => /\d mm/.test(text))
    .filter(
      (text) => !/· (shown )?[−+-]?[\d.]+ mm|^[−-]?[\d.]+ mm\s*$|machine, \d mm wide/i.test(text),
    );
  expect(left).toEqual([]);
});
