import type { GreyImage } from './grey';
import type { Place } from './homography';
import { greysOf } from './rectify';
import { middleOf } from './middle';

/** A line: all places for which nx·x + ny·y = d. */
interface Line {
  readonly nx: number;
  readonly ny: number;
  readonly d: number;
}

interface Border {
  readonly line: Line;
  readonly blurPx: number;
  readonly black: number;
  readonly white: number;
}

/** How many places of a side are looked at, between its tenths next to the corners. */
const looks = 24;
/** A border is looked across in such steps. */
const stepPx = 0.5;

/** The line with the least squares of distance from places. */
function lineThrough(places: readonly Place[]): Line {
  const n = places.length;
  const mx = places.reduce((sum, [x]) => sum + x, 0) / n;
  const my = places.reduce((sum, [, y]) => sum + y, 0) / n;
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of places) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  // Across the direction of the largest spread.
  const angle = Math.atan2(2 * xy, xx - yy) / 2 + Math.PI / 2;
  const [nx, ny] = [Math.cos(angle), Math.sin(angle)];
  return { nx, ny, d: nx * mx + ny * my };
}

function meetingOf(a: Line, b: Line): Place | null {
  const det = a.nx * b.ny - b.nx * a.ny;
  if (Math.abs(det) < 1e-9) return null;
  return [(a.d * b.ny - b.d * a.ny) / det, (a.nx * b.d - b.nx * a.d) / det];
}

/**
 * A side of a mark as its border shows it: where the grey crosses the middle between black and white,
 * along the normal, at many places.
 *
 * @param withinPx how far from the given side the border may lie
 */
function borderAlong(
  picture: GreyImage,
  [x0, y0]: Place,
  [x1, y1]: Place,
  withinPx: number,
): Border | null {
  const long = Math.hypot(x1 - x0, y1 - y0);
  if (long < 8) return null;
  // Outward for corners that go round clockwise with y down.
  const [nx, ny] = [(y1 - y0) / long, -(x1 - x0) / long];
  // Far enough to see black and white beyond what is blurred, not so far as the first field.
  const reach = Math.min(withinPx + long * 0.06, long * 0.1 + withinPx);
  const shown = greysOf(picture);
  const profiles = Array.from({ length: looks }, (_, i) => {
    const share = 0.1 + (0.8 * (i + 0.5)) / looks;
    const [x, y] = [x0 + (x1 - x0) * share, y0 + (y1 - y0) * share];
    const at = (out: number) => shown(x + nx * out - 0.5, y + ny * out - 0.5);
    return { x, y, at };
  });
  const black = middleOf(profiles.map(({ at }) => at(-reach)));
  const white = middleOf(profiles.map(({ at }) => at(reach)));
  if (white - black < 12) return null;
  const seen = new Float64Array(Math.ceil((2 * reach) / stepPx) + 1);
  const crossing = (share: number): number | null => {
    const level = black + (white - black) * share;
    for (let i = 1; i < seen.length; i++) {
      const [here, there] = [seen[i - 1]!, seen[i]!];
      if (here <= level && there > level)
        return (i - 1 + (level - here) / (there - here)) * stepPx - reach;
    }
    return null;
  };
  const found = profiles.flatMap(({ x, y, at }) => {
    for (let i = 0; i < seen.length; i++) seen[i] = at(i * stepPx - reach);
    const middle = crossing(0.5);
    const [low, high] = [crossing(0.2), crossing(0.8)];
    if (middle === null || low === null || high === null) return [];
    return [{ place: [x + nx * middle, y + ny * middle] as const, out: middle, rise: high - low }];
  });
  if (found.length < looks / 2) return null;
  const usual = middleOf(found.map(({ out }) => out));
  const off = middleOf(found.map(({ out }) => Math.abs(out - usual)));
  const kept = found.filter(({ out }) => Math.abs(out - usual) <= Math.max(0.5, 3 * off));
  return {
    line: lineThrough(kept.map(({ place }) => place)),
    blurPx: middleOf(found.map(({ rise }) => Math.max(0, rise))),
    ...{ black, white },
  };
}

/**
 * A mark’s corners where its sides meet, to fractions of a pixel, with how sharp and how dark its
 * border is.
 *
 * @param corners clockwise, px, about where they are
 * @param withinPx how far from there they may be
 * @returns null where a side is not to be seen
 */
export function sharpenedCorners(
  picture: GreyImage,
  corners: readonly Place[],
  withinPx: number,
): {
  readonly corners: Place[];
  readonly blurPx: number;
  readonly black: number;
  readonly white: number;
} | null {
  const sides = corners.map((corner, i) =>
    borderAlong(picture, corner, corners[(i + 1) % corners.length]!, withinPx),
  );
  const borders = sides.filter((side): side is Border => side !== null);
  if (borders.length < corners.length) return null;
  const sharp = borders.map((side, i) =>
    meetingOf(borders[(i + borders.length - 1) % borders.length]!.line, side.line),
  );
  if (sharp.some((place) => place === null)) return null;
  return {
    corners: sharp as Place[],
    blurPx: middleOf(borders.map(({ blurPx }) => blurPx)),
    black: middleOf(borders.map(({ black }) => black)),
    white: middleOf(borders.map(({ white }) => white)),
  };
}
