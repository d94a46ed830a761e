import { refusal, setUp } from './record-writer.fixture';

test('a change shows at once and is sent with the newest version known', async () => {
  const { calls, writer, shown, sent } = setUp();
  writer.change('plans', 'a', { width: 2 });
  expect(shown()).toMatchObject({ width: 2 });
  await sent(1);
  expect(calls.map(({ body }) => body)).toEqual([{ version: 4, width: 2 }]);
});

test('changes made while one is under way gather into the next', async () => {
  const { calls, writer, shown, sent } = setUp();
  writer.change('plans', 'a', { width: 2 });
  await sent(1);
  writer.change('plans', 'a', { width: 3 });
  writer.change('plans', 'a', { width: 4, length: 1 });
  calls[0]?.answer(200, { id: 'a', version: 5, width: 2 });
  await sent(2);
  // The answer to the first must not take the later ones off the screen.
  expect(shown()).toMatchObject({ version: 5, width: 4 });
  expect(calls[1]?.body).toEqual({ version: 5, width: 4, length: 1 });
  calls[1]?.answer(200, { id: 'a', version: 6, width: 4, length: 1 });
  await writer.settled();
  expect(writer.pending).toBe(false);
});

test('a refusal is reported and not sent again', async () => {
  const { calls, writer, events, sent } = setUp();
  writer.change('plans', 'a', { width: 99 });
  await sent(1);
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
    const { calls, cache, writer, events, sent } = setUp();
    writer.change('plans', 'a', { width: 2, length: 3 });
    for (const where of [{}, { edgeId: 'e' }]) {
      cache.setQueryData(['plans', 'list', where], [{ id: 'a', version: 7, width: 9 }]);
    }
    await sent(1);
    expect(calls.map(({ body }) => body)).toEqual([{ version: 7, length: 3 }]);
    expect(events.disputed).toHaveBeenCalledWith(
      expect.objectContaining({ fields: [{ field: 'width', mine: 2, theirs: 9 }] }),
    );
  });

  test('is not written over by what an earlier page left, however much later', async () => {
    const { calls, writer, events, turn, sent } = setUp();
    const taken = writer.takeOver([{ key: 'plans/a', patch: { width: 3 }, bases: { width: [1] } }]);
    await sent(1);
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
  const { calls, writer, turn, sent } = setUp();
  let finish = () => {};
  const made = writer.during(() => new Promise<void>((done) => (finish = done)));
  await turn();
  writer.change('plans', 'a', { width: 2 });
  await turn();
  expect(calls).toHaveLength(0);
  finish();
  await made;
  await sent(1);
  expect(calls).toHaveLength(1);
});

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
