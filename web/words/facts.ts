import type { Fact } from '../../core/fact';
import type { Guidance } from '../../core/kit/foot';
import { guidanceNames } from '../../core/kit/along';
import type { Lengths } from '../../core/measure/lengths';
import { fill } from '../../core/measure/fill';

/** Sentences for the engines' own facts; a finish brings its own. */
const sentences: Readonly<
  Record<string, (values: Record<string, number>, lengths: Lengths, raw: Fact['values']) => string>
> = {
  'needle-meets-metal': ({ byMm = 0 }, { fine }, { nearest, side }) =>
    `Blocked: the needle would meet the ${nearest} on the ${side}, ${fine(byMm)} too far.`,
  'straight-plate': ({ swingMm = 0 }, { fine }) =>
    `Blocked: a straight-stitch plate leaves no room to swing, and this stitch swings ${fine(swingMm)}.`,
  'beyond-swing': ({ halfMm = 0 }, { fine }) =>
    `Blocked: the swing would leave the machine’s ${fine(halfMm)} either side of centre.`,
  'no-margin': () => 'No margin: however the cloth wanders, something goes wrong.',
};

/** A fact in words. */
export function factInWords(fact: Fact, lengths: Lengths): string {
  if (fact.text !== undefined) return fill(fact.text, fact.values, lengths);
  const sentence = sentences[fact.about];
  return sentence
    ? sentence(fact.values as Record<string, number>, lengths, fact.values)
    : fact.about;
}

export const actionNames = {
  press: 'press',
  temporary: 'fold, don’t press',
  stitch: 'stitch',
  cut: 'cut',
} as const;

/** What a mark is measured from. */
export const originNames = {
  'raw-edge': 'from the raw edge',
  'seam-line': 'from the line you sew',
  'first-seam': 'from the first seam',
} as const;

/** How the edge was led: “along the blade on the foot”, “by eye”. */
export function alongGuidance(guidance: Guidance): string {
  return guidance === 'eye' ? 'by eye' : `along the ${guidanceNames[guidance]}`;
}
