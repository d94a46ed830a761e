import type { BookPage } from '../contract/book';
import type { RunningServer } from './testing.fixture';

/** A setting the demo's cape can be sewn at. */
export const capeSettings = { widthMm: 2.2, lengthMm: 1.8, needlePositionMm: 0.4, guideMm: -1 };

/** A scrap of the demo's cape, with what differs. */
const scrap = (patch: object) => ({
  ...{ planId: 'plan-cape', settings: capeSettings, note: '' },
  counts: [{ check: 'bite', n: 24, short: 1, over: 0 }],
  ...patch,
});

/** What tests of scraps ask a running server. */
export function asking(server: () => RunningServer) {
  return {
    record: (patch: object = {}) => server().http.post('/api/attempts').send(scrap(patch)),
    book: async (query = '') =>
      (await server().http.get(`/api/book${query}`).expect(200)).body as BookPage,
    get: async <T>(path: string) => (await server().http.get(`/api/${path}`).expect(200)).body as T,
  };
}
