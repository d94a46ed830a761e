import type { Cloth } from '../cloth/cloth';
import type { Purpose } from '../edge/purpose';
import type { Nature } from '../finish/nature';
import { givesPercent } from '../stitch/gives';
import type { Stitch } from '../stitch/stitch';
import { stretchyPercent } from '../plan/usual-stitch';
import { adds, fact, noMatter, rulesOut, type Weighed } from './contribution';

// All points and limits here are starting guesses from craft practice, docs/formulas.md “Choosing”.

/** Cloth that stretches less than this is firm, percent. */
const firmPercent = 10;
/** A scroll takes cloth up to this share of its channel. */
const scrollPerCloth = 6;
/** Cloth a little thicker than is usual only costs. */
const tolerated = 0.7;

/** How the cloth frays against what holds it. */
export function weighFray({ fray }: Cloth, { holdsFray: holds, shutsIn }: Nature): Weighed {
  if (fray <= holds) {
    if (fray < 2) return noMatter;
    return shutsIn
      ? adds(
          1 + 2 * fray,
          fact('fray', 'This cloth frays, grade {fray} of 3, and its edge is shut in.', { fray }),
        )
      : adds(3, fact('fray', 'This cloth frays, grade {fray} of 3, and it is held.', { fray }));
  }
  const values = { fray, holds };
  if (fray - holds === 1) {
    return adds(
      -22,
      fact('fray', 'This cloth frays, grade {fray} of 3; it holds well up to {holds}.', values),
    );
  }
  return rulesOut(
    fact('fray', 'This cloth frays, grade {fray} of 3; it holds up to {holds}.', values),
    fact('less-fray', 'cloth that frays no more than grade {holds}', values),
  );
}

/**
 * Whether the stitch follows the cloth: it is the stitch that gives, not the finish. A firm strip
 * round the edge gives before the stitch does, and is weighed for itself.
 */
export function weighStretch(
  { stretchPercent }: Cloth,
  stitch: Stitch | null,
  { stripGivesPercent }: Pick<Nature, 'stripGivesPercent'>,
): Weighed {
  if (stretchPercent < stretchyPercent || !stitch || stripGivesPercent !== undefined) {
    return noMatter;
  }
  const gives = givesPercent(stitch);
  const values = { stretchPercent, givesPercent: gives };
  if (stretchPercent > gives) {
    return rulesOut(
      fact(
        'stretch',
        'The cloth stretches by {stretchPercent} % and this stitch breaks beyond {givesPercent} %.',
        values,
      ),
      fact('a-stretching-stitch', 'a stitch that gives, or firmer cloth'),
    );
  }
  return stretchPercent > 0.6 * gives
    ? adds(
        -8,
        fact(
          'stretch',
          'The cloth stretches by {stretchPercent} %, near the {givesPercent} % at which this stitch breaks.',
          values,
        ),
      )
    : adds(4, fact('stretch', 'Its stitch gives with a stretch of {stretchPercent} %.', values));
}

/** What is made to stretch, on cloth that does not; a close stitch, on cloth that does. */
export function weighGive({ stretchPercent, construction }: Cloth, nature: Nature): Weighed {
  if (nature.madeToGive && stretchPercent < firmPercent) {
    return adds(
      -14,
      fact('made-to-give', 'Made to stretch, and this cloth stretches {stretchPercent} % only.', {
        stretchPercent,
      }),
    );
  }
  const forKnits = nature.madeToGive === true || (nature.leastStretchPercent ?? 0) > 0;
  if (forKnits && construction === 'woven') {
    return adds(-8, fact('made-to-give', 'Made for knits, and this cloth is woven.'));
  }
  return nature.closeStitch && stretchPercent >= stretchyPercent
    ? adds(
        -14,
        fact(
          'lettuce',
          'So close a stitch drives cloth that stretches {stretchPercent} % into waves.',
          { stretchPercent },
        ),
      )
    : noMatter;
}

/**
 * A narrow seam that can neither be pressed open nor let out: a loss in cloth that would take both,
 * and what one wants in a knit, whose allowances roll.
 */
export function weighNarrowSeam(
  { stretchPercent, construction }: Cloth,
  { narrowSeam }: Nature,
  purpose: Purpose,
): Weighed {
  if (!narrowSeam || purpose !== 'seam') return noMatter;
  if (stretchPercent < firmPercent) {
    return adds(
      -6,
      fact('narrow-seam', 'A narrow seam: it is not pressed open, and nothing can be let out.'),
    );
  }
  return construction === 'knit'
    ? adds(
        3,
        fact('knit-seam', 'A knit’s seam is left narrow: it is joined and wrapped in one pass.'),
      )
    : noMatter;
}

/** A strip that stretches less than the cloth it goes round. */
export function weighStripStretch({ stretchPercent }: Cloth, nature: Nature): Weighed {
  const gives = nature.stripGivesPercent ?? Infinity;
  const least = nature.leastStretchPercent ?? 0;
  if (stretchPercent < least) {
    return adds(
      -26,
      fact(
        'firm',
        'A stretching strip on cloth that stretches {stretchPercent} % only gathers it.',
        {
          stretchPercent,
        },
      ),
    );
  }
  if (stretchPercent <= gives) return noMatter;
  return adds(
    -Math.min(35, 10 + (stretchPercent - gives) * 0.6),
    fact(
      'strip-stretch',
      'The strip stretches about {gives} % and the cloth {stretchPercent} %: it costs the edge its stretch, and the check of the opening says whether that matters.',
      { gives, stretchPercent },
    ),
  );
}

/** Cloth too thick for it or for its scroll, or too thin. */
export function weighThickness(
  { thicknessMm }: Cloth,
  { thickestMm: mostMm, thinnestMm = 0 }: Nature,
  channelMm: number | null,
): Weighed {
  const thickestMm = Math.min(mostMm, channelMm === null ? Infinity : channelMm / scrollPerCloth);
  if (thicknessMm < thinnestMm) {
    return adds(
      -22,
      fact(
        'thin',
        'Made for cloth from {thinnestMm:fine} on; heavy on one of {thicknessMm:fine}.',
        {
          thinnestMm,
          thicknessMm,
        },
      ),
    );
  }
  if (thicknessMm <= thickestMm) return noMatter;
  const because = fact(
    'thickness',
    'Cloth of {thicknessMm:fine} is thick for it; it is made for up to {thickestMm:fine}.',
    { thicknessMm, thickestMm },
  );
  if (thicknessMm * tolerated <= thickestMm) return adds(-26, because);
  return rulesOut(
    because,
    fact('thinner-cloth', 'cloth of {thickestMm:fine} or thinner', { thickestMm }),
  );
}
