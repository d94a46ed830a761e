import { useMutation, useQuery } from '@tanstack/react-query';
import { formatDistanceToNow, parseISO } from 'date-fns';
import type { RemovedEntry } from '../../../contract/book';
import { send } from '../../ground/api';
import { notify } from '../../ground/notices';
import { reloadAll, tellTrouble, writer } from '../../ground/records';
import { LoadState } from '../../controls/trouble';
import { Button } from '../../controls/button';
import { recordsInWords } from '../../words/records';

/** Everything that was taken out in the last thirty days, to be brought back one by one. */
export function RemovedScreen() {
  const removed = useQuery({
    queryKey: ['removed'],
    queryFn: () => send<RemovedEntry[]>('GET', 'removed'),
  });
  const restore = useMutation({
    mutationFn: (id: number) =>
      writer.during(async () => {
        const { restored } = await send<{ restored: string }>('POST', `removed/${id}/restore`);
        await reloadAll();
        return restored;
      }),
    onSuccess: (what) => notify({ kind: 'info', text: `Back again: ${what}.` }),
    onError: tellTrouble,
  });
  if (!removed.data) return <LoadState what="list of what was taken out" error={removed.error} />;
  return (
    <main className="mx-auto w-full max-w-3xl grow p-5">
      <h1 className="text-3xl">Taken out</h1>
      <p className="pb-3 text-soft">
        For thirty days each of these can be brought back, however much was changed since.
      </p>
      {removed.data.length === 0 ? (
        <p className="text-lg">Nothing was taken out.</p>
      ) : (
        <ul className="sheet divide-y divide-line">
          {removed.data.map(({ id, at, label, counts }) => (
            <li key={id} className="flex items-center gap-4 px-4 py-2">
              <span className="min-w-0 grow">
                <b className="block truncate" title={label}>
                  {label}
                </b>
                <span className="block text-sm text-soft">
                  {formatDistanceToNow(parseISO(at), { addSuffix: true })}
                  {Object.entries(counts).length > 1 &&
                    `, with ${Object.entries(counts)
                      .map(([table, n]) => recordsInWords(table, n))
                      .join(', ')}`}
                </span>
              </span>
              <Button disabled={restore.isPending} onClick={() => restore.mutate(id)}>
                Bring back<span className="sr-only"> {label}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
    </main>
  );
}
