import type { Passage } from '../../core/seam/passage';

/** Whether bound edges that meet in a seam pass under the foot: a sign, its colour, and words. */
export const passageVerdicts: Readonly<
  Record<Passage, readonly [sign: string, colour: string, words: string]>
> = {
  freely: ['✓', 'text-moss', 'passes freely'],
  'with-care': ['!', 'text-ochre', 'passes with care: hammered, a longer stitch, by handwheel'],
  'will-not-pass': ['✕', 'text-madder', 'will not pass: bind in the round, or grade it by hand'],
};
