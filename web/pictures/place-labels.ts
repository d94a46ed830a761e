/** A box in px, by its upper left corner. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Words that belong to a place on a picture. */
export interface Wanted {
  /** The place they tell of, px. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface Frame {
  readonly width: number;
  readonly height: number;
}

/** Between words and their place, and between one another, px. */
const airPx = 4;
/** Directions that are tried in turn: below, above, beside, and between those. */
const around = [90, -90, 0, 180, 45, 135, -45, -135, 67, 113, -67, -113, 22, 158, -22, -158].map(
  (degrees) => (degrees * Math.PI) / 180,
);
/** A line is stepped along so far at once, px: less than any words are high. */
const linePx = 8;
const ringsPx = [6, 18, 34, 54, 80, 112, 150];

export const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

const grown = ({ x, y, width, height }: Box): Box => ({
  x: x - airPx / 2,
  y: y - airPx / 2,
  width: width + airPx,
  height: height + airPx,
});

const inside = ({ x, y, width, height }: Box, frame: Frame): boolean =>
  x >= 0 && y >= 0 && x + width <= frame.width && y + height <= frame.height;

/** Every box that is tried for some words, the nearest to their place first. */
function* candidates({ x, y, width, height }: Wanted): Generator<Box> {
  for (const ring of ringsPx) {
    for (const angle of around) {
      const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
      // So far out that the box clears its place by the ring.
      const cx = x + ux * (ring + width / 2);
      const cy = y + uy * (ring + height / 2);
      yield { x: cx - width / 2, y: cy - height / 2, width, height };
    }
  }
}

/**
 * Places words beside what they tell of, the first of them first, so that none lies on another, on
 * what must stay free, or beyond the frame.
 *
 * @param taken boxes that no words may lie on
 * @returns a box for each, or null where there is no room left
 */
export function placeLabels(
  wanted: readonly Wanted[],
  frame: Frame,
  taken: readonly Box[] = [],
): (Box | null)[] {
  const placed: Box[] = [...taken];
  return wanted.map((words) => {
    for (const box of candidates(words)) {
      if (!inside(box, frame) || placed.some((other) => overlap(grown(box), other))) continue;
      placed.push(box);
      return box;
    }
    return null;
  });
}

/** Boxes along a line, so that no words are laid on it. */
export function alongLine(points: readonly (readonly [x: number, y: number])[]): Box[] {
  return points.slice(1).flatMap(([x, y], i) => {
    const [fromX, fromY] = points[i]!;
    const steps = Math.min(400, Math.ceil(Math.hypot(x - fromX, y - fromY) / linePx));
    return Array.from({ length: steps + 1 }, (_, k) => {
      const share = steps === 0 ? 0 : k / steps;
      return {
        x: fromX + share * (x - fromX) - 1,
        y: fromY + share * (y - fromY) - 1,
        width: 2,
        height: 2,
      };
    });
  });
}

/** About how wide words are, px: letters of this face are on average so wide. */
export const widthOf = (text: string, fontPx: number): number =>
  Math.ceil(text.length * fontPx * 0.62) + 2;
