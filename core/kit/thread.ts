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
