import fc from 'fast-check';
import { gaugeOf, pageSizesMm, type PageSize } from './gauge';
import { mark } from './mark';

const pages = Object.keys(pageSizesMm) as PageSize[];
const turn = mark('turn', 'Turn', 8, 'press');
const hemline = mark('hemline', 'Hemline', 48, 'press');

test('a step for each mark, as high as the mark, on one base', () => {
  const { steps, tooLong } = gaugeOf([turn, hemline], 'a4');
  expect(steps.map(({ heightMm }) => heightMm)).toEqual([8, 48]);
  expect(steps[1]?.leftMm).toBe((steps[0]?.leftMm ?? 0) + (steps[0]?.widthMm ?? 0));
  expect(tooLong).toEqual([]);
});

test('what is higher than the page is measured from the mark before it, or with a tape', () => {
  const far = mark('far', 'Fold back', 240, 'temporary');
  const { steps } = gaugeOf([hemline, far], 'a4');
  expect(steps[1]).toMatchObject({ heightMm: 192, from: hemline });
  const { steps: none, tooLong } = gaugeOf([mark('m', 'Hemline', 600, 'press')], 'letter');
  expect([none.length, tooLong.length]).toEqual([0, 1]);
});

test('nothing leaves the page, whatever the hem', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...pages),
      fc.array(fc.double({ min: 0.5, max: 900, noNaN: true }), { maxLength: 8 }),
      (page, distances) => {
        const marks = distances
          .sort((a, b) => a - b)
          .map((atMm, i) => mark(`m${i}`, 'Mark', atMm, 'press'));
        const { steps, tooLong, baseYMm, pageMm, rulers } = gaugeOf(marks, page);
        expect(steps.length + tooLong.length).toBe(marks.length);
        for (const { leftMm, widthMm, heightMm } of steps) {
          expect(leftMm + widthMm).toBeLessThanOrEqual(pageMm[0] - 14.9);
          expect(baseYMm - heightMm).toBeGreaterThan(40);
        }
        for (const { xMm, lengthMm, yMm } of rulers) {
          expect(xMm + lengthMm).toBeLessThan(pageMm[0] - 10);
          expect(yMm).toBeLessThan(pageMm[1] - 10);
        }
      },
    ),
  );
});
