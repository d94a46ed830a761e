import { genericFeet } from '../../core/kit/generic-feet';
import { foldsStrip, footMeasures, hasScroll, type FootMeasure } from './foot-measures';
import { footParts } from './foot-parts';

const guideOf = ({ specs }: (typeof genericFeet)[number]) =>
  'atMm' in specs.guide ? specs.guide.atMm : specs.guide.rangeMm[0];
const long = ({ from, to }: FootMeasure) => Math.hypot(to[0] - from[0], to[1] - from[1]);

describe.each(genericFeet)('$name', (foot) => {
  const measures = footMeasures(foot, guideOf(foot));
  const of = (name: string) => measures.find((measure) => measure.name === name);

  test('each letter once, from A on', () => {
    const letters = measures.map(({ letter }) => letter).join('');
    expect('ABCDEFGHIJ'.startsWith(letters)).toBe(true);
  });

  test('each line is as long as what it measures', () => {
    const { slotMm, besideMm } = foot.specs;
    const [opening, ends] = slotMm ? ['slot', slotMm] : ['foot', besideMm ?? [0, 0]];
    expect(long(of(`${opening}, left end`)!)).toBeCloseTo(Math.abs(ends[0]), 9);
    expect(long(of(`${opening}, right end`)!)).toBeCloseTo(Math.abs(ends[1]), 9);
    expect(long(of('guide')!)).toBeCloseTo(Math.abs(guideOf(foot)), 9);
    expect(long(of('sole width')!)).toBeCloseTo(foot.soleMm.widthMm, 9);
    expect(long(of('needle to toe')!)).toBeCloseTo(foot.soleMm.toeMm, 9);
    expect(long(of('needle to heel')!)).toBeCloseTo(foot.soleMm.heelMm, 9);
  });

  test('a scroll has its size, a mouth its width, and nothing else has either', () => {
    const scroll = of('channel') ?? of('width it folds');
    expect(Boolean(scroll)).toBe(hasScroll(foot));
    if (scroll) expect(long(scroll)).toBeCloseTo(foot.channelMm!, 9);
    expect(Boolean(of('mouth'))).toBe(foldsStrip(foot));
    if (!foldsStrip(foot)) return;
    expect(long(of('mouth')!)).toBeCloseTo(foot.mouthMm!, 9);
    // The drawn funnel opens as wide as that, and right behind the line.
    const funnel = footParts(foot, guideOf(foot)).find(
      ({ look, open }) => look === 'metal' && !open,
    )!;
    const xs = funnel.points.map(([x]) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(foot.mouthMm!, 9);
    const front = Math.min(...funnel.points.map(([, y]) => y));
    expect(of('mouth')!.from[1]).toBeLessThan(front);
  });
});
