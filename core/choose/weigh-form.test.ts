import { finishById } from '../finish/catalogue';
import { weighCorners, weighTaper } from './weigh-form';

const nature = (id: string, variant: string) => finishById(id)!.nature(variant);
const turned = nature('single-hem', 'serged');
const woven = { construction: 'woven' } as const;
const leg = { rawFlatMm: 170, landingFlatMm: 190, seams: 2, insideAllowanceMm: 15 };
const taper = { kind: 'taper', ...leg } as const;
const points = (it: ReturnType<typeof weighTaper>) =>
  it.contributions.reduce((sum, one) => sum + one.points, 0);

test('a taper costs where it is turned deeper than presses away, and more where the seams give too little', () => {
  const at = (form: object, depth: number, of = turned) =>
    points(
      weighTaper(
        { form: { ...taper, ...form }, depthMm: 40 },
        of,
        { finishedDepthMm: depth },
        woven,
      ),
    );
  expect(at({}, 40)).toBe(-4);
  expect(at({}, 5)).toBe(0);
  expect(at({ insideAllowanceMm: 8 }, 40)).toBe(-10);
  expect(at({ rawFlatMm: 195 }, 40)).toBe(0);
  expect(at({}, 40, nature('bound', 'double-fold'))).toBe(0);
});

test('of legs that differ the one that lacks more is told, whichever it is', () => {
  const of = (form: object) =>
    weighTaper(
      { form: { ...taper, ...form }, depthMm: 40 },
      turned,
      { finishedDepthMm: 40 },
      woven,
    );
  const right = of({ rawFlatMm: 190, right: { rawFlatMm: 160, landingFlatMm: 190 } });
  expect(right.contributions[0]?.fact.values).toMatchObject({ missingMm: 30 });
  const left = of({ right: { rawFlatMm: 190, landingFlatMm: 190 } });
  expect(left.contributions[0]?.fact.values).toMatchObject({ missingMm: 20 });
});

test('corners that are to be mitred cost a scroll most, a wrapped edge less, and a strip nothing', () => {
  const side = { lengthMm: 420, angleDegrees: 90, mitred: true };
  const form = { kind: 'cornered', sides: [side, side, side, side] } as const;
  const at = (id: string, variant: string) => points(weighCorners({ form }, nature(id, variant)));
  expect(at('rolled-hem', 'straight')).toBe(-12);
  expect(at('serged', 'three-narrow')).toBe(-6);
  expect(at('double-hem', 'equal')).toBe(0);
  expect(at('bound', 'double-fold')).toBe(0);
  const square = { ...form, sides: form.sides.map((one) => ({ ...one, mitred: false })) };
  expect(points(weighCorners({ form: square }, nature('rolled-hem', 'straight')))).toBe(0);
});
