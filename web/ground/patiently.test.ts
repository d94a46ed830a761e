import { patiently } from './patiently';

const away = () => Promise.reject(new TypeError('Failed to fetch'));
const there = () => Promise.resolve(new Response('{}'));

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('a part that could not be fetched while the server was away comes when it is back', async () => {
  globalThis.fetch = away;
  const load = jest
    .fn<Promise<string>, []>()
    .mockRejectedValueOnce(new TypeError('Failed to fetch dynamically imported module'))
    .mockRejectedValueOnce(new TypeError('Failed to fetch dynamically imported module'))
    .mockRejectedValueOnce(new TypeError('Failed to fetch dynamically imported module'))
    .mockResolvedValue('the part');
  const part = patiently(load);
  await jest.advanceTimersByTimeAsync(10_000);
  await expect(part).resolves.toBe('the part');
  expect(load).toHaveBeenCalledTimes(4);
});

test('a server that is there without the part is asked once more, and believed', async () => {
  globalThis.fetch = there;
  const gone = new TypeError('Failed to fetch dynamically imported module');
  const load = jest.fn<Promise<string>, []>().mockRejectedValue(gone);
  const part = patiently(load).catch((error: unknown) => error);
  await jest.advanceTimersByTimeAsync(10_000);
  expect(await part).toBe(gone);
  expect(load).toHaveBeenCalledTimes(2);
});
