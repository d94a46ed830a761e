import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect, type Locator, type Page } from '@playwright/test';

/**
 * Waits until a page has asked for nothing for a while; the line on which it is told of changes is
 * always open, so the network as such is never idle.
 */
export async function quiet(page: Page): Promise<void> {
  await page.waitForFunction(() => {
    const ended = performance.getEntriesByType('resource').map((entry) => {
      const { responseEnd, startTime } = entry as PerformanceResourceTiming;
      return responseEnd || startTime;
    });
    // A view that was just gone on to has not asked yet.
    ended.push(...performance.getEntriesByName('gone on').map(({ startTime }) => startTime));
    return document.readyState === 'complete' && performance.now() - Math.max(0, ...ended) > 400;
  });
}

/**
 * Goes on to another view as a link of the page does: the app that is open stays open. Opening it anew is more
 * work than most of what a test does in a view.
 */
export async function follow(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    performance.mark('gone on');
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
}

/** Presses Tab until something has the focus, as one does who has no mouse. */
export async function tabTo(page: Page, target: Locator): Promise<void> {
  await expect(target).toBeVisible();
  const isThere = () => target.evaluate((element) => element === document.activeElement);
  for (let i = 0; i < 120 && !(await isThere()); i++) await page.keyboard.press('Tab');
  await expect(target).toBeFocused();
}

/** A file to be chosen, of some megabytes: the page would be handed its bytes as text, one by one. */
export function onDisk(name: string, bytes: Uint8Array): string {
  const path = test.info().outputPath(name);
  writeFileSync(path, bytes);
  return path;
}

/** Presses a key as a finger does, which lets go of it once something has come of it. */
export async function press(page: Page, key: string, comes: () => Promise<void>): Promise<void> {
  await page.keyboard.down(key);
  await comes();
  await page.keyboard.up(key);
}

/** The built server in a process of its own, on a data folder of its own. */
export class App {
  private child: ChildProcess | undefined;
  address = '';
  private port = 0;
  readonly dataFolder = mkdtempSync(join(tmpdir(), 'pin-margin-e2e-'));

  /** Starts on the same port each time, so that an open page finds it again. */
  async start(): Promise<void> {
    const child = spawn(process.execPath, ['dist/server/main.js'], {
      env: {
        ...process.env,
        NODE_ENV: 'production',
        PORT: String(this.port),
        PIN_MARGIN_DATA: this.dataFolder,
        LOG_LEVEL: 'error',
      },
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
    this.port = Number(new URL(this.address).port);
  }

  /** Ends it as the power cut would. */
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    const child = this.child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((done) => child.on('exit', done));
    child.kill(signal);
    await ended;
  }

  async api<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.address}/api/${path}`)).json()) as T;
  }

  private async send<T>(method: 'POST' | 'PATCH', path: string, body: object): Promise<T> {
    const answer = await fetch(`${this.address}/api/${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(await answer.text());
    return (await answer.json()) as T;
  }

  /** Makes a record behind the page's back. */
  create<T>(path: string, draft: object): Promise<T> {
    return this.send<T>('POST', path, draft);
  }

  /** Changes a record behind the page's back, as another tab would. */
  async change(path: string, patch: object): Promise<void> {
    await this.send('PATCH', path, patch);
  }

  clear(): void {
    rmSync(this.dataFolder, { recursive: true, force: true });
  }
}

const desk = { width: 1280, height: 800 };

/**
 * Makes a tab as a browser just started has it, on the address of a server. A new one would fetch, read
 * and compile the whole app again, which is more than most tests do besides.
 */
async function asNew(page: Page, address: string): Promise<void> {
  const context = page.context();
  for (const other of context.pages()) if (other !== page) await other.close();
  await page.setViewportSize(desk);
  await page.emulateMedia({ media: null });
  // A page of the same house, whose process the app’s next one keeps.
  await page.goto(`${address}/icon-192.png`);
  await page.evaluate(async () => {
    localStorage.clear();
    sessionStorage.clear();
    for (const { name } of await indexedDB.databases()) if (name) indexedDB.deleteDatabase(name);
    for (const key of await caches.keys()) await caches.delete(key);
    for (const worker of await navigator.serviceWorker.getRegistrations()) {
      await worker.unregister();
    }
  });
  await context.clearCookies();
}

/**
 * Tests with a server that each worker starts once; before a test everything on it is put back as
 * the demo was filled in. Whoever kills it or looks at its folder takes `ownApp`. A page error or a
 * console error fails the test.
 */
export const test = base.extend<
  { app: App; ownApp: App; troubles: string[] },
  { shared: { readonly app: App; readonly filled: string }; tab: Page }
>({
  tab: [
    async ({ browser }, use) => {
      const context = await browser.newContext({ viewport: desk });
      await use(await context.newPage());
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ tab }, use) => use(tab.context()),
  page: async ({ tab, shared: { app } }, use) => {
    await asNew(tab, app.address);
    await use(tab);
    tab.removeAllListeners();
  },
  shared: [
    // oxlint-disable-next-line no-empty-pattern -- Playwright reads what a fixture needs from here.
    async ({}, use) => {
      const app = new App();
      await app.start();
      const { id } = await app.create<{ id: string }>('snapshots', {});
      await use({ app, filled: id });
      await app.kill();
      app.clear();
    },
    { scope: 'worker' },
  ],
  // What a page still sends as it is left comes before everything is put back.
  app: async ({ page: _, shared: { app, filled } }, use) => {
    await app.create(`snapshots/${filled}/restore`, {});
    await use(app);
  },
  // oxlint-disable-next-line no-empty-pattern -- As above.
  ownApp: async ({}, use) => {
    const app = new App();
    await app.start();
    await use(app);
    await app.kill();
    app.clear();
  },
  troubles: [
    async ({ page }, use) => {
      const troubles: string[] = [];
      page.on('pageerror', (error) => troubles.push(error.message));
      page.on('console', (message) => {
        // A refused request is logged by the browser itself; what the app makes of it is tested.
        if (message.type() === 'error' && !message.text().includes('Failed to load resource')) {
          troubles.push(message.text());
        }
      });
      await use(troubles);
      expect(troubles).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };
