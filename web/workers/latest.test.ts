import { latestOnly } from './latest';

test('of calls that pile up only the newest is worked out', async () => {
  const started: number[] = [];
  const finish: (() => void)[] = [];
  const call = latestOnly((n: number) => {
    started.push(n);
    return new Promise<number>((done) => finish.push(() => done(n * 10)));
  });
  const results = [call(1), call(2), call(3)];
  expect(started).toEqual([1]);
  finish[0]?.();
  expect(await results[0]).toBe(10);
  expect(await results[1]).toBeNull();
  await new Promise((turn) => setTimeout(turn, 0));
  expect(started).toEqual([1, 3]);
  finish[1]?.();
  expect(await results[2]).toBe(30);
});

test('a call that fails does not stop the next', async () => {
  const call = latestOnly((n: number) =>
    n < 0 ? Promise.reject(new Error('no')) : Promise.resolve(n),
  );
  await expect(call(-1)).rejects.toThrow('no');
  await new Promise((turn) => setTimeout(turn, 0));
  expect(await call(4)).toBe(4);
});
