import { useMutation } from '@tanstack/react-query';
import { mostImportBytes, type ImportPreview } from '../../../contract/exchange';
import { sendFile } from '../../ground/api';
import { reloadAll, writer } from '../../ground/records';
import { useJob } from '../../ground/use-job';

interface Asked {
  readonly file: File;
  /** What was looked at, to take it in; without it the file is only looked at. */
  readonly digest?: string;
}

/** Looks at a file or takes it in; tells how far it is, and can be stopped. */
export function useImport(onTaken: (done: ImportPreview) => void) {
  const { run, stop, progress } = useJob('import');
  const preview = useMutation({
    mutationFn: async ({ file }: Asked) => {
      await writer.settled();
      if (file.size > mostImportBytes) {
        throw new Error(
          `This file is ${Math.round(file.size / 1024 / 1024)} MB; at most ${mostImportBytes / 1024 / 1024} MB are read.`,
        );
      }
      return run((job, signal) =>
        sendFile<ImportPreview>(`import/preview?job=${job}`, file, signal),
      );
    },
  });
  const take = useMutation({
    mutationFn: ({ file, digest = '' }: Asked) =>
      writer.during(async () => {
        const done = await run((job, signal) =>
          sendFile<ImportPreview>(`import?digest=${digest}&job=${job}`, file, signal),
        );
        await reloadAll();
        return done;
      }),
    onSuccess: (done) => {
      preview.reset();
      onTaken(done);
    },
  });
  const pending = preview.isPending || take.isPending;
  const stopped = [preview.error, take.error].some((error) => error?.name === 'AbortError');
  return { preview, take, pending, stopped, progress, stop };
}
