/** A strip of several pieces, laid along an edge. */
export interface JoinsAsked {
  /** Of the edge, along the line of attachment, mm. */
  readonly edgeMm: number;
  /** What of the strip lies before the edge begins, and beyond its end, mm. */
  readonly beforeMm: number;
  readonly beyondMm: number;
  /** Whether a place past the end is the beginning again. */
  readonly closed: boolean;
  /** The pieces in the order in which they are sewn, mm. */
  readonly piecesMm: readonly number[];
  /** What a join takes of the length, half of it from each piece, mm. */
  readonly joinMm: number;
  /** Where no join belongs: corners, seams; mm along the edge from where the strip begins. */
  readonly avoidMm: readonly number[];
}

/** Where one join falls. */
export interface Join {
  /** Along the edge from where the strip begins, mm. */
  readonly atMm: number;
  /** To the nearest place where none belongs; infinite where there is none. */
  readonly clearMm: number;
}

/** Where the joins of a strip fall, and what each piece is cut to. */
export interface JoinsPlaced {
  readonly joins: readonly Join[];
  /** What of each piece is used, its seams included, mm. */
  readonly cutMm: readonly number[];
  /** How near the nearest join comes to a place where none belongs; infinite without one. */
  readonly clearMm: number;
}

const noise = 1e-9;

/** Stretches of an edge where a join may fall. */
type Stretch = readonly [fromMm: number, toMm: number];

/** The distance from a place to the nearest of some others; the edge is a round where it is closed. */
function clearOf(atMm: number, { avoidMm, edgeMm, closed }: JoinsAsked): number {
  const away = avoidMm.map((placeMm) => {
    const apart = Math.abs(atMm - placeMm);
    return closed ? Math.min(apart, Math.abs(edgeMm - apart)) : apart;
  });
  return Math.min(Infinity, ...away);
}

/** Where a join is at least so clear, from the start to the end. */
function stretchesOf(clearMm: number, { avoidMm, edgeMm, closed }: JoinsAsked): Stretch[] {
  const shifts = closed ? [-edgeMm, 0, edgeMm] : [0];
  const shut = shifts
    .flatMap((by) => avoidMm.map((at): Stretch => [at + by - clearMm, at + by + clearMm]))
    .sort((a, b) => a[0] - b[0]);
  const open: Stretch[] = [];
  let from = 0;
  for (const [start, end] of shut) {
    if (start > from + noise) open.push([from, Math.min(start, edgeMm)]);
    else if (Math.abs(start - from) <= noise && start >= 0) open.push([from, from]);
    from = Math.max(from, end);
  }
  if (from <= edgeMm + noise) open.push([Math.min(from, edgeMm), edgeMm]);
  return open.filter(([a, b]) => b >= a - noise && a <= edgeMm + noise);
}

/** How far a piece reaches, from join to join. */
function reachesOf({ piecesMm, joinMm }: JoinsAsked): number[] {
  return piecesMm.map((mm, i) => {
    const joins = (i > 0 ? 1 : 0) + (i < piecesMm.length - 1 ? 1 : 0);
    return mm - (joins * joinMm) / 2;
  });
}

/** The last open place that is no later than one; null where there is none. */
function latest(open: readonly Stretch[], mostMm: number): number | null {
  for (const [from, to] of [...open].reverse()) {
    if (from <= mostMm + noise) return Math.min(to, mostMm);
  }
  return null;
}

/** The first open place that is no sooner than one; null where there is none. */
function soonest(open: readonly Stretch[], leastMm: number): number | null {
  for (const [from, to] of open) {
    if (to >= leastMm - noise) return Math.max(from, leastMm);
  }
  return null;
}

/**
 * Where every join can be at the latest when each piece is used whole, with joins at open places
 * alone; null where the pieces do not reach the end so.
 */
function latestJoins(asked: JoinsAsked, open: readonly Stretch[]): number[] | null {
  const reaches = reachesOf(asked);
  const joins: number[] = [];
  let at = -asked.beforeMm;
  for (const reach of reaches.slice(0, -1)) {
    const next = latest(open, Math.min(asked.edgeMm, at + reach));
    if (next === null || next < at - noise) return null;
    joins.push(next);
    at = next;
  }
  const end = at + (reaches.at(-1) ?? 0);
  return end >= asked.edgeMm + asked.beyondMm - noise ? joins : null;
}

/** Where every join can be at the soonest so that the pieces after it still reach the end. */
function soonestJoins(asked: JoinsAsked, open: readonly Stretch[]): number[] {
  const reaches = reachesOf(asked);
  const joins: number[] = [];
  let at = asked.edgeMm + asked.beyondMm;
  for (const reach of reaches.slice(1).reverse()) {
    at = soonest(open, Math.max(0, at - reach)) ?? at;
    joins.unshift(at);
  }
  return joins;
}

/** The clearest place of a stretch between two others: of the ends and of what lies in between. */
function clearest(asked: JoinsAsked, open: readonly Stretch[], [from, to]: Stretch): number {
  const middles = open.flatMap(([a, b]) => [a, b, (a + b) / 2]);
  const places = [...middles, from, to].filter(
    (at) =>
      at >= from - noise &&
      at <= to + noise &&
      open.some(([a, b]) => at >= a - noise && at <= b + noise),
  );
  const best = places.sort((a, b) => clearOf(b, asked) - clearOf(a, asked) || b - a)[0];
  return best ?? to;
}

/** So fine is a clearance looked for, mm. */
const fineMm = 0.01;

/**
 * Where the joins of a strip fall: as far from corners and seams as the pieces allow. What decides
 * is the join that comes nearest to one; the others are moved as far as they can be besides.
 * Pieces are shortened for it where there is cloth to spare. Source: docs/formulas.md, “Strips”.
 *
 * @returns null where the pieces are not enough
 */
export function placeJoins(asked: JoinsAsked): JoinsPlaced | null {
  const clears = (mm: number) => latestJoins(asked, stretchesOf(mm, asked));
  if (!clears(0)) return null;
  if (asked.piecesMm.length < 2) {
    return {
      joins: [],
      cutMm: [asked.edgeMm + asked.beforeMm + asked.beyondMm],
      clearMm: Infinity,
    };
  }
  let [low, high] = [0, asked.edgeMm];
  while (asked.avoidMm.length > 0 && high - low > fineMm) {
    const middle = (low + high) / 2;
    if (clears(middle)) low = middle;
    else high = middle;
  }
  const open = stretchesOf(low, asked);
  const most = latestJoins(asked, open) ?? [];
  const least = soonestJoins(asked, open);
  const reaches = reachesOf(asked);
  const joins: number[] = [];
  let at = -asked.beforeMm;
  most.forEach((lastMm, i) => {
    const to = Math.min(lastMm, at + (reaches[i] ?? 0));
    at = clearest(asked, open, [Math.min(to, Math.max(at, least[i] ?? 0)), to]);
    joins.push(at);
  });
  const ends = [-asked.beforeMm, ...joins, asked.edgeMm + asked.beyondMm];
  const cutMm = asked.piecesMm.map((mm, i) => {
    const taken = mm - (reaches[i] ?? mm);
    return (ends[i + 1] ?? 0) - (ends[i] ?? 0) + taken;
  });
  const placed = joins.map((atMm) => ({ atMm, clearMm: clearOf(atMm, asked) }));
  return { joins: placed, cutMm, clearMm: Math.min(Infinity, ...placed.map((it) => it.clearMm)) };
}
