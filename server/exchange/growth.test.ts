import { Session } from 'node:inspector/promises';
import { startServer, type RunningServer } from '../testing.fixture';

let server: RunningServer;
const session = new Session();
beforeAll(async () => {
  server = await startServer();
  session.connect();
  await session.post('Profiler.enable');
  await session.post('Profiler.startPreciseCoverage', { callCount: true, detailed: true });
});
afterAll(async () => {
  await session.post('Profiler.stopPreciseCoverage');
  session.disconnect();
  await server.stop();
});

/** Whose steps are counted: the reader of files, what judges their rows, and the reader of CSV. */
const counted = /\/(server\/(exchange|http)|contract|core)\/|\/papaparse\//;

/**
 * How many steps some work takes: every time a block of the code counted is entered. A counter, and
 * no clock: the same for the same work, however busy the machine is.
 */
async function stepsOf(code: RegExp, work: () => unknown): Promise<number> {
  await session.post('Profiler.takePreciseCoverage');
  await work();
  const { result } = await session.post('Profiler.takePreciseCoverage');
  return result
    .filter(({ url }) => code.test(url))
    .flatMap(({ functions }) => functions.flatMap(({ ranges }) => ranges))
    .reduce((sum, { count }) => sum + count, 0);
}

/**
 * How many times the steps of one work another takes. A function that the engine compiles anew in
 * between is counted by its blocks from then on and no longer as a whole, so the first is counted
 * before and after the second, and all is done again unless that comes to the same.
 */
async function timesTheSteps(once: () => Promise<number>, twice: () => Promise<number>) {
  for (let tries = 0; tries < 10; tries++) {
    const [before, more, after] = [await once(), await twice(), await once()];
    expect(before).toBeGreaterThan(0);
    if (Math.abs(after / before - 1) < 0.01) return more / before;
  }
  throw new Error('The count is never the same twice.');
}

/** The steps of looking at a file. */
const stepsFor = (file: string) =>
  stepsOf(counted, () =>
    server.http
      .post('/api/import/preview')
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from(file)),
  );

const many = (times: number, text: string) => text.repeat(times);
const lines = (times: number, line: (i: number) => string) =>
  Array.from({ length: times }, (_, i) => line(i)).join('\n');
const shelf = (record: object) =>
  JSON.stringify({ format: 'pin-margin-shelf-and-drawer', version: 1, ...record });

/** Files by their size; each was once, or could be, more work than it is long. */
const files: Readonly<Record<string, (size: number) => string>> = {
  'a number with very many digits': (size) => `name,size\nx,${many(size * 40, '1')}x`,
  'counts that are mostly space': (size) => `id,setUp,counts\na,{},bite${many(size * 40, ' ')}x`,
  'very many columns of one name': (size) => `${many(size, 'name,')}note\n${many(size, 'x,')}y`,
  'very many columns of their own': (size) =>
    `${Array.from({ length: size }, (_, i) => `c${i}`).join(',')}\n${many(size, 'x,')}`,
  'very many rows with one id': (size) => `id,name,size\n${lines(size, () => 'same,Needle,80')}`,
  'very many rows with one name': (size) =>
    `id,name,size\n${lines(size, (i) => `n${i},Needle,80`)}`,
  'very many quotes': (size) => `name,size\n"${many(size * 20, '""')}",80`,
  'very many empty rows': (size) => `name,size\n${many(size * 10, '\n')}x,80`,
  'a photo with very much space in it': (size) =>
    shelf({ photos: [{ id: 'x', base64: `${many(size * 40, 'A ')}!` }], cloths: [] }),
  'very many photos of one id': (size) =>
    shelf({
      photos: Array.from({ length: size }, () => ({ id: 'x', base64: 'AAAA' })),
      cloths: [],
    }),
  'very many rows with everything wrong': (size) =>
    shelf({ cloths: Array.from({ length: size }, (_, i) => ({ id: { i }, name: 7, tests: [] })) }),
  'very many rows that are as they should be': (size) =>
    shelf({
      needles: Array.from({ length: size }, (_, i) => ({
        ...{ id: `needle-${i}`, name: `Needle ${i}`, size: 80 },
        ...{ point: 'universal', left: 1, note: '' },
      })),
    }),
};

test.each(Object.entries(files))(
  '%s: twice the file, at most 2.2 times the work',
  async (_, make) => {
    const size = 400;
    const times = await timesTheSteps(
      () => stepsFor(make(size)),
      () => stepsFor(make(2 * size)),
    );
    expect(times).toBeLessThanOrEqual(2.2);
  },
);

test('the counter sees what grows with the square', async () => {
  // Each row is held against every row before it, by the same means as above.
  const square = (size: number) => {
    let steps = 0;
    for (let i = 0; i < size; i++) for (let j = 0; j < i; j++) steps++;
    return steps;
  };
  const countedHere = (size: number) => stepsOf(/growth\.test\.ts$/, () => square(size));
  const times = await timesTheSteps(
    () => countedHere(200),
    () => countedHere(400),
  );
  expect(times).toBeGreaterThan(3.5);
});
