import { examplePlan } from '../../core/plan/example.fixture';
import { server } from './server.fixture';

const post = (body: object) => server.http.post('/api/compute/settings').send(body);
const zigzag = {
  ...examplePlan,
  finish: 'overcast',
  fold: { variant: 'zigzag' },
  stitch: { pattern: 'zigzag', anchor: 'centre' },
};
const slotMm = [-4.5, 4.5];
const references = [
  { name: 'left toe', guidance: 'edge', guide: { atMm: -6 } },
  { name: 'right toe', guidance: 'edge', guide: { atMm: 2 } },
];

describe('a foot with several references', () => {
  test('is led along the best, and the answer says which', async () => {
    const { body } = await post({ ...zigzag, foot: { slotMm, references } }).expect(200);
    expect(body.reference).toBe('right toe');
    const alone = await post({
      ...zigzag,
      foot: { slotMm, guidance: 'edge', guide: { atMm: 2 } },
    }).expect(200);
    expect(alone.body.reference).toBeNull();
    expect(body.settings).toEqual(alone.body.settings);
    expect(body.chance).toBeCloseTo(alone.body.chance, 12);
  });

  test('is led along the one that is named', async () => {
    const more = [...references, { name: 'bar', guidance: 'bar', guide: { atMm: 2.5 } }];
    const { body } = await post({
      ...zigzag,
      foot: { slotMm, references: more, reference: 'right toe' },
    }).expect(200);
    expect(body.reference).toBe('right toe');
  });

  test.each([
    ['one it has not', { references, reference: 'the moon' }, /left toe, right toe/],
    ['none and no guide', {}, /guidance and guide, or references/],
    ['two of one name', { references: [references[0], references[0]] }, /name of its own/],
  ])('%s is named', async (_, foot, words) => {
    const { body } = await post({ ...zigzag, foot: { slotMm, ...foot } }).expect(400);
    expect(body.error.message).toMatch(words);
  });

  test('what is not worth sewing anywhere is impossible, with the one change that would help', async () => {
    const { body } = await post({
      ...zigzag,
      foot: { slotMm, guidance: 'edge', guide: { atMm: -4 } },
    }).expect(400);
    expect(body.error).toMatchObject({ code: 'impossible' });
    const [issue] = body.error.issues;
    expect(issue).toMatchObject({ code: 'guide-elsewhere', values: { percent: 0 } });
    const better = Number(issue.values.asideMm) * (/left/.test(issue.message) ? -1 : 1);
    const mended = await post({
      ...zigzag,
      foot: { slotMm, guidance: 'edge', guide: { atMm: better } },
    }).expect(200);
    expect(mended.body.chance).toBeGreaterThan(0.01);
  });
});

test('the variant may be left out, and the answer says which was taken', async () => {
  const { body } = await post({
    ...examplePlan,
    finish: 'kept-hem',
    fold: { shortenMm: 50.8 },
    foot: { slotMm: null, besideMm: [-6, -1.5], guidance: 'edge', guide: { atMm: -1.5 } },
    stitch: { pattern: 'straight', anchor: 'centre' },
  }).expect(200);
  expect(body.variant).toBe('seams');
  const folds = await server.http
    .post('/api/compute/folds')
    .send({ finish: 'kept-hem', shortenMm: 50.8, depthMm: 13, cloth: examplePlan.cloth })
    .expect(200);
  expect(folds.body.shortensMm).toBeCloseTo(50.8, 9);
  expect(folds.body.marks[0]).toMatchObject({ measuredFrom: 'seam-line', fromRawEdgeMm: 25.4 });
});
