import type { ChangedEvent } from '../../contract/event';
import { ApiError, send } from './api';
import { setReachable } from './connection';
import { notify } from './notices';
import { queryClient } from './query-client';
import { reloadAll } from './records';
import { tab } from './who';

/** What follows from any record: asked for again whenever something changed elsewhere. */
const derived = ['history', 'removed', 'snapshots', 'worktable', 'put-back'];
/** What is asked of a table as a whole, by the second part of its key. */
const ofWhole = ['list', 'book', 'choices', 'usual', 'skill', 'worked'];

/**
 * Whether the edge on the screen is among some records and is gone. It stays on the screen then, with
 * what was counted on it, until somebody brings it back or leaves it.
 */
async function isGoneHere(records: readonly (readonly [string, string])[]): Promise<boolean> {
  const [, id] = /^\/edges\/([^/]+)/.exec(location.pathname) ?? [];
  if (!records.some(([table, one]) => table === 'edges' && one === id)) return false;
  try {
    await send('GET', `edges/${id}`);
    return false;
  } catch (error) {
    return error instanceof ApiError && error.status === 404;
  }
}

/** Asks again for the records that changed elsewhere, and for what follows from them. */
async function changed(records: readonly (readonly [string, string])[]): Promise<void> {
  if (await isGoneHere(records)) {
    const text = 'This edge was taken out elsewhere. It can be brought back for thirty days.';
    notify({ kind: 'trouble', text });
    return;
  }

  const tables = new Set(records.map(([table]) => table));
  const ids = new Set(records.map(([table, id]) => `${table}/${id}`));
  void queryClient.invalidateQueries({
    predicate: ({ queryKey: [first, second] }) =>
      derived.includes(String(first)) ||
      (tables.has(String(first)) &&
        (ofWhole.includes(String(second)) || ids.has(`${String(first)}/${String(second)}`))),
  });
}

/** How long after a refusal the line is asked for again, ms. */
const askAgainMs = 5_000;

function hearSince(known: string): void {
  let heard = known;
  const source = new EventSource(`/api/events?since=${encodeURIComponent(heard)}`);
  source.onmessage = ({ data, lastEventId }: MessageEvent<string>) => {
    setReachable(true);
    heard = lastEventId;
    const event = JSON.parse(data) as ChangedEvent;
    if (event.tab === tab) return;
    if (event.records) void changed(event.records);
    else void reloadAll();
  };
  source.onerror = () => {
    // A browser takes up a line that was cut, but gives up one that was refused.
    if (source.readyState === EventSource.CLOSED) setTimeout(hearSince, askAgainMs, heard);
  };
}

/**
 * Listens to what is changed in other tabs and by other people, for as long as the page is open; the
 * line says the last change it heard of when it is taken up again.
 */
export function hearOfChanges(): void {
  // What was changed between the loading of the page and now is told first.
  const page = document.querySelector<HTMLMetaElement>('meta[name="changes-until"]');
  hearSince(page?.content ?? '');
}
