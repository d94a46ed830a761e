import { catalogue } from '../finish/catalogue';
import type { EdgeForm } from '../edge/form';
import { phases, type WorkRequest } from '../finish/work';
import { startingWish } from '../finish/wishes.fixture';
import { foldPlanOf } from './fold-plan';
import { stepsOf } from './work';
import { workedOut } from './worked.fixture';

const forms: Readonly<Record<string, EdgeForm>> = {
  slant: {
    ...{ kind: 'slant', flatWidthMm: 230, left: { frontMm: 1010, backMm: 1022 } },
    right: { frontMm: 1004, backMm: 1018 },
  },
  taper: { kind: 'taper', rawFlatMm: 165.1, landingFlatMm: 190.5, seams: 2, insideAllowanceMm: 15 },
  cornered: {
    kind: 'cornered',
    sides: [400, 500, 400, 500].map((lengthMm) => ({ lengthMm, angleDegrees: 90, mitred: true })),
  },
  curved: {
    kind: 'curved',
    curves: [
      { fromMm: 100, toMm: 260, radiusMm: 90, side: 'outside' },
      { fromMm: 500, toMm: 640, radiusMm: 140, side: 'inside' },
    ],
  },
  flare: { kind: 'flare', by: 'fraction', fraction: 0.5 },
};

const sewn = catalogue.flatMap((finish) =>
  finish.variants
    .filter(({ id }) => finish.margin(id) && workedOut(finish, id))
    .map(({ id }) => [`${finish.id}.${id}`, finish, id] as const),
);

const withForm = (work: WorkRequest, form: EdgeForm): WorkRequest => ({
  ...work,
  edge: { ...work.edge, form },
});

describe.each(sewn)('the steps of %s on a measured edge', (_, finish, variant) => {
  const { work } = workedOut(finish, variant, { radiusMm: 90 })!;
  const turned = finish.nature(variant).worked.includes('turned');

  test.each(Object.entries(forms))(
    '%s: in the hands’ order, each once, every number there',
    (kind, form) => {
      const steps = stepsOf(finish, withForm(work, form));
      const order = steps.map(({ phase }) => phases.indexOf(phase));
      expect(order).toEqual([...order].sort((a, b) => a - b));
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      for (const { id, text, values } of steps) {
        for (const [, name = ''] of text.matchAll(/\{(\w+)(?::\w+)?\}/g)) {
          expect([id, name, typeof values[name]]).not.toEqual([id, name, 'undefined']);
          if (typeof values[name] === 'number') expect(Number.isFinite(values[name])).toBe(true);
        }
      }
      const ids = steps.map(({ id }) => id);
      expect(ids.includes('slant-marks')).toBe(kind === 'slant');
      expect(ids.includes('snip')).toBe(kind === 'slant' && turned);
      expect(ids.includes('taper')).toBe(kind === 'taper' && turned);
      if (kind === 'curved' && ids.includes('curve-1')) expect(ids).not.toContain('curve');
    },
  );
});

test('the numbers are those of the folds: a blind hem on slanted legs and a mitred napkin', () => {
  const blind = catalogue.find(({ id }) => id === 'blind-hem')!;
  const { work } = workedOut(blind, 'flat')!;
  const steps = stepsOf(blind, withForm(work, forms['slant']!));
  const marks = steps.find(({ id }) => id === 'slant-marks')!;
  expect(marks.values).toMatchObject({
    frontMm: 1010,
    seamsMm: 1016,
    backMm: 1022,
    otherSeamsMm: 1011,
  });
  const { finishedDepthMm } = foldPlanOf(blind, { wish: work.wish, cloth: work.cloth });
  const theta = Math.atan2(12, 230);
  expect(steps.find(({ id }) => id === 'snip')?.values['snipOpensMm']).toBeCloseTo(
    2 * finishedDepthMm * Math.sin(2 * theta),
    9,
  );
  const double = catalogue.find(({ id }) => id === 'double-hem')!;
  const wish = { ...startingWish(double, 'equal'), depthMm: 14 };
  const napkin = workedOut(double, 'equal')!;
  const mitre = stepsOf(double, withForm({ ...napkin.work, wish }, forms['cornered']!)).find(
    ({ id }) => id === 'mitre',
  );
  expect(mitre?.values['sewLineFromCornerMm']).toBeCloseTo(56, 9);
  expect(mitre?.values['trimFromCornerMm']).toBeCloseTo(56 - 6 * Math.SQRT2, 9);
});
