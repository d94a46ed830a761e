import type { EdgeKind } from './edge-shapes';
import type { Field } from './flatten';
import { fittedHoles } from './fitted-holes';
import { fittedLine } from './fitted-line';
import type { LikeliestSight } from './likeliest-sight';
import { isLine, upperSideOf, type Seen } from './seen';

/** A window without the light on it. */
export interface EvenPictures {
  /** Where its thread is to be seen, which may be by colour. */
  readonly thread: Field;
  /** Where what it was led along is to be seen: a shadow has no colour. */
  readonly cloth: Field;
}

/** A cloth is blurred as its thread is, or the card, about: thread lies higher, and its own width is mixed with it. */
const mayBe = [0.75, 1, 1.3];
/** How much a picture may be blurred where neither tells, one spread, mm. */
const anyBlursMm = [0.06, 0.1, 0.16];
/** Nearer to the middle of a thread than this, where nothing is known of it, it is thread that is seen, mm. */
const besideAnyMm = 0.42;

/** Black, where every place is a share of the light around it. */
const evenBlack = -1;

function kindOf({ reference, endsThere }: Seen): EdgeKind {
  if (reference !== 'raw edge') return 'fold';
  return endsThere ? 'raw on paper' : 'raw on cloth';
}

/** What a seam was led along, held against the picture. */
export const lineFitted = (
  cloth: Field,
  seen: Seen,
  { seam, line, thread }: LikeliestSight,
  black: number,
  look: { readonly halfMm: number; readonly blurMm: number } | null = null,
) => {
  if (!line) return null;
  const blurMm = look?.blurMm ?? cloth.blurMm;
  return fittedLine(cloth, seam, line, thread, {
    beyond: (-seam.turned[1] * upperSideOf(seen)) as 1 | -1,
    kind: kindOf(seen),
    black,
    besideThreadMm: look ? look.halfMm + 3 * look.blurMm + 0.05 : besideAnyMm,
    blursMm: blurMm === undefined ? anyBlursMm : mayBe.map((times) => times * blurMm),
  });
};

/**
 * A seam and what it was led along once more, held against the picture itself: where its thread turns back, and the line. A
 * straight thread turns nowhere.
 */
export function fittedSight(even: EvenPictures, seen: Seen, sight: LikeliestSight): LikeliestSight {
  const { seam, line } = sight;
  if (!line) return sight;
  if (isLine(seen)) return { ...sight, line: lineFitted(even.cloth, seen, sight, evenBlack) };
  const { thread, look } = fittedHoles(even.thread, seam, line.slope, sight.thread);
  const fitted = { ...sight, thread };
  return { ...fitted, line: lineFitted(even.cloth, seen, fitted, evenBlack, look) };
}
