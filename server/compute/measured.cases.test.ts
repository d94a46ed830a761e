import { blindHem } from '../../core/finish/blind-hem';
import { examplePlan } from '../../core/plan/example.fixture';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { bytesOf } from '../testing.fixture';
import { server } from './server.fixture';

const settings = startingSetting(blindHem, examplePlan, setUpOf(blindHem, examplePlan));
const counted = { settings, check: 'bite', n: 8, short: 1, over: 0 };
const depths = [0.12, 0.3, 0.35, 0.4, 0.41, 0.5, 0.52, 0.6].map((depthMm) => ({
  depthMm,
  depthSpreadMm: 0.06,
}));

interface Learned {
  readonly shiftInterval: [number, number];
  readonly error?: { readonly issues: { readonly path: string; readonly message: string }[] };
}
const learn = async (sample: object, status = 200): Promise<Learned> => {
  const { body } = await server.http
    .post('/api/compute/learn')
    .send({ finish: 'blind-hem', ...examplePlan, samples: [sample] })
    .expect(status);
  return body as Learned;
};

test('stitches that were measured tell more than the same ones counted', async () => {
  const [a, b] = [await learn(counted), await learn({ ...counted, depths })];
  const width = ({ shiftInterval: [from, to] }: Learned) => to - from;
  expect(width(b)).toBeLessThan(0.8 * width(a));
  expect(await learn({ ...counted, depths: [] })).toEqual(a);
});

test('what makes no sense is refused where it stands', async () => {
  const many = await learn({ ...counted, n: 4, short: 1, depths }, 400);
  expect(many.error?.issues[0]?.path).toContain('depths');
  const odd = await learn({ ...counted, depths: [{ depthMm: 900, depthSpreadMm: 0.1 }] }, 400);
  expect(odd.error?.issues.map(({ path }) => path).join()).toContain('depths');
});

test('they are kept with a scrap, and go out in the book’s table', async () => {
  const at = { ...depths[0]!, atMm: [12.1, 30] };
  const draft = {
    ...{ planId: 'plan-cape', settings, note: '' },
    counts: [{ check: 'bite', n: 8, short: 1, over: 0, depths: [at, depths[1]!] }],
  };
  const { body: made } = await server.http.post('/api/attempts').send(draft).expect(201);
  const { id, counts } = made as { id: string; counts: unknown };
  expect(counts).toEqual(draft.counts);
  const file = await bytesOf(server, '/api/export/sample-book.csv');
  expect(file.toString()).toContain('bite 8 1 0 | 0.12~0.06@12.1,30 0.3~0.06');
  const again = await server.http.get(`/api/attempts/${id}`).expect(200);
  expect((again.body as { counts: unknown }).counts).toEqual(draft.counts);
});
