/** How an old hem is sewn: in one chain that pulls out, locked, or topstitched to be seen. */
export const oldHemSewings = ['chain', 'lock', 'topstitched'] as const;
export type OldHemSewing = (typeof oldHemSewings)[number];

/** A hem that is in the edge already. */
export interface OldHem {
  readonly depthMm: number;
  readonly sewn: OldHemSewing;
  /** Whether its worn look is to stay; else it comes out first. */
  readonly keepLook: boolean;
}

/** Whether an edge lies open still, or its end is sewn to its beginning. */
export const joinings = ['flat', 'round'] as const;
export type Joining = (typeof joinings)[number];

/** Whether there is a second one that has to come out the same: two legs, two sleeves. */
export const pairings = ['alone', 'pair'] as const;
export type Pairing = (typeof pairings)[number];

/** What an edge is, before anything is said of it: one hem that nobody has cut yet. */
export const uncut = {
  purpose: 'hem',
  oldHem: null,
  joined: null,
  pair: 'alone',
  depthMm: null,
  secondEdge: null,
  seamAllowanceMm: null,
  form: null,
} as const;
