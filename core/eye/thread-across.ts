import type { TracedHole } from './trace';

const { abs, floor, max, min, sqrt } = Math;

/** What of a line across a seam is covered: from and to of one stretch after the other, mm. */
export type Covered = readonly number[];

/** What thread covers, with its surroundings, of the line across at a place along, mm. */
export type ThreadAt = (alongMm: number) => Covered;

/** Whether a place lies in a stretch that is covered. */
export function isWithin(covered: Covered, acrossMm: number): boolean {
  for (let i = 0; i < covered.length; i += 2) {
    if (acrossMm >= covered[i]! && acrossMm <= covered[i + 1]!) return true;
  }
  return false;
}

type Line = readonly [TracedHole, TracedHole];

/**
 * What lies so near to a piece of thread, on the line across at a place along: round its ends, and
 * straight between them, which is one stretch.
 *
 * @returns null where the line does not come so near to it
 */
function stretchOf([a, b]: Line, along: number, besideMm: number): [number, number] | null {
  let from = Infinity;
  let to = -Infinity;
  for (const end of [a, b]) {
    const off = along - end.alongMm;
    if (abs(off) > besideMm) continue;
    const reach = sqrt(besideMm * besideMm - off * off);
    from = min(from, end.acrossMm - reach);
    to = max(to, end.acrossMm + reach);
  }
  const ds = b.alongMm - a.alongMm;
  const dt = b.acrossMm - a.acrossMm;
  const length2 = ds * ds + dt * dt;
  const s = along - a.alongMm;
  // Beside the thread: not farther from its line, and neither before its start nor past its end.
  if (ds !== 0) {
    const [middle, reach] = [(s * dt) / ds, (besideMm * sqrt(length2)) / abs(ds)];
    let [least, most] = [middle - reach, middle + reach];
    if (dt !== 0) {
      const [start, end] = [(-s * ds) / dt, (length2 - s * ds) / dt];
      least = max(least, min(start, end));
      most = min(most, max(start, end));
    } else if (s * ds < 0 || s * ds > length2) return from <= to ? [from, to] : null;
    if (least <= most) {
      from = min(from, a.acrossMm + least);
      to = max(to, a.acrossMm + most);
    }
  } else if (abs(s) <= besideMm) {
    from = min(from, a.acrossMm, b.acrossMm);
    to = max(to, a.acrossMm, b.acrossMm);
  }
  return from <= to ? [from, to] : null;
}

/**
 * Where thread lies, with so much on all its sides, along a seam.
 *
 * @param besideMm to either side of its middle, and beyond its ends
 */
export function threadAcross(thread: readonly TracedHole[], besideMm: number): ThreadAt {
  const needles = [...new Set(thread.map(({ hole }) => hole.needle))];
  const lines = needles.flatMap((needle) => {
    const own = thread.filter(({ hole }) => hole.needle === needle);
    return own.slice(1).map((to, i): Line => [own[i]!, to]);
  });
  // By whole millimetres along: of a whole seam only a line or two is near.
  const near = new Map<number, Line[]>();
  for (const line of lines) {
    const [from, to] = [line[0].alongMm, line[1].alongMm];
    const last = floor(max(from, to) + besideMm);
    for (let mm = floor(min(from, to) - besideMm); mm <= last; mm++) {
      const there = near.get(mm);
      if (there) there.push(line);
      else near.set(mm, [line]);
    }
  }
  return (along) =>
    (near.get(floor(along)) ?? []).flatMap((line) => stretchOf(line, along, besideMm) ?? []);
}
