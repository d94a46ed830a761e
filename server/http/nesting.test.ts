import fc from 'fast-check';
import { isNestedDeeper, isWrittenDeeper } from './nesting';

test('what is written deep is nested deep, whatever brackets stand in its texts', () => {
  fc.assert(
    fc.property(fc.json({ maxDepth: 6 }), fc.integer({ min: 0, max: 7 }), (text, most) => {
      const value = JSON.parse(text) as unknown;
      expect(isWrittenDeeper(Buffer.from(text), most)).toBe(isNestedDeeper(value, most));
    }),
  );
});

test('a hundred thousand brackets are counted, not gone down into', () => {
  const deep = Buffer.from('['.repeat(100_000));
  expect(isWrittenDeeper(deep, 32)).toBe(true);
  expect(isWrittenDeeper(Buffer.from(`"${'['.repeat(99)}\\"[["`), 0)).toBe(false);
});
