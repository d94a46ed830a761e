import { blurred } from './blurred';

const { abs, min, PI } = Math;

/** How threads look in a photo. */
export interface ThreadLook {
  /** Half of its width, mm. */
  readonly halfMm: number;
  /** How far the picture is blurred, one spread, mm. */
  readonly blurMm: number;
  /** How much of it is still seen at a hole, as a share: little where it sinks into the cloth, all where it ends round. */
  readonly atHole: number;
}

/** So far from its hole a thread that sinks is seen whole again, less what is seen of it there, mm. */
const sunkMm = 0.35;
/** A round end reaches beyond its hole as far as a square one of the same area, in half widths. */
const roundEnd = PI / 4;

/** How much of the cloth a line of thread covers, as a share: across times along. */
export interface ThreadCover {
  /** Farther than this from its middle line, and beyond its ends, nothing of it is seen, mm. */
  readonly reachMm: number;
  /** So far from its end all of it is seen, mm. */
  readonly wholeMm: number;
  /** So far beside its middle line, where nothing ends, mm. */
  readonly across: (besideMm: number) => number;
  /** So far along it from the hole at its end, mm. */
  readonly along: (fromHoleMm: number) => number;
}

/** @returns what a thread that looks like that covers */
export function threadCover({ halfMm, blurMm, atHole }: ThreadLook): ThreadCover {
  const reachMm = halfMm + 3 * blurMm;
  const end = roundEnd * halfMm;
  const shownAt = (mm: number) => (mm < -end ? 0 : min(1, atHole + Math.max(0, mm) / sunkMm));
  return {
    reachMm,
    wholeMm: sunkMm + reachMm,
    across: blurred((mm) => (abs(mm) <= halfMm ? 1 : 0), blurMm, [-reachMm, reachMm]),
    along: blurred(shownAt, blurMm, [-reachMm, sunkMm + reachMm]),
  };
}
