import { footKinds } from '../../core/kit/foot-kind';
import { guidances } from '../../core/kit/foot';
import { footParts, slotHalfMm, type DrawnFoot } from './foot-parts';

const foot: DrawnFoot = {
  kind: 'zigzag',
  channelMm: null,
  specs: { slotMm: [-4.5, 4], guidance: 'blade', guide: { atMm: -1 } },
  soleMm: { widthMm: 20, toeMm: 14, heelMm: 16 },
};

describe('a foot from above', () => {
  test.each(footKinds)('a %s is drawn from its numbers', (kind) => {
    const parts = footParts({ ...foot, kind, channelMm: 3 }, -1);
    const [sole] = parts;
    const ys = sole!.points.map(([, y]) => y);
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([-14, 16]);
    const slot = parts.find(({ look }) => look === 'hole');
    expect(slot?.points).toEqual([
      [-4.5, slotHalfMm],
      [4, slotHalfMm],
      [4, -slotHalfMm],
      [-4.5, -slotHalfMm],
    ]);
    for (const { points } of parts) {
      expect(points.flat().every(Number.isFinite)).toBe(true);
    }
  });

  test('every kind looks like itself', () => {
    const drawn = footKinds.map((kind) =>
      JSON.stringify(footParts({ ...foot, kind, channelMm: 3 }, -1)),
    );
    expect(new Set(drawn).size).toBe(footKinds.length);
  });

  test.each(guidances)('a guide by %s stands where it is set', (guidance) => {
    const xs = (guideMm: number) =>
      footParts({ ...foot, specs: { ...foot.specs, guidance } }, guideMm)
        .at(-1)!
        .points.map(([x]) => x);
    expect(Math.min(...xs(2)) - Math.min(...xs(-1))).toBeCloseTo(3, 9);
  });

  test('a scroll takes in 2.15 channels beyond the edge it makes', () => {
    const scroll = footParts({ ...foot, kind: 'hemmer', channelMm: 4 }, 0).find(
      ({ look }) => look === 'metal',
    );
    const xs = scroll!.points.map(([x]) => x);
    expect(Math.max(...xs)).toBeCloseTo(2 + 2.15 * 4, 9);
    expect(Math.min(...xs)).toBe(-2);
  });

  test('an attachment stands off the toe by what was measured', () => {
    const near = (standOffMm: number) =>
      Math.max(
        ...footParts(
          { ...foot, kind: 'binder-attachment', soleMm: { ...foot.soleMm, standOffMm } },
          0,
        )
          .filter(({ look, open }) => look === 'metal' && !open)
          .flatMap(({ points }) => points.map(([, y]) => y)),
      );
    expect(near(5)).toBeCloseTo(-19, 9);
    expect(near(9)).toBeCloseTo(-23, 9);
  });
});
