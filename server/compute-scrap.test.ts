import sharp from 'sharp';
import { scrapOnCard } from '../core/study/card-photo';
import { eyeCases } from '../core/study/eye-cases';
import { drawnPhoto } from '../core/study/drawn-photo';
import { evenDraws } from '../core/swatch/draw';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

const asked = (more: Record<string, string> = {}) =>
  new URLSearchParams({
    ...{ finish: 'blind-hem', variant: 'flat', face: 'wrong', runStitches: '2' },
    ...more,
  }).toString();
const send = (bytes: Buffer, more?: Record<string, string>) =>
  server.http
    .post(`/api/compute/scrap?${asked(more)}`)
    .set('content-type', 'image/jpeg')
    .send(bytes);

/** What a refusal says. */
const told = (body: unknown) =>
  (body as { error: { message: string; issues?: { path: string }[] } }).error;

/** A JPEG of a scrap on its card, from a phone held not quite straight, and what is true of it. */
async function photo() {
  const it = eyeCases().find(({ name }) => name === 'blind hem, wrong side, checked, soft')!;
  const drawn = drawnPhoto({ ...it, pxPerMm: 11, blurMm: 0.03 }, evenDraws(6));
  const { width, height, grey } = scrapOnCard(drawn.window);
  const raw = { width, height, channels: 1 } as const;
  const jpeg = await sharp(Buffer.from(grey), { raw }).jpeg({ quality: 88 }).toBuffer();
  return { jpeg, drawn };
}

test('a photo of a scrap is measured: its bites, how deep they go, and how sure that is', async () => {
  const { jpeg, drawn } = await photo();
  const { loMm, hiMm } = drawn.expected.judged;
  const { widthMm, lengthMm } = drawn.dials;
  const dials = { widthMm: String(widthMm), lengthMm: String(lengthMm) };
  const { body, status } = await send(jpeg, dials);
  expect(body).toMatchObject({ window: { widthMm: 100, heightMm: 60 }, counts: { check: 'bite' } });
  expect(status).toBe(200);
  const { counts, pxPerMm, tiltDegrees, stitches } = body as {
    counts: { n: number; short: number; over: number };
    pxPerMm: number;
    tiltDegrees: number;
    stitches: { kind: string; atMm: [number, number]; depthMm: number | null; sure: number }[];
  };
  expect(pxPerMm).toBeCloseTo(10, 0);
  expect(tiltDegrees).toBeLessThan(12);
  const { truth } = drawn;
  expect(Math.abs(counts.n - truth.length)).toBeLessThanOrEqual(1);
  const short = truth.filter(({ depthMm }) => depthMm < loMm).length;
  const over = truth.filter(({ depthMm }) => depthMm > hiMm).length;
  expect(Math.abs(counts.short - short)).toBeLessThanOrEqual(1);
  expect(Math.abs(counts.over - over)).toBeLessThanOrEqual(1);
  const bites = stitches.filter(({ kind }) => kind === 'bite');
  const errors = truth.map(({ atMm, depthMm }) => {
    const near = bites.find(
      (bite) => Math.hypot(bite.atMm[0] - atMm[0], bite.atMm[1] - atMm[1]) < 1,
    );
    return near?.depthMm === undefined || near.depthMm === null
      ? Infinity
      : Math.abs(near.depthMm - depthMm);
  });
  errors.sort((a, b) => a - b);
  expect(errors[Math.floor(errors.length / 2)]).toBeLessThan(0.1);
  for (const { sure } of stitches) {
    expect(sure).toBeGreaterThanOrEqual(0);
    expect(sure).toBeLessThanOrEqual(1);
  }
  // The same photo of a machine set so short that no stitch is told from the next.
  const fine = await send(jpeg, { ...dials, lengthMm: '0.05' });
  expect(fine.status).toBe(400);
  expect(told(fine.body).message).toMatch(/lie on each other/);
});

describe('what can’t be measured says why', () => {
  const picture = (work: (at: number) => number) =>
    sharp(Buffer.from(Uint8Array.from({ length: 600 * 400 }, (_, at) => work(at))), {
      raw: { width: 600, height: 400, channels: 1 },
    })
      .png()
      .toBuffer();

  test('a picture without the card', async () => {
    const cat = await picture((at) => 120 + 60 * Math.sin(at / 37) + 40 * Math.sin(at / 7919));
    const { body, status } = await send(cat);
    expect(status).toBe(400);
    expect(told(body).issues?.[0]?.path).toBe('picture');
    expect(told(body).message).toMatch(/mark/);
  });

  test('no picture at all, nothing, and a torn one', async () => {
    for (const bytes of [Buffer.from('a cat'), Buffer.alloc(0)]) {
      const { body, status } = await send(bytes);
      expect(status).toBe(400);
      expect(told(body).message).toMatch(/picture/);
    }
    const whole = await picture((at) => at % 251);
    const { status } = await send(whole.subarray(0, whole.length - 200));
    expect(status).toBe(400);
  });

  test.each([
    [{ finish: 'nothing' }, 'finish'],
    [{ variant: 'nothing' }, 'variant'],
    [{ face: 'both' }, 'face'],
    [{ lengthMm: 'long' }, 'lengthMm'],
    [{ widthMm: '900' }, 'widthMm'],
    [{ more: '1' }, 'more'],
  ])('%j is refused', async (more, path) => {
    const bytes = await picture(() => 200);
    const { body, status } = await send(bytes, more);
    expect(status).toBe(400);
    expect(told(body).issues?.[0]?.path).toBe(path);
  });
});
