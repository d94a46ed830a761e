import { useMutation, useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { mostImportBytes, type ImportPreview } from '../../../contract/exchange';
import { send, sendFile } from '../../app/api';
import { reloadAll, writer } from '../../app/records';

/** How often one asks how far the reading is, ms. */
const askEveryMs = 400;

interface Asked {
  readonly file: File;
  /** What was looked at, to take it in; without it the file is only looked at. */
  readonly digest?: string;
}

/** Looks at a file or takes it in; tells how far it is, and can be stopped. */
export function useImport(onTaken: (done: ImportPreview) => void) {
  const away = useRef<AbortController | null>(null);
  const job = useRef('');
  const begin = () => {
    away.current = new AbortController();
    job.current = crypto.randomUUID();
    return away.current.signal;
  };
  const preview = useMutation({
    mutationFn: async ({ file }: Asked) => {
      await writer.settled();
      if (file.size > mostImportBytes) {
        throw new Error(
          `This file is ${Math.round(file.size / 1024 / 1024)} MB; at most ${mostImportBytes / 1024 / 1024} MB are read.`,
        );
      }
      const signal = begin();
      return sendFile<ImportPreview>(`import/preview?job=${job.current}`, file, signal);
    },
  });
  const take = useMutation({
    mutationFn: ({ file, digest = '' }: Asked) =>
      writer.during(async () => {
        const signal = begin();
        const path = `import?digest=${digest}&job=${job.current}`;
        const done = await sendFile<ImportPreview>(path, file, signal);
        await reloadAll();
        return done;
      }),
    onSuccess: (done) => {
      preview.reset();
      onTaken(done);
    },
  });
  const pending = preview.isPending || take.isPending;
  const progress = useQuery({
    queryKey: ['import-progress'],
    queryFn: () =>
      send<{ done: number; total: number }>('GET', `import/progress/${job.current || 'none'}`),
    enabled: pending,
    refetchInterval: askEveryMs,
    gcTime: 0,
  });
  const stopped = [preview.error, take.error].some((error) => error?.name === 'AbortError');
  return {
    ...{ preview, take, pending, stopped },
    progress: progress.data,
    stop: () => away.current?.abort(),
  };
}
