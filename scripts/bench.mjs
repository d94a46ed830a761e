// `npm run bench`: measures what is promised about speed, on this machine, in one run.
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { build, installPackages, root } from './prepare.mjs';
import { spawnServer } from './spawn-server.mjs';

installPackages();
build();

const rows = [];
const row = (what, value, unit, promise) => rows.push({ what, value, unit, promise });
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

/** Compressed script that a first visit loads, in kB as sent. */
async function scriptLoaded(path) {
  const context = await browser.newContext();
  const visit = await context.newPage();
  const protocol = await context.newCDPSession(visit);
  await protocol.send('Network.enable');
  const scripts = new Set();
  let bytes = 0;
  protocol.on('Network.responseReceived', ({ requestId, response }) => {
    if (/javascript/.test(response.mimeType)) scripts.add(requestId);
  });
  protocol.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await visit.goto(server.address + path);
  await visit.waitForLoadState('networkidle');
  await context.close();
  return bytes / 1000;
}
row('script of the first load, projects', await scriptLoaded('/'), 'kB', 200);
row(
  'script of the first load, straight to a setting',
  await scriptLoaded('/edges/edge-shirt/setting'),
  'kB',
  200,
);

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
      await Promise.resolve();
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
row(`nudge of a dial to the new picture, median of ${wall.length}`, median(wall), 'ms', null);
row('nudge of a dial to the new picture, 95th percentile', quantile(wall, 0.95), 'ms', 16);
row('CPU of the page for a nudge and for storing it, median', median(cpu), 'ms', null);

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
            if (data.type === 'RAW' && data.value?.ok) answered();
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
const solves = await ask('solve', ['blind-hem', plan, null], 15);
row('full solve, 9 mm in 0.1 mm steps, 16 guide places: first', solves[0], 'ms', null);
row('the same, median of the next 14', median(solves.slice(1)), 'ms', 100);
const half = { ...plan, machine: { ...plan.machine, widthStepMm: 0.2 } };
const halves = await ask('solve', ['blind-hem', half, null], 15);
row(
  'the same with half as many settings: share of the time',
  median(halves.slice(1)) / median(solves.slice(1)),
  '×',
  null,
);
const lessons = await ask('lesson', ['blind-hem', plan, samples], 12);
row('learn over 20 different samples: first', lessons[0], 'ms', null);
row('the same, median of the next 11', median(lessons.slice(1)), 'ms', 150);
const single = await ask('lesson', ['blind-hem', plan, samples.slice(0, 1)], 12);
row(
  '20 samples against one: times as long',
  median(lessons.slice(1)) / median(single.slice(1)),
  '×',
  null,
);

await browser.close();
await server.stop();
rmSync(dataFolder, { recursive: true, force: true });

console.log('\nWhat                                                        Measured      Promised');
for (const { what, value, unit, promise } of rows) {
  const number = `${value.toFixed(value < 10 ? 2 : 0)} ${unit}`.padStart(10);
  const verdict =
    promise === null ? '' : `under ${promise} ${unit}${value < promise ? '' : '   MISSED'}`;
  console.log(`${what.padEnd(58)}${number}    ${verdict}`);
}
