import { TestEnvironment } from 'jest-environment-jsdom';

/**
 * The labels of a control, as a page has them. To find them jsdom asks every label there is what it
 * belongs to, and each walks through the whole page: a tenth of all that these tests take.
 */
function labelsOf(this: HTMLInputElement): HTMLLabelElement[] {
  const around = this.closest('label');
  const named = this.id
    ? this.ownerDocument.querySelectorAll<HTMLLabelElement>(`label[for=${JSON.stringify(this.id)}]`)
    : [];
  return [...new Set([...named, ...(around && !around.htmlFor ? [around] : [])])];
}

/**
 * A page as jsdom has it, with what it lacks of a browser's network, which Node has: the app talks
 * to a real server. Its own AbortController would not be known to Node's fetch.
 */
export default class BrowserEnvironment extends TestEnvironment {
  override async setup(): Promise<void> {
    await super.setup();
    Object.assign(this.global, {
      ...{ fetch, Request, Response, Headers, FormData, Blob },
      ...{ AbortController, AbortSignal, structuredClone, TextEncoder, TextDecoder },
    });
    const page = this.global as unknown as typeof globalThis;
    for (const { prototype } of [
      ...[page.HTMLInputElement, page.HTMLSelectElement, page.HTMLTextAreaElement],
      ...[page.HTMLButtonElement, page.HTMLOutputElement, page.HTMLMeterElement],
    ]) {
      Object.defineProperty(prototype, 'labels', { configurable: true, get: labelsOf });
    }
  }

  /** Packages are taken as Node takes them: the browser's own versions are not CommonJS. */
  override exportConditions(): string[] {
    return ['node', 'node-addons'];
  }
}
