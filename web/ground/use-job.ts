import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { send } from './api';

/** How often one asks how far a work is, ms. */
const askEveryMs = 400;

/** A long work of the server's, by the first part of its address, that tells how far it is and can be given up. */
export function useJob(kind: 'import' | 'archive') {
  const away = useRef<AbortController | null>(null);
  const [job, setJob] = useState<string | null>(null);
  const progress = useQuery({
    queryKey: [`${kind}-progress`, job],
    queryFn: () =>
      send<{ done: number; total: number }>('GET', `${kind}/progress/${job ?? 'none'}`),
    enabled: job !== null,
    refetchInterval: askEveryMs,
    gcTime: 0,
  });
  return {
    /** Does it under a name of its own, which goes with the request as `?job=`. */
    async run<T>(work: (job: string, signal: AbortSignal) => Promise<T>): Promise<T> {
      away.current = new AbortController();
      const name = crypto.randomUUID();
      setJob(name);
      try {
        return await work(name, away.current.signal);
      } finally {
        setJob(null);
      }
    },
    stop: () => away.current?.abort(),
    progress: progress.data,
  };
}
