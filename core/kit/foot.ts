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

/** One of the places on or beside a foot along which an edge can be led. */
export interface FootReference {
  /** What people call it: “right inner toe edge”. */
  readonly name: string;
  readonly guidance: Guidance;
  readonly guide: Guide;
  /** Where a foot without a slot stands for it, if it has to be put on otherwise. */
  readonly besideMm?: IntervalMm | null | undefined;
}

/** What the sums need to know of a presser foot. */
export interface Foot {
  /** The opening the needle passes through, left and right end; null for a foot without one. */
  readonly slotMm: IntervalMm | null;
  /** What a foot without a slot takes up itself: the needle passes on either side of it. */
  readonly besideMm?: IntervalMm | null | undefined;
  /** What the edge rides along, and where: one of {@link references} where there are several. */
  readonly guidance: Guidance;
  readonly guide: Guide;
  /** Everything an edge can be led along; nothing else when left out. */
  readonly references?: readonly FootReference[] | null | undefined;
  /** The name of the one it rides; none where nobody named any. */
  readonly reference?: string | null | undefined;
  /** How it is held; it goes on any machine when nobody said. */
  readonly shank?: Shank | null | undefined;
}

/** Starting guess: the finest move one makes by hand with an adjustable guide, mm. */
export const defaultGuideStepMm = 0.25;

/** The openings that a foot leaves the needle: its slot, or what lies on either side of it. */
export function openingsOf({ slotMm, besideMm }: Pick<Foot, 'slotMm' | 'besideMm'>): IntervalMm[] {
  if (slotMm) return [slotMm];
  if (!besideMm) return [[-Infinity, Infinity]];
  return [
    [-Infinity, besideMm[0]],
    [besideMm[1], Infinity],
  ];
}

/** A foot as it is led along one of its references. */
export const ledAlong = (foot: Foot, reference: FootReference): Foot => ({
  ...foot,
  guidance: reference.guidance,
  guide: reference.guide,
  reference: reference.name,
  ...(reference.besideMm ? { besideMm: reference.besideMm } : {}),
});

/** A foot led along each of its references in turn. */
export const everyReference = (foot: Foot): Foot[] =>
  (foot.references ?? []).map((reference) => ledAlong(foot, reference));

/** Every way a foot may be led; as it is where it names no references, or is led along one. */
export function everyRide(foot: Foot): Foot[] {
  const led = (foot.reference ?? null) === null ? everyReference(foot) : [];
  return led.length > 0 ? led : [foot];
}
