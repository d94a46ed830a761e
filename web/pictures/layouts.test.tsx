import { cleanup, fireEvent, waitFor } from '@testing-library/react';
import fc from 'fast-check';
import type { EdgeRecord } from '../../contract/records';
import { genericFeet } from '../../core/kit/generic-feet';
import type { OnCloth, StripPiece } from '../../core/strip/piece';
import { drawn, numberOf } from '../testing/drawn';
import { BoundRectangle } from './bound-rectangle';
import { CuttingPlan } from './cutting-plan';
import { EdgePlan } from './edge-plan';
import { FootOutline } from './foot-outline';
import { footMeasures } from './foot-measures';
import { OrderStrip, type StripItem } from './order-strip';
import { ScrapPicture, type Ringed } from './scrap-picture';

afterEach(cleanup);

const few = { numRuns: 20 };
const pointsOf = (polygon: Element) =>
  polygon
    .getAttribute('points')!
    .split(' ')
    .map((pair) => pair.split(',').map(Number) as [number, number]);

describe('strips on the cloth that is left', () => {
  const mm = (min: number, max: number) => fc.integer({ min, max });
  const piece = fc.record({ x: mm(0, 400), y: mm(0, 300), width: mm(20, 60), length: mm(80, 300) });

  test('lie as they will be cut, to one scale, with what is cut numbered', () => {
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 5 }),
        mm(1, 5),
        mm(700, 1500),
        mm(600, 1500),
        (all, cutting, wide, high) => {
          const pieces = all.map(({ x, y, width, length }): StripPiece => {
            const corners = [
              ...[[x, y] as const, [x + length, y] as const],
              ...[[x + length, y + width] as const, [x, y + width] as const],
            ] as unknown as StripPiece['corners'];
            const middle = y + width / 2;
            return {
              lengthMm: length,
              corners,
              fromMm: [
                [x, middle],
                [x + length, middle],
              ],
            };
          });
          const cut = Math.min(cutting, pieces.length);
          const picture = drawn(
            <CuttingPlan clothMm={[wide, high]} pieces={pieces} cutting={cut} />,
          );
          const cloth = picture.all('rect')[0]!;
          const pxPerMm = numberOf(cloth, 'width') / wide;
          expect(numberOf(cloth, 'height')).toBeCloseTo(high * pxPerMm, 6);
          const [left, base] = [
            numberOf(cloth, 'x'),
            numberOf(cloth, 'y') + numberOf(cloth, 'height'),
          ];
          const polygons = picture.all('polygon');
          pieces.forEach(({ corners }, i) => {
            const px = pointsOf(polygons[i]!);
            corners.forEach(([x, y]: OnCloth, corner) => {
              expect(px[corner]![0]).toBeCloseTo(left + x * pxPerMm, 6);
              expect(px[corner]![1]).toBeCloseTo(base - y * pxPerMm, 6);
            });
          });
          const numbers = picture.all('[data-part=piece] text').map((it) => it.textContent);
          expect(numbers).toEqual(Array.from({ length: cut }, (_, i) => String(i + 1)));
          expect(picture.all('[data-part=spare]')).toHaveLength(pieces.length - cut);
          cleanup();
        },
      ),
      few,
    );
  });

  test('a line shows what is cut off, where something is left', () => {
    const plan = (takenMm: number | null) =>
      drawn(<CuttingPlan clothMm={[1000, 800]} pieces={[]} cutting={0} takenMm={takenMm} />);
    expect(plan(null).all('[data-part=cut-off]')).toHaveLength(0);
    cleanup();
    expect(plan(800).all('[data-part=cut-off]')).toHaveLength(0);
    cleanup();
    const picture = plan(200);
    const [cloth, line] = [picture.all('rect')[0]!, picture.all('[data-part=cut-off]')[0]!];
    const y = Number(/,(\d+(\.\d+)?) H/.exec(line.getAttribute('d')!)![1]);
    const [top, high] = [numberOf(cloth, 'y'), numberOf(cloth, 'height')];
    expect((top + high - y) / high).toBeCloseTo(200 / 800, 6);
  });
});

test('what is bound and what a package reaches round are drawn to one scale', () => {
  for (const [sides, largest] of [
    [
      [1000, 750],
      [1300, 975],
    ],
    [
      [1800, 1350],
      [900, 675],
    ],
  ] as const) {
    const { all, named } = drawn(<BoundRectangle sides={sides} largest={largest} />);
    const [own, , most] = all('rect').map((rect) => numberOf(rect, 'width'));
    expect(own! / most!).toBeCloseTo(sides[0] / largest[0], 6);
    // Enough is told from too little by more than its colour.
    expect(all('rect.stroke-moss')).toHaveLength(largest[0] >= sides[0] ? 1 : 0);
    expect(named()).toMatch(/the largest that one package binds/);
    cleanup();
  }
});

describe('an edge from above', () => {
  const edge = (more: Partial<EdgeRecord>) =>
    ({ lengthMm: 1000, shape: 'straight', minRadiusMm: null, ...more }) as EdgeRecord;
  const heights = (fills: readonly string[], all: (selector: string) => Element[]) =>
    fills.map((fill) => numberOf(all(`rect[fill="${fill}"]`)[1]!, 'height'));

  test('nearer, hem and allowance are as deep as each other says', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 90 }),
        fc.integer({ min: 1, max: 60 }),
        (depthMm, allowanceMm) => {
          const { all } = drawn(<EdgePlan edge={edge({})} {...{ depthMm, allowanceMm }} />);
          const [hem, allowance] = heights(['var(--cloth-3)', 'var(--cloth-1)'], all);
          expect(hem! / allowance!).toBeCloseTo(depthMm / allowanceMm, 6);
          cleanup();
        },
      ),
      few,
    );
  });

  test('what is cut off is hatched and said', () => {
    const { container, all } = drawn(<EdgePlan edge={edge({})} depthMm={0} allowanceMm={-6} />);
    expect(container.textContent).toMatch(/6 mm out, cut off/);
    expect(container.textContent).not.toMatch(/depth/);
    expect(all('rect[fill^="url("]').length).toBeGreaterThan(0);
  });

  test('a closed edge is one seam, and the tightest curve is drawn by its radius', () => {
    const { container, words } = drawn(
      <EdgePlan
        edge={edge({ shape: 'tube', minRadiusMm: 180 })}
        {...{ depthMm: 20, allowanceMm: 28 }}
      />,
    );
    expect(words()).toContain('its tightest curve, radius 180 mm');
    expect(container.textContent).toMatch(/1000 mm round; both ends are one seam/);
  });
});

describe.each(genericFeet)('$name from above', (foot) => {
  test('every measure is as long as its number, to one scale', () => {
    const guideMm =
      'atMm' in foot.specs.guide ? foot.specs.guide.atMm : foot.specs.guide.rangeMm[0];
    const measures = footMeasures(foot, guideMm);
    const { all } = drawn(<FootOutline foot={foot} lit="A" />);
    const lines = all('g > path[stroke="var(--color-pencil)"]').map((path) => {
      const [, x1, y1, x2, y2] =
        /M(-?[\d.]+),(-?[\d.]+) L(-?[\d.]+),(-?[\d.]+)/.exec(path.getAttribute('d')!) ?? [];
      return Math.hypot(Number(x2) - Number(x1), Number(y2) - Number(y1));
    });
    expect(lines).toHaveLength(measures.length);
    const long = measures.map(({ from, to }) => Math.hypot(to[0] - from[0], to[1] - from[1]));
    const longest = long.indexOf(Math.max(...long));
    const pxPerMm = lines[longest]! / long[longest]!;
    lines.forEach((px, i) => expect(px).toBeCloseTo(long[i]! * pxPerMm, 6));
    // One alone is lit: the one whose field has the focus.
    expect(all('path[stroke="var(--color-pencil)"][stroke-width="4"]')).toHaveLength(1);
  });
});

describe('work in its order', () => {
  const item = fc.record({
    lane: fc.integer({ min: 0, max: 2 }),
    minutes: fc.integer({ min: 1, max: 60 }),
    changeMinutes: fc.integer({ min: 0, max: 10 }),
    done: fc.boolean(),
  });

  test('every piece is as wide as it takes long, and begins when the one before is done', () => {
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 12 }), (work) => {
        const items = work.map((it, i): StripItem => ({ ...it, id: `${i}`, title: `step ${i}` }));
        const picture = drawn(
          <OrderStrip
            lanes={['table', 'machine', 'board']}
            {...{ items, looked: null, nextId: null, onPick: () => undefined }}
          />,
        );
        const total = items.reduce((sum, it) => sum + it.minutes + it.changeMinutes, 0);
        const pxPerMinute = (900 - 150 - 12) / total;
        let at = 0;
        picture.all('g.cursor-pointer').forEach((group, i) => {
          const { minutes, changeMinutes } = items[i]!;
          const rects = [...group.querySelectorAll('rect')];
          const block = rects.at(-1)!;
          expect(rects).toHaveLength(changeMinutes > 0 ? 2 : 1);
          expect(numberOf(block, 'x')).toBeCloseTo(150 + (at + changeMinutes) * pxPerMinute, 6);
          // Half a pixel is left between two of them.
          expect(numberOf(block, 'width')).toBeCloseTo(
            Math.max(1.5, minutes * pxPerMinute - 0.5),
            6,
          );
          at += minutes + changeMinutes;
        });
        expect(picture.named()).toBe(
          `${items.length} steps in 3 places, ${total} minutes with all changes`,
        );
        cleanup();
      }),
      few,
    );
  });

  test('what is clicked is picked', () => {
    const onPick = jest.fn();
    const items = ['cut', 'sew'].map((id, lane): StripItem => ({
      id,
      lane,
      minutes: 9,
      changeMinutes: 0,
      done: false,
      title: id,
    }));
    const { all } = drawn(
      <OrderStrip lanes={['table', 'machine']} {...{ items, onPick }} looked={null} nextId="cut" />,
    );
    fireEvent.click(all('g.cursor-pointer')[1]!);
    expect(onPick).toHaveBeenCalledWith('sew');
  });
});

describe('a scrap’s photo with its finds', () => {
  const photo = {
    ...{ width: 1000, height: 600, pxPerMm: 10 },
    picture: new Blob(['the cloth'], { type: 'image/jpeg' }),
  };
  const find = (id: number, xMm: number, yMm: number, more: Partial<Ringed> = {}): Ringed => ({
    ...{ id, atMm: [xMm, yMm], judged: 'sound', doubtful: false },
    ...more,
  });
  /** Those that are held; jsdom knows of none. */
  const addresses = new Set<string>();
  beforeEach(() => {
    addresses.clear();
    URL.createObjectURL = () => {
      const address = `blob:${addresses.size + 1}`;
      addresses.add(address);
      return address;
    };
    URL.revokeObjectURL = (address) => void addresses.delete(address);
  });
  function shown(ringed: readonly Ringed[], chosen: number | null = null) {
    const calls = { onChoose: jest.fn(), onPlace: jest.fn(), onKey: jest.fn() };
    const picture = drawn(
      <ScrapPicture
        {...{ ringed, chosen }}
        {...calls}
        window={photo}
        reference={null}
        label="Finds"
      />,
      1000,
      220,
    );
    return { ...calls, ...picture };
  }

  test('each is ringed where it lies, by its shape what it is, and dashed where it is doubtful', () => {
    const { all } = shown([
      find(1, 20, 30),
      find(2, 30, 31, { judged: 'short', doubtful: true }),
      find(3, 40, 30, { judged: 'over' }),
      find(4, 50, 30, { judged: 'struck' }),
    ]);
    const groups = all('g[data-find]');
    expect(groups.map((it) => it.getAttribute('transform'))).toContain('translate(30 31)');
    const shapes = groups.map((it) => it.querySelector('path')!.getAttribute('d'));
    expect(new Set(shapes).size).toBe(4);
    const dashed = groups.map((it) => it.querySelector('path')!.hasAttribute('stroke-dasharray'));
    expect(dashed).toEqual([false, true, false, false]);
  });

  test('only the part with something in it is shown, and all of it where nothing was found', () => {
    const box = (it: ReturnType<typeof shown>) =>
      it.all('svg')[0]!.getAttribute('viewBox')!.split(' ').map(Number);
    expect(box(shown([]))).toEqual([0, 0, 100, 60]);
    cleanup();
    expect(box(shown([find(1, 20, 30), find(2, 40, 34)]))).toEqual([0, 19, 100, 26]);
  });

  test('the cloth lies under all of it at its own size, and its address is given back', async () => {
    const { all } = shown([find(1, 20, 30)]);
    const cloth = all('svg > *')[0]!;
    expect(cloth.tagName).toBe('image');
    expect(cloth.getAttribute('width')).toBe('100');
    expect(cloth.getAttribute('height')).toBe('60');
    await waitFor(() => expect([...addresses]).toEqual([cloth.getAttribute('href')]));
    cleanup();
    expect(addresses.size).toBe(0);
  });

  test('a click near a find is meant for it; anywhere else it is a place, in millimetres', () => {
    const { all, onChoose, onPlace } = shown([find(1, 20, 30), find(2, 40, 30)]);
    // 22 mm of cloth are shown in 220 px, from 19 mm down.
    fireEvent.click(all('svg')[0]!, { clientX: 412, clientY: 110 });
    expect(onChoose).toHaveBeenCalledWith(2);
    fireEvent.click(all('svg')[0]!, { clientX: 700, clientY: 50 });
    expect(onPlace).toHaveBeenCalledTimes(1);
    const [[at]] = onPlace.mock.calls as [[[number, number]]];
    expect(at[0]).toBeCloseTo(70, 6);
    expect(at[1]).toBeCloseTo(24, 6);
    expect(onChoose).toHaveBeenCalledTimes(1);
  });

  test('rings of stitches that lie close are smaller, and never so small that they are lost', () => {
    const size = (apartMm: number) => {
      const { all } = shown(Array.from({ length: 6 }, (_, i) => find(i, 20 + i * apartMm, 30)));
      const text = all('g[data-find] path')[0]!.getAttribute('transform')!;
      cleanup();
      return Number(/scale\((.*)\)/.exec(text)![1]);
    };
    expect(size(8)).toBe(1);
    expect(size(2.5)).toBeCloseTo(2.5 / 5.2, 6);
    // A full ring is 4.6 mm wide: no two lie on each other.
    for (const apartMm of [2.5, 3.9, 5.1]) expect(4.6 * size(apartMm)).toBeLessThan(apartMm);
    expect(size(0.5)).toBe(0.45);
  });

  test('the one that is chosen is ringed again, and lies on top of those beside it', () => {
    const { all } = shown([find(1, 20, 30), find(2, 40, 30)], 1);
    const drawn = all('g[data-find], circle[data-chosen]').map((it) => it.tagName);
    expect(drawn).toEqual(['g', 'g', 'circle', 'circle']);
    expect(all('circle[data-chosen]')[0]!.getAttribute('cx')).toBe('20');
  });
});
