import type { Fact } from '../../core/finish/finish';
import type { Lengths } from '../app/lengths';

/** Sentences for the facts that the core gives as data. */
const sentences: Readonly<
  Record<string, (values: Record<string, number>, lengths: Lengths, raw: Fact['values']) => string>
> = {
  'bite-in-fold': ({ biteMm = 0, thicknessMm = 0, hiddenUpToMm = 0 }, { fine }) =>
    `Bites ${fine(biteMm)} into a fold ${fine(thicknessMm)} thick; good to ${fine(hiddenUpToMm)}.`,
  'bite-in-thin-fold': ({ biteMm = 0, thicknessMm = 0, hiddenUpToMm = 0 }, { fine }) =>
    `Bites ${fine(biteMm)}; cloth of ${fine(thicknessMm)} hides little: up to ${fine(hiddenUpToMm)}.`,
  'run-on-extension': ({ runMm = 0, extensionMm = 0 }, { fine, cloth }) =>
    `Runs ${fine(runMm)} off the fold, extension ${cloth(extensionMm)}.`,
  'guide-fixed': () => 'Fixed on this foot.',
  'guide-adjusts': ({ stepMm = 0.25 }, { fine }) => `Set by hand in steps of ${fine(stepMm)}.`,
  'bite-spacing': ({ spacingMm = 0, stitches = 1 }, { cloth }) =>
    `A bite each ${stitches} stitches, about every ${cloth(spacingMm)} to start with.`,
  'needle-by-weight': ({ weightGsm = 0, alternative = 0 }) =>
    `For ${Math.round(weightGsm)} g/m²; ${alternative} if it skips.`,
  'needle-meets-metal': ({ byMm = 0 }, { fine }, { nearest, side }) =>
    `Blocked: the needle would meet the ${nearest} on the ${side}, ${fine(byMm)} too far.`,
  'beyond-swing': ({ halfMm = 0 }, { fine }) =>
    `Blocked: the swing would leave the machine’s ${fine(halfMm)} either side of centre.`,
  'no-margin': () => 'No margin: however the cloth wanders, something goes wrong.',
  'thread-line-inside': () => 'Flat and soft; one more line of thread inside.',
  'bulk-at-turn': () => 'Clean inside; a third layer along the top of the hem.',
};

/** A fact in words. */
export function factInWords(fact: Fact, lengths: Lengths): string {
  const sentence = sentences[fact.about];
  return sentence
    ? sentence(fact.values as Record<string, number>, lengths, fact.values)
    : fact.about;
}

/** Faults by the name the core gives them: short for the bar, long for a sentence. */
export const faults: Readonly<Record<string, { short: string; long: string }>> = {
  missed: { short: 'needle misses', long: 'the needle misses the fold' },
  shows: { short: 'shows outside', long: 'the thread shows on the right side' },
  'run-on-fold': { short: 'run piles on fold', long: 'the run piles up on the fold' },
  'run-off-edge': { short: 'run off the edge', long: 'the run slides off the extension' },
};

/** What dials are called. */
export const dialNames = {
  width: 'Width',
  length: 'Length',
  needlePosition: 'Needle',
  guide: 'Blade',
} as const;

/** What a guidance is called, and what rides on it. */
export const guidanceNames = {
  blade: 'blade on the foot',
  bar: 'bar on the foot',
  bed: 'guide on the bed',
  edge: 'edge of the foot',
  mark: 'mark on the foot',
  line: 'drawn line',
  eye: 'by eye',
} as const;

export const patternNames = {
  straight: 'straight',
  zigzag: 'zigzag',
  'blind-woven': 'blind, for woven',
  'blind-stretch': 'blind, for stretch',
} as const;

export const markNames: Readonly<Record<string, string>> = {
  turn: 'Turn under',
  hemline: 'Hemline',
  'temporary-fold': 'Fold back',
};

export const actionNames = {
  press: 'press',
  temporary: 'fold, don’t press',
  stitch: 'stitch',
  cut: 'cut',
} as const;

/** Cloth regions under the foot. */
export const regionNames: Readonly<Record<string, string>> = {
  'garment-folded-back': 'garment, folded back',
  extension: 'hem extension',
};
