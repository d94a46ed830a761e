/** A leg or sleeve laid flat that is narrower at its raw edge than where that will land. */
export interface Taper {
  /** Across the raw edge, > 0. */
  readonly rawFlatMm: number;
  /** Across the place where the raw edge lands, > 0. */
  readonly landingFlatMm: number;
  /** How many seams share it, ≥ 1. */
  readonly seams: number;
  /** The allowance inside each of them, as it is pressed now. */
  readonly insideAllowanceMm: number;
}

/** What is done at each seam, per seam as the leg lies flat. */
export interface TaperShare {
  /** Missing across the flat leg; negative where the raw edge is wider, which is fullness. */
  readonly missingMm: number;
  readonly letOutMm: number;
  readonly takeInMm: number;
  /** The most a seam can be let out: what its allowance leaves beyond a seam that holds. */
  readonly mostOutMm: number;
  /** Whether the allowance gives anything at all; always where nothing is missing. */
  readonly possible: boolean;
  /** Whether it gives half of what is missing, so that both ends share alike. */
  readonly half: boolean;
}

/** So much allowance stays in a seam that is let out, so that it holds, mm. Source: model.md, “Taper”. */
export const staysInSeamMm = 6;

/**
 * How a taper is shared: n(o + i) = d, half and half unless the allowance inside allows less.
 * Source: docs/formulas.md, “Shapes”.
 *
 * @example taperShare({ rawFlatMm: 165.1, landingFlatMm: 190.5, seams: 2, insideAllowanceMm: 15 })
 * // missing 25.4; each seam out 6.35 at the raw edge, in 6.35 at the landing
 */
export function taperShare(taper: Taper): TaperShare {
  const missingMm = taper.landingFlatMm - taper.rawFlatMm;
  const mostOutMm = Math.max(0, taper.insideAllowanceMm - staysInSeamMm);
  const each = Math.max(0, missingMm) / taper.seams;
  const letOutMm = Math.min(each / 2, mostOutMm);
  return {
    missingMm,
    letOutMm,
    takeInMm: each - letOutMm,
    mostOutMm,
    possible: each === 0 || mostOutMm > 0,
    half: each / 2 <= mostOutMm,
  };
}

/**
 * The deepest turn whose taper the allowance still shares half and half. A straight leg narrows by
 * as much for each millimetre, so what is missing grows with the depth turned up.
 *
 * @param depthMm the turn that the two widths were measured for, > 0
 * @returns Infinity where nothing is missing
 */
export function deepestSharedMm(taper: Taper, depthMm: number): number {
  const { missingMm, mostOutMm } = taperShare(taper);
  return missingMm <= 0 ? Infinity : (depthMm * 2 * taper.seams * mostOutMm) / missingMm;
}

/**
 * The deepest turn that needs no taper: what is missing still eases in.
 *
 * @param toleratedShare how much longer or shorter the raw edge may be where it lands, e.g. 0.02
 */
export function deepestUntaperedMm(taper: Taper, depthMm: number, toleratedShare: number): number {
  const missing = Math.abs(taper.landingFlatMm - taper.rawFlatMm);
  return missing === 0 ? Infinity : (depthMm * toleratedShare * taper.landingFlatMm) / missing;
}

/** Where a seam runs between the raw edge and the landing: straight between the two. */
export interface SeamPoint {
  /** From the raw edge up. */
  readonly fromRawMm: number;
  /** How far outside the seam's old line; inside is negative. */
  readonly outMm: number;
}

/**
 * The new seam line of a taper, straight from where it is let out to where it is taken in.
 *
 * @param runMm from the raw edge to its landing, twice the depth turned up
 */
export function taperSeam({ letOutMm, takeInMm }: TaperShare, runMm: number): SeamPoint[] {
  return [
    { fromRawMm: 0, outMm: letOutMm },
    { fromRawMm: runMm, outMm: -takeInMm },
  ];
}
