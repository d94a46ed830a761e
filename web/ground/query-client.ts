import { QueryClient, notifyManager } from '@tanstack/react-query';
import { Unreachable } from './api';

// A dial that was nudged shows in the same frame: what the cache is told is passed on before the
// task ends, not in a later one.
notifyManager.setScheduler(queueMicrotask);

/** One cache for the whole app. A refusal is final; only an unreachable server is asked again. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      // The server is on this machine: asking it never waits for a network.
      networkMode: 'always',
      staleTime: 5_000,
      retry: (failures, error) => error instanceof Unreachable && failures < 3,
      retryDelay: 700,
    },
    mutations: { networkMode: 'always' },
  },
});
