import type { Box } from '../place-labels';

/** Room a numbered mark takes, px. */
export const markPx = 24;

/**
 * Marks in a row above what they tell of: in their order, none on another, none beyond the ends, and
 * each as near to its place as that allows. Where one row is too short, every further row takes the
 * next mark in turn.
 *
 * @param xsPx their places, in order
 * @returns where each stands and in which row, 0 the lowest
 */
export function marksInRows(
  xsPx: readonly number[],
  [fromPx, toPx]: readonly [number, number],
): { readonly x: number; readonly row: number }[] {
  const perRow = Math.max(1, Math.floor((toPx - fromPx) / markPx));
  const rows = Math.ceil(xsPx.length / perRow);
  const half = markPx / 2;
  const placed: { x: number; row: number }[] = xsPx.map((x, i) => ({ x, row: i % rows }));
  for (let row = 0; row < rows; row++) {
    const mine = placed.filter((mark) => mark.row === row);
    let least = fromPx + half;
    for (const mark of mine) {
      mark.x = Math.max(mark.x, least);
      least = mark.x + markPx;
    }
    let most = toPx - half;
    for (const mark of [...mine].reverse()) {
      mark.x = Math.min(mark.x, most);
      most = mark.x - markPx;
    }
  }
  return placed;
}

/** Where the parts of the strip lie, px, from the top down. */
export interface AlongFrame {
  readonly leftPx: number;
  readonly rightPx: number;
  readonly topPx: number;
  readonly basePx: number;
  /** Under the base: by handwheel, shims, curves and corners. */
  readonly lanesPx: readonly [number, number, number];
  readonly axisPx: number;
}

export function alongFrame(width: number, height: number, rows: number): AlongFrame {
  const basePx = height - 84;
  return {
    ...{ leftPx: 18, rightPx: width - 18, topPx: 14 + rows * markPx, basePx },
    lanesPx: [basePx + 6, basePx + 18, basePx + 30],
    axisPx: basePx + 44,
  };
}

/** The box of a stack's block, so that no words are laid on its sides. */
export const blockOf = (x: number, toX: number, y: number, base: number): Box => ({
  x,
  y,
  width: Math.max(2, toX - x),
  height: Math.max(2, base - y),
});
