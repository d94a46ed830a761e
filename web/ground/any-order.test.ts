import { QueryClient } from '@tanstack/react-query';
import fc from 'fast-check';
import { RecordWriter } from './record-writer';

type Fields = Record<string, unknown>;
type Doing =
  | { readonly do: 'change'; readonly field: 'a' | 'b'; readonly to: number }
  | { readonly do: 'tick'; readonly step: string; readonly on: boolean }
  | { readonly do: 'elsewhere' | 'load' | 'land' | 'fail' | 'wait' }
  | { readonly do: 'answer'; readonly which: number };

interface Call {
  readonly method: string;
  readonly body: Fields;
  resolve(response: Response): void;
  reject(error: Error): void;
  /** What the server said, where it has got that far and the line was slow. */
  said: { status: number; text: string } | null;
}

const doing: fc.Arbitrary<Doing> = fc.oneof(
  fc.record({
    do: fc.constant('change' as const),
    field: fc.constantFrom('a' as const, 'b' as const),
    to: fc.integer({ min: 1, max: 9 }),
  }),
  fc.record({
    do: fc.constant('tick' as const),
    step: fc.constantFrom('cut', 'fold', 'press'),
    on: fc.boolean(),
  }),
  fc.record({ do: fc.constantFrom('elsewhere' as const, 'load', 'land', 'fail', 'wait') }),
  fc.record({ do: fc.constant('answer' as const), which: fc.nat({ max: 3 }) }),
);

/** A server of one record, whose requests are handled and answered when the test says so. */
class SlowServer {
  stored: Fields & { id: string; version: number; ticks: string[] } = {
    ...{ id: 'a', version: 1, a: 0, b: 0, w: 0, ticks: ['z'] },
  };
  readonly calls: Call[] = [];

  readonly fetch = ((_url: string, init: RequestInit) =>
    new Promise((resolve, reject) => {
      const body = JSON.parse((init.body as string | undefined) ?? '{}') as Fields;
      this.calls.push({ method: init.method ?? 'GET', body, resolve, reject, said: null });
    })) as typeof fetch;

  /** What the server does with a request; the answer may still be on its way for long. */
  land(call: Call | undefined): void {
    if (!call || call.said) return;
    const { version, ...fields } = call.body;
    const isStale = call.method === 'PATCH' && version !== this.stored.version;
    if (call.method === 'PATCH' && !isStale) this.write(fields);
    const error = { error: { code: 'stale', message: 'newer', issues: [] } };
    call.said = {
      status: isStale ? 409 : 200,
      text: JSON.stringify(isStale ? error : this.stored),
    };
  }

  write(fields: Fields): void {
    this.stored = { ...this.stored, ...fields, version: this.stored.version + 1 };
  }

  answer(which: number): void {
    const [call] = this.calls.splice(which % Math.max(1, this.calls.length), 1);
    if (!call) return;
    this.land(call);
    call.resolve(new Response(call.said!.text, { status: call.said!.status }));
  }
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('whatever comes in whatever order, every change of one’s own is stored in the end', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(doing, { maxLength: 25 }), fc.boolean(), async (all, left) => {
      const server = new SlowServer();
      globalThis.fetch = server.fetch;
      const cache = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
      const events = {
        ...{ reachable: jest.fn(), refused: jest.fn(), written: jest.fn(), disputed: jest.fn() },
      };
      const writer = new RecordWriter(cache, events);
      const key = ['plans', 'list', {}];
      cache.setQueryData(key, [{ ...server.stored }]);
      const shown = () => cache.getQueryData<(typeof server.stored)[]>(key)![0]!;
      const mine: Fields = {};
      const ticks = new Map<string, boolean>();
      const loads: Promise<unknown>[] = [];
      if (left) {
        mine['w'] = 7;
        void writer.takeOver([{ key: 'plans/a', patch: { w: 7 }, bases: { w: [0] } }]);
      }
      for (const one of all) {
        if (one.do === 'change') {
          mine[one.field] = one.to;
          writer.change('plans', 'a', { [one.field]: one.to });
        } else if (one.do === 'tick') {
          ticks.set(one.step, one.on);
          const others = shown().ticks.filter((step) => step !== one.step);
          writer.change('plans', 'a', { ticks: one.on ? [...others, one.step] : others });
        } else if (one.do === 'elsewhere') {
          server.write({ note: `theirs ${server.stored.version}` });
        } else if (one.do === 'load') {
          const load = () => fetch('/api/plans', { method: 'GET' }).then((had) => had.json());
          const list = async () => [(await load()) as typeof server.stored];
          const loaded = writer.loaded('plans', list).then(
            (records) => cache.setQueryData(key, records),
            () => undefined,
          );
          loads.push(loaded);
        } else if (one.do === 'land') {
          server.land(server.calls[0]);
        } else if (one.do === 'fail') {
          server.calls.shift()?.reject(new TypeError('no route'));
        } else if (one.do === 'answer') {
          server.answer(one.which);
        }
        await jest.advanceTimersByTimeAsync(one.do === 'wait' ? 1600 : 1);
        // What one did is on the screen from then on, whatever arrives.
        expect(shown()).toMatchObject(left && shown()['w'] !== 7 ? { ...mine, w: 0 } : mine);
        for (const [step, on] of ticks) {
          expect([step, shown().ticks.includes(step)]).toEqual([step, on]);
        }
      }
      for (let i = 0; i < 200 && (writer.pending || server.calls.length > 0); i++) {
        server.answer(0);
        await jest.advanceTimersByTimeAsync(1600);
      }
      await Promise.all(loads);
      expect(writer.pending).toBe(false);
      expect(events.disputed).not.toHaveBeenCalled();
      expect(events.refused).not.toHaveBeenCalled();
      for (const state of [server.stored, shown()]) {
        expect(state).toMatchObject(mine);
        for (const [step, on] of ticks)
          expect([step, state.ticks.includes(step)]).toEqual([step, on]);
        expect(state.ticks).toContain('z');
      }
    }),
    { numRuns: 400 },
  );
});
