/** One leg with its hemline slanting from the front crease to the back crease. */
export interface Slant {
  /** Finished length at the front crease, from the level line. */
  readonly frontMm: number;
  /** The same at the back crease. */
  readonly backMm: number;
  /** Across the leg as it lies on its creases, > 0. */
  readonly flatWidthMm: number;
}

/** A place on the leg where the hemline is marked. */
export const slantPlaces = ['front-crease', 'seams', 'back-crease'] as const;
export type SlantPlace = (typeof slantPlaces)[number];
/** What they are called. */
export const slantPlaceNames: Readonly<Record<SlantPlace, string>> = {
  'front-crease': 'front crease',
  seams: 'seams',
  'back-crease': 'back crease',
};

export interface SlantMark {
  readonly place: SlantPlace;
  /** From the level line down. */
  readonly mm: number;
  /** From the front crease across. */
  readonly acrossMm: number;
}

/** The steepest a hemline is cut, degrees: beyond it the marks are a slip of the tape. */
export const steepestSlantDegrees = 20;

const radiansOf = ({ frontMm, backMm, flatWidthMm }: Slant) =>
  Math.atan2(backMm - frontMm, flatWidthMm);

/**
 * How steeply a hemline runs, degrees: θ = atan((b − f)/w), positive where the back is longer.
 * Source: docs/formulas.md, “Slant and pairs”.
 *
 * @example slantDegrees({ frontMm: 1010, backMm: 1022, flatWidthMm: 230 }) // 2.99
 */
export const slantDegrees = (slant: Slant): number => (radiansOf(slant) * 180) / Math.PI;

/** The marks of a hemline, the same on both layers: f + (b − f)·x/w. */
export function slantMarks({ frontMm, backMm, flatWidthMm }: Slant): SlantMark[] {
  const across = { 'front-crease': 0, seams: 0.5, 'back-crease': 1 } as const;
  return slantPlaces.map((place) => ({
    place,
    mm: frontMm + (backMm - frontMm) * across[place],
    acrossMm: flatWidthMm * across[place],
  }));
}

/** What the allowance does at the creases when it is turned up along a slant. */
export interface SlantTurn {
  /** How far the snip at the crease that comes short opens: 2·D·sin 2θ. */
  readonly snipOpensMm: number;
  /** The crease that is snipped; null for a level hem. */
  readonly snipAt: 'front-crease' | 'back-crease' | null;
  /** Where as much lies double and is eased; null for a level hem. */
  readonly doubleAt: 'front-crease' | 'back-crease' | null;
}

/**
 * Turned up by D the free edge misses the crease by D·sin 2θ on either side: the snip at the crease
 * that comes short opens by twice that, and at the other crease as much lies double.
 * Source: docs/formulas.md, “Slant and pairs”.
 *
 * @example slantTurn({ frontMm: 1010, backMm: 1022, flatWidthMm: 230 }, 40).snipOpensMm // 8.33
 */
export function slantTurn(slant: Slant, depthMm: number): SlantTurn {
  const theta = radiansOf(slant);
  if (theta === 0) return { snipOpensMm: 0, snipAt: null, doubleAt: null };
  const backLonger = theta > 0;
  return {
    snipOpensMm: 2 * depthMm * Math.sin(2 * Math.abs(theta)),
    snipAt: backLonger ? 'front-crease' : 'back-crease',
    doubleAt: backLonger ? 'back-crease' : 'front-crease',
  };
}

/** Two legs that have to hang alike, each with its own marks; layers lie inner and outer. */
export interface Pair {
  readonly left: Slant;
  readonly right: Slant;
}

export interface PairMark extends SlantMark {
  readonly leg: 'left' | 'right';
  readonly layer: 'outer' | 'inner';
  /** Where the cloth is cut: the hem's allowance below the mark. */
  readonly cutMm: number;
}

/**
 * The table of marks for a pair: leg, layer, place, distance, and the cut line below.
 *
 * @param allowanceMm cloth below the finished edge
 */
export function pairMarks(pair: Pair, allowanceMm: number): PairMark[] {
  return (['left', 'right'] as const).flatMap((leg) =>
    (['outer', 'inner'] as const).flatMap((layer) =>
      slantMarks(pair[leg]).map((mark) => ({ leg, layer, ...mark, cutMm: mark.mm + allowanceMm })),
    ),
  );
}

/** Which leg of a pair is longer at a place, and by how much; `same` where they agree. */
export function longerLeg(
  { left, right }: Pair,
  place: 'frontMm' | 'backMm',
): { readonly leg: 'left' | 'right' | 'same'; readonly byMm: number } {
  const byMm = left[place] - right[place];
  return { leg: byMm > 0 ? 'left' : byMm < 0 ? 'right' : 'same', byMm: Math.abs(byMm) };
}
