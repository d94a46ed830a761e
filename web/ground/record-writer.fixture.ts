import { QueryClient } from '@tanstack/react-query';
import { RecordWriter } from './record-writer';

/** A request that waits for its answer. */
interface Call {
  method: string;
  body: Record<string, unknown>;
  answer(status: number, body: object): void;
  fail(): void;
}

/** A writer whose requests wait until the test answers them. */
export function setUp() {
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

/** A refusal as the server writes it. */
export const refusal = (code: string) => ({ error: { code, message: 'no', issues: [] } });
