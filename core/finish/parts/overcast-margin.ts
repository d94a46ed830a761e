import type { Cloth } from '../../cloth/cloth';
import type { Reasoned } from '../../fact';
import type { FinishMargin, MarginWords } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import { said } from './said';
import { swingMargin } from './swing-margin';

/** How far in a stitch must reach to hold cloth of each fray grade, mm. Starting guesses. */
export const gripByFrayMm = [1.5, 2, 2.8, 3.5] as const;
/** How far the swing may fall short of the edge, and reach over it, mm. Starting guesses. */
export const overhang = { loMm: -0.2, hiMm: 1 } as const;

/** The least grip that holds a cloth. */
export const gripMm = ({ fray }: Pick<Cloth, 'fray'>): number => gripByFrayMm[fray];

const words: MarginWords = {
  reference: 'raw edge',
  one: 'swing',
  counted: 'swings',
  good: 'wrap the edge and hold',
  short: 'Whiskers outside',
  over: 'Loops or curl',
  look: 'Count the swings that leave threads outside, and those whose loops hang or curl the edge.',
  checks: { overhang: 'overhang', grip: 'grip' },
  faults: {
    whiskers: { short: 'whiskers outside', long: 'threads of the edge are left outside' },
    curls: { short: 'edge curls', long: 'the edge curls, or loops hang off it' },
    'pulls-off': { short: 'pulls off', long: 'the stitching pulls off the edge' },
  },
};

/** An overcast raw edge along the bar. Source: docs/formulas.md, “Checks per finish”. */
export function overcastMargin(
  layers: number,
  startingLength: (plan: SewingPlan) => Reasoned<number>,
): FinishMargin {
  return swingMargin({
    words,
    overhang,
    below: 'whiskers',
    above: 'curls',
    grip: ({ cloth }) => ({
      loMm: gripMm(cloth),
      below: 'pulls-off',
      why: said('grip-by-fray', 'By how it frays, grade {fray} of 3.', { fray: cloth.fray }),
    }),
    freeLayers: () => ({ guide: layers }),
    startingLength,
    regions: () => [
      { name: layers > 1 ? 'both edges' : 'cloth', fromMm: -Infinity, toMm: 0, layers },
    ],
  });
}
