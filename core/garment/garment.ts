import type { Before } from '../order/task';

/** Garments that are known well enough to begin with. */
export const garmentKinds = [
  'singlet',
  't-shirt',
  'jacket',
  'trousers',
  'circle-skirt',
  'blanket',
  'napkins',
  'tote',
  'curtain',
] as const;
export type GarmentKind = (typeof garmentKinds)[number];

/** A piece that is cut out, and how many of it. */
export interface Piece {
  readonly name: string;
  readonly count: number;
}

/** Whether an edge is finished before the seam that crosses or closes it, or after. */
export const edgeTurns = ['before', 'after'] as const;
export type EdgeTurn = (typeof edgeTurns)[number];

/**
 * An edge, or another seam, and a seam that meet. A seam is an edge of the project that is for a
 * seam.
 */
export interface Meeting {
  readonly edgeId: string;
  readonly seamId: string;
  /** When the edge is finished, as seen from the seam. */
  readonly edge: EdgeTurn;
}

/** Where work that belongs to no edge is done. */
export const ownPlaces = ['table', 'iron', 'hand'] as const;

/** Work on the garment that belongs to no edge: cutting out, trying on, hanging. */
export interface OwnTask {
  readonly id: string;
  readonly text: string;
  readonly minutes: number;
  readonly place: (typeof ownPlaces)[number];
  /** Edges that wait for it. */
  readonly beforeEdges: readonly string[];
  /** Edges that it waits for. */
  readonly afterEdges: readonly string[];
}

/** The evenings one has. */
export interface Evenings {
  /** The first day, as 2026-11-27. */
  readonly startOn: string;
  /** 0 for Sunday to 6. */
  readonly weekdays: readonly number[];
  /** When one begins, as 19:30. */
  readonly fromTime: string;
  readonly minutes: number;
  /** As in the table of time zones: Europe/Vienna. */
  readonly timeZone: string;
}

/** What a step took, and what it usually takes. */
export interface Took {
  readonly minutes: number;
  readonly usualMinutes: number;
}

/** What makes a project a garment. */
export interface Garment {
  readonly kind: GarmentKind | null;
  readonly pieces: readonly Piece[];
  readonly meets: readonly Meeting[];
  readonly own: readonly OwnTask[];
  /** “This before that”, by hand: ids of tasks. */
  readonly before: readonly Before[];
  /** One's own order of tasks; null for the one with the least changes. */
  readonly sequence: readonly string[] | null;
  /** Tasks ticked off that belong to no edge. */
  readonly done: readonly string[];
  /** Things ticked off as ready. */
  readonly ready: readonly string[];
  readonly evenings: Evenings | null;
}

/** A project of which nothing is known but its edges. */
export const plainGarment: Garment = {
  ...{ kind: null, pieces: [], meets: [], own: [], before: [], sequence: null },
  ...{ done: [], ready: [], evenings: null },
};
