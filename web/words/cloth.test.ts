import type { MeasuredCloth } from '../../core/cloth/cloth';
import { genericCloths } from '../../core/cloth/generic-cloths';
import { lengthsFor } from '../../core/measure/lengths';
import { gradeNames, meanings, type Tested } from './cloth';

const mm = lengthsFor({ unit: 'mm', inchRounding: '1/16' });
const inch = lengthsFor({ unit: 'in', inchRounding: '1/16' });
const cloth = (patch: Partial<MeasuredCloth>): MeasuredCloth => ({
  ...{ weightGsm: 200, thicknessMm: 0.4, stretchPercent: 2, recoveryPercent: 100 },
  ...{ fray: 1, curl: 0, slip: 0, estimated: [] },
  ...patch,
});

describe('what a test came to means', () => {
  test.each([
    ['weightGsm', { weightGsm: 50 }, /needle of 60, or 70/],
    ['weightGsm', { weightGsm: 400 }, /needle of 90, or 100/],
    ['weightGsm', { weightGsm: 460 }, /needle of 100, or 110/],
    ['thicknessMm', { thicknessMm: 1 }, /0\.2 mm to 1\.5 mm/],
    ['stretchPercent', { stretchPercent: 14 }, /straight stitch holds/],
    ['stretchPercent', { stretchPercent: 15 }, /stitch that gives/],
    [
      'stretchPercent',
      { stretchPercent: 40, recoveryPercent: 60 },
      /Only 60 % of a pull comes back/,
    ],
    ['fray', { fray: 3 }, /3\.5 mm/],
    ['curl', { curl: 3 }, /Starch/],
    ['slip', { slip: 3 }, /baste/],
  ] as const)('%s %j', (property, patch, words) => {
    expect(meanings[property](cloth(patch), mm)).toMatch(words);
  });

  test('lengths are in the person’s unit', () => {
    expect(meanings.thicknessMm(cloth({ thicknessMm: 1 }), inch)).toMatch(/0\.008 in to 0\.059 in/);
  });

  test.each(genericCloths)('$name: every test says something, in a sentence', (kind) => {
    for (const property of Object.keys(meanings) as Tested[]) {
      const said = meanings[property](cloth(kind), mm);
      expect(said).toMatch(/^[A-Z].*\.$/);
      expect(said).not.toMatch(/NaN|undefined/);
    }
  });

  test('four names for each habit, all different', () => {
    for (const names of Object.values(gradeNames)) expect(new Set(names).size).toBe(4);
  });
});
