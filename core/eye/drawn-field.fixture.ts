import { evenDraws } from '../swatch/draw';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import type { OnSeam, Seen, SeenHole } from './seen';
import type { TracedHole } from './trace';

const { cos, floor, hypot, max, min, round, sin } = Math;

/** A field of a size in mm, of nothing but noise so strong. */
export function noisy(
  widthMm: number,
  heightMm: number,
  { pxPerMm = 8, noise = 0.02, seed = 3 } = {},
): Field {
  const [width, height] = [round(widthMm * pxPerMm), round(heightMm * pxPerMm)];
  const next = evenDraws(seed);
  const values = Float32Array.from({ length: width * height }, () => noise * (2 * next() - 1));
  return { width, height, pxPerMm, values };
}

/** Where a seam would lie that runs through the middle of a field. */
export const seamIn = (
  { width, height, pxPerMm }: Field,
  more: Partial<FoundSeam> = {},
): FoundSeam => ({
  ...{ angle: 0, middleMm: [(width - 1) / 2 / pxPerMm, (height - 1) / 2 / pxPerMm] },
  ...{ acrossMm: 0, alongMm: 0, repeatMm: 4, turned: [1, 1], lighter: true, score: 20 },
  ...more,
});

/** A place of a seam in a field’s px. */
export function pxOf(
  { pxPerMm }: Field,
  { angle, middleMm }: FoundSeam,
  [along, across]: OnSeam,
): readonly [number, number] {
  return [
    (middleMm[0] + along * cos(angle) - across * sin(angle)) * pxPerMm,
    (middleMm[1] + along * sin(angle) + across * cos(angle)) * pxPerMm,
  ];
}

/** So near to a hole a thread begins to sink into the cloth, mm. */
const sunkMm = 0.35;

/**
 * Adds a thread of a width from hole to hole along a seam, as light as it is.
 *
 * @param places where its holes are; `atHole` is how much of it is seen there, 1 where it lies round over them
 */
export function drawThread(
  field: Field,
  seam: FoundSeam,
  places: readonly OnSeam[],
  { light = 0.3, widthMm = 0.3, atHole = 0.25 } = {},
): void {
  const { width, height, pxPerMm, values } = field;
  const all = places.map((place) => pxOf(field, seam, place));
  const half = (widthMm * pxPerMm) / 2;
  for (let i = 1; i < all.length; i++) {
    const [[x1, y1], [x2, y2]] = [all[i - 1]!, all[i]!];
    const [dx, dy] = [x2 - x1, y2 - y1];
    const length2 = dx * dx + dy * dy;
    const [left, right] = [max(0, floor(min(x1, x2) - half - 1)), max(x1, x2) + half + 1];
    const [top, low] = [max(0, floor(min(y1, y2) - half - 1)), max(y1, y2) + half + 1];
    for (let y = top; y < min(height, low); y++) {
      for (let x = left; x < min(width, right); x++) {
        const share = min(1, max(0, ((x - x1) * dx + (y - y1) * dy) / length2));
        const away = hypot(x - x1 - share * dx, y - y1 - share * dy);
        const fromHoleMm = (min(share, 1 - share) * Math.sqrt(length2)) / pxPerMm;
        const sunk = min(1, atHole + fromHoleMm / sunkMm);
        const cover = sunk * min(1, max(0, half - away + 0.5));
        const at = y * width + x;
        values[at] = values[at]! * (1 - cover) + light * cover;
      }
    }
  }
}

/** The field as a lens has it that is out of focus: every pixel the mean of all around it, weighed by a normal. */
export function softened(field: Field, blurMm: number): Field {
  const { width, height, pxPerMm, values } = field;
  const spread = blurMm * pxPerMm;
  const reach = Math.ceil(3 * spread);
  const bell = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-(((i - reach) / spread) ** 2) / 2),
  );
  const whole = bell.reduce((sum, share) => sum + share, 0);
  const pass = (from: Float32Array, isAlong: boolean) =>
    from.map((_, at) => {
      const [x, y] = [at % width, floor(at / width)];
      let sum = 0;
      for (let k = -reach; k <= reach; k++) {
        const [there, row] = isAlong ? [x + k, y] : [x, y + k];
        const [column, line] = [min(width - 1, max(0, there)), min(height - 1, max(0, row))];
        sum += bell[k + reach]! * from[line * width + column]!;
      }
      return sum / whole;
    });
  return { ...field, values: pass(pass(values, true), false) };
}

/** A thread that was followed from place to place. */
export const threadOf = (seen: Seen, places: readonly OnSeam[]): TracedHole[] =>
  places.map(([alongMm, acrossMm], i) => ({
    hole: seen.holes.reduce((best, one) =>
      Math.abs(one.acrossMm - acrossMm) < Math.abs(best.acrossMm - acrossMm) ? one : best,
    ),
    ...{ repeat: i >> 1, alongMm, acrossMm },
    ...{ logOdds: 9, lineLogOdds: i > 0 ? 9 : null, linePlain: 1, acrossSpreadMm: 0.03 },
  }));

const hole = (alongMm: number, acrossMm: number, counted: boolean): SeenHole => ({
  ...{ alongMm, acrossMm, counted, needle: 0 },
  role: counted ? 'swing' : 'run',
});

/** A zigzag of a width, led along a fold in its middle. */
export const zigzag = (widthMm: number, repeatMm: number): Seen => ({
  ...{ kind: 'thread', repeatMm, stitches: 2, reference: 'fold', endsThere: false },
  holes: [hole(0, -widthMm / 2, false), hole(repeatMm / 2, widthMm / 2, true)],
});

/** Where the holes of a zigzag lie along a field, each moved by so much. */
export function zigzagPlaces(
  { holes, repeatMm }: Seen,
  { acrossMm, alongMm }: Pick<FoundSeam, 'acrossMm' | 'alongMm'>,
  lengthMm: number,
  moved: (i: number) => number = () => 0,
): OnSeam[] {
  const places: OnSeam[] = [];
  const reach = Math.ceil(lengthMm / 2 / repeatMm) + 1;
  for (let repeat = -reach; repeat <= reach; repeat++) {
    for (const one of holes) {
      const along = alongMm + one.alongMm + repeat * repeatMm;
      if (Math.abs(along) > lengthMm / 2) continue;
      places.push([along, acrossMm + one.acrossMm + moved(places.length)]);
    }
  }
  return places;
}
