import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { AttemptDraft } from '../../contract/records';
import { Unreachable, send } from './api';
import { setReachable } from './connection';
import { notify } from './notices';
import { reloadAll, tellTrouble, writer } from './records';

/** A scrap that was counted and is not in the book yet. */
interface Waiting {
  readonly scrap: AttemptDraft & { readonly id: string };
  /** Why the server will not have it; null while it was not asked. */
  readonly refused: string | null;
}

interface Outbox {
  /** Oldest first. */
  readonly waiting: readonly Waiting[];
}

const place = 'pin-margin waiting scraps';

/** What waits for the server, kept over a reload and over a phone that slept. */
export const useOutbox = create<Outbox>()(
  persist((): Outbox => ({ waiting: [] }), { name: place, version: 1 }),
);

// Another tab may put something in, or send it.
window.addEventListener('storage', ({ key }) => {
  if (key === place) void useOutbox.persist.rehydrate();
});

function put(change: (waiting: readonly Waiting[]) => readonly Waiting[]): void {
  useOutbox.setState(({ waiting }) => ({ waiting: change(waiting) }));
}

/** Throws a scrap away that the server would not have. */
export const throwAway = (id: string): void =>
  put((waiting) => waiting.filter(({ scrap }) => scrap.id !== id));

/** How long to wait before asking an unreachable server again, ms. */
const retryMs = 1500;
let sending = false;

async function sendOne({ scrap }: Waiting): Promise<void> {
  try {
    await writer.during(() => send('POST', 'attempts', scrap));
    setReachable(true);
    throwAway(scrap.id);
    notify({ kind: 'info', text: 'The scrap is in the book.' });
    await reloadAll();
  } catch (error) {
    if (error instanceof Unreachable) {
      setReachable(false, error.said);
      await new Promise((again) => setTimeout(again, retryMs));
      return;
    }
    // It would be refused again each time; what was counted stays until somebody throws it away.
    const refused = error instanceof Error ? error.message : String(error);
    put((waiting) => waiting.map((one) => (one.scrap.id === scrap.id ? { ...one, refused } : one)));
    tellTrouble(error);
  }
}

/**
 * Sends what waits, one after the other. A scrap has its id from when it was counted: one that
 * arrived though nobody heard of it is recorded once.
 */
export async function sendWaiting(): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (;;) {
      const first = useOutbox.getState().waiting.find(({ refused }) => refused === null);
      if (!first) return;
      await sendOne(first);
    }
  } finally {
    sending = false;
  }
}

/** Keeps a counted scrap until the server has it. */
export function keepScrap(scrap: AttemptDraft & { readonly id: string }): void {
  put((waiting) => [...waiting, { scrap, refused: null }]);
  void sendWaiting();
}
