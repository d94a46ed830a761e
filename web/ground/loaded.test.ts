import { setUp } from './record-writer.fixture';

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
