// `npm run bench`: measures what is promised about speed, on this machine, in one run.
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { benchEye } from './bench-eye.mjs';
import { benchOrder } from './bench-order.mjs';
import { benchBook } from './bench-book.mjs';
import { benchShelf } from './bench-shelf.mjs';
import { build, installPackages, root } from './prepare.mjs';
import { spawnServer } from './spawn-server.mjs';

installPackages();
build();

const rows = [];
/** @param promise what it stays under; `least` what it reaches at the least */
const row = (what, value, unit, promise, least = null) =>
  rows.push({ what, value, unit, promise, least });
const sorted = (numbers) => [...numbers].sort((a, b) => a - b);
const median = (numbers) => sorted(numbers)[Math.floor(numbers.length / 2)];
const quantile = (numbers, share) => sorted(numbers)[Math.floor((numbers.length - 1) * share)];

const dataFolder = mkdtempSync(join(tmpdir(), 'pin-margin-bench-'));
await (await spawnServer(dataFolder)).stop();
const started = performance.now();
const server = await spawnServer(dataFolder);
row('second start, until the address is printed', performance.now() - started, 'ms', 3000);

const executablePath = [process.env.CHROMIUM, '/usr/bin/chromium'].find(
  (path) => path && existsSync(path),
);
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

/** Compressed script that a first visit loads until something is shown, and in all, kB as sent. */
async function scriptLoaded(path, shown) {
  const context = await browser.newContext();
  const visit = await context.newPage();
  // The page itself notes when it was there, so that nothing fetched behind it is counted.
  await visit.addInitScript((selector) => {
    const watch = new MutationObserver(() => {
      if (!document.querySelector(selector)) return;
      window.shownAt = performance.now();
      watch.disconnect();
    });
    watch.observe(document, { childList: true, subtree: true });
  }, shown);
  await visit.goto(server.address + path, { waitUntil: 'commit' });
  await visit.locator(shown).first().waitFor();
  await visit.waitForTimeout(2500);
  const [before, all, worker] = await visit.evaluate(() => {
    const scripts = performance
      .getEntriesByType('resource')
      .filter(({ name }) => /\.js$/.test(name));
    const own = scripts.filter(({ name }) => !/worker/.test(name));
    const bytes = (some) => some.reduce((sum, { transferSize }) => sum + transferSize, 0) / 1000;
    const shownBy = own.filter((it) => it.responseEnd <= window.shownAt);
    return [bytes(shownBy), bytes(own), bytes(scripts) - bytes(own)];
  });
  await context.close();
  return [before, all, worker];
}
const [projects] = await scriptLoaded('/', 'main li');
row('script until the projects are shown', projects, 'kB', 200);
const [setting, withStations, solving] = await scriptLoaded(
  '/edges/edge-shirt/setting',
  '[data-dial]',
);
row('script until a setting is shown, straight to it', setting, 'kB', 200);
row('the same with all stations fetched behind it', withStations, 'kB', null);
row('script of the worker that solves, beside it', solving, 'kB', null);

// Nudges: the dial's own key handler, React's work, style and layout, without the painting; by
// the clock. Beside it the page's CPU time, which also has the sending and the answer in it.
await page.goto(`${server.address}/edges/edge-shirt/setting`);
await page.getByLabel('Width', { exact: true }).focus();
await page.waitForTimeout(1500);
const protocol = await page.context().newCDPSession(page);
await protocol.send('Performance.enable', { timeDomain: 'threadTicks' });
const threadTime = async () => {
  const { metrics } = await protocol.send('Performance.getMetrics');
  return 1000 * metrics.find(({ name }) => name === 'TaskDuration').value;
};
/** Main-thread time and wall time of one nudge, ms; of asking alone, with no key. */
async function nudge(key) {
  const before = await threadTime();
  const wall = await page.evaluate(async (pressed) => {
    const start = performance.now();
    if (pressed) {
      const options = { key: pressed, bubbles: true, cancelable: true };
      document.activeElement.dispatchEvent(new KeyboardEvent('keydown', options));
      // Everything that is drawn for it is drawn before the browser's next task.
      for (let i = 0; i < 40; i++) await null;
      document.body.getBoundingClientRect();
    }
    return performance.now() - start;
  }, key);
  const cpu = (await threadTime()) - before;
  // A finger's pace, so that storing the last nudge is not measured with the next one.
  await page.waitForTimeout(100);
  return { wall, cpu };
}
const idle = [];
for (let i = 0; i < 30; i++) idle.push((await nudge(null)).cpu);
const nudges = [];
for (let i = 0; i < 160; i++) {
  const measured = await nudge(i % 8 < 4 ? ']' : '[');
  if (i >= 40) nudges.push(measured);
}
const cpu = nudges.map((one) => Math.max(0, one.cpu - median(idle)));
const wall = nudges.map((one) => one.wall);
row(`nudge of a dial to the new picture, median of ${wall.length}`, median(wall), 'ms', 8);
row('nudge of a dial to the new picture, 95th percentile', quantile(wall, 0.95), 'ms', 16);
row('CPU of the page for a nudge and for storing it, median', median(cpu), 'ms', null);

// The same for a mark of a measured edge, moved by a key on the picture: fields, table and picture follow.
await page.goto(`${server.address}/edges/edge-lamplighter/edge`);
await page.getByRole('slider', { name: 'Back mark, left leg' }).focus();
await page.waitForTimeout(1000);
const shapes = [];
for (let i = 0; i < 100; i++) {
  const { wall } = await nudge(i % 8 < 4 ? 'ArrowDown' : 'ArrowUp');
  if (i >= 20) shapes.push(wall);
}
row(
  `nudge of a measured edge to the new picture, median of ${shapes.length}`,
  median(shapes),
  'ms',
  16,
);
row(
  'nudge of a measured edge to the new picture, 95th percentile',
  quantile(shapes, 0.95),
  'ms',
  null,
);

// Dragging on the margin map of the fine machine: a pointer that moves in every frame.
await page.goto(`${server.address}/edges/edge-cape/setting?view=map`);
const map = page.getByRole('group', { name: /^Margin map/ });
await map.waitFor();
await page.waitForTimeout(1000);
const box = await map.boundingBox();
await page.mouse.move(box.x + box.width * 0.3, box.y + box.height * 0.5);
await page.mouse.down();
const frames = await page.evaluate(async ({ x, y, width, height }) => {
  const target = document.elementFromPoint(x + width * 0.3, y + height * 0.5);
  const gaps = [];
  let last = performance.now();
  for (let i = 0; i < 240; i++) {
    await new Promise((next) => requestAnimationFrame(next));
    const now = performance.now();
    gaps.push(now - last);
    last = now;
    target.dispatchEvent(
      new PointerEvent('pointermove', {
        pointerId: 1,
        buttons: 1,
        bubbles: true,
        clientX: x + width * (0.3 + 0.2 * Math.sin(i / 20)),
        clientY: y + height * (0.5 + 0.1 * Math.cos(i / 15)),
      }),
    );
  }
  return gaps.slice(20);
}, box);
await page.mouse.up();
row(
  'dragging on the margin map: frames a second',
  1000 / (frames.reduce((all, one) => all + one, 0) / frames.length),
  '/s',
  null,
);
const missed = frames.filter((gap) => gap > 25).length / frames.length;
row('the same, frames missed', 100 * missed, '%', 2);

// The worker's own sums, asked in its own way, from an empty page of the same origin.
const worker = readdirSync(join(root, 'dist', 'client', 'assets')).find((name) =>
  name.startsWith('solver.worker'),
);
const plan = {
  cloth: {
    construction: 'woven',
    weightGsm: 240,
    thicknessMm: 0.6,
    stretchPercent: 2,
    fray: 2,
    curl: 0,
    slip: 0,
  },
  edge: { lengthMm: 1400, minRadiusMm: null },
  fold: { variant: 'flat', depthMm: 40, extensionMm: 8 },
  machine: {
    kind: 'lockstitch',
    maxWidthMm: 9,
    widthStepMm: 0.1,
    maxLengthMm: 5,
    lengthStepMm: 0.1,
    needleRangeMm: [-4.5, 4.5],
    needleStepMm: 0.1,
  },
  foot: { slotMm: [-5.5, 5.5], guidance: 'blade', guide: { rangeMm: [-3, 0.75], stepMm: 0.25 } },
  stitch: { pattern: 'blind-woven', anchor: 'right', runStitches: 5 },
  needleSize: 80,
  pickMm: 1,
  faultWeights: { below: 1, above: 1 },
  skill: 1,
};
const samples = Array.from({ length: 20 }, (_, i) => ({
  settings: { widthMm: 1.8 + i / 10, lengthMm: 1.8, needlePositionMm: 0.5, guideMm: -1 },
  check: 'bite',
  n: 24,
  short: Math.max(0, 8 - i),
  over: Math.max(0, i - 14),
}));
const ask = (task, args, runs) =>
  page.evaluate(
    async ([url, path, list, times]) => {
      const thread = new Worker(url, { type: 'module' });
      let id = 0;
      const call = () =>
        new Promise((answered, failed) => {
          const mine = `bench-${id++}`;
          const onMessage = ({ data }) => {
            if (data.id !== mine) return;
            thread.removeEventListener('message', onMessage);
            if (data.type === 'RAW' && (data.value?.ok ?? true)) answered();
            else failed(new Error(JSON.stringify(data)));
          };
          thread.addEventListener('message', onMessage);
          thread.postMessage({
            id: mine,
            type: 'APPLY',
            path: [path],
            argumentList: list.map((value) => ({ type: 'RAW', value })),
          });
        });
      const took = [];
      for (let i = 0; i < times; i++) {
        const start = performance.now();
        await call();
        took.push(performance.now() - start);
      }
      thread.terminate();
      return took;
    },
    [`/assets/${worker}`, task, args, runs],
  );
const solves = await ask('solve', ['blind-hem', plan, {}], 15);
row('full solve, 9 mm in 0.1 mm steps, 16 guide places: first', solves[0], 'ms', null);
row('the same, median of the next 14', median(solves.slice(1)), 'ms', 100);
const half = { ...plan, machine: { ...plan.machine, widthStepMm: 0.2 } };
const halves = await ask('solve', ['blind-hem', half, {}], 15);
row(
  'the same with half as many settings: share of the time',
  median(halves.slice(1)) / median(solves.slice(1)),
  '×',
  null,
);
const ninety = { ...plan, machine: { ...plan.machine, maxWidthMm: 8.9 } };
const maps = await ask('map', ['blind-hem', ninety, {}, null], 15);
const cells = 90 * 91;
row('margin map of 90 × 91 cells, 16 guide places: median', median(maps.slice(1)), 'ms', 60);
row('the same for each cell', (1e6 * median(maps.slice(1))) / cells, 'ns', null);
const quarter = {
  ...ninety,
  machine: { ...ninety.machine, widthStepMm: 0.2, needleStepMm: 0.2 },
};
const quarters = await ask('map', ['blind-hem', quarter, {}, null], 15);
row(
  'a quarter of the cells: share of the time',
  median(quarters.slice(1)) / median(maps.slice(1)),
  '×',
  null,
);
const still = await ask('map', ['blind-hem', ninety, {}, -1], 15);
row(
  'one guide place instead of 16: share of the time',
  median(still.slice(1)) / median(maps.slice(1)),
  '×',
  null,
);
const { cloth, machine } = plan;
const drawer = [
  ['zigzag', 'edge', { atMm: -2 }],
  ['clear', 'mark', { atMm: -1 }],
  ['blind', 'blade', { rangeMm: [-3, 1], stepMm: 0.25 }],
  ['overcasting', 'bar', { atMm: 2.5 }],
  ['edge-guide', 'blade', { atMm: 0 }],
  ['hemmer', 'edge', { atMm: 0 }],
];
const considering = {
  cloth,
  edge: {
    lengthMm: 1400,
    shape: 'straight',
    minRadiusMm: null,
    turnDegrees: null,
    depthMm: null,
    crossings: [],
  },
  kit: {
    machines: ['lockstitch', 'lockstitch', 'overlocker', 'coverstitch'].map((kind) => ({
      ...machine,
      kind,
      patterns: undefined,
    })),
    feet: Array.from({ length: 30 }, (_, i) => {
      const [kind, guidance, guide] = drawer[i % drawer.length];
      const channelMm = kind === 'hemmer' ? 2 + (i % 3) : null;
      return { kind, channelMm, specs: { slotMm: [-4, 4], guidance, guide } };
    }),
  },
  wishes: { hidden: 1, sturdy: 0.3, light: 0.4, quick: 0.1, decorative: 0 },
};
const considered = (await ask('consider', [considering], 20)).slice(4);
row('every variant considered, 4 machines, 30 feet: median', median(considered), 'ms', null);
row('the same, 95th percentile', quantile(considered, 0.95), 'ms', 250);
const oneEach = {
  ...considering,
  kit: { machines: considering.kit.machines.slice(1), feet: considering.kit.feet.slice(0, 6) },
};
row(
  'with 3 machines and 6 feet: share of the time',
  median((await ask('consider', [oneEach], 12)).slice(4)) / median(considered),
  '×',
  null,
);
const lessons = await ask('lesson', ['blind-hem', plan, samples, {}, 0.02], 12);
row('learn over 20 different samples: first', lessons[0], 'ms', null);
row('the same, median of the next 11', median(lessons.slice(1)), 'ms', 150);
const single = await ask('lesson', ['blind-hem', plan, samples.slice(0, 1), {}, 0.02], 12);
row(
  '20 samples against one: times as long',
  median(lessons.slice(1)) / median(single.slice(1)),
  '×',
  null,
);

await benchShelf({ page, address: server.address, row });
await benchBook({ browser, row });
await benchEye({ browser, address: server.address, row });
// Last: a minute of a solver beside it would slow whatever else is measured.
await benchOrder({ address: server.address, row });

await browser.close();
await server.stop();
rmSync(dataFolder, { recursive: true, force: true });

console.log('\nWhat                                                        Measured      Promised');
for (const { what, value, unit, promise, least } of rows) {
  const number = `${value.toFixed(value < 10 ? 2 : 0)} ${unit}`.padStart(10);
  const kept = least === null ? value < promise : value >= least;
  const said = least === null ? `under ${promise} ${unit}` : `at least ${least} ${unit}`;
  const verdict = promise === null && least === null ? '' : `${said}${kept ? '' : '   MISSED'}`;
  console.log(`${what.padEnd(58)}${number}    ${verdict}`);
}
