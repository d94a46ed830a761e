import fc from 'fast-check';
import { parseLength } from './parse-length';
import { lengthsFor } from './lengths';

const inches = lengthsFor({ unit: 'in', inchRounding: '1/16' });
const centimetres = lengthsFor({ unit: 'cm', inchRounding: '1/16' });
const millimetres = lengthsFor({ unit: 'mm', inchRounding: '1/8' });

describe('lengths as this person writes them', () => {
  test.each([
    [inches, 38.1, '1 1/2 in', '38.1 mm'],
    [inches, 16, '5/8 in', '16 mm'],
    [centimetres, 38.1, '3.81 cm', '1 1/2 in'],
    [millimetres, 38.1, '38.1 mm', '1 1/2 in'],
    [millimetres, 16, '16 mm', '5/8 in'],
  ])('on cloth, with the other system beside: %#', (lengths, mm, own, beside) => {
    expect(lengths.cloth(mm)).toBe(own);
    expect(lengths.beside(mm)).toBe(beside);
  });

  test('small lengths keep decimals in every unit, and a minus that is a minus', () => {
    expect(inches.fine(2.5)).toBe('0.098 in');
    expect(centimetres.fine(2.5)).toBe('0.25 cm');
    expect(millimetres.fine(-0.5)).toBe('−0.5 mm');
  });

  test('a dial shows the decimals of its step', () => {
    expect([3, 2.5, -1].map((mm) => millimetres.stepped(mm, 0.5))).toEqual(['3.0', '2.5', '−1.0']);
    expect(millimetres.stepped(-1.5, 0.25)).toBe('−1.50');
    expect(millimetres.stepped(-1, 0)).toBe('−1.0');
    expect(inches.stepped(2.5, 0.5)).toBe('0.098');
  });

  test('says what rounding did', () => {
    expect(inches.roundingErrorMm(16)).toBeCloseTo(-0.125, 6);
    expect(millimetres.roundingErrorMm(16)).toBe(0);
  });

  test('what can be edited can be read back as what it says', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(inches, centimetres, millimetres),
        fc.double({ min: 0, max: 900, noNaN: true }),
        (lengths, mm) => {
          const back = parseLength(lengths.editable(mm), lengths.unit);
          expect(back - mm).toBeCloseTo(lengths.roundingErrorMm(mm), 5);
          const fine = parseLength(lengths.fineNumber(mm), lengths.unit);
          expect(Math.abs(fine - mm)).toBeLessThan(0.03);
        },
      ),
    );
  });
});
