import { QueryClient } from '@tanstack/react-query';
import { RecordWriter } from './record-writer';

interface Call {
  method: string;
  body: Record<string, unknown>;
  answer(status: number, body: object): void;
  fail(): void;
}

/** A writer whose requests wait until the test answers them. */
function setUp() {
  const calls: Call[] = [];
  globalThis.fetch = ((_url: string, init: RequestInit) =>
    new Promise((resolve, reject) => {
      calls.push({
        method: init.method ?? 'GET',
        body: JSON.parse((init.body as string | undefined) ?? '{}') as Record<string, unknown>,
        answer: (status, body) => resolve(new Response(JSON.stringify(body), { status })),
        fail: () => reject(new TypeError('no route')),
      });
    })) as typeof fetch;
  const cache = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  const events = {
    reachable: jest.fn(),
    refused: jest.fn(),
    written: jest.fn(),
    disputed: jest.fn(),
  };
  const writer = new RecordWriter(cache, events);
  cache.setQueryData(['plans', 'list', {}], [{ id: 'a', version: 3, width: 1 }]);
  cache.setQueryData(['plans', 'list', { edgeId: 'e' }], [{ id: 'a', version: 4, width: 1 }]);
  const shown = () =>
    cache.getQueryData<{ width: number; version: number }[]>([
      'plans',
      'list',
      { edgeId: 'e' },
    ])?.[0];
  const turn = () => new Promise((next) => setTimeout(next, 20));
  const sent = async (many: number) => {
    while (calls.length < many) await turn();
  };
  return { calls, cache, events, writer, shown, turn, sent };
}

test('a change shows at once and is sent with the newest version known', async () => {
  const { calls, writer, shown, turn } = setUp();
  writer.change('plans', 'a', { width: 2 });
  expect(shown()).toMatchObject({ width: 2 });
  await turn();
  expect(calls.map(({ body }) => body)).toEqual([{ version: 4, width: 2 }]);
});

test('changes made while one is under way gather into the next', async () => {
  const { calls, writer, shown, turn } = setUp();
  writer.change('plans', 'a', { width: 2 });
  await turn();
  writer.change('plans', 'a', { width: 3 });
  writer.change('plans', 'a', { width: 4, length: 1 });
  calls[0]?.answer(200, { id: 'a', version: 5, width: 2 });
  await turn();
  // The answer to the first must not take the later ones off the screen.
  expect(shown()).toMatchObject({ version: 5, width: 4 });
  expect(calls[1]?.body).toEqual({ version: 5, width: 4, length: 1 });
  calls[1]?.answer(200, { id: 'a', version: 6, width: 4, length: 1 });
  await writer.settled();
  expect(writer.pending).toBe(false);
});

const refusal = (code: string) => ({ error: { code, message: 'no', issues: [] } });

test('a refusal is reported and not sent again', async () => {
  const { calls, writer, events, turn } = setUp();
  writer.change('plans', 'a', { width: 99 });
  await turn();
  calls[0]?.answer(400, refusal('impossible'));
  await writer.settled();
  expect(events.refused).toHaveBeenCalledWith(expect.objectContaining({ code: 'impossible' }));
  expect(calls).toHaveLength(1);
});

describe('a record that was changed elsewhere', () => {
  test('takes what nobody else touched on top, without a word', async () => {
    const { calls, writer, events, sent } = setUp();
    writer.change('plans', 'a', { width: 2 });
    await sent(1);
    calls[0]?.answer(409, refusal('stale'));
    await sent(2);
    expect(calls[1]?.method).toBe('GET');
    calls[1]?.answer(200, { id: 'a', version: 7, width: 1, length: 5 });
    await sent(3);
    expect(calls[2]?.body).toEqual({ version: 7, width: 2 });
    calls[2]?.answer(200, { id: 'a', version: 8, width: 2, length: 5 });
    await writer.settled();
    expect(events.disputed).not.toHaveBeenCalled();
  });

  test('is not written over where the same field changed: both are shown', async () => {
    const { calls, writer, events, shown, sent } = setUp();
    writer.change('plans', 'a', { width: 2, length: 3 });
    await sent(1);
    calls[0]?.answer(409, refusal('stale'));
    await sent(2);
    calls[1]?.answer(200, { id: 'a', version: 7, width: 9 });
    await sent(3);
    expect(calls[2]?.body).toEqual({ version: 7, length: 3 });
    expect(events.disputed).toHaveBeenCalledWith(
      expect.objectContaining({ fields: [{ field: 'width', mine: 2, theirs: 9 }] }),
    );
    expect(shown()).toMatchObject({ width: 9, length: 3 });
    calls[2]?.answer(200, { id: 'a', version: 8, width: 9, length: 3 });
    await writer.settled();
  });

  test('and loaded anew before a change went out is not written over either', async () => {
    const { calls, cache, writer, events, turn } = setUp();
    writer.change('plans', 'a', { width: 2, length: 3 });
    for (const where of [{}, { edgeId: 'e' }]) {
      cache.setQueryData(['plans', 'list', where], [{ id: 'a', version: 7, width: 9 }]);
    }
    await turn();
    expect(calls.map(({ body }) => body)).toEqual([{ version: 7, length: 3 }]);
    expect(events.disputed).toHaveBeenCalledWith(
      expect.objectContaining({ fields: [{ field: 'width', mine: 2, theirs: 9 }] }),
    );
  });

  test('is not written over by what an earlier page left, however much later', async () => {
    const { calls, writer, events, turn } = setUp();
    const taken = writer.takeOver([{ key: 'plans/a', patch: { width: 3 }, bases: { width: [1] } }]);
    await turn();
    calls[0]?.answer(200, { id: 'a', version: 9, width: 8 });
    await taken;
    await turn();
    expect(calls).toHaveLength(1);
    expect(events.disputed).toHaveBeenCalledTimes(1);
  });
});

test('a server that is there and can’t is asked again, and its reason is told', async () => {
  jest.useFakeTimers();
  const { calls, writer, events } = setUp();
  writer.change('plans', 'a', { width: 2 });
  await jest.advanceTimersByTimeAsync(1);
  const full = { error: { code: 'disk-full', message: 'The disk is full.', issues: [] } };
  calls[0]?.answer(503, full);
  await jest.advanceTimersByTimeAsync(1);
  expect(events.reachable).toHaveBeenCalledWith(false, 'The disk is full.');
  await jest.advanceTimersByTimeAsync(2000);
  expect(calls[1]?.body).toEqual({ version: 4, width: 2 });
  jest.useRealTimers();
});

test('an unreachable server is asked again, and nothing is lost', async () => {
  jest.useFakeTimers();
  const { calls, writer, events } = setUp();
  writer.change('plans', 'a', { width: 2 });
  await jest.advanceTimersByTimeAsync(1);
  calls[0]?.fail();
  await jest.advanceTimersByTimeAsync(1);
  expect(events.reachable).toHaveBeenCalledWith(false, null);
  writer.change('plans', 'a', { length: 7 });
  await jest.advanceTimersByTimeAsync(2000);
  expect(calls[1]?.body).toEqual({ version: 4, width: 2, length: 7 });
  calls[1]?.answer(200, { id: 'a', version: 5, width: 2, length: 7 });
  await jest.advanceTimersByTimeAsync(1);
  expect(writer.pending).toBe(false);
  jest.useRealTimers();
});

test('what is changed while records are being made waits for the versions that leaves', async () => {
  const { calls, writer, turn } = setUp();
  let finish = () => {};
  const made = writer.during(() => new Promise<void>((done) => (finish = done)));
  await turn();
  writer.change('plans', 'a', { width: 2 });
  await turn();
  expect(calls).toHaveLength(0);
  finish();
  await made;
  await turn();
  expect(calls).toHaveLength(1);
});

test('what a page could not send is taken over by the next, on top of what is stored by then', async () => {
  const before = setUp();
  before.writer.change('plans', 'a', { width: 2 });
  await before.turn();
  before.writer.change('plans', 'a', { width: 3 });
  const unsent = before.writer.unsent();
  expect(unsent).toEqual([{ key: 'plans/a', patch: { width: 3 }, bases: { width: [1, 2] } }]);

  const { calls, writer, turn } = setUp();
  const taken = writer.takeOver(unsent);
  await turn();
  expect(calls[0]?.method).toBe('GET');
  calls[0]?.answer(200, { id: 'a', version: 9, width: 2 });
  await taken;
  await turn();
  expect(calls[1]?.body).toEqual({ version: 9, width: 3 });
});

test('what landed after all is not written a second time', async () => {
  const { calls, writer, turn } = setUp();
  const taken = writer.takeOver([{ key: 'plans/a', patch: { width: 3, fold: { depthMm: 4 } } }]);
  await turn();
  calls[0]?.answer(200, { id: 'a', version: 9, width: 3, fold: { depthMm: 4 } });
  await taken;
  await turn();
  expect(calls).toHaveLength(1);
  expect(writer.pending).toBe(false);
});

test('what an earlier page sent may land after it was looked for, and is nobody else’s', async () => {
  const { calls, writer, events, turn } = setUp();
  // 2 was under way when the page went, 3 waited; 1 is what was stored before.
  void writer.takeOver([{ key: 'plans/a', patch: { width: 3 }, bases: { width: [1, 2] } }]);
  await turn();
  calls[0]?.answer(200, { id: 'a', version: 9, width: 1 });
  await turn();
  expect(calls[1]?.body).toEqual({ version: 9, width: 3 });
  calls[1]?.answer(409, { error: { code: 'stale', message: 'stale', issues: [] } });
  await turn();
  calls[2]?.answer(200, { id: 'a', version: 10, width: 2 });
  await turn();
  expect(events.disputed).not.toHaveBeenCalled();
  expect(calls[3]?.body).toEqual({ version: 10, width: 3 });
});

test('what is under way is left to the next page too, under what waits', async () => {
  const { calls, writer, turn } = setUp();
  writer.change('plans', 'a', { width: 2, length: 5 });
  await turn();
  writer.change('plans', 'a', { width: 3 });
  expect(writer.unsent()).toEqual([
    // The 2 is on its way and may be what is stored by then; it is nobody else's.
    {
      ...{ key: 'plans/a', patch: { width: 3, length: 5 } },
      bases: { width: [1, 2], length: [undefined] },
    },
  ]);
  calls[0]?.answer(200, { id: 'a', version: 5, width: 2, length: 5 });
  await turn();
  calls[1]?.answer(200, { id: 'a', version: 6, width: 3, length: 5 });
  await turn();
  expect(writer.unsent()).toEqual([]);
});

describe('what an earlier page left', () => {
  const left = [
    { key: 'plans/gone', patch: { width: 1 } },
    { key: 'plans/a', patch: { width: 3 } },
    { key: 'edges/e', patch: { name: 'Hem' } },
  ];

  test('an undo waits until it is taken over', async () => {
    const { calls, writer, turn } = setUp();
    void writer.takeOver(left.slice(1, 2));
    const undo = jest.fn(() => Promise.resolve());
    const undone = writer.during(undo);
    await turn();
    calls[0]?.answer(200, { id: 'a', version: 9, width: 1 });
    await turn();
    expect(undo).not.toHaveBeenCalled();
    calls[1]?.answer(200, { id: 'a', version: 10, width: 3 });
    await undone;
    expect(undo).toHaveBeenCalledTimes(1);
  });

  test('an answer older than what is shown by now is asked for again', async () => {
    const { calls, cache, writer, turn } = setUp();
    void writer.takeOver(left.slice(1, 2));
    await turn();
    cache.setQueryData(['plans', 'a'], { id: 'a', version: 12, width: 3 });
    calls[0]?.answer(200, { id: 'a', version: 9, width: 1 });
    await turn();
    expect(cache.getQueryData(['plans', 'a'])).toMatchObject({ version: 12, width: 3 });
    calls[1]?.answer(200, { id: 'a', version: 12, width: 3 });
    await turn();
    expect(writer.pending).toBe(false);
    expect(calls).toHaveLength(2);
  });

  test('the first refused does not take the others with it', async () => {
    const { calls, writer, events, turn } = setUp();
    const rest: number[] = [];
    void writer.takeOver(left, (still) => rest.push(still.length));
    await turn();
    calls[0]?.answer(404, { error: { code: 'not-found', message: 'gone', issues: [] } });
    await turn();
    calls[1]?.answer(200, { id: 'a', version: 9, width: 2 });
    await turn();
    expect(events.refused).toHaveBeenCalledTimes(1);
    expect(calls.filter(({ method }) => method === 'PATCH').map(({ body }) => body)).toEqual([
      { version: 9, width: 3 },
    ]);
    // The third is still being read: whoever leaves now leaves it to the next page.
    expect(rest).toEqual([2, 1]);
    expect(writer.unsent()).toContainEqual(left[2]);
  });

  test('a server that is away is asked until it answers, and nothing is dropped meanwhile', async () => {
    jest.useFakeTimers();
    const { calls, writer, events } = setUp();
    void writer.takeOver(left.slice(1));
    await jest.advanceTimersByTimeAsync(1);
    calls[0]?.fail();
    await jest.advanceTimersByTimeAsync(1);
    expect(events.reachable).toHaveBeenLastCalledWith(false, null);
    expect(writer.unsent()).toEqual(left.slice(1));
    await jest.advanceTimersByTimeAsync(2000);
    calls[1]?.answer(200, { id: 'a', version: 9, width: 2 });
    await jest.advanceTimersByTimeAsync(20);
    expect(calls.some(({ method, body }) => method === 'PATCH' && body['width'] === 3)).toBe(true);
    jest.useRealTimers();
  });
});

test('what an earlier page left stays under what this page made of it, and none of it is lost', async () => {
  const { calls, cache, events, writer, turn, sent } = setUp();
  const shown = () =>
    cache.getQueryData<{ ticks: string[] }[]>(['plans', 'list', { edgeId: 'e' }])?.[0]?.ticks;
  cache.setQueryData(['plans', 'list', { edgeId: 'e' }], [{ id: 'a', version: 4, ticks: [] }]);
  const left = [{ key: 'plans/a', patch: { ticks: ['cut'] }, bases: { ticks: [[]] } }];
  const taken = writer.takeOver(left);
  await sent(1);
  calls[0]!.fail();
  await turn();
  // Nobody answers: what was ticked is shown all the same, and goes on.
  expect(shown()).toEqual(['cut']);
  writer.change('plans', 'a', { ticks: ['cut', 'fold'] });
  await sent(2);
  calls[1]!.fail();
  // Then the server is back, where somebody ticked another step meanwhile.
  const stored = { id: 'a', version: 5, ticks: ['press'] };
  await sent(3);
  for (let i = 2; i < 8 && writer.pending; i++) {
    await sent(i + 1);
    const { method, body, answer } = calls[i]!;
    if (method === 'GET') answer(200, stored);
    else if (body['version'] === stored.version) {
      Object.assign(stored, body, { version: stored.version + 1 });
      answer(200, stored);
    } else answer(409, { error: { code: 'stale', message: 'newer', issues: [] } });
    await turn();
  }
  await taken;
  await writer.settled();
  expect([...stored.ticks].sort()).toEqual(['cut', 'fold', 'press']);
  expect(events.disputed).not.toHaveBeenCalled();
}, 15_000);

test('a set that was loaded anew before it was sent goes out with what others put into it', async () => {
  const { calls, cache, writer, sent } = setUp();
  cache.removeQueries({ queryKey: ['plans', 'list', {}], exact: true });
  const key = ['plans', 'list', { edgeId: 'e' }];
  cache.setQueryData(key, [{ id: 'a', version: 4, ticks: ['cut'] }]);
  writer.change('plans', 'a', { ticks: ['cut', 'fold'] });
  cache.setQueryData(key, [{ id: 'a', version: 5, ticks: ['cut', 'press'] }]);
  await sent(1);
  expect(calls[0]!.body).toEqual({ version: 5, ticks: ['cut', 'press', 'fold'] });
});

test('a set that stands there with more is not sent without it', async () => {
  const { calls, cache, writer, sent } = setUp();
  cache.removeQueries({ queryKey: ['plans', 'list', {}], exact: true });
  const key = ['plans', 'list', { edgeId: 'e' }];
  cache.setQueryData(key, [{ id: 'a', version: 4, ticks: [] }]);
  writer.change('plans', 'a', { ticks: ['cut'] });
  cache.setQueryData(key, [{ id: 'a', version: 5, ticks: ['cut', 'press'] }]);
  await sent(1);
  expect(calls[0]!.body).toEqual({ version: 5, ticks: ['cut', 'press'] });
});

test('what is loaded while a change is under way shows that change, and what others set', async () => {
  const { calls, events, writer, turn, sent } = setUp();
  writer.change('plans', 'a', { width: 2, ticks: ['cut'] });
  const loaded = async (fields: object) => {
    const [record] = await writer.loaded('plans', () =>
      Promise.resolve([{ id: 'a', version: 5, ...fields }]),
    );
    return record;
  };
  // Asked for before the change was stored: nothing of it may jump back on the screen.
  expect(await loaded({ width: 1, note: 'theirs' })).toMatchObject({ width: 2, note: 'theirs' });
  // Set to something else by somebody else: that is what one is asked about.
  expect(await loaded({ width: 7 })).toMatchObject({ width: 7 });
  await sent(1);
  expect(await loaded({ width: 1 })).toMatchObject({ width: 2 });
  const refusal = { error: { code: 'invalid-request', message: 'Too wide.', issues: [] } };
  calls[0]!.answer(400, refusal);
  while (writer.pending) await turn();
  expect(events.refused).toHaveBeenCalledTimes(1);
  expect(await loaded({ width: 1 })).toMatchObject({ width: 1 });
});

test('a load that began before a change was stored, and comes after it, takes nothing back', async () => {
  const { calls, writer, sent } = setUp();
  const old = { id: 'a', version: 4, ticks: [] as string[] };
  let arrive: (records: (typeof old)[]) => void = () => undefined;
  const late = writer.loaded('plans', () => new Promise<(typeof old)[]>((come) => (arrive = come)));
  writer.change('plans', 'a', { ticks: ['cut'] });
  await sent(1);
  calls[0]!.answer(200, { ...old, version: 5, ticks: ['cut'] });
  await writer.settled();
  arrive([old]);
  expect(await late).toEqual([{ id: 'a', version: 5, ticks: ['cut'] }]);
  // What is loaded later stands as it is: an older state may have been gone back to.
  expect(await writer.loaded('plans', () => Promise.resolve([old]))).toEqual([old]);
});

test('a change is made on the newest copy of a record, not on one that nobody looks at', async () => {
  const { calls, cache, writer, sent } = setUp();
  cache.setQueryData(['plans', 'a'], { id: 'a', version: 4, ticks: ['cut'] });
  cache.setQueryData(['plans', 'list', {}], [{ id: 'a', version: 6, ticks: ['cut', 'press'] }]);
  expect(writer.latest('plans', 'a')).toMatchObject({ ticks: ['cut', 'press'] });
  writer.change('plans', 'a', { ticks: ['cut', 'press', 'fold'] });
  await sent(1);
  expect(calls[0]!.body).toEqual({ version: 6, ticks: ['cut', 'press', 'fold'] });
});
