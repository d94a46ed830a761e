import { pageSizesMm, type PageSize } from '../fold/gauge';
import { cornersOf, type ScrapCard } from './card';
import type { GreyImage } from './grey';
import { mapped, type Homography } from './homography';
import { middleOf } from './middle';

const { abs, floor, max, min, round } = Math;

/** So far out from the marks the paper’s border is looked for, mm of the card. */
const reachMm = 90;
const stepMm = 0.25;
/** Beyond a border it is darker, or lighter, over so much, mm; a printed letter is thinner. */
const beyondMm = 3;
/** By so much of what lies between print and paper. */
const leastStep = 0.25;
/** So many looks along a side; so many of them must see the border in one line, so straight, mm. */
const looks = 24;
const leastAgreeing = 0.6;
const straightMm = 1;

/** Where the paper ends, mm of the card; null on a side where it is not seen. */
export interface PaperBorder {
  readonly left: number | null;
  readonly right: number | null;
  readonly top: number | null;
  readonly bottom: number | null;
}

/** A picture at a place of the card; NaN beyond the picture. */
function looking({ width, height, grey }: GreyImage, toPicture: Homography) {
  return (xMm: number, yMm: number): number => {
    const [x, y] = mapped(toPicture, [xMm, yMm]);
    const [column, row] = [floor(x), floor(y)];
    const isIn = column >= 0 && row >= 0 && column < width && row < height;
    return isIn ? grey[row * width + column]! : NaN;
  };
}

/** How far out one look meets the border; null where it goes on to the picture’s end. */
function metAfter(valueAt: (outMm: number) => number, leastGreys: number): number | null {
  const count = round(reachMm / stepMm);
  const beyond = round(beyondMm / stepMm);
  const values = Array.from({ length: count + 2 * beyond }, (_, i) => valueAt(i * stepMm));
  for (let at = beyond; at < count; at++) {
    if (Number.isNaN(values[at + 2 * beyond])) return null;
    const paper = middleOf(values.slice(at - beyond, at));
    const next = middleOf(values.slice(at, at + beyond));
    const after = middleOf(values.slice(at + beyond, at + 2 * beyond));
    if (abs(next - paper) < leastGreys || abs(after - paper) < leastGreys) continue;
    // Half of what the middle was taken over lies behind the border already.
    const turn = values
      .slice(at, at + beyond)
      .findIndex((value) => abs(value - paper) >= leastGreys / 2);
    return (at + max(0, turn)) * stepMm;
  }
  return null;
}

/**
 * Finds where the paper of a card ends, on the sides where its border lies in the picture.
 *
 * @param contrast greys from print to paper
 */
export function paperBorder(
  picture: GreyImage,
  toPicture: Homography,
  { marks }: ScrapCard,
  contrast: number,
): PaperBorder {
  const look = looking(picture, toPicture);
  const corners = marks.flatMap(cornersOf);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [left, right] = [min(...xs), max(...xs)];
  const [top, bottom] = [min(...ys), max(...ys)];
  const side = (
    from: number,
    out: 1 | -1,
    [start, end]: readonly [number, number],
    at: (across: number, along: number) => number,
  ): number | null => {
    const met = Array.from({ length: looks }, (_, i) => {
      const along = start + ((i + 0.5) / looks) * (end - start);
      return metAfter((mm) => at(from + out * (mm + 1), along), leastStep * contrast);
    }).filter((mm) => mm !== null);
    const usual = middleOf(met);
    const agreeing = met.filter((mm) => abs(mm - usual) <= straightMm).length;
    return agreeing >= leastAgreeing * looks ? from + out * (usual + 1) : null;
  };
  const down = (x: number, y: number) => look(x, y);
  const across = (y: number, x: number) => look(x, y);
  return {
    left: side(left, -1, [top, bottom], down),
    right: side(right, 1, [top, bottom], down),
    top: side(top, -1, [left, right], across),
    bottom: side(bottom, 1, [left, right], across),
  };
}

/** What a printer and a trembling border leave open: of a page, as a share, and of a margin, mm. */
const openShare = 0.008;
const openMarginMm = 2.5;
/** Paper that would make it smaller than this is another paper. */
const leastScale = 0.9;

/**
 * Whether a card was printed smaller than it is, by the paper it lies on; no, where too little of
 * that is seen. Paper that was cut off is no sign, so only paper that is too large counts. Two
 * standards of paper are as wide as each other at 97 %, so the height and where the card lies on the
 * paper are asked too.
 */
export function isPrintedSmall({ pageMm }: ScrapCard, border: PaperBorder): boolean {
  const { left, right, top, bottom } = border;
  if (left === null || right === null) return false;
  const width = right - left;
  const height = top === null || bottom === null ? null : bottom - top;
  const pages = (Object.keys(pageSizesMm) as PageSize[]).map((page) => pageSizesMm[page]);
  const isNear = (mm: number, trueMm: number) => abs(mm / trueMm - 1) <= openShare;
  const aside = (left + right) / 2 - pageMm[0] / 2;
  const isInPlace = abs(aside) <= openMarginMm && (top === null || top >= -openMarginMm);
  const isRight = pages.some(
    ([w, h]) => isNear(width, w) && isInPlace && (height === null || height <= h * (1 + openShare)),
  );
  if (isRight) return false;
  return pages.some(([w, h]) => {
    const scale = w / width;
    const isShrunk = scale >= leastScale && scale <= 1 - openShare;
    return isShrunk && (height === null || isNear(height / width, h / w));
  });
}
