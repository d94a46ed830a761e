import { FileUp } from 'lucide-react';
import { useMutation } from '@tanstack/react-query';
import { AlertDialog } from 'radix-ui';
import { useRef, useState } from 'react';
import type { ArchiveTaken } from '../../../contract/archive';
import { sendFile } from '../../ground/api';
import { notify } from '../../ground/notices';
import { reloadAll, writer } from '../../ground/records';
import { useJob } from '../../ground/use-job';
import { Button } from '../../controls/button';
import { FileInput } from '../../controls/file-input';
import { countsInWords } from '../../words/records';

const megabytes = (bytes = 0) => (bytes / 1e6).toFixed(1);

/** Takes an archive in: asks once, can be given up, and says what became of it. */
export function ArchiveIn() {
  const [file, setFile] = useState<File | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const { run, stop, progress } = useJob('archive');
  const take = useMutation({
    mutationFn: (chosen: File) =>
      writer.during(async () => {
        const taken = await run((job, signal) =>
          sendFile<ArchiveTaken>(`archive?job=${job}`, chosen, signal),
        );
        await reloadAll();
        return taken;
      }),
    onSuccess: ({ counts, before }) =>
      notify({
        kind: 'info',
        text: before
          ? `Taken in: ${countsInWords(counts)}. What was here before is the newest snapshot.`
          : `Added: ${countsInWords(counts) || 'nothing; all of it was here'}.`,
      }),
  });
  const given = take.error?.name === 'AbortError';
  return (
    <div className="border-t border-line pt-3">
      <h3 className="text-lg">Take an archive in</h3>
      <p className="pb-2 text-sm text-soft">
        Of everything: it takes the place of all that is here, which stays as a snapshot. Of one
        project: what is missing here is added.
      </p>
      {take.isPending ? (
        <div role="status" className="flex items-center gap-3">
          <progress
            aria-label="Reading the archive"
            className="min-w-0 grow"
            {...(progress?.total ? { value: progress.done, max: progress.total } : {})}
          />
          {Boolean(progress?.total) && (
            <span className="text-sm text-soft">
              {megabytes(progress?.done)} of {megabytes(progress?.total)} MB
            </span>
          )}
          <Button onClick={stop}>Stop</Button>
        </div>
      ) : (
        <Button onClick={() => input.current?.click()}>
          <FileUp size={18} aria-hidden /> Choose an archive
        </Button>
      )}
      <FileInput
        ref={input}
        accept=".tar,application/x-tar"
        label="Archive to take in"
        onFile={setFile}
      />
      {take.error && (
        <p role="alert" className="mt-3 border-l-4 border-madder bg-madder-wash px-3 py-2">
          <b className="text-madder">Nothing was taken in.</b>{' '}
          {given ? 'You stopped it.' : take.error.message}
        </p>
      )}
      <AlertDialog.Root open={file !== null} onOpenChange={(open) => !open && setFile(null)}>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="veil" />
          <AlertDialog.Content className="slip fixed top-1/2 left-1/2 z-40 w-[28rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 p-6">
            <AlertDialog.Title className="mb-2 text-xl break-words">
              Take in {file?.name}?
            </AlertDialog.Title>
            <AlertDialog.Description className="mb-4 text-soft">
              An archive of everything takes the place of all that is here; one of a project adds
              what is missing. A snapshot is taken first, so that you can go back.
            </AlertDialog.Description>
            <div className="flex gap-3">
              <AlertDialog.Action asChild>
                <Button look="solid" onClick={() => file && take.mutate(file)}>
                  Take it in
                </Button>
              </AlertDialog.Action>
              <AlertDialog.Cancel asChild>
                <Button>Leave it</Button>
              </AlertDialog.Cancel>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </div>
  );
}
