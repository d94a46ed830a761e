import type { Fibre } from '../cloth/about-cloth';

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

/** What is known of the threads and of what the cloth is spun from. */
export interface Threading {
  readonly clothFibre?: Fibre | null | undefined;
  readonly threadFibre?: Fibre | null | undefined;
  /** Of a strip that goes round the edge, where it is another cloth. */
  readonly stripFibre?: Fibre | null | undefined;
}
