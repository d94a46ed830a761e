import { Download } from 'lucide-react';
import { useQuery } from '@tanstack/react-query';
import type { SnapshotEntry } from '../../../contract/archive';
import { send } from '../../ground/api';
import { LoadState } from '../../controls/trouble';
import { ArchiveIn } from './archive-in';
import { SnapshotList } from './snapshot-list';

/** Everything as one archive, out and in; and the snapshots the app takes by itself. */
export function KeepingScreen() {
  const snapshots = useQuery({
    queryKey: ['snapshots'],
    queryFn: () => send<SnapshotEntry[]>('GET', 'snapshots'),
  });
  return (
    <main className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 lg:grid-cols-[22rem_minmax(0,1fr)] lg:px-5">
      <h1 className="sr-only">Safe keeping</h1>
      <section aria-label="Archive" className="slip h-fit px-5 py-4">
        <h2 className="text-2xl">One archive of everything</h2>
        <p className="pb-3 text-soft">
          Projects, shelf, drawer, sample book, photos, what was taken out and what can be undone.
        </p>
        <a
          href="/api/archive"
          download
          className="flex min-h-11 items-center gap-2 rounded-[3px] border border-graphite bg-graphite px-4 font-bold text-slip hover:bg-black"
        >
          <Download size={18} aria-hidden /> Save the archive
        </a>
        <p className="pt-2 pb-4 text-sm text-soft">
          A .tar file with lists in JSON and photos as pictures. Keep it on another disk.
        </p>
        <ArchiveIn />
      </section>
      <section aria-label="Snapshots" className="sheet min-h-0 px-4 py-3">
        {snapshots.data ? (
          <SnapshotList snapshots={snapshots.data} />
        ) : (
          <LoadState what="list of snapshots" error={snapshots.error} />
        )}
      </section>
    </main>
  );
}
