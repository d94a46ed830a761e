import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { act, configure, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { App } from '../frame/app';
import { queryClient } from '../ground/query-client';
import { writer } from '../ground/records';
import { router } from '../frame/router';

// A machine that is busy with something else takes its time; a test that is well never waits so long.
jest.setTimeout(120_000);

/** How large every element is here, where nothing is laid out, px: room enough for any picture. */
const roomPx = { x: 0, y: 0, left: 0, top: 0, width: 900, height: 460, right: 900, bottom: 460 };

/** What a browser has and jsdom has not, as far as the app asks for it. */
function fillIn(): void {
  const still = { observe() {}, unobserve() {}, disconnect() {} };
  const page = globalThis as unknown as Record<string, unknown>;
  page['ResizeObserver'] = function ResizeObserver() {
    return still;
  };
  page['matchMedia'] = () => ({ matches: false, addEventListener() {}, removeEventListener() {} });
  Element.prototype.getBoundingClientRect = () => ({ ...roomPx, toJSON: () => roomPx });
  for (const [name, px] of [
    ['offsetWidth', roomPx.width],
    ['offsetHeight', roomPx.height],
  ] as const) {
    Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => px });
  }
  Element.prototype.scrollIntoView = () => undefined;
  Element.prototype.hasPointerCapture = () => false;
}

/** The whole app in jsdom, beside the built server on a data folder of its own. */
export class TestApp {
  address = '';
  private child: ChildProcess | undefined;
  private readonly folder = mkdtempSync(join(tmpdir(), 'pin-margin-part-'));
  private filled = '';

  /** Starts the server with the demo wardrobe. */
  async start(): Promise<void> {
    fillIn();
    // The page works as it does for people: what comes over the network is drawn when it comes.
    Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: false });
    // Whether something is hidden is a matter of layout, and looking costs more than all the rest.
    // A page of this size, printed for each thing that is not there yet, costs seconds.
    configure({
      defaultHidden: true,
      asyncUtilTimeout: 40_000,
      getElementError: (message) => new Error(message?.split('\n')[0] ?? 'not there'),
    });
    const child = spawn(process.execPath, ['dist/server/main.js'], {
      env: { ...process.env, NODE_ENV: 'production', PORT: '0', PIN_MARGIN_DATA: this.folder },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    this.address = await new Promise<string>((found, failed) => {
      let text = '';
      child.stdout?.on('data', (chunk: Buffer) => {
        text += chunk.toString();
        const match = /at (http:\/\/[^/\s]+)/.exec(text);
        if (match?.[1]) found(match[1]);
      });
      child.on('exit', (code) => failed(new Error(`The server ended with code ${code}.`)));
    });
    // The page's addresses have no host; a browser takes the page's own.
    const reach = globalThis.fetch;
    globalThis.fetch = async (asked, init) => {
      const answer = await reach(
        typeof asked === 'string' ? new URL(asked, this.address) : asked,
        init,
      );
      // Objects of the page's own: the cache keeps what is equal only where it knows plain objects.
      answer.json = async () => JSON.parse(await answer.text()) as unknown;
      return answer;
    };
    this.filled = (await this.send<{ id: string }>('POST', 'snapshots')).id;
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
    await this.send('POST', `snapshots/${this.filled}/restore`);
    queryClient.clear();
    // As another tab would: what is kept is gone, and this page hears of it.
    const place = 'pin-margin kept here';
    localStorage.setItem(place, JSON.stringify({ state: { entries: {} }, version: 1 }));
    window.dispatchEvent(new StorageEvent('storage', { key: place }));
    localStorage.clear();
    sessionStorage.clear();
  }

  async stop(): Promise<void> {
    const child = this.child;
    const ended = new Promise((done) => child?.on('exit', done));
    child?.kill();
    await ended;
    if (existsSync(this.folder)) rmSync(this.folder, { recursive: true, force: true });
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
