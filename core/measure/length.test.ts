import fc from 'fast-check';
import { formatDecimal, formatLength, roundings, type Rounding } from './format-length';
import { parseLength } from './parse-length';
import { lengthUnits, mmPer } from './unit';

describe('reading lengths', () => {
  test.each([
    ['5/8', 'in', 15.875],
    ['5/8"', 'mm', 15.875],
    ['1 1/2', 'in', 38.1],
    ['1-1/2 in', 'mm', 38.1],
    ['1½', 'in', 38.1],
    ['½ in', 'cm', 12.7],
    ['0.625 in', 'mm', 15.875],
    ['16mm', 'in', 16],
    ['1.6 cm', 'in', 16],
    ['1,6 cm', 'in', 16],
    ['.5', 'cm', 5],
    ['40', 'mm', 40],
    ['scant 1/4', 'in', 6.35 - 0.79375],
    ['generous 1/4"', 'in', 6.35 + 0.79375],
    ['Scant ¼ inch', 'mm', 6.35 - 0.79375],
    ['  2  3 / 4  inches ', 'mm', 69.85],
    ['−0.5', 'mm', -0.5],
    ['3⁄8″', 'mm', 9.525],
    ['2 in.', 'mm', 50.8],
    ['4.4 m', 'in', 4400],
    ['2 yd', 'mm', 1828.8],
    ['2 1/2 yd', 'mm', 2286],
    ['1 yd 9 in', 'mm', 1143],
    ['5 ft 6 in', 'mm', 1676.4],
    ['5 ft 6', 'mm', 1676.4],
    [`5'6"`, 'mm', 1676.4],
    ['5′ 6 1/2″', 'mm', 1689.1],
    ['5 ft', 'in', 1524],
    ['3 yards', 'cm', 2743.2],
    ['1 yard 1 foot 1 inch', 'mm', 1244.6],
    ['2 metres 5 cm', 'in', 2050],
    ['1,5 m', 'in', 1500],
    ['scant 2 yd', 'mm', 1828.8 - 0.79375],
    ['1 yd. 9 in.', 'mm', 1143],
  ] as const)('%s in %s', (text, unit, mm) => {
    expect(parseLength(text, unit)).toBeCloseTo(mm, 9);
  });

  test.each([
    '',
    '  ',
    'wide',
    '1/0',
    '1 5/4 in',
    '5 fathoms',
    '5 6',
    '9 in 1 yd',
    '1 m 3 in',
    '1 m 2 m',
    '3 yd 4',
    '1.2.3',
    '5 ft -6 in',
    '1..2',
    '1/2/3',
    '--3',
    '3 mm mm',
    '1e5',
  ])('%j is refused with an example', (text) => {
    expect(() => parseLength(text, 'in', 'depth')).toThrow(
      expect.objectContaining({
        issues: [{ path: 'depth', message: expect.stringContaining('for example 5/8"') }],
      }),
    );
  });

  test('the refusal quotes what was typed', () => {
    expect(() => parseLength('five eighths', 'in')).toThrow('“five eighths”');
  });

  test('any text either reads as a finite number or is refused in words', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), fc.constantFrom(...lengthUnits), (text, unit) => {
        let mm = 0;
        try {
          mm = parseLength(text, unit);
        } catch (error) {
          expect((error as Error).name).toBe('Impossible');
        }
        expect(Number.isFinite(mm)).toBe(true);
      }),
    );
  });
});

describe('writing lengths', () => {
  test.each([
    [38.1, '1/16', '1 1/2', 0],
    [15.875, '1/8', '5/8', 0],
    [16, '1/16', '5/8', -0.125],
    [25.3, '1/8', '1', 0.1],
    [0.2, '1/32', '0', -0.2],
    [-9.525, '1/8', '-3/8', 0],
    [38.1, '0.5', '38', -0.1],
    [38.4, '1', '38', -0.4],
  ] as const)('%d mm to %s', (mm, rounding, text, errorMm) => {
    const formatted = formatLength(mm, rounding);
    expect(formatted.text).toBe(text);
    expect(formatted.roundingErrorMm).toBeCloseTo(errorMm, 6);
  });

  const halfStepMm: Record<Rounding, number> = {
    '1/8': 25.4 / 16,
    '1/16': 25.4 / 32,
    '1/32': 25.4 / 64,
    '0.5': 0.25,
    '1': 0.5,
  };

  test('what is written reads back to what it says, within the stated rounding', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3000, max: 3000, noNaN: true }),
        fc.constantFrom(...roundings),
        (mm, rounding) => {
          const { text, shownMm, roundingErrorMm } = formatLength(mm, rounding);
          const unit = rounding.includes('/') ? 'in' : 'mm';
          expect(parseLength(text, unit)).toBeCloseTo(shownMm, 5);
          expect(shownMm - mm).toBeCloseTo(roundingErrorMm, 5);
          expect(Math.abs(roundingErrorMm)).toBeLessThanOrEqual(halfStepMm[rounding] + 1e-5);
          // Reading and writing once more changes nothing.
          expect(formatLength(parseLength(text, unit), rounding).text).toBe(text);
        },
      ),
    );
  });

  test('decimals keep to their places in every unit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.constantFrom(...lengthUnits),
        fc.integer({ min: 0, max: 4 }),
        (mm, unit, places) => {
          const { text, shownMm } = formatDecimal(mm, unit, places);
          expect(text).toMatch(/^-?\d+(\.\d+)?$/);
          expect(Math.abs(shownMm - mm)).toBeLessThanOrEqual(
            (mmPer[unit] / 10 ** places) * 0.5001 + 1e-6,
          );
        },
      ),
    );
  });
});
