import { causeTable } from '../../core/diagnose/causes';
import { lengthsFor } from '../../core/measure/lengths';
import { moveInWords } from './moves';

const mm = lengthsFor({ unit: 'mm', inchRounding: '1/16' });
const inch = lengthsFor({ unit: 'in', inchRounding: '1/16' });

test('every move that a cause asks for has words of its own', () => {
  for (const { dial, direction } of Object.values(causeTable).flat()) {
    const { way } = moveInWords({ dial, direction, stepMm: null }, mm);
    expect([dial, direction, way]).not.toEqual([dial, direction, 'otherwise']);
  }
});

test('a step is told in the person’s unit', () => {
  const move = { dial: 'width', direction: 'more', stepMm: 0.5 } as const;
  expect(moveInWords(move, mm)).toEqual({ dial: 'Width', way: 'wider, by 0.5 mm' });
  expect(moveInWords(move, inch).way).toBe('wider, by 0.02 in');
});
