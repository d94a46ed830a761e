/** Needle patterns of a lockstitch machine. */
export const patterns = ['straight', 'zigzag', 'blind-woven', 'blind-stretch'] as const;
export type Pattern = (typeof patterns)[number];

/** Which side of the swing stays still when the width changes. */
export const anchors = ['centre', 'left', 'right'] as const;
export type Anchor = (typeof anchors)[number];

/** A stitch as a machine offers it. */
export interface Stitch {
  readonly pattern: Pattern;
  readonly anchor: Anchor;
  /** Stitches in the run between two bites; blind patterns only. */
  readonly runStitches: number;
  /** Sewn the other way round: what went left goes right. */
  readonly mirror?: boolean | undefined;
}

/** One needle hole of a repeat. */
export interface Penetration {
  /** Across, −1 … +1 of half the width. */
  readonly u: number;
  /** Along, stitch lengths from the start of the repeat. */
  readonly v: number;
  /** What the hole is there for. */
  readonly role: 'run' | 'bite' | 'swing';
}

/** A repeat of a stitch: its holes, and how many stitch lengths until it starts again. */
export interface Repeat {
  readonly penetrations: readonly Penetration[];
  readonly stitches: number;
}
