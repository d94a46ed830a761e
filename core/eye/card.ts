import { pageSizesMm, type PageSize } from '../fold/gauge';
import type { Place } from './homography';
import type { RectMm } from './rectify';

/** A coded mark of the card: a black square with its number in it. */
export interface CardMark extends RectMm {
  /** Its number among the codes of the marks. */
  readonly code: number;
  readonly corner: 'top-left' | 'top-right' | 'bottom-right' | 'bottom-left';
}

/** Where the scrap comes to lie: in a window of the sheet, or in the fold it is wrapped round. */
export type CardKind = 'window' | 'wrap';

/** The card that a scrap is photographed on, mm from the page’s upper left corner. */
export interface ScrapCard {
  readonly page: PageSize;
  readonly kind: CardKind;
  readonly pageMm: readonly [width: number, height: number];
  readonly window: RectMm;
  readonly marks: readonly CardMark[];
  /** A line of 50 mm, by which one sees whether the sheet was printed at its size. */
  readonly rule: { readonly xMm: number; readonly yMm: number; readonly lengthMm: number };
}

/**
 * A mark as large as its code of 8 × 8 fields, border included, needs to be read from a phone held
 * over the whole card: 2.5 mm a field is 15 px in a picture of 4000 px across 600 mm.
 */
const markMm = 20;
/** White that a mark needs around it to be found, mm. */
const quietMm = 4;
/** The codes of the corners, clockwise from the upper left; those of the card for seams after them. */
const codes: Readonly<Record<CardKind, readonly number[]>> = {
  window: [11, 23, 47, 83],
  wrap: [101, 131, 157, 199],
};
/** Ten centimetres of seam show twenty-four bites of the usual hem. */
export const windowWidthMm = 100;
const windows: Readonly<Record<CardKind, { readonly widthMm: number; readonly heightMm: number }>> =
  {
    window: { widthMm: windowWidthMm, heightMm: 60 },
    // An allowance lies over the paper’s edge: lower, and open below.
    wrap: { widthMm: windowWidthMm, heightMm: 40 },
  };

/** Lays the card out on a page, in the middle of its width. */
export function scrapCard(page: PageSize, kind: CardKind = 'window'): ScrapCard {
  const pageMm = pageSizesMm[page];
  const size = windows[kind];
  const window = { xMm: (pageMm[0] - size.widthMm) / 2, yMm: 70, ...size };
  const left = window.xMm - quietMm - markMm;
  const right = window.xMm + window.widthMm + quietMm;
  const top = window.yMm - quietMm - markMm;
  const low = window.yMm + window.heightMm + quietMm;
  const at = { widthMm: markMm, heightMm: markMm };
  const [a, b, c, d] = codes[kind] as readonly [number, number, number, number];
  return {
    ...{ page, kind, pageMm, window },
    marks: [
      { ...at, xMm: left, yMm: top, code: a, corner: 'top-left' },
      { ...at, xMm: right, yMm: top, code: b, corner: 'top-right' },
      { ...at, xMm: right, yMm: low, code: c, corner: 'bottom-right' },
      { ...at, xMm: left, yMm: low, code: d, corner: 'bottom-left' },
    ],
    rule: { xMm: window.xMm + (window.widthMm - 50) / 2, yMm: low + markMm + 14, lengthMm: 50 },
  };
}

/** The corners of a rectangle, clockwise from the upper left. */
export function cornersOf({ xMm, yMm, widthMm, heightMm }: RectMm): Place[] {
  return [
    [xMm, yMm],
    [xMm + widthMm, yMm],
    [xMm + widthMm, yMm + heightMm],
    [xMm, yMm + heightMm],
  ];
}

/** Which kind of card a mark’s number belongs to; null for none of ours. */
export function kindOfCode(code: number): CardKind | null {
  if (codes.window.includes(code)) return 'window';
  return codes.wrap.includes(code) ? 'wrap' : null;
}
