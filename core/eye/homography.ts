/** A place, x to the right and y down, in whatever unit its plane has. */
export type Place = readonly [x: number, y: number];

/** The nine numbers of a projective map, row by row; the last is 1. */
export type Homography = readonly number[];

/** Solves a square system by elimination with pivots; null where it has no one answer. */
function solved(rows: number[][]): number[] | null {
  const n = rows.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++) {
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    }
    if (Math.abs(rows[pivot]![column]!) < 1e-12) return null;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const own = rows[column]!;
    for (let row = 0; row < n; row++) {
      if (row === column) continue;
      const other = rows[row]!;
      const times = other[column]! / own[column]!;
      for (let i = column; i <= n; i++) other[i] = other[i]! - times * own[i]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}

/** Moves places to around 0 with a mean distance of √2, so that the sums stay exact. */
function levelled(places: readonly Place[]) {
  const n = places.length;
  const mx = places.reduce((sum, [x]) => sum + x, 0) / n;
  const my = places.reduce((sum, [, y]) => sum + y, 0) / n;
  const far = places.reduce((sum, [x, y]) => sum + Math.hypot(x - mx, y - my), 0) / n;
  const scale = far > 0 ? Math.SQRT2 / far : 1;
  return {
    ...{ mx, my, scale },
    places: places.map(([x, y]): Place => [(x - mx) * scale, (y - my) * scale]),
  };
}

const times = (a: Homography, b: Homography): number[] =>
  [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map((column) =>
      [0, 1, 2].reduce((sum, i) => sum + a[row * 3 + i]! * b[i * 3 + column]!, 0),
    ),
  );

/**
 * The projective map that takes places of one plane to places of another with the least squares of
 * error; exact for four. Source: Hartley and Zisserman, “Multiple View Geometry”, 4.1 and 4.4.4.
 *
 * @returns null for fewer than four, or where three of four lie in a line
 */
export function homographyOf(from: readonly Place[], to: readonly Place[]): Homography | null {
  if (from.length < 4 || from.length !== to.length) return null;
  const [a, b] = [levelled(from), levelled(to)];
  // Normal equations of the two rows that each pair of places gives.
  const sums = Array.from({ length: 8 }, () => new Array<number>(9).fill(0));
  a.places.forEach(([x, y], i) => {
    const [u, v] = b.places[i]!;
    for (const row of [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ]) {
      for (let r = 0; r < 8; r++) {
        for (let c = 0; c < 9; c++) sums[r]![c]! += row[r]! * row[c]!;
      }
    }
  });
  const found = solved(sums);
  if (!found) return null;
  const there = [a.scale, 0, -a.scale * a.mx, 0, a.scale, -a.scale * a.my, 0, 0, 1];
  const back = [1 / b.scale, 0, b.mx, 0, 1 / b.scale, b.my, 0, 0, 1];
  const whole = times(back, times([...found, 1], there));
  const last = whole[8]!;
  return Math.abs(last) < 1e-12 ? null : whole.map((value) => value / last);
}

/** Where a map takes a place. */
export function mapped(h: Homography, [x, y]: Place): Place {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}

/** Px of the picture for one unit of the plane at a place: the root of what a unit square becomes. */
export function pxPerUnitAt(h: Homography, [x, y]: Place): number {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  const det =
    h[0]! * (h[4]! * h[8]! - h[5]! * h[7]!) -
    h[1]! * (h[3]! * h[8]! - h[5]! * h[6]!) +
    h[2]! * (h[3]! * h[7]! - h[4]! * h[6]!);
  return Math.sqrt(Math.abs(det / w ** 3));
}
