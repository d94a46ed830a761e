import { renderHook } from '@testing-library/react';
import fc from 'fast-check';
import { useSteadySpan } from './use-steady';

/** What is shown of one span after the other. */
function shownOf(spans: readonly (readonly [number, number])[], spareMm: number) {
  const { result, rerender, unmount } = renderHook(
    ({ span }: { span: readonly [number, number] }) => useSteadySpan(span, spareMm),
    { initialProps: { span: spans[0]! } },
  );
  const shown = spans.map((span) => {
    rerender({ span });
    return result.current;
  });
  unmount();
  return shown;
}

describe('a window that stands still', () => {
  it('stays while a dial goes to and fro', () => {
    const shown = shownOf(
      [
        [-3, 2],
        [-2, 2],
        [-3, 2],
        [-2, 2],
      ],
      2,
    );
    expect(new Set(shown).size).toBe(1);
  });

  it('grows at once, and closes in once there is much to spare', () => {
    const shown = shownOf(
      [
        [-2, 2],
        [-5, 2],
        [-3, 2],
        [-2, 2],
      ],
      2,
    );
    expect(shown.map(([from]) => from)).toEqual([-2, -5, -5, -2]);
  });

  it('always shows all, and little beside', () => {
    const span = fc
      .tuple(fc.integer({ min: -9, max: 0 }), fc.integer({ min: 1, max: 9 }))
      .map(([from, to]) => [from, to] as const);
    fc.assert(
      fc.property(fc.array(span, { minLength: 1, maxLength: 12 }), (spans) =>
        shownOf(spans, 2).every(([from, to], i) => {
          const [least, most] = spans[i]!;
          return from <= least && to >= most && to - from <= most - least + 2;
        }),
      ),
      { numRuns: 40, seed: 5 },
    );
  });
});
