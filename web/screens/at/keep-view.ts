import { dehydrate, hydrate, type DehydratedState } from '@tanstack/react-query';
import { get, set } from 'idb-keyval';
import { queryClient } from '../../ground/query-client';

/** What of the records the view beside the machine shows; nothing else is kept. */
const shown = ['edges', 'plans', 'cloths', 'machines', 'feet', 'needles', 'threads', 'preferences'];
const place = 'pin-margin at the machine';
/** How long what was shown may wait until it is kept, ms. */
const soonMs = 500;

interface Kept {
  readonly build: string;
  readonly state: DehydratedState;
}

/** Whether a query is one of the view's: records, and the scraps of one plan. */
function isShown([table, part, where]: readonly unknown[]): boolean {
  if (table === 'projects') return part !== 'list';
  if (table === 'attempts')
    return part === 'list' && Boolean((where as { planId?: string }).planId);
  return shown.includes(String(table)) && part !== 'worked';
}

/** Which build this page is of; what another one kept is not taken over. */
const build = () => document.querySelector<HTMLScriptElement>('script[type="module"]')?.src ?? '';

/** Keeps what the view shows of the records by now. */
const saveRecords = (): Promise<void> =>
  set(place, {
    build: build(),
    state: dehydrate(queryClient, {
      shouldDehydrateMutation: () => false,
      shouldDehydrateQuery: ({ queryKey, state: { status } }) =>
        status === 'success' && isShown(queryKey),
    }),
  } satisfies Kept);

/**
 * Takes over what the view kept, and keeps it from now on: so that it stands there again though the
 * network is gone. All of it is asked for again at once.
 */
async function takeOverRecords(): Promise<void> {
  const kept = await get<Kept>(place);
  if (kept?.build === build()) {
    hydrate(queryClient, kept.state);
    // However fresh it looks: what was sent since is not in it.
    for (const { queryKey } of kept.state.queries) {
      void queryClient.invalidateQueries({ queryKey, exact: true, refetchType: 'none' });
    }
  }
  let waiting: ReturnType<typeof setTimeout> | null = null;
  queryClient.getQueryCache().subscribe(() => {
    waiting ??= setTimeout(() => {
      waiting = null;
      // A browser that has no room keeps nothing; the page left open still does.
      saveRecords().catch(() => undefined);
    }, soonMs);
  });
}

/**
 * Keeps this page, what it shows and the files it was made from, where the browser lets it.
 *
 * @returns whether it will be there though the network is gone
 */
export async function keepPage(): Promise<boolean> {
  // Over plain HTTP from another device a browser keeps nothing; the page left open still does.
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return false;
  try {
    await navigator.serviceWorker.register('/sw.js');
    const files = performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === location.origin && /^\/assets\//.test(pathname))
      .map(({ pathname }) => pathname);
    const [pages, assets] = await Promise.all([caches.open('at-pages'), caches.open('at-assets')]);
    await pages.add(location.pathname);
    const kept = (await assets.keys()).map(({ url }) => new URL(url).pathname);
    await assets.addAll([...new Set(files)].filter((file) => !kept.includes(file)));
    await saveRecords();
    return true;
  } catch {
    // A full disk, or a server that just went: the view works as long as it is open.
    return false;
  }
}

let kept: Promise<void> | null = null;

/**
 * Before the view is shown: what it kept is taken over, once a page. A browser that keeps nothing
 * shows what the server says.
 */
export const keepView = (): Promise<void> => (kept ??= takeOverRecords().catch(() => undefined));
