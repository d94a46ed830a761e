import type { Page } from '@playwright/test';
import axe, { type AxeResults } from 'axe-core';

/** What axe finds serious on the page as it stands; it is brought into the page once. */
export async function seriousTroubles(page: Page) {
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(axe.source);
  const { violations } = await page.evaluate(() =>
    // No rule that is looked at asks for the style sheets; fetching them again is left out.
    (globalThis as unknown as { axe: typeof axe }).axe.run({
      resultTypes: ['violations'],
      preload: false,
    }),
  );
  return violations
    .filter(({ impact }: AxeResults['violations'][number]) => /serious|critical/.test(impact ?? ''))
    .map(({ id, nodes }) => [id, nodes.map(({ html }) => html)]);
}
