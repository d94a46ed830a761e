import type { DialSettings } from '../kit/dial-steps';
import { beliefFor } from '../margin/belief';
import { allowedDrift, undriftedMm, type DriftSource, type Fault } from '../margin/check';
import { chanceOf, marginsOf, type Margin } from '../margin/margin';
import type { SetUp } from '../margin/set-up';
import { countedHoles } from '../stitch/counted-holes';
import { needlePath, type Hole } from '../stitch/needle-path';
import { repeatLengthMm } from '../stitch/pitch';
import { repeatOf } from '../stitch/repeat';
import { driftAt, evenDraws } from './draw';

/** A counted stitch of the swatch: where it lies, how the edge had drifted, what went wrong. */
export interface SwatchStitch {
  readonly yMm: number;
  readonly driftMm: Partial<Readonly<Record<DriftSource, number>>>;
  /** The fault it meets first; null for a sound stitch. */
  readonly fault: Fault | null;
}

/** A hole as it lies in the cloth: the edge is straight there, and the needle wanders. */
export interface SwatchHole extends Hole {
  /** Across the cloth from the first reference, mm to the right. */
  readonly fromReferenceMm: number;
  /** Its counted stitch, by its place in the list; null for the holes between. */
  readonly stitch: number | null;
}

/** A length of seam as a setting would probably sew it. */
export interface Swatch {
  readonly lengthMm: number;
  readonly stitches: readonly SwatchStitch[];
  readonly holes: readonly SwatchHole[];
  readonly faults: number;
  /** The faults by their names. */
  readonly byFault: Readonly<Record<Fault, number>>;
  /** What the chance leads one to expect of so many stitches. */
  readonly expectedFaults: number;
}

function faultOf(margins: readonly Margin[], driftMm: SwatchStitch['driftMm']): Fault | null {
  for (const { source, fromMm, toMm, leftFault, rightFault } of margins) {
    const drift = driftMm[source] ?? 0;
    if (drift < fromMm) return leftFault;
    if (drift > toMm) return rightFault;
  }
  return null;
}

/** Drift between two counted stitches, on the straight line between theirs. */
function driftBetween(stitches: readonly SwatchStitch[], source: DriftSource, yMm: number) {
  const after = stitches.findIndex((stitch) => stitch.yMm >= yMm);
  const [left, right] = [stitches[Math.max(0, after - 1)], stitches.at(after)];
  if (!left || !right) return 0;
  const [a, b] = [left.driftMm[source] ?? 0, right.driftMm[source] ?? 0];
  if (after <= 0) return after === 0 ? b : (stitches.at(-1)?.driftMm[source] ?? 0);
  const share = right.yMm > left.yMm ? (yMm - left.yMm) / (right.yMm - left.yMm) : 1;
  return a + (b - a) * Math.min(1, Math.max(0, share));
}

/** What the first reference of a set-up is, as far as a swatch needs to know it. */
export interface SwatchReference {
  /** Across the machine with no drift. */
  readonly atMm: number;
  readonly source: DriftSource;
  readonly onlyBefore?: boolean;
}

/**
 * A seeded draw of a seam: each counted stitch draws its drift, source by source, from the very
 * beliefs that the chance is worked out from, so that counted and predicted faults agree.
 * Source: docs/formulas.md, “The swatch”.
 *
 * @param first the first reference and what it drifts by
 */
export function sewSwatch(
  set: SetUp,
  dials: DialSettings,
  first: SwatchReference,
  lengthMm: number,
  seed: number,
): Swatch {
  const next = evenDraws(seed);
  const repeats = Math.max(
    1,
    Math.floor(lengthMm / repeatLengthMm(set.stitch, dials.lengthMm, set.machine)),
  );
  return sewn(set, dials, first, repeats, ({ source }) =>
    driftAt(beliefFor(set.beliefs, source), next()),
  );
}

/** What was counted on a scrap by one check. */
export interface SwatchCount {
  readonly check: string;
  readonly n: number;
  readonly short: number;
  readonly over: number;
}

/** A fault that is to be seen lies at least this far beyond what is allowed, mm. */
const plainlyMm = 0.08;

/**
 * A seam as it was counted: as many stitches, with as many below and above, spread evenly along it;
 * how far each had drifted is drawn from the beliefs, given on which side it fell.
 *
 * @param counts of the scrap, one for each check that was counted; the longest gives the length
 */
export function countedSwatch(
  set: SetUp,
  dials: DialSettings,
  first: SwatchReference,
  counts: readonly SwatchCount[],
  seed: number,
): Swatch {
  const next = evenDraws(seed);
  const n = Math.max(1, ...counts.map((count) => count.n));
  const perRepeat = Math.max(1, countedHoles(set.stitch).length);
  const repeats = Math.ceil(n / perRepeat);
  const total = repeats * perRepeat;
  const sides = new Map<DriftSource, readonly (readonly [number, number])[]>();
  for (const count of counts) {
    const check = set.checks.find(({ name }) => name === count.check);
    if (!check) continue;
    const [from, to] = allowedDrift(check, undriftedMm(check, dials));
    const [left, right] = check.k === 1 ? [count.short, count.over] : [count.over, count.short];
    const places = spreadOut(total, left, right);
    sides.set(
      check.source,
      places.map((side) =>
        side < 0
          ? [-Infinity, from - plainlyMm]
          : side > 0
            ? [to + plainlyMm, Infinity]
            : [from, to],
      ),
    );
  }
  return sewn(set, dials, first, repeats, ({ source }, i) => {
    const [from, to] = sides.get(source)?.[i] ?? [-Infinity, Infinity];
    const belief = beliefFor(set.beliefs, source);
    const [low, high] = [belief.leftOf(from), 1 - belief.rightOf(to)];
    const drift = driftAt(belief, low + next() * Math.max(0, high - low));
    return Math.min(to, Math.max(from, drift));
  });
}

/** −1, 0 or 1 for every stitch: so many below and above, as evenly along the seam as they go. */
function spreadOut(total: number, below: number, above: number): number[] {
  const sides = Array.from({ length: total }, () => 0);
  const faults = Math.min(total, below + above);
  for (let i = 0; i < faults; i++) {
    const at = Math.floor(((i + 0.5) * total) / faults);
    // Both kinds are mixed along the seam in their proportion.
    const isBelow = Math.floor(((i + 1) * below) / faults) > Math.floor((i * below) / faults);
    sides[at] = isBelow ? -1 : 1;
  }
  return sides;
}

/** A seam of some repeats whose counted stitches drift as they are told. */
function sewn(
  set: SetUp,
  dials: DialSettings,
  first: SwatchReference,
  repeats: number,
  driftOf: (margin: Margin, stitch: number) => number,
): Swatch {
  const margins = marginsOf(set.checks, dials);
  const repeatMm = repeatLengthMm(set.stitch, dials.lengthMm, set.machine);
  const pitch = repeatMm / repeatOf(set.stitch).stitches;
  const vs = countedHoles(set.stitch).map(({ v }) => v);
  const stitches = Array.from({ length: repeats }, (_, repeat) =>
    vs.map((v, i): SwatchStitch => {
      const driftMm = Object.fromEntries(
        margins.map((margin) => [margin.source, driftOf(margin, repeat * vs.length + i)]),
      );
      return { yMm: repeat * repeatMm + v * pitch, driftMm, fault: faultOf(margins, driftMm) };
    }),
  ).flat();
  const counted = countedHoles(set.stitch);
  const path = needlePath(set.stitch, dials, repeats, set.machine);
  const perRepeat = path.length / repeats;
  const holes = path.map((hole, i): SwatchHole => {
    // Two needles on one shank make two holes of a stitch; it is counted at the first.
    const which = hole.needle
      ? -1
      : counted.findIndex(({ u, v, role }) => u === hole.u && v === hole.v && role === hole.role);
    const stitch = which < 0 ? null : Math.floor(i / perRepeat) * counted.length + which;
    // What is gone behind the needle moves no hole: a roll is sewn where it is, full or not.
    const drift = first.onlyBefore ? 0 : driftBetween(stitches, first.source, hole.yMm);
    return { ...hole, fromReferenceMm: hole.xMm - first.atMm - drift, stitch };
  });
  const bad = stitches.flatMap(({ fault }) => (fault === null ? [] : [fault]));
  return {
    lengthMm: repeats * repeatMm,
    stitches,
    holes,
    faults: bad.length,
    byFault: Object.fromEntries(
      [...new Set(bad)].map((fault) => [fault, bad.filter((it) => it === fault).length]),
    ),
    expectedFaults: stitches.length * (1 - chanceOf(margins, set.beliefs)),
  };
}
