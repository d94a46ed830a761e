import { cleanup } from '@testing-library/react';
import { plateausOf } from '../../core/fold/layer';
import { sectionOf } from '../../core/fold/section';
import { everyVariant, foldsOf, startingWish } from '../../core/finish/wishes.fixture';
import { cornersOf, drawn, numberOf } from '../testing/drawn';
import { AllowanceStrip } from './allowance-strip';
import { SectionPicture } from './section-picture';

const variants = everyVariant.map(([name, finish, variant]) => ({
  name,
  folds: foldsOf(finish, startingWish(finish, variant)),
}));
const stages = variants.flatMap(({ name, folds }) =>
  folds.stages.map((stage) => ({ name: `${name}, ${stage.id}`, stage, folds })),
);

afterEach(cleanup);

/** Every way over a picture, its own mm first, is so many px a mm; how far the worst is off. */
function farthestOff(
  places: readonly (readonly [mm: number, px: number])[],
  pxPerMm: number,
): number {
  const [first, ...others] = places;
  return Math.max(
    0,
    ...others.map(([mm, px]) => Math.abs(px - first![1] - (mm - first![0]) * pxPerMm)),
  );
}

describe('a section', () => {
  test.each(stages)('is drawn to one scale, up as along: $name', ({ stage, folds }) => {
    const picture = drawn(<SectionPicture stage={stage} marks={folds.marks} exaggeration={1} />);
    expect(picture.named()).toBe('Section through the hem, to scale');
    const { legs, heightMm, widthMm } = sectionOf(stage.stack, 1);
    // Each leg is drawn twice: its outline, and its cloth.
    const lines = picture.all('g > path[stroke="var(--cloth-line)"]');
    expect(lines).toHaveLength(legs.length);
    const at = legs.map((leg, i) => ({
      leg,
      line: lines[i]!,
      corners: cornersOf(lines[i]!.getAttribute('d')!),
    }));
    const along = at.flatMap(({ leg, corners }) =>
      leg.centreLine.map(({ xMm }, i) => [xMm, corners[i]![0]] as const),
    );
    const up = at.flatMap(({ leg, corners }) =>
      leg.centreLine.map(({ zMm }, i) => [zMm, -corners[i]![1]] as const),
    );
    const widest = along.reduce((a, b) => (b[0] > a[0] ? b : a));
    const narrowest = along.reduce((a, b) => (b[0] < a[0] ? b : a));
    const pxPerMm = (widest[1] - narrowest[1]) / (widest[0] - narrowest[0]);
    // Places are written to a hundredth of a pixel.
    expect(farthestOff(along, pxPerMm)).toBeLessThan(0.03);
    expect(farthestOff(up, pxPerMm)).toBeLessThan(0.03);
    for (const { leg, line } of at) {
      const outline = numberOf(line, 'stroke-width');
      expect(Math.abs(outline - 1.4 - leg.thicknessMm * pxPerMm)).toBeLessThan(0.05);
    }
    // All of it is in the picture.
    const xs = along.map(([, px]) => px);
    expect(Math.min(...xs)).toBeGreaterThan(0);
    expect(Math.max(...xs)).toBeLessThan(900);
    expect((widthMm[1] - widthMm[0]) * pxPerMm).toBeLessThanOrEqual(900);
    expect(heightMm * pxPerMm).toBeLessThanOrEqual(460);

    // Each needle stands where the stage is sewn.
    const needles = picture.all(
      'line[y1][stroke-width="2"], g[stroke="var(--color-madder)"] > line',
    );
    const placed = needles.map((needle) => numberOf(needle, 'x1')).filter((px) => px > 0);
    for (const mm of stage.stitchesXMm) {
      const px = narrowest[1] + (mm - narrowest[0]) * pxPerMm;
      expect(Math.min(...placed.map((other) => Math.abs(other - px)))).toBeLessThan(0.05);
    }

    // What is said of the layers is what lies there.
    const told = picture.rows().filter(([name]) => / wide$/.test(name ?? ''));
    expect(told.map(([, words]) => words!.split(' ')[0])).toEqual(
      plateausOf(stage.stack).map(({ layers }) => String(layers)),
    );
  });

  test('thicker as drawn, the legs stay as thick to one another', () => {
    const { stage, folds } = stages.find(({ stage }) => stage.id === 'stitch')!;
    const widths = [1, 3].map((exaggeration) => {
      const { all } = drawn(
        <SectionPicture {...{ stage, exaggeration }} marks={folds.marks} small />,
      );
      const lines = all('path[stroke="var(--cloth-line)"]');
      cleanup();
      return lines.map((line) => numberOf(line, 'stroke-width') - 1.4);
    });
    const [plain, thick] = widths as [number[], number[]];
    const times = thick.map((width, i) => width / plain[i]!);
    expect(times[0]).toBeGreaterThan(1.5);
    for (const one of times) expect(one).toBeCloseTo(times[0]!, 6);
  });

  test('a small one has no words, and tells a screen reader nothing', () => {
    const { stage, folds } = stages[0]!;
    const picture = drawn(
      <SectionPicture {...{ stage }} marks={folds.marks} exaggeration={1} small />,
    );
    expect(picture.words()).toEqual([]);
    expect(picture.rows()).toEqual([]);
    expect(picture.all('svg[aria-hidden=true]')).toHaveLength(1);
  });
});

describe('flat cloth with its marks', () => {
  test.each(variants)('every line lies to scale, and is named: $name', ({ folds }) => {
    const picture = drawn(<AllowanceStrip folds={folds} />);
    expect(picture.named()).toBe('Flat cloth with its marks, to scale');
    const names = picture.all('text[font-weight="700"]').map(({ textContent }) => textContent);
    for (const { name } of folds.marks) expect(names).toContain(name);
    const lines = picture
      .all('line[stroke-width="2"], line[stroke-width="2.6"]')
      .filter(
        (line) => line.getAttribute('x1') === line.getAttribute('x2') && !line.closest('pattern'),
      );
    const xs = lines.map((line) => numberOf(line, 'x1'));
    // From the raw edge inwards, each after the one before.
    expect(xs).toEqual(xs.toSorted((a, b) => a - b));
    // The ruler says the scale: its ticks stand a step apart.
    const ruler = picture.all('svg > g:last-of-type line').map((line) => numberOf(line, 'x1'));
    const [start, first] = [ruler[1]!, ruler[2]!];
    const texts = picture.all('svg > g:last-of-type text').map(({ textContent }) => textContent);
    const pxPerMm = (first - start) / parseFloat(texts[1]!);
    const fromRaw = folds.marks.filter(({ from }) => from === 'raw-edge');
    for (const { atMm } of fromRaw) {
      const px = start + atMm * pxPerMm;
      expect(Math.min(...xs.map((x) => Math.abs(x - px)))).toBeLessThan(0.5);
    }
  });
});
