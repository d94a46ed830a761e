import fc from 'fast-check';
import { edgeIssues, joinIssues } from './edge-issues';
import { deepestEasedMm, flareOf, mostEasedShare } from './flare';
import { forPurpose } from './for-purpose';
import { purposes } from './purpose';
import { edgeShapes, isClosed, usuallyJoined } from './shape';
import { oldHemSewings } from './state';

const hem = { purpose: 'hem', oldHem: null, lengthMm: 420, depthMm: null } as const;
const oldHem = { depthMm: 13, sewn: 'topstitched', keepLook: true } as const;

describe('what contradicts what an edge is for', () => {
  test('a hem has its depth and its old hem', () => {
    expect(edgeIssues({ ...hem, oldHem, depthMm: 40 })).toEqual([]);
  });

  test.each(['allowance', 'seam'] as const)('%s has neither', (purpose) => {
    const paths = edgeIssues({ ...hem, purpose, oldHem, depthMm: 40 }).map(({ path }) => path);
    expect(paths).toEqual(['depthMm', 'oldHem']);
  });

  test('an old hem is no deeper than the leg lies wide, and says how deep it can be', () => {
    expect(edgeIssues({ ...hem, oldHem: { ...oldHem, depthMm: 210 } })).toEqual([]);
    const [issue] = edgeIssues({ ...hem, oldHem: { ...oldHem, depthMm: 211 } });
    expect(issue).toMatchObject({
      path: 'oldHem.depthMm',
      message: expect.stringMatching(/210 mm/),
    });
  });

  test('a seam wants its second edge and its allowance; nothing else has one', () => {
    const alone = { secondEdge: null, seamAllowanceMm: null };
    expect(joinIssues({ purpose: 'seam' }, alone).map(({ path }) => path)).toEqual([
      'secondEdge',
      'seamAllowanceMm',
    ]);
    expect(joinIssues({ purpose: 'hem' }, alone)).toEqual([]);
    expect(joinIssues({ purpose: 'hem' }, { ...alone, secondEdge: 'back' })).toHaveLength(1);
  });

  test('turned to any purpose and on to any other, an edge never contradicts itself', () => {
    const parts = fc.record({
      purpose: fc.constantFrom(...purposes),
      oldHem: fc.option(
        fc.record({
          depthMm: fc.integer({ min: 3, max: 200 }),
          sewn: fc.constantFrom(...oldHemSewings),
          keepLook: fc.boolean(),
        }),
      ),
      depthMm: fc.option(fc.integer({ min: 1, max: 200 })),
      secondEdge: fc.constant(null),
      seamAllowanceMm: fc.constant(null),
    });
    const way = fc.array(fc.constantFrom(...purposes), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(parts, way, (edge, steps) => {
        const turned = steps.reduce(
          (now, purpose) => ({ ...now, ...forPurpose(now, purpose) }),
          edge as Parameters<typeof forPurpose>[0],
        );
        expect(edgeIssues({ ...turned, lengthMm: 900 })).toEqual([]);
        expect(joinIssues(turned, turned)).toEqual([]);
        expect(turned.purpose).toBe(steps.at(-1));
      }),
    );
  });
});

describe('how an edge lies', () => {
  test.each(edgeShapes)('%s goes by its shape until somebody says', (shape) => {
    const usual = usuallyJoined({ shape, turnDegrees: null });
    expect(isClosed({ shape, turnDegrees: null })).toBe(usual === 'round');
    expect(isClosed({ shape, turnDegrees: null, joined: 'flat' })).toBe(false);
    expect(isClosed({ shape, turnDegrees: null, joined: 'round' })).toBe(true);
  });
});

describe('the fullness of a turn', () => {
  const woven = { construction: 'woven' } as const;

  test('a narrow turn lies on its own bias and eases twice as far', () => {
    expect(mostEasedShare(6)).toBe(0.12);
    expect(mostEasedShare(6.5)).toBe(0.06);
    // (180 + 6) / (180 − 6) − 1 = 6.9 %: too much for a hem, not for a turn of 6.
    expect(flareOf(180, 6, woven).way).toBe('eased');
    expect(flareOf(180, 7, woven).way).toBe('too full');
    expect(flareOf(2400, 20, woven).way).toBe('pressed');
  });

  test('what is said to be the deepest is eased, and a little deeper is not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 5000 }), (radiusMm) => {
        const deepest = deepestEasedMm(radiusMm);
        expect(flareOf(radiusMm, deepest - 1e-6, woven).way).not.toBe('too full');
        expect(flareOf(radiusMm, deepest + 1e-3, woven).way).toBe('too full');
      }),
    );
  });
});
