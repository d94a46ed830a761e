import fc from 'fast-check';
import { FairQueue } from './fair-queue';

const limits = { atOnce: 2, waitingOfOne: 3, waiting: 5, full: 'No room.' };

/** Work that ends when it is told to. */
function held() {
  let end = () => undefined as void;
  const ended = new Promise<void>((done) => (end = done));
  return { work: () => ended, end: () => end() };
}
const settle = () => new Promise((done) => setImmediate(done));

test('so many run at once, and whoever asks for much waits alone', async () => {
  const queue = new FairQueue({ ...limits, atOnce: 1 });
  const order: string[] = [];
  const first = held();
  const all = [queue.run('a', first.work)];
  for (const client of ['a', 'a', 'b', 'c']) {
    all.push(queue.run(client, () => Promise.resolve(void order.push(client))));
  }
  await settle();
  expect(order).toEqual([]);
  first.end();
  await Promise.all(all);
  expect(order).toEqual(['a', 'b', 'c', 'a']);
});

test('a line that is full, and a room that is full, say so', async () => {
  const queue = new FairQueue({ ...limits, atOnce: 1 });
  const first = held();
  const all = [queue.run('a', first.work)];
  for (let i = 0; i < 3; i++) all.push(queue.run('a', () => Promise.resolve()));
  await expect(queue.run('a', () => Promise.resolve())).rejects.toMatchObject({
    status: 503,
    message: 'No room.',
  });
  for (let i = 0; i < 2; i++) all.push(queue.run('b', () => Promise.resolve()));
  await expect(queue.run('c', () => Promise.resolve())).rejects.toMatchObject({
    status: 503,
    message: 'No room.',
  });
  first.end();
  await Promise.all(all);
  await queue.run('c', () => Promise.resolve());
});

test('a place that is given up is nobody’s, and its work is not done', async () => {
  const queue = new FairQueue({ ...limits, atOnce: 1 });
  const first = held();
  const running = queue.run('a', first.work);
  const away = new AbortController();
  const done: string[] = [];
  const given = queue.run('b', () => Promise.resolve(void done.push('b')), away.signal);
  const after = queue.run('c', () => Promise.resolve(void done.push('c')));
  away.abort(new Error('gone'));
  await expect(given).rejects.toThrow('gone');
  first.end();
  await Promise.all([running, after]);
  expect(done).toEqual(['c']);
});

test('whatever comes, never more at once than may, and everything taken is done', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 0, max: 3 }))),
      async (asked) => {
        const queue = new FairQueue(limits);
        let now = 0;
        let most = 0;
        let done = 0;
        const results = await Promise.allSettled(
          asked.map(([client, turns]) =>
            queue.run(client, async () => {
              most = Math.max(most, ++now);
              for (let i = 0; i < turns; i++) await settle();
              now--;
              done++;
            }),
          ),
        );
        expect(most).toBeLessThanOrEqual(limits.atOnce);
        expect(done).toBe(results.filter(({ status }) => status === 'fulfilled').length);
        expect(done).toBeGreaterThanOrEqual(Math.min(asked.length, limits.atOnce));
      },
    ),
  );
});
