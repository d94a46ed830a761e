import type { Grade } from '../cloth/cloth';
import type { Purpose } from '../edge/purpose';
import type { Fact } from '../fact';

/** How good something is at an aim, 0 to 1, and what makes it so. Starting guesses. */
export interface Rated {
  readonly share: number;
  /**
   * Worded with the numbers of the folds: `{depthMm}`, `{fromEdgeMm}` from the finished edge to the
   * stitching, `{layers}` at the stitch, `{stackMm:fine}`.
   */
  readonly why: Fact;
}

/** How a finish is worked, as far as what can go wrong with it follows from that. */
export const workings = [
  /** Turned up on itself, so that a flared edge has to be eased in. */
  'turned',
  /** A needle bites into a fold so that little shows. */
  'bites',
  /** A stitch swings or wraps over a raw edge. */
  'over-edge',
  /** Cloth is fed through a scroll that turns it. */
  'scroll',
  /** A strip is wrapped round the edge. */
  'strip',
  /** An old hem is kept and the leg made shorter above it. */
  'tuck',
  /** Two edges become one seam. */
  'joins',
  /** Shears alone, or nothing at all. */
  'cut',
  /** Thread stands over the cloth. */
  'loops',
] as const;
export type Working = (typeof workings)[number];

/** What a variant is good and bad at, as far as no sum says it; starting guesses from the craft. */
export interface Nature {
  readonly purposes: readonly Purpose[];
  readonly worked: readonly Working[];
  /** How little of it is seen on the right side. */
  readonly hidden: Rated;
  readonly sturdy: Rated;
  readonly decorative: Rated;
  /** The worst fraying it holds. */
  readonly holdsFray: Grade;
  /** The tightest curve it goes round: a length, or so many times its own depth; 0 for any. */
  readonly leastRadius: { readonly mm: number } | { readonly timesDepth: number };
  /** The thickest cloth it can be made of; infinite for any. */
  readonly thickestMm: number;
  /** The thinnest cloth it looks and lies right on; 0 for any. */
  readonly thinnestMm?: number;
  /** It holds a raw edge and leaves it single: a hem only where the cloth asks for no turning. */
  readonly rawEdge?: boolean;
  /** It does nothing but keep a raw edge from fraying. */
  readonly stopsFray?: boolean;
  /** A cloth that curls up to this grade still lies flat in it; 0 when left out. Asked of raw edges. */
  readonly liesWithCurl?: Grade;
  /** Its second turn does nothing but shut the raw edge in. */
  readonly shutsIn?: boolean;
  /** Its folds are of unequal depth, and a sheer cloth shows the step. */
  readonly unequal?: boolean;
  /** A single raw layer ends inside it, and a sheer cloth shows the end. */
  readonly rawInside?: boolean;
  /** A strip of less stretch than the cloth takes the stretch out of the edge beyond this, percent. */
  readonly stripGivesPercent?: number;
  /** It joins in a narrow line that can't be pressed open or let out. */
  readonly narrowSeam?: boolean;
  /** It is made to stretch, and a firm cloth has no use for that. */
  readonly madeToGive?: boolean;
  /** So close a stitch that a cloth which stretches is driven into waves by it. */
  readonly closeStitch?: boolean;
  /** The least stretch of a cloth that asks for it, percent. */
  readonly leastStretchPercent?: number;
  /** It is wrapped in a strip of another cloth, usually about so thick. */
  readonly stripMm?: number;
  /** Something that comes off when it is pulled. */
  readonly pullsOff?: boolean;
  /** It needs an old hem whose look is to stay. */
  readonly keepsOldHem?: boolean;
  /** Layers that are fed together at its last stitch and not fastened to one another yet. */
  readonly freeLayers: number;
}

/**
 * Whether a finish can serve what an edge is for. What only holds a raw edge serves a hem as well,
 * where the cloth asks for no turning or somebody wants to look at it; that is weighed elsewhere.
 */
export function servesPurpose(
  { purposes, rawEdge }: Pick<Nature, 'purposes' | 'rawEdge'>,
  purpose: Purpose,
): boolean {
  return purposes.includes(purpose) || (purpose === 'hem' && rawEdge === true);
}
