import { eyeCases } from '../study/eye-cases';
import { drawnPhoto, type DrawnPhoto, type EyeCase } from '../study/drawn-photo';
import { evenDraws } from '../swatch/draw';
import { Impossible } from '../impossible';
import { byColour, isPlain, tried, type Tried } from './by-colour';
import { filters, standsOutBy } from './filter';
import { pictureOf, type ColourImage, type ScaledImage } from './grey';
import { measureScrap } from './measure';
import { filtered, rectified } from './rectify';

type Colour = readonly [red: number, green: number, blue: number];

/** A window in colours: what the eye sees, drawn once through each of a camera’s filters. */
function inColours(cloth: Colour, thread: Colour) {
  const known = new Map<string, DrawnPhoto>();
  const seen = cloth.map((grey, i) => {
    const look = { ...kind.look, cloth: grey, thread: thread[i]! };
    const key = `${grey} ${thread[i]}`;
    const drawn = known.get(key) ?? drawnPhoto({ ...kind, look }, evenDraws(12));
    known.set(key, drawn);
    return drawn;
  });
  const { expected, truth, window } = seen[0]!;
  const { width, height, pxPerMm } = window;
  const bytes = new Uint8Array(3 * width * height);
  seen.forEach(({ window: { grey } }, channel) =>
    grey.forEach((value, i) => (bytes[3 * i + channel] = value)),
  );
  const picture = pictureOf({ width, height, bytes, perPixel: 3 });
  const grey = { ...picture, pxPerMm };
  const rect = { xMm: 0, yMm: 0, widthMm: width / pxPerMm, heightMm: height / pxPerMm };
  const measure = jest.fn((lit: ScaledImage, told?: (share: number) => boolean) =>
    measureScrap(grey, expected, told, lit),
  );
  const inGrey = tried(grey, false, () => measureScrap(grey, expected));
  const found = byColour(picture, inGrey, {
    flat: (shown, at) => rectified(shown, [pxPerMm, 0, 0, 0, pxPerMm, 0, 0, 0, 1], rect, at)!,
    ...{ measure, pxPerMm, onShare: () => true },
  });
  return { inGrey, found, truth, measure };
}

const kind: EyeCase = {
  ...eyeCases().find(({ name }) => name === 'blind hem, wrong side, plain, light thread, soft')!,
  pxPerMm: 10,
};
const green: Colour = [0.35, 0.5, 0.35];
// As light as the cloth by the eye’s own weights, and red.
const red: Colour = [0.75, 0.381, 0.35];

test('thread as light as its cloth is not told in greys, and counted by its colour', () => {
  const { inGrey, found, truth } = inColours(green, red);
  expect(inGrey).toBeInstanceOf(Impossible);
  const { measured, isByColour } = found as Tried;
  expect(isByColour).toBe(true);
  expect(isPlain(found)).toBe(true);
  const bites = measured.stitches.filter(({ counted }) => counted);
  expect(Math.abs(measured.counts!.n - truth.length)).toBeLessThanOrEqual(1);
  const errors = truth.map(({ atMm: [x, y], depthMm }) => {
    const near = bites.find(({ atMm }) => Math.hypot(atMm[0] - x, atMm[1] - y) < 1);
    return Math.abs((near?.depthMm ?? Infinity) - depthMm);
  });
  errors.sort((a, b) => a - b);
  expect(errors[errors.length >> 1]).toBeLessThan(0.1);
});

test('where no colour tells more than grey nothing else is tried, and the refusal stands', () => {
  const grey: Colour = [0.4, 0.4, 0.4];
  const { inGrey, found, measure } = inColours(grey, grey);
  expect(inGrey).toBeInstanceOf(Impossible);
  expect(found).toBe(inGrey);
  expect(measure).not.toHaveBeenCalled();
});

describe('a filter', () => {
  const picture: ColourImage = {
    ...{ width: 2, height: 1, perPixel: 4 },
    bytes: Uint8Array.from([200, 100, 50, 255, 0, 255, 255, 255]),
  };

  test('passes its colour, or the difference of two about a middle grey, and no more than there is', () => {
    const seen = filters.map((filter) => filtered(picture, filter)(0, 0));
    expect(seen).toEqual([200, 100, 50, 228, 28]);
    expect(filtered(picture, filters[3]!)(1, 0)).toBe(0);
  });

  test('between two pixels it shows what lies between', () => {
    expect(filtered(picture, filters[0]!)(0.25, 0)).toBe(150);
  });
});

test('a thread stands out of a window by more than the window’s own grain', () => {
  const { window } = drawnPhoto({ ...kind, pxPerMm: 5 }, evenDraws(4));
  const bare = {
    ...window,
    grey: window.grey.map((_, at) => 120 + 20 * ((Math.sin(at) * 9e4) % 1)),
  };
  expect(standsOutBy(window)).toBeGreaterThan(1.3 * standsOutBy(bare));
});
