import { averagedDown, meanAround, spreadOf, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { borderMm } from './on-seam';
import type { Seen } from './seen';

const { abs, atan2, cos, hypot, max, min, PI, round, sin } = Math;

/** A short piece of thread across the seam, as it may be one. */
interface Candidate {
  readonly xMm: number;
  readonly yMm: number;
  /** By how many spreads of the cloth it is more than cloth. */
  readonly strength: number;
}

/** A prick is at least so long, mm; what is averaged over. */
const alongThreadMm = 0.5;
/** Cloth lies so far beside its middle, mm. */
const besideMm = 0.4;
/** So many of the strongest are looked at. */
const mostCandidates = 70;
/** Two pricks are no nearer than this, mm. */
const apartMm = 1;
/** Beyond this, one candidate is no more telling than another. */
const strongest = 9;
/** Weaker than this it is cloth. */
const weakest = 3.5;
/** The plainer half of a row are more than that by so much, or nothing can be measured of them. */
const leastPlain = 3;
const mostTurnedDegrees = 12;
/** How far the repeat may be off the machine’s own. */
const mostOffLength = 0.12;
/** How far it usually is, one spread of its logarithm. */
const lengthSpread = 0.06;
/** How near a candidate lies to its place: along, as a share of the repeat, and across, mm. */
const alongShare = 0.06;
const acrossMm = 0.7;

/**
 * What stands out on both sides at once, as a thread does and the border of a print does not: the
 * less of how far it differs from what lies left and right of it.
 */
function ridges(flat: Field, sign: 1 | -1): Field {
  const { width, height, pxPerMm } = flat;
  const soft = averagedDown(meanAround(flat, 0.2), alongThreadMm).values;
  const beside = max(1, round(besideMm * pxPerMm));
  const values = new Float32Array(soft.length);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    for (let x = beside; x < width - beside; x++) {
      const here = sign * soft[row + x]!;
      const most = max(sign * soft[row + x - beside]!, sign * soft[row + x + beside]!);
      values[row + x] = here - most;
    }
  }
  return { ...flat, values };
}

/** The strongest places, none near another, nor near the border: the card’s own line is a ridge as well. */
function candidatesOf({ width, height, values, pxPerMm }: Field): Candidate[] {
  // What cloth alone gives lies around its own middle, which is below 0.
  const sorted = values.filter((_, i) => i % 7 === 0).sort();
  const middle = sorted[sorted.length >> 1] ?? 0;
  const spread = max(1e-6, spreadOf(values.map((value) => value - middle)));
  const reach = max(1, round((apartMm * pxPerMm) / 2));
  const inset = Math.ceil(borderMm * pxPerMm);
  const found: Candidate[] = [];
  for (let top = 0; top < height; top += reach) {
    for (let left = 0; left < width; left += reach) {
      let [most, at] = [-Infinity, 0];
      for (let y = max(inset, top); y < min(height - inset, top + reach); y++) {
        for (let x = max(inset, left); x < min(width - inset, left + reach); x++) {
          const value = values[y * width + x]!;
          if (value > most) [most, at] = [value, y * width + x];
        }
      }
      const strength = (most - middle) / spread;
      if (strength < weakest) continue;
      found.push({
        xMm: ((at % width) + 0.5) / pxPerMm,
        yMm: (Math.floor(at / width) + 0.5) / pxPerMm,
        strength: min(strongest, strength) - weakest,
      });
    }
  }
  found.sort((a, b) => b.strength - a.strength);
  const kept: Candidate[] = [];
  for (const one of found) {
    if (kept.every(({ xMm, yMm }) => hypot(xMm - one.xMm, yMm - one.yMm) >= apartMm))
      kept.push(one);
    if (kept.length === mostCandidates) break;
  }
  return kept;
}

interface Row {
  readonly angle: number;
  readonly from: Candidate;
  readonly repeatMm: number;
  readonly score: number;
  /** How far the plainer half of its pricks stand out, in spreads above the weakest. */
  readonly plain: number;
}

/** The mean of the greater half. */
function plainerHalf(counts: readonly number[]): number {
  const half = counts.toSorted((a, b) => b - a).slice(0, Math.ceil(counts.length / 2));
  return half.reduce((sum, value) => sum + value, 0) / half.length;
}

/** The row and the spacing that the strongest candidates lie on, by every two of them. */
function bestRow(candidates: readonly Candidate[], expectedMm: number): Row | null {
  let best: Row | null = null;
  const most = (mostTurnedDegrees / 180) * PI;
  for (const from of candidates) {
    for (const to of candidates) {
      const [dx, dy] = [to.xMm - from.xMm, to.yMm - from.yMm];
      const angle = atan2(dy, dx);
      if (dx <= 0 || abs(angle) > most) continue;
      const apart = hypot(dx, dy);
      const steps = round(apart / expectedMm);
      const repeatMm = apart / steps;
      if (steps < 1 || abs(repeatMm / expectedMm - 1) > mostOffLength) continue;
      const [c, s] = [cos(angle), sin(angle)];
      const bySite = new Map<number, number>();
      for (const { xMm, yMm, strength } of candidates) {
        const along = (xMm - from.xMm) * c + (yMm - from.yMm) * s;
        const across = (yMm - from.yMm) * c - (xMm - from.xMm) * s;
        const site = round(along / repeatMm);
        const off = (along / repeatMm - site) / alongShare;
        const far = across / acrossMm;
        if (abs(off) > 2 || abs(far) > 2) continue;
        // What lies beside its place counts less, and chance would bring a candidate anyway.
        const counts = strength * Math.exp(-(off * off + far * far) / 2);
        bySite.set(site, max(bySite.get(site) ?? 0, counts));
      }
      const counts = [...bySite.values()];
      const sum = counts.reduce((total, value) => total + value, 0);
      const score = sum - (Math.log(repeatMm / expectedMm) / lengthSpread) ** 2 / 2;
      if (!best || score > best.score) {
        best = { angle, from, repeatMm, score, plain: plainerHalf(counts) };
      }
    }
  }
  return best;
}

/**
 * Finds the row that hidden bites come out on, where few of them do: short pieces of thread are
 * looked for everywhere, then the line and the spacing that the plainest of them agree on.
 *
 * @param flat the window with its light flattened, about 8 px a mm
 * @returns null where no two agree, or they hardly stand out
 */
export function prickRow(flat: Field, seen: Seen): FoundSeam | null {
  const rows = ([1, -1] as const).flatMap((sign) => {
    const row = bestRow(candidatesOf(ridges(flat, sign)), seen.repeatMm);
    return row ? [{ ...row, lighter: sign === 1 }] : [];
  });
  const [best] = rows.sort((a, b) => b.score - a.score);
  if (!best || best.plain < leastPlain) return null;
  const { angle, from, repeatMm, score, lighter } = best;
  const middleMm = [flat.width / 2 / flat.pxPerMm, flat.height / 2 / flat.pxPerMm] as const;
  const [dx, dy] = [from.xMm - middleMm[0], from.yMm - middleMm[1]];
  const counted = seen.holes.find((hole) => hole.counted);
  return {
    ...{ angle, repeatMm, score, lighter, turned: [1, 1] },
    // A field’s places are its pixels’ corners here, their middles there.
    middleMm: [middleMm[0] - 0.5 / flat.pxPerMm, middleMm[1] - 0.5 / flat.pxPerMm],
    acrossMm: dy * cos(angle) - dx * sin(angle),
    alongMm:
      dx * cos(angle) + dy * sin(angle) - ((counted?.alongMm ?? 0) * repeatMm) / seen.repeatMm,
  };
}
