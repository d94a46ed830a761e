import { setUp } from './record-writer.fixture';

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

  test('does not come over what is changed since, however often a server is asked that is away', async () => {
    const { calls, writer, shown, turn, sent } = setUp();
    void writer.takeOver([{ key: 'plans/a', patch: { width: 3 }, bases: { width: [1] } }]);
    await turn();
    expect(shown()).toMatchObject({ width: 3 });
    calls[0]!.fail();
    await turn();
    writer.change('plans', 'a', { width: 4 });
    await turn();
    // Its own change is refused a server too, and both are asked again.
    calls[1]!.fail();
    await sent(3);
    expect(shown()).toMatchObject({ width: 4 });
    calls[2]!.fail();
    await turn();
    expect(shown()).toMatchObject({ width: 4 });
    // Both are asked once more, in whichever order; then there is nothing left.
    let stored = { id: 'a', version: 4, width: 1 };
    let answered = 3;
    while (writer.pending) {
      for (; answered < calls.length; answered++) {
        const { method, answer } = calls[answered]!;
        if (method === 'PATCH') stored = { ...stored, version: 5, width: 4 };
        answer(200, stored);
      }
      await turn();
    }
    expect(calls.filter(({ method }) => method === 'PATCH').at(-1)!.body).toMatchObject({
      width: 4,
    });
    expect(shown()).toMatchObject({ width: 4 });
  });

  test('is what a change is made on top of, though its record came later than the change', async () => {
    const { calls, cache, writer, turn } = setUp();
    void writer.takeOver([{ key: 'plans/b', patch: { ticks: ['one'] }, bases: { ticks: [[]] } }]);
    await turn();
    // As the view beside the machine has it kept: from before the tick.
    cache.setQueryData(['plans', 'b'], { id: 'b', version: 3, ticks: [] });
    expect(writer.latest('plans', 'b')).toMatchObject({ ticks: ['one'] });
    writer.change('plans', 'b', { ticks: ['one', 'two'] });
    expect(writer.latest('plans', 'b')).toMatchObject({ ticks: ['one', 'two'] });
    await turn();
    for (const { answer } of calls) answer(200, { id: 'b', version: 4, ticks: ['one', 'two'] });
    await writer.settled();
    expect(calls.map(({ method, body }) => [method, body['ticks']])).toEqual([
      ['GET', undefined],
      ['PATCH', ['one', 'two']],
    ]);
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
});
