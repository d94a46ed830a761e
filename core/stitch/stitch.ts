/** Stitches of a needle and a bobbin, in the order people meet them. */
export const lockPatterns = [
  'straight',
  'zigzag',
  'three-step',
  'blind-woven',
  'blind-stretch',
  'tacking',
  'overcast-woven',
  'overcast-stretch',
  'shell',
  'fringe',
] as const;
/** Stitches that wrap an edge, of an overlocker. */
export const overedgePatterns = [
  'overedge-four',
  'overedge-three-wide',
  'overedge-three-narrow',
  'overedge-two',
  'rolled-three',
  'rolled-two',
] as const;
/** Stitches of a coverstitch machine. */
export const coverPatterns = [
  ...(['cover-left', 'cover-right', 'cover-wide', 'cover-three'] as const),
  'chain',
] as const;
/** What needles can sew. */
export const patterns = [...lockPatterns, ...overedgePatterns, ...coverPatterns] as const;
export type Pattern = (typeof patterns)[number];

/** Which side of the swing stays still when the width changes. */
export const anchors = ['centre', 'left', 'right'] as const;
export type Anchor = (typeof anchors)[number];

/** A stitch as a machine offers it. */
export interface Stitch {
  readonly pattern: Pattern;
  readonly anchor: Anchor;
  /** Stitches in the run between two bites, tacks or shells; without a run, of no account. */
  readonly runStitches: number;
  /** Sewn the other way round: what went left goes right. */
  readonly mirror?: boolean | undefined;
  /** Two needles on one shank, so far apart; null or left out for a single one. */
  readonly twinGapMm?: number | null | undefined;
}

/** Starting guess: the gap of the twin needle that hems of knits are usually sewn with, mm. */
export const usualTwinGapMm = 2.5;

/** One needle hole of a repeat. */
export interface Penetration {
  /** Across, −1 … +1 of half the width. */
  readonly u: number;
  /** Along, stitch lengths from the start of the repeat. */
  readonly v: number;
  /** What the hole is there for: `bite` is the one a run leads up to. */
  readonly role: 'run' | 'bite' | 'swing';
  /** Which of several needles makes it, left to right; 0 for a single one. */
  readonly needle?: number;
}

/** A repeat of a stitch: its holes, and how many stitch lengths until it starts again. */
export interface Repeat {
  readonly penetrations: readonly Penetration[];
  readonly stitches: number;
}

/** Whether a stitch has a run whose length can be set. */
export function hasRun({ pattern }: Pick<Stitch, 'pattern'>): boolean {
  return (['blind-woven', 'blind-stretch', 'tacking', 'shell'] as Pattern[]).includes(pattern);
}
