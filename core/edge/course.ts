/** A stretch of an edge, walked with the cloth at one's left hand. */
export interface Piece {
  readonly lengthMm: number;
  /**
   * How far it bends over its length, radians: positive around the cloth (a shirt tail), negative
   * around a hole (a neck), 0 for a straight one.
   */
  readonly bendRadians: number;
  /** How far the edge turns at its end, at once: the outer angle of a corner. */
  readonly cornerRadians: number;
}

/** The finished edge as it lies flat. */
export interface Course {
  readonly pieces: readonly Piece[];
  /** Whether its end is its beginning. */
  readonly closed: boolean;
}

/** A place on the finished edge. */
export interface Place {
  readonly xMm: number;
  readonly yMm: number;
  /** From where the edge begins. */
  readonly alongMm: number;
  /**
   * Towards the cloth, so long that a parallel line a millimetre further in passes through its end:
   * 1 along a piece, longer at a corner.
   */
  readonly inXMm: number;
  readonly inYMm: number;
}

export interface Point {
  readonly xMm: number;
  readonly yMm: number;
}

/** An arc is drawn in steps of at most so many radians. */
const arcStepRadians = Math.PI / 48;

/**
 * The edge as places along it, corners and curves included.
 * Pure plane geometry: each piece is a line or an arc of radius ℓ/bend.
 *
 * @param course its pieces in order, from (0, 0), the first one heading along x
 */
export function placesOf({ pieces, closed }: Course): Place[] {
  const places: Place[] = [];
  let [x, y, heading, along] = [0, 0, 0, 0];
  /** Halfway between two headings the parallel lines meet 1/cos(half the turn) away. */
  const put = (before: number, after: number) => {
    const middle = (before + after) / 2;
    const reach = 1 / Math.cos((after - before) / 2);
    places.push({
      ...{ xMm: x, yMm: y, alongMm: along },
      inXMm: -Math.sin(middle) * reach,
      inYMm: Math.cos(middle) * reach,
    });
  };
  const last = pieces.at(-1)?.cornerRadians ?? 0;
  put(closed ? -last : 0, 0);
  pieces.forEach(({ lengthMm, bendRadians, cornerRadians }, i) => {
    const steps = Math.max(1, Math.ceil(Math.abs(bendRadians) / arcStepRadians));
    const turn = bendRadians / steps;
    // The chord of an arc of this turn.
    const half = turn / 2;
    const chord = (lengthMm / steps) * (half === 0 ? 1 : Math.sin(half) / half);
    for (let step = 1; step <= steps; step++) {
      x += chord * Math.cos(heading + half);
      y += chord * Math.sin(heading + half);
      heading += turn;
      along += lengthMm / steps;
      if (step < steps) put(heading, heading);
    }
    const corner = i === pieces.length - 1 && !closed ? 0 : cornerRadians;
    put(heading, heading + corner);
    heading += corner;
  });
  return places;
}

/** The line that runs beside an edge, so far towards the cloth; beyond the edge is negative. */
export function parallel(places: readonly Place[], inMm: number): Point[] {
  return places.map(({ xMm, yMm, inXMm, inYMm }) => ({
    xMm: xMm + inXMm * inMm,
    yMm: yMm + inYMm * inMm,
  }));
}

/**
 * The length of the line that runs beside an edge: an arc loses in·bend, the two pieces at a corner
 * lose in·tan(half its turn) each. Source: docs/formulas.md, “Shapes”.
 *
 * @param inMm towards the cloth; beyond the edge is negative
 */
export function parallelLengthMm({ pieces, closed }: Course, inMm: number): number {
  return pieces.reduce((sum, { lengthMm, bendRadians, cornerRadians }, i) => {
    const turned = i < pieces.length - 1 || closed ? cornerRadians : 0;
    return sum + lengthMm - inMm * (bendRadians + 2 * Math.tan(turned / 2));
  }, 0);
}

/** How far the end of a course lies from its beginning. */
export function gapMm(places: readonly Place[]): number {
  const [first, last] = [places[0], places.at(-1)];
  return first && last ? Math.hypot(last.xMm - first.xMm, last.yMm - first.yMm) : 0;
}

/** The length of a line through points. */
export function lengthThroughMm(points: readonly Point[]): number {
  return points
    .slice(1)
    .reduce(
      (sum, { xMm, yMm }, i) => sum + Math.hypot(xMm - points[i]!.xMm, yMm - points[i]!.yMm),
      0,
    );
}

/** The area between two lines that run beside each other, mm². */
export function areaBetweenMm2(one: readonly Point[], other: readonly Point[]): number {
  const round = [...one, ...[...other].reverse()];
  const twice = round.reduce((sum, { xMm, yMm }, i) => {
    const next = round[(i + 1) % round.length]!;
    return sum + xMm * next.yMm - next.xMm * yMm;
  }, 0);
  return Math.abs(twice) / 2;
}

/** The place at a distance along an edge, between the places that are known. */
export function placeAt(places: readonly Place[], alongMm: number): Place {
  const next = places.findIndex((place) => place.alongMm >= alongMm);
  const after = places[next < 0 ? places.length - 1 : next]!;
  const before = places[Math.max(0, (next < 0 ? places.length - 1 : next) - 1)]!;
  const span = after.alongMm - before.alongMm;
  const share = span > 0 ? Math.min(1, Math.max(0, (alongMm - before.alongMm) / span)) : 1;
  const between = (a: number, b: number) => a + share * (b - a);
  return {
    xMm: between(before.xMm, after.xMm),
    yMm: between(before.yMm, after.yMm),
    alongMm,
    inXMm: between(before.inXMm, after.inXMm),
    inYMm: between(before.inYMm, after.inYMm),
  };
}
