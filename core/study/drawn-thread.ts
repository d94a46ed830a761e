// Asked for at every pixel.
const { ceil, floor, hypot, max, min, PI, sin } = Math;

/** What a sewing thread looks like besides its grey. */
export interface DrawnThread {
  readonly widthMm: number;
  /** How much of it is still seen at a hole, where it goes down into the cloth, as a share. */
  readonly atHole: number;
  /** So far from there it is seen whole again, less what is seen of it there, mm. */
  readonly sunkMm: number;
  /** How much darker it is at its sides than in its middle, as a share. */
  readonly shade: number;
}

export const usualThread: DrawnThread = { widthMm: 0.28, atHole: 0.25, sunkMm: 0.35, shade: 0.35 };

/** Any thread of any tension: pulled tight it dives into its hole, slack it lies round over it. @param random 0 … 1 */
export function drawnThread(random: () => number): DrawnThread {
  return {
    ...{ widthMm: 0.2 + 0.18 * random(), atHole: random() },
    ...{ sunkMm: 0.15 + 0.25 * random(), shade: 0.2 + 0.3 * random() },
  };
}

/** The same thread where it goes down nowhere. */
export const lyingOnTop = (thread: DrawnThread): DrawnThread => ({ ...thread, atHole: 1 });

/** A grey drawn on. */
export interface Canvas {
  readonly image: Float32Array;
  readonly width: number;
  readonly height: number;
}

/** Draws a piece of thread: round, twisted, with soft sides. */
export function drawThread(
  { image, width, height }: Canvas,
  pxPerMm: number,
  [a, b]: readonly [readonly [number, number], readonly [number, number]],
  grey: number,
  { widthMm, atHole, sunkMm, shade }: DrawnThread,
): void {
  const [x0, x1] = [min(a[0], b[0]) - widthMm, max(a[0], b[0]) + widthMm].map((mm) => mm * pxPerMm);
  const [y0, y1] = [min(a[1], b[1]) - widthMm, max(a[1], b[1]) + widthMm].map((mm) => mm * pxPerMm);
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length = max(1e-6, hypot(dx, dy));
  for (let row = max(0, floor(y0!)); row <= min(height - 1, ceil(y1!)); row++) {
    for (let column = max(0, floor(x0!)); column <= min(width - 1, ceil(x1!)); column++) {
      const [x, y] = [(column + 0.5) / pxPerMm - a[0], (row + 0.5) / pxPerMm - a[1]];
      const along = min(length, max(0, (x * dx + y * dy) / length));
      const away = hypot(x - (along * dx) / length, y - (along * dy) / length);
      const cover = min(1, max(0, (widthMm / 2 - away) * pxPerMm + 0.5));
      if (cover === 0) continue;
      const shown = min(1, min(along, length - along) / sunkMm + atHole);
      const side = away / (widthMm / 2);
      const lit = 1 - shade * side * side + 0.12 * sin((2 * PI * along) / 0.7 + side);
      const at = row * width + column;
      const there = cover * shown;
      image[at] = image[at]! * (1 - there) + grey * lit * there;
    }
  }
}
