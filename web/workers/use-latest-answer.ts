import { keepPreviousData, useQuery } from '@tanstack/react-query';

/**
 * What a thread answers to the latest question; what was answered before stands until then.
 *
 * @param key of the question, whatever tells it from another
 * @param ask asks it; null where a newer question overtook it
 */
export function useLatestAnswer<T>(
  key: readonly unknown[],
  ask: () => Promise<T | null>,
  enabled: boolean,
) {
  return useQuery({
    queryKey: key,
    // Asking for the signal ends a question nobody waits for any more, so that it is not asked again.
    queryFn: async ({ signal }): Promise<T> => {
      const answer = await ask();
      signal.throwIfAborted();
      // Overtaken by a newer one, which is what will be shown.
      if (!answer) throw new Error('overtaken');
      return answer;
    },
    enabled,
    retry: 2,
    staleTime: Infinity,
    networkMode: 'always',
    placeholderData: keepPreviousData,
  });
}
