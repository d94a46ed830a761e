import { act, configure, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { App } from '../frame/app';
import { queryClient } from '../ground/query-client';
import { writer } from '../ground/records';
import { router } from '../frame/router';
import { fillIn } from './fill-in';

/** A server that runs already, and the snapshot of it as the demo was filled in. */
interface Ready {
  readonly address: string;
  readonly filled: string;
}

/** The server of this worker: of those that run beside each other each has its own. */
function readyServer(): Ready {
  const servers = JSON.parse(process.env['PIN_MARGIN_SERVERS']!) as Ready[];
  return servers[Number(process.env['JEST_WORKER_ID']) - 1]!;
}

/** The whole app in jsdom, beside the built server. */
export class TestApp {
  private readonly server = readyServer();

  /** Makes the page ready, and the server as the demo was filled in. */
  async start(): Promise<void> {
    fillIn();
    // The page works as it does for people: what comes over the network is drawn when it comes.
    Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: false });
    // Whether something is hidden is a matter of layout, and looking costs more than all the rest.
    // A page of this size, printed for each thing that is not there yet, costs seconds.
    configure({
      defaultHidden: true,
      asyncUtilTimeout: 160_000,
      getElementError: (message) => new Error(message?.split('\n')[0] ?? 'not there'),
    });
    // The page's addresses have no host; a browser takes the page's own.
    const reach = globalThis.fetch;
    globalThis.fetch = async (asked, init) => {
      const answer = await reach(
        typeof asked === 'string' ? new URL(asked, this.server.address) : asked,
        init,
      );
      // Objects of the page's own: the cache keeps what is equal only where it knows plain objects.
      answer.json = async () => JSON.parse(await answer.text()) as unknown;
      return answer;
    };
    await this.putBack();
  }

  /** Goes to an address as the first thing one does. */
  async open(path: string): Promise<void> {
    await act(() => router.navigate(path));
    if (!document.querySelector('main, #crumbs')) render(<App />);
    await waitFor(() => expect(document.querySelector('main')).not.toBeNull());
  }

  /** Back to the demo as it was filled in, with nothing on the screen. */
  async reset(): Promise<void> {
    await writer.settled();
    await this.putBack();
    queryClient.clear();
    // As another tab would: what is kept is gone, and this page hears of it.
    const place = 'pin-margin kept here';
    localStorage.setItem(place, JSON.stringify({ state: { entries: {} }, version: 1 }));
    window.dispatchEvent(new StorageEvent('storage', { key: place }));
    localStorage.clear();
    sessionStorage.clear();
  }

  private putBack(): Promise<unknown> {
    return this.send('POST', `snapshots/${this.server.filled}/restore`);
  }

  async send<T>(method: string, path: string, body?: object): Promise<T> {
    const answer = await fetch(`/api/${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body && { body: JSON.stringify(body) }),
    });
    if (!answer.ok) throw new Error(`${method} ${path}: ${await answer.text()}`);
    return (answer.status === 204 ? undefined : await answer.json()) as T;
  }

  /** What is stored. */
  read<T>(path: string): Promise<T> {
    return this.send<T>('GET', path);
  }

  /** Changes a record behind the page's back, whatever version it has. */
  async change(path: string, patch: object): Promise<void> {
    const { version } = await this.read<{ version: number }>(path);
    await this.send('PATCH', path, { version, ...patch });
    await queryClient.invalidateQueries();
  }
}

/** Fingers and keys, without waiting between two of them. */
const user = userEvent.setup({ delay: null, pointerEventsCheck: 0 });

/** Clicks what is there, or will be in a moment. */
export async function click(target: HTMLElement | Promise<HTMLElement>): Promise<void> {
  await user.click(await target);
}

/** A button, once it is there. */
export const button = (name: string | RegExp) =>
  screen.findByRole<HTMLButtonElement>('button', { name });

/** Takes back the last change, once the page knows that there is one. */
export async function undo(): Promise<void> {
  const back = await button('Undo');
  await waitFor(() => expect(back.disabled).toBe(false));
  await user.click(back);
}

/** Presses keys where the focus is, e.g. `{Enter}`. */
export const keys = (text: string): Promise<void> => user.keyboard(text);

/** Writes into a field, over what stood there, and presses Enter. */
export async function enter(field: HTMLElement, text: string): Promise<void> {
  act(() => field.focus());
  fireEvent.change(field, { target: { value: text } });
  await keys('{Enter}');
}

/** Takes one of a list. */
export function choose(list: HTMLElement, value: string): void {
  fireEvent.change(list, { target: { value } });
}

/** The text of what one works on, without the frame around it. */
export const mainText = () => document.querySelector('main')?.textContent ?? '';
export { screen, waitFor };
