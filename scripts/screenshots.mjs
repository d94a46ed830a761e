// `npm run screenshots`: takes docs/screenshots/ anew, from the demo data, at 1280 × 800.
import { existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { spawnServer } from './spawn-server.mjs';
import { cardPhoto } from './card-photo.mjs';
import { build, root } from './prepare.mjs';

const project = '/projects/project-lantern-parade';
const views = {
  worktable: '/',
  order: `${project}/order`,
  project,
  'station-cloth': '/edges/edge-cape/cloth',
  'station-finish': '/edges/edge-cape/finish',
  'station-folds': '/edges/edge-shirt/folds',
  'strip-cut': '/edges/edge-collar/folds?view=cut',
  'margin-map': '/edges/edge-shirt/setting?view=map',
  'station-setting': '/edges/edge-cape/setting',
  'station-test': '/edges/edge-cape/test',
  book: '/book?scrap=earlier-4-2',
  'cloth-shelf': '/cloths?cloth=cloth-canvas',
  measure: '/cloths/cloth-ponte/measure/pull',
  keeping: '/keeping',
  kit: '/kit?it=foot-blind-screw',
};

build();
const dataFolder = mkdtempSync(join(tmpdir(), 'pin-margin-shots-'));
const server = await spawnServer(dataFolder);
const browser = await chromium.launch({
  executablePath: ['/usr/bin/chromium', '/usr/bin/chromium-headless-shell'].find(existsSync),
  args: ['--no-sandbox'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const folder = process.argv[2] ?? join(root, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
// The line on which a page is told of changes is always open: the network is never idle.
const settled = async () => {
  await page.waitForTimeout(2000);
  // Some take longer to work out what they show.
  for (const waits of [/^Loading.*…$/, /^Putting \d+ edges in order…/]) {
    await page.getByText(waits).first().waitFor({ state: 'hidden' });
  }
  await page.waitForTimeout(200);
};
const take = async (name) => {
  await settled();
  await page.screenshot({ path: join(folder, `${name}.png`) });
};
for (const [name, path] of Object.entries(views)) {
  await page.goto(server.address + path);
  await take(name);
}
await page.setViewportSize({ width: 390, height: 844 });
await page.goto(`${server.address}/at/edge-tunic`);
for (let i = 1; i <= 6; i++) {
  await page.getByText(`${i} of 26`).waitFor();
  await page.keyboard.press('ArrowRight');
}
await take('at-the-machine');
await page.setViewportSize({ width: 1280, height: 800 });
await page.goto(`${server.address}/edges/edge-cape/test`);
await page.getByRole('button', { name: 'Count from a photo' }).click();
await page.getByLabel('Photo of the scrap on its card').setInputFiles({
  ...{ name: 'scrap.jpg', mimeType: 'image/jpeg', buffer: await cardPhoto(server.address) },
});
await page.getByRole('button', { name: 'Use these counts' }).waitFor();
await take('photo-count');
await page.goto(server.address + project);
await page.getByRole('button', { name: 'New edge' }).click();
await page.getByRole('radio', { name: 'trouser leg' }).click();
await take('new-edge');
await page.getByRole('checkbox', { name: 'The right leg differs' }).click();
await page.getByLabel('Front mark, right leg').fill('1004');
await page.getByRole('button', { name: 'Make the edge' }).click();
await page.getByRole('link', { name: /2 ?Edge/ }).click();
await page.getByText('Sheet of marks').waitFor();
await take('station-edge');
await browser.close();
await server.stop();
rmSync(dataFolder, { recursive: true, force: true });
