import fc from 'fast-check';
import { overlap, placeLabels, widthOf } from './place-labels';

const frame = { width: 390, height: 300 };
const words = fc.record({
  x: fc.integer({ min: 0, max: 390 }),
  y: fc.integer({ min: 0, max: 300 }),
  width: fc.integer({ min: 10, max: 120 }),
  height: fc.constantFrom(16, 18),
});
const boxes = fc.record({
  x: fc.integer({ min: 0, max: 380 }),
  y: fc.integer({ min: 0, max: 290 }),
  width: fc.integer({ min: 1, max: 100 }),
  height: fc.integer({ min: 1, max: 60 }),
});

test('no words lie on others, on what is taken, or beyond the frame', () => {
  fc.assert(
    fc.property(
      fc.array(words, { maxLength: 14 }),
      fc.array(boxes, { maxLength: 3 }),
      (all, taken) => {
        const placed = placeLabels(all, frame, taken).filter((box) => box !== null);
        for (const [i, box] of placed.entries()) {
          expect(box.x).toBeGreaterThanOrEqual(0);
          expect(box.y + box.height).toBeLessThanOrEqual(frame.height);
          expect(box.x + box.width).toBeLessThanOrEqual(frame.width);
          for (const other of [...placed.slice(i + 1), ...taken])
            expect(overlap(box, other)).toBe(false);
        }
      },
    ),
  );
});

test('a few in an open picture all find room, each near its place', () => {
  fc.assert(
    fc.property(fc.array(words, { minLength: 1, maxLength: 4 }), (all) => {
      const placed = placeLabels(all, frame);
      expect(placed).not.toContain(null);
      placed.forEach((box, i) => {
        const { x, y } = all[i]!;
        const away = Math.hypot(
          Math.max(box!.x - x, 0, x - box!.x - box!.width),
          Math.max(box!.y - y, 0, y - box!.y - box!.height),
        );
        expect(away).toBeLessThan(120);
      });
    }),
  );
});

test('where there is no room, words are left out and not laid on others', () => {
  const place = { x: 10, y: 10, width: 18, height: 16 };
  const placed = placeLabels([place, place, place], { width: 20, height: 40 });
  expect(placed.filter((box) => box !== null).length).toBeLessThan(3);
});

test('longer words are wider', () => {
  expect(widthOf('1022 mm', 14)).toBeGreaterThan(widthOf('mm', 14));
});
