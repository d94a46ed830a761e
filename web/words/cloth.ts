import type { Face, Fibre, Nap, Shine } from '../../core/cloth/about-cloth';
import type { Construction, Grade, MeasuredCloth } from '../../core/cloth/cloth';
import { startingNeedle } from '../../core/kit/needle';
import type { Lengths } from '../../core/measure/lengths';

export const constructionNames: Readonly<Record<Construction, string>> = {
  woven: 'woven',
  knit: 'knit',
  pile: 'pile: towelling, velvet, plush',
  felted: 'felted or boiled',
  sheer: 'sheer',
};

export const fibreNames: Readonly<Record<Fibre, string>> = {
  cotton: 'cotton',
  linen: 'linen',
  wool: 'wool',
  silk: 'silk',
  viscose: 'viscose',
  polyester: 'polyester',
  polyamide: 'polyamide',
  acrylic: 'acrylic',
  blend: 'a blend',
  other: 'something else',
};

export const faceNames: Readonly<Record<Face, string>> = {
  alike: 'both faces alike',
  one: 'one good face',
};

export const napNames: Readonly<Record<Nap, string>> = {
  none: 'no nap',
  'one-way': 'nap or print runs one way',
};

export const shineNames: Readonly<Record<Shine, string>> = {
  untested: 'not tried under the iron',
  none: 'no shine from the iron',
  shines: 'shines under a bare iron',
};

/** What each grade of a cloth's habits is called, from 0 to 3. */
export const gradeNames = {
  fray: ['does not fray', 'frays a little', 'frays', 'frays badly'],
  curl: ['lies flat', 'curls a little', 'curls', 'rolls over'],
  slip: ['grips', 'slips a little', 'slips', 'slides away'],
} as const;

const frayMeans: Readonly<Record<Grade, string | ((lengths: Lengths) => string)>> = {
  0: 'A raw edge may stay as it is.',
  1: 'Pinking can be enough where nothing rubs.',
  2: ({ fine }) =>
    `Overcast, serge or turn the edge under; an overcast bites ${fine(2.8)} or more.`,
  3: ({ fine }) => `Enclose the edge, or bite ${fine(3.5)} deep into it.`,
};
const curlMeans: Readonly<Record<Grade, string>> = {
  0: 'The edge lies by itself.',
  1: 'Press it before each row.',
  2: 'Starch the edge, or it turns under the foot.',
  3: 'Starch it or let it roll on purpose.',
};
const slipMeans: Readonly<Record<Grade, string>> = {
  0: 'Layers stay where they are laid.',
  1: 'The hand wanders about a fifth more.',
  2: 'The hand wanders two fifths more: pin close, or baste.',
  3: 'The hand wanders three fifths more: baste, and keep folds narrow.',
};

/** From this stretch on a plain straight stitch breaks, percent. */
const stretchyPercent = 15;

/** What each home test came to means for the work. */
export const meanings = {
  weightGsm: ({ weightGsm }: MeasuredCloth) => {
    const { size, alternative } = startingNeedle(weightGsm);
    return `Start with a needle of ${size}, or ${alternative} if it skips.`;
  },
  thicknessMm: ({ thicknessMm }: MeasuredCloth, { fine }: Lengths) =>
    `A blind bite may be ${fine(0.2)} to ${fine(thicknessMm + 0.5)} deep: the thicker, the more forgiving.`,
  stretchPercent: ({ stretchPercent, recoveryPercent }: MeasuredCloth) => {
    const stitch =
      stretchPercent >= stretchyPercent
        ? 'The hem needs a stitch that gives.'
        : 'A straight stitch holds.';
    const back =
      recoveryPercent < 85
        ? ` Only ${Math.round(recoveryPercent)} % of a pull comes back: ease the edge, or it waves.`
        : '';
    return stitch + back;
  },
  fray: ({ fray }: MeasuredCloth, lengths: Lengths) => {
    const means = frayMeans[fray];
    return typeof means === 'string' ? means : means(lengths);
  },
  curl: ({ curl }: MeasuredCloth) => curlMeans[curl],
  slip: ({ slip }: MeasuredCloth) => slipMeans[slip],
} as const;
export type Tested = keyof typeof meanings;
