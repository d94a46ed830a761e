import { useMutation } from '@tanstack/react-query';
import { format, formatDistanceToNow, parseISO } from 'date-fns';
import type { SnapshotEntry } from '../../../contract/archive';
import { send } from '../../ground/api';
import { notify } from '../../ground/notices';
import { reloadAll, tellTrouble, writer } from '../../ground/records';
import { Button } from '../../controls/button';
import { countsInWords } from '../../words/records';

const reasons: Readonly<Record<string, string>> = {
  daily: 'of the day',
  'by-hand': 'taken by hand',
  'before-update': 'before an update of the app',
  'before-import': 'before a file was taken in',
  'before-archive': 'before an archive was taken in',
  'before-going-back': 'before going back',
  'before-project': 'before a project was taken in',
};

/** What there is more of now, or less, than in a snapshot. */
function difference({ moreNow }: SnapshotEntry): string {
  const more = countsInWords(moreNow);
  const fewer = countsInWords(
    Object.fromEntries(Object.entries(moreNow).map(([table, many]) => [table, -many])),
  );
  const said = [more && `${more} came since`, fewer && `${fewer} went since`].filter(Boolean);
  return said.length > 0 ? said.join('; ') : 'as many of everything as now';
}

/** The snapshots, the latest first, and the way back to each. */
export function SnapshotList({ snapshots }: { snapshots: readonly SnapshotEntry[] }) {
  const now = useMutation({
    mutationFn: () => writer.during(() => send('POST', 'snapshots')),
    onSuccess: () => reloadAll(),
    onError: tellTrouble,
  });
  const back = useMutation({
    mutationFn: (id: string) =>
      writer.during(async () => {
        await send('POST', `snapshots/${id}/restore`);
        await reloadAll();
      }),
    onSuccess: () =>
      notify({
        kind: 'info',
        text: 'Gone back. What was here before is the newest snapshot; go back to it to undo this.',
      }),
    onError: tellTrouble,
  });
  const busy = now.isPending || back.isPending;
  return (
    <>
      <div className="flex items-start gap-4 pb-2">
        <div className="min-w-0 grow">
          <h2 className="text-2xl">Snapshots</h2>
          <p className="text-soft">
            One a day by itself, and one before whatever changes much. Seven days are kept, and one
            a week for four weeks before.
          </p>
        </div>
        <Button className="shrink-0" disabled={busy} onClick={() => now.mutate()}>
          Take one now
        </Button>
      </div>
      {snapshots.length === 0 ? (
        <p className="text-lg">None was taken yet; the first comes today.</p>
      ) : (
        <ul className="divide-y divide-line border-t border-line">
          {snapshots.map((snapshot) => (
            <li key={snapshot.id} className="flex items-center gap-4 py-2">
              <span className="min-w-0 grow">
                <b>{format(parseISO(snapshot.at), 'd MMMM, HH:mm')}</b>{' '}
                <span className="text-soft">
                  {reasons[snapshot.reason] ?? snapshot.reason},{' '}
                  {formatDistanceToNow(parseISO(snapshot.at), { addSuffix: true })}
                </span>
                <span className="block text-sm text-soft">
                  {countsInWords(snapshot.counts)} ·{' '}
                  <span className="text-graphite">{difference(snapshot)}</span>
                </span>
              </span>
              <Button className="shrink-0" disabled={busy} onClick={() => back.mutate(snapshot.id)}>
                Go back<span className="sr-only"> to {snapshot.at}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
