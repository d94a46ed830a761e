import type { ScrapCard } from '../core/eye/card';
import { mapped } from '../core/eye/homography';
import { locateCard } from '../core/eye/locate';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

const text = async (format: string, query: string): Promise<string> => {
  const { body, status } = await server.http
    .get(`/api/print/scrap-card.${format}?${query}`)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks).toString('latin1')));
    });
  expect(status).toBe(200);
  return body as string;
};
const numbers = (words: string) => words.match(/-?[\d.]+/g)!.map(Number);

/** The blacks of a drawing, as they would come out of a printer at some px a mm. */
function printed(svg: string, pxPerMm: number) {
  const [, , width = 0, height = 0] = numbers(/viewBox="([^"]+)"/.exec(svg)![1]!);
  const picture = {
    width: Math.round(width * pxPerMm),
    height: Math.round(height * pxPerMm),
  };
  const grey = new Uint8Array(picture.width * picture.height).fill(235);
  const blacks = [...svg.matchAll(/<rect x="(.+?)" y="(.+?)" width="(.+?)" height="(.+?)"/g)];
  for (const [x, y, wide, high] of blacks.map(([, ...all]) => all.map(Number))) {
    for (let row = Math.round(y! * pxPerMm); row < Math.round((y! + high!) * pxPerMm); row++) {
      const from = row * picture.width;
      grey.fill(20, from + Math.round(x! * pxPerMm), from + Math.round((x! + wide!) * pxPerMm));
    }
  }
  return { picture: { ...picture, grey }, blacks: blacks.length };
}

describe.each(['a4', 'letter'])('a scrap card on %s', (page) => {
  test.each(['window', 'wrap'])('for a %s is found again in what it prints', async (kind) => {
    const query = `page=${page}&kind=${kind}`;
    const json = await server.http.get(`/api/print/scrap-card.json?${query}`).expect(200);
    const told = json.body as Pick<ScrapCard, 'window' | 'marks'> & { page: { widthMm: number } };
    const pxPerMm = 8;
    const { picture, blacks } = printed(await text('svg', query), pxPerMm);
    const found = locateCard(picture);
    expect(found.card.kind).toBe(kind);
    expect(found.pxPerMm).toBeCloseTo(pxPerMm, 1);
    // What the JSON says lies where the paper has it; the page found is taken for A4.
    const shiftMm = (told.page.widthMm - found.card.pageMm[0]) / 2;
    for (const { xMm, yMm, widthMm, heightMm } of [...told.marks, told.window]) {
      const [cx, cy] = [xMm + widthMm / 2, yMm + heightMm / 2];
      const [x, y] = mapped(found.toPicture, [cx - shiftMm, cy]);
      expect(Math.hypot(x / pxPerMm - cx, y / pxPerMm - cy)).toBeLessThan(0.15);
    }
    // The PDF has the same blacks.
    const pdf = await text('pdf', query);
    expect(pdf.match(/^[\d.]+ [\d.]+ [\d.]+ [\d.]+ re$/gm)).toHaveLength(blacks);
  });
});

test('other pages, kinds and files are refused by name', async () => {
  const bad = await server.http.get('/api/print/scrap-card.pdf?page=a5').expect(400);
  expect(bad.body.error.issues[0].message).toBe('A page is a4 or letter.');
  const kind = await server.http.get('/api/print/scrap-card.pdf?kind=hat').expect(400);
  expect(kind.body.error.issues[0].message).toBe('A card is window or wrap.');
  await server.http.get('/api/print/scrap-card.docx').expect(404);
});
