import type { Shank } from './shank';

/** What the reference edge rides against, and so how far the hand lets it wander. */
export const guidances = ['blade', 'bar', 'bed', 'edge', 'mark', 'line', 'eye'] as const;
export type Guidance = (typeof guidances)[number];

/** A closed interval across the machine, mm from the centre needle position. */
export type IntervalMm = readonly [number, number];

/** A guide that stands still, or one that moves over a range in steps. */
export type Guide =
  | { readonly atMm: number }
  | { readonly rangeMm: IntervalMm; readonly stepMm?: number | undefined };

/** What the sums need to know of a presser foot. */
export interface Foot {
  /** The opening the needle passes through, left and right end. */
  readonly slotMm: IntervalMm;
  readonly guidance: Guidance;
  readonly guide: Guide;
  /** How it is held; it goes on any machine when nobody said. */
  readonly shank?: Shank | null | undefined;
}

/** Starting guess: the finest move one makes by hand with an adjustable guide, mm. */
export const defaultGuideStepMm = 0.25;
