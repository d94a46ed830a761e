import { eyeCases } from '../study/eye-cases';
import { drawnPhoto, type EyeCase } from '../study/drawn-photo';
import { eyeStudy } from '../study/eye-study';
import { evenDraws } from '../swatch/draw';
import { Impossible } from '../impossible';
import { measureScrap } from './measure';

/** A kind of photo, as coarse as it may be, so that it is drawn in a moment. */
function kind(name: string): EyeCase {
  const found = eyeCases().find((one) => one.name === name);
  if (!found) throw new Error(`no case ${name}`);
  return { ...found, pxPerMm: 10 };
}
const wrong = kind('blind hem, wrong side, checked, soft');
const right = kind('blind hem, right side, coarse weave, soft');
const line = kind('hem stitched along its fold, plain, dark thread, soft');

function refusalOf(work: () => unknown): string | undefined {
  try {
    work();
  } catch (error) {
    if (error instanceof Impossible) return error.issues[0]?.code;
    throw error;
  }
  return 'nothing was refused';
}

test('on the wrong side every bite is found, and how deep it goes to a tenth of a millimetre', () => {
  const seen = eyeStudy(wrong, 2, evenDraws(8));
  // Bites that end beside the bound may fall either way, and are then told as doubtful.
  expect(seen).toMatchObject({ refused: 0, surelyWrong: 0 });
  expect(seen.foundShare).toBeGreaterThan(0.97);
  expect(seen.falseFinds).toBeLessThanOrEqual(1);
  expect(seen.depthErrorMm.median).toBeLessThan(0.08);
  expect(seen.depthErrorMm.nineOfTen).toBeLessThan(0.15);
  expect(seen.lengthErrorMm).toBeLessThan(0.05);
});

test('a picture without any grain is no harder: its thread is not taken for noise', () => {
  const clean = { ...wrong, look: { ...wrong.look, weave: 0 }, noise: 0 };
  const seen = eyeStudy(clean, 1, evenDraws(3));
  expect(seen).toMatchObject({ refused: 0, surelyWrong: 0 });
  expect(seen.foundShare).toBeGreaterThan(0.97);
});

test('on the right side the bites that show are found, few as they are', () => {
  const seen = eyeStudy(right, 2, evenDraws(4));
  expect(seen.withinOneShare).toBe(1);
  expect(seen.foundShare).toBeGreaterThan(0.8);
  expect(seen.depthErrorMm.median).toBeLessThan(0.12);
});

test('of two lines beside each other the counted one is told, far from the fold as it is', () => {
  const seen = eyeStudy(kind('hem coverstitched, plain, light thread, soft'), 1, evenDraws(5));
  expect(seen).toMatchObject({ refused: 0, withinOneShare: 1, surelyWrong: 0, falseFinds: 0 });
  expect(seen.foundShare).toBe(1);
  expect(seen.depthErrorMm.nineOfTen).toBeLessThan(0.15);
});

test('a zigzag that lies clear of its edge has both its sides, and its distance from there', () => {
  const seen = eyeStudy(kind('hem zigzagged beside its edge, coarse weave, soft'), 1, evenDraws(5));
  expect(seen).toMatchObject({ refused: 0, withinOneShare: 1, surelyWrong: 0, falseFinds: 0 });
  expect(seen.foundShare).toBeGreaterThan(0.95);
  expect(seen.depthErrorMm.nineOfTen).toBeLessThan(0.15);
});

test('along a straight line every stitch has its distance from the fold, and no shadow is thread', () => {
  // Light and dark thread: a fold’s shadow looks like either.
  for (const it of [line, kind('hem stitched along its fold, plain, light thread, soft')]) {
    const seen = eyeStudy(it, 1, evenDraws(31));
    expect(seen).toMatchObject({ refused: 0, withinOneShare: 1, surelyWrong: 0 });
    expect(seen.foundShare).toBeGreaterThan(0.9);
    expect(seen.falseFinds).toBeLessThanOrEqual(1);
    expect(seen.depthErrorMm.median).toBeLessThan(0.1);
    expect(seen.depthErrorMm.nineOfTen).toBeLessThan(0.15);
    expect(seen.lengthErrorMm).toBeLessThan(0.03);
  }
});

test('a scrap laid the other way round measures the same', () => {
  const photo = drawnPhoto(wrong, evenDraws(21));
  const { width, height, grey, pxPerMm } = photo.window;
  const turned = { width, height, pxPerMm, grey: grey.slice().reverse() };
  const [one, other] = [photo.window, turned].map((window) => {
    const { stitches, counts } = measureScrap(window, photo.expected)!;
    const depths = stitches.flatMap(({ depthMm }) => (depthMm === null ? [] : [depthMm]));
    return { counts, depths };
  });
  // The last on either side has thread on one side only.
  expect(Math.abs(other!.counts!.n - one!.counts!.n)).toBeLessThanOrEqual(1);
  expect(Math.abs(other!.counts!.short - one!.counts!.short)).toBeLessThanOrEqual(1);
  const middle = (depths: readonly number[]) =>
    depths.toSorted((a, b) => a - b)[depths.length >> 1]!;
  expect(Math.abs(middle(one!.depths) - middle(other!.depths))).toBeLessThan(0.1);
});

test.each([
  ['no-stitch', wrong],
  ['no-prick', right],
] as const)('on bare cloth nothing is counted: %s', (code, it) => {
  const { window, expected } = drawnPhoto(it, evenDraws(5));
  const bare = { ...window, grey: window.grey.map((_, at) => cloths(at)) };
  expect(refusalOf(() => measureScrap(bare, expected))).toBe(code);
});

test.each([
  ['closer', 0.5],
  ['farther', 2],
] as const)('bites that were sewn %s than is set are no row of it', (code, times) => {
  // A hand whose bites show mostly: of few nobody could tell.
  const asSet = drawnPhoto(right, evenDraws(40));
  const { window } = drawnPhoto({ ...right, lengthMm: times * right.lengthMm }, evenDraws(40));
  expect(refusalOf(() => measureScrap(asSet.window, asSet.expected))).toBe('nothing was refused');
  expect(refusalOf(() => measureScrap(window, asSet.expected))).toBe(code);
});

/** Even noise about a middle grey, the same every time. */
function cloths(at: number): number {
  const mixed = Math.sin(at * 12.9898) * 43758.5453;
  return 120 + 20 * (mixed - Math.floor(mixed));
}

test('it tells how far it is, and stops when it is told to', () => {
  const photo = drawnPhoto(wrong, evenDraws(2));
  const shares: number[] = [];
  expect(
    measureScrap(photo.window, photo.expected, (share) => {
      shares.push(share);
      return share < 0.4;
    }),
  ).toBeNull();
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(shares.at(-1)).toBeGreaterThanOrEqual(0.4);
  expect(shares.filter((share) => share >= 0.4)).toHaveLength(1);
});
