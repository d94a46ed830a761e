import { readFileSync } from 'node:fs';
import path from 'node:path';
import { middleOf } from '../core/eye/middle';
import { startServer, type RunningServer } from './testing.fixture';

/*
 * Photos drawn by other programs than ours, in another language. One has cloth, fold and thread as a landscape of heights under a lamp
 * that throws shadows; one, whose files are named for what is dark or few, has edges in a dark line of their own. Both are seen in linear
 * light by a pinhole camera with a lens that bends, blurred, noisy, sharpened, and stored as a JPEG. What is true of each lies beside it.
 */
const folder = path.join(import.meta.dirname, 'other-photos');

interface OtherPhoto {
  readonly file: string;
  readonly what: string;
  readonly asked: Record<string, string>;
  readonly loMm: number;
  readonly hiMm: number;
  readonly stitches: readonly {
    readonly atMm: readonly [number, number];
    readonly depthMm: number;
    readonly isSeen: boolean;
  }[];
}

interface Told {
  readonly counts: { readonly n: number; readonly short: number; readonly over: number } | null;
  readonly sure: number;
  readonly stitches: readonly {
    readonly atMm: readonly [number, number];
    readonly depthMm: number | null;
    readonly depthSpreadMm: number | null;
  }[];
}

const photos = JSON.parse(readFileSync(path.join(folder, 'truth.json'), 'utf8')) as OtherPhoto[];

let server: RunningServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

async function told({ file, asked }: OtherPhoto): Promise<Told> {
  const { body, status } = await server.http
    .post(`/api/compute/scrap?${new URLSearchParams(asked).toString()}`)
    .set('content-type', 'image/jpeg')
    .send(readFileSync(path.join(folder, file)));
  expect({ body: body as unknown, status }).toMatchObject({ status: 200 });
  return body as Told;
}

const isStriped = ({ file }: OtherPhoto) => file.startsWith('striped');

test.each(photos.filter((one) => !isStriped(one)).map((one) => [one.what, one] as const))(
  'what other renderers drew is told: %s',
  async (_, photo) => {
    const { counts, stitches } = await told(photo);
    const { loMm, hiMm } = photo;
    const over = photo.stitches.filter(({ depthMm }) => depthMm > hiMm).length;
    expect(Math.abs(counts!.over - over)).toBeLessThanOrEqual(1);
    if (photo.asked['face'] === 'wrong') {
      const short = photo.stitches.filter(({ depthMm }) => depthMm < loMm).length;
      expect(Math.abs(counts!.short - short)).toBeLessThanOrEqual(1);
    }
    const seen = photo.stitches.filter(({ isSeen }) => isSeen);
    const near = seen.flatMap((truth) => {
      const far = (at: readonly [number, number]) =>
        Math.hypot(at[0] - truth.atMm[0], at[1] - truth.atMm[1]);
      const found = stitches.filter(({ depthMm }) => depthMm !== null);
      const [nearest] = found.toSorted((a, b) => far(a.atMm) - far(b.atMm));
      return nearest && far(nearest.atMm) < 1 ? [{ truth, found: nearest }] : [];
    });
    expect(near.length).toBeGreaterThanOrEqual(seen.length - 1);
    const off = near.map(({ truth, found }) => Math.abs(found.depthMm! - truth.depthMm));
    expect(middleOf(off)).toBeLessThan(0.1);
    const within = near.filter(({ found }, i) => off[i]! < 2 * found.depthSpreadMm!);
    expect(within.length).toBeGreaterThan(0.8 * near.length);
  },
);

test('stripes plainer than the fold among them are not taken for it', async () => {
  const photo = photos.find(isStriped)!;
  const { counts, sure, stitches } = await told(photo);
  expect({ counts, sure }).toEqual({ counts: null, sure: 0 });
  expect(stitches.length).toBeGreaterThan(30);
});
