/** How a thread goes with its cloth, on the right side. */
export const threadMatches = ['matching', 'contrasting', 'clear'] as const;
export type ThreadMatch = (typeof threadMatches)[number];

/** What a thread is made for. */
export const threadUses = [
  'all-purpose',
  'fine',
  'topstitching',
  'cone',
  'fluffy',
  'see-through',
] as const;
export type ThreadUse = (typeof threadUses)[number];
