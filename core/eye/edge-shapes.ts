import { blurred } from './blurred';
import { greyOf, lightOf, type Blurs } from './grey-of-light';

const { exp, max, sqrt } = Math;

/** Something of an edge, by how far beyond it a place lies, mm. */
export type EdgePart = (beyondMm: number) => number;

/** What an edge may look like across, each part as strong as it may be. */
export interface EdgeShape {
  /** What is blurred in it, and what its parts are shares of. */
  readonly blurs: Blurs;
  /** What lies above, up to its edge: 1 where it lies flat and in the open. */
  readonly upper: EdgePart;
  /** What lies beyond, likewise. */
  readonly lower: EdgePart;
  /** What a shadow of any strength takes: from what lies beyond, or from both. */
  readonly shadow: EdgePart | null;
  /** That takes so much of the light at the most, as a share of what lies beyond: what is darker is a stripe of the cloth. */
  readonly mostTaken: number;
  /** It lies flat and in the open up to its very end; else it darkens before. */
  readonly isSharp: boolean;
  /** The picture turns fastest so far from it, mm, or nearer. */
  readonly offMm: number;
  /** Of all edges of its kind so many look like this. */
  readonly share: number;
}

/** What an edge is of: a fold bends down and lies on cloth; a raw edge is cut off, and lies on cloth or on paper. */
export type EdgeKind = 'fold' | 'raw on cloth' | 'raw on paper';

/**
 * A shadow that fades is a third of itself after so much; one that a lamp throws ends after so much, mm. On paper, so much lighter
 * than the cloth, one that is not quite so moves the edge farther: there they are told more finely.
 */
const fadesMm = { cloth: [0.25, 0.5, 1], paper: [0.2, 0.28, 0.4, 0.55, 0.8] } as const;
const thrownMm = {
  cloth: [0.2, 0.3, 0.4, 0.55, 0.7],
  paper: [0.2, 0.3, 0.4, 0.5, 0.6, 0.7],
} as const;
/** One that a window throws is less and less dark up to its end, mm. */
const halfThrownMm = [0.4, 0.7, 1.2, 2];

/**
 * Of all folds so many are as good as sharp: cloth bends round its own thickness, however hard it was pressed. Were all
 * taken for sharp, round ones would be told 0.04 mm short; were a tenth, sharp ones on stripes in soft pictures 0.03 mm too far.
 */
const asSharp = 0.25;
/**
 * Under light from all sides what ends and what it lies on shade each other: its edge is the middle of a dark line as wide as
 * these, one spread, mm. Of folds that are not sharp so many look like it, and of raw edges on cloth. Were it none, another
 * renderer’s would be told 0.05 (fold) and 0.1 mm (raw edge) too far in; paper throws too much light back.
 */
const darkLinesMm = [0.07, 0.085, 0.1, 0.115, 0.135, 0.155, 0.18, 0.21];
const asDarkLine = { fold: 0.1, raw: 0.15 } as const;
/** No edge lies farther from where the picture turns fastest, mm. */
const farthestOffMm = Math.max(...darkLinesMm);

/** A shadow takes so much of a grey at the most, since some light comes from all sides; into a crease hardly any falls. */
const mostThrown = 0.55;
const mostInCrease = 0.85;

/** What takes so much of a grey takes more of its light. */
const takenOf = (ofGrey: number, blurs: Blurs) =>
  blurs === 'greys' ? ofGrey : 1 - lightOf(1 - ofGrey);

/** A fold is round so far in from its edge, mm. */
const roundsMm = [0.16, 0.26, 0.38];
/** A lamp that stands over the cloth throws its shadow so far, mm; one beyond it lights its flank. */
const roundThrownMm = [0.1, 0.2, 0.3, 0.42, 0.56, 0.75];
/** How far light comes from beyond the fold, as a share of how far it comes from above: none comes flatter than that. */
const fromBeyond = [0, 0.35, 0.9];
const flattest = -1.6;
/** So much of the light comes from all sides, as far as a camera tells black. */
const ambients = [0.45, 0.65];
/** So much of that is hidden where the fold’s outline lies over what is beyond it: one side of the sky. */
const hidden = 0.5;
/** A lamp’s shadow ends softly over such a share of its length. */
const softShare = 0.3;
const half = (mm: number) => (mm > 0 ? 1 : mm < 0 ? 0 : 0.5);

/** A fold as the quarter of a pipe under a lamp. Source: Lambert’s law. */
function roundFold(
  roundMm: number,
  slope: number,
  ambient: number,
  blurs: Blurs,
): Pick<EdgeShape, 'upper' | 'lower'> {
  const shown = (lit: number, open = 1) => {
    const light = ambient * open + (1 - ambient) * lit;
    return blurs === 'light' ? light : greyOf(light);
  };
  const thrown = max(0, -2 * roundMm * slope);
  return {
    upper: (mm) => {
      const bent = max(0, 1 + mm / roundMm);
      return mm > 0 ? 0 : half(-mm) * shown(max(0, sqrt(1 - bent * bent) + slope * bent));
    },
    lower: (mm) => {
      const lit = thrown === 0 ? 1 : 0.5 + (mm / thrown - 1) / softShare;
      const open = 1 - hidden * exp(-max(0, mm) / roundMm);
      return mm < 0 ? 0 : half(mm) * shown(max(0, Math.min(1, lit)), open);
    },
  };
}

/** Of all edges of a kind, how many are sharp, lie in a dark line, and are round. */
const sharesOf: Readonly<Record<EdgeKind, Readonly<Record<'sharp' | 'dark' | 'round', number>>>> = {
  fold: {
    ...{ sharp: asSharp, dark: (1 - asSharp) * asDarkLine.fold },
    round: (1 - asSharp) * (1 - asDarkLine.fold),
  },
  'raw on cloth': { sharp: 1 - asDarkLine.raw, dark: asDarkLine.raw, round: 0 },
  'raw on paper': { sharp: 1, dark: 0, round: 0 },
};

/**
 * What an edge may look like in a picture that is so much blurred: sharp with a shadow or without; in the middle of a dark line;
 * or round, as a fold is.
 *
 * @param endsMm its parts are asked for so far to both sides of where the picture turns fastest, mm
 * @param blurs what is blurred, and what its parts are shares of
 */
export function edgeShapes(
  blurMm: number,
  kind: EdgeKind,
  endsMm: number,
  blurs: Blurs = 'greys',
): EdgeShape[] {
  const farthestMm = endsMm + farthestOffMm;
  const soft = (at: EdgePart) => blurred(at, blurMm, [-farthestMm, farthestMm]);
  const ends = { blurs, upper: soft((mm) => half(-mm)), lower: soft(half) };
  const shares = sharesOf[kind];
  const under = kind === 'raw on paper' ? 'paper' : 'cloth';
  const shadows = [
    null,
    ...fadesMm[under].map((fade) => soft((mm) => half(mm) * exp(-max(0, mm) / fade))),
    ...thrownMm[under].map((end) => soft((mm) => half(mm) * half(end - mm))),
    ...(under === 'paper' ? [] : halfThrownMm).map((end) =>
      soft((mm) => half(mm) * max(0, 1 - mm / end)),
    ),
  ];
  const sharp = shadows.map((shadow): EdgeShape => ({
    ...{ ...ends, shadow, mostTaken: takenOf(mostThrown, blurs), isSharp: true, offMm: 0 },
    share: shares.sharp / shadows.length,
  }));
  if (shares.dark === 0) return sharp;
  const dark = darkLinesMm.map((spreadMm): EdgeShape => {
    const shadow = soft((mm) => exp(-((mm / spreadMm) ** 2) / 2));
    return {
      ...{
        ...ends,
        shadow,
        mostTaken: takenOf(mostInCrease, blurs),
        isSharp: false,
        offMm: spreadMm,
      },
      share: shares.dark / darkLinesMm.length,
    };
  });
  if (shares.round === 0) return [...sharp, ...dark];
  const round = roundsMm.flatMap((mm) =>
    [...roundThrownMm.map((thrown) => -thrown / (2 * mm)), ...fromBeyond]
      .filter((slope) => slope > flattest)
      .flatMap((slope) => ambients.map((ambient) => roundFold(mm, slope, ambient, blurs))),
  );
  return [
    ...sharp,
    ...dark,
    ...round.map(({ upper, lower }): EdgeShape => ({
      ...{ blurs, upper: soft(upper), lower: soft(lower), shadow: null, mostTaken: 0 },
      ...{ isSharp: false, offMm: 0 },
      share: shares.round / round.length,
    })),
  ];
}
