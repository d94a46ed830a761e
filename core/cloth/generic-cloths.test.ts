import { clothFromDescription } from './describe';
import { genericCloth, genericCloths } from './generic-cloths';
import { densityKgPerM3 } from './guesses';

test('forty kinds, each once', () => {
  expect(genericCloths).toHaveLength(40);
  expect(new Set(genericCloths.map(({ id }) => id)).size).toBe(40);
  expect(new Set(genericCloths.map(({ name }) => name)).size).toBe(40);
});

test.each(genericCloths)('$name is plausible', (cloth) => {
  // No kind is more than two and a half times as dense, or as airy, as its construction.
  const density = cloth.weightGsm / cloth.thicknessMm / densityKgPerM3[cloth.construction];
  expect(density).toBeGreaterThan(0.4);
  expect(density).toBeLessThan(2.5);
  if (cloth.construction === 'knit') expect(cloth.stretchPercent).toBeGreaterThanOrEqual(20);
  if (cloth.construction === 'knit') expect(cloth.fray).toBe(0);
});

describe('a cloth that is like a kind', () => {
  const jersey = genericCloth('jersey')!;
  test('has all its properties, and says that none was measured', () => {
    const cloth = clothFromDescription({ like: 'jersey', tests: { construction: 'knit' } });
    expect(cloth).toMatchObject({
      weightGsm: jersey.weightGsm,
      thicknessMm: jersey.thicknessMm,
      stretchPercent: jersey.stretchPercent,
      curl: 3,
    });
    expect([...cloth.estimated].sort()).toEqual([
      'curl',
      'fray',
      'recoveryPercent',
      'slip',
      'stretchPercent',
      'thicknessMm',
      'weightGsm',
    ]);
  });
  test('weighed, it keeps the density of its kind', () => {
    const tests = { construction: 'knit', sampleGrams: 3.4, sampleSideMm: 100 } as const;
    const cloth = clothFromDescription({ like: 'jersey', tests });
    expect(cloth.weightGsm).toBeCloseTo(340, 9);
    expect(cloth.thicknessMm).toBeCloseTo(2 * jersey.thicknessMm, 9);
    expect(cloth.estimated).not.toContain('weightGsm');
  });
  test('stacked, its weight follows from its kind', () => {
    const tests = { construction: 'knit', stackHeightMm: 8, stackLayers: 8 } as const;
    const cloth = clothFromDescription({ like: 'jersey', tests });
    expect(cloth.thicknessMm).toBe(1);
    expect(cloth.weightGsm).toBeCloseTo(2 * jersey.weightGsm, 9);
  });
  test('what was tested wins, the rest stays as usual', () => {
    const tests = { construction: 'knit', restMm: 100, pulledMm: 150 } as const;
    const cloth = clothFromDescription({ like: 'jersey', tests });
    expect(cloth.stretchPercent).toBeCloseTo(50, 9);
    expect(cloth.estimated).not.toContain('stretchPercent');
    expect(cloth.recoveryPercent).toBe(jersey.recoveryPercent);
  });
  test('said to be made otherwise, it goes by how it is made', () => {
    const cloth = clothFromDescription({ like: 'jersey', tests: { construction: 'woven' } });
    expect(cloth.stretchPercent).toBe(2);
  });
});
