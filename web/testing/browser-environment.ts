import { TestEnvironment } from 'jest-environment-jsdom';

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
  }

  /** Packages are taken as Node takes them: the browser's own versions are not CommonJS. */
  override exportConditions(): string[] {
    return ['node', 'node-addons'];
  }
}
