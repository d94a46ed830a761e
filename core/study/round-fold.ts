import { greyOf } from '../eye/grey-of-light';

const { cos, exp, max, min, PI, sqrt, tan } = Math;

/** A fold that bends down like a quarter of a pipe under a lamp, seen from straight above. */
export interface RoundFold {
  /** It begins to bend so far in from its edge, mm: half of what the folded cloth is high. */
  readonly roundMm: number;
  /** How high the lamp stands, and which way across its light comes from: 1 from beyond the fold, −1 over the cloth. */
  readonly lamp: { readonly height: number; readonly fromBeyond: number };
  /** Light that comes from all sides, as a share of all. */
  readonly ambient: number;
}

/** Any fold under any lamp that stands beside a machine. @param random 0 … 1 */
export function drawnFold(random: () => number): RoundFold {
  return {
    roundMm: 0.15 + 0.25 * random(),
    lamp: { height: 0.6 + 0.5 * random(), fromBeyond: cos(2 * PI * random()) },
    ambient: 0.35 + 0.3 * random(),
  };
}

/** A lamp is no point: its shadow ends softly over such a share of its length. */
const softShare = 0.3;
/** What lies beyond is hidden from so much of the light that comes from all sides, close to the fold. */
const hidden = 0.5;

/**
 * By how much what is seen is darker or lighter than flat cloth in the open, in greys. The flank of the pipe by Lambert’s law, on
 * what lies beyond the shadow that the lamp throws, and what the fold hides of the light from all sides.
 *
 * @param beyondMm how far beyond the edge of the fold, mm; on the fold below 0
 */
export function foldLight({ roundMm, lamp, ambient }: RoundFold, beyondMm: number): number {
  const fromBeyond = lamp.fromBeyond / tan(lamp.height);
  if (beyondMm <= 0) {
    const slant = max(0, 1 + beyondMm / roundMm);
    const lit = max(0, sqrt(1 - slant * slant) + fromBeyond * slant);
    return greyOf(ambient + (1 - ambient) * lit);
  }
  const open = 1 - hidden * exp(-beyondMm / roundMm);
  const thrownMm = 2 * roundMm * max(0, -fromBeyond);
  const lit = thrownMm === 0 ? 1 : min(1, max(0, 0.5 + (beyondMm / thrownMm - 1) / softShare));
  return greyOf(ambient * open + (1 - ambient) * lit);
}
