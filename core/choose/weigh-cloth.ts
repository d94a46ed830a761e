import type { Cloth } from '../cloth/cloth';
import type { Purpose } from '../edge/purpose';
import type { Nature } from '../finish/nature';
import { pressedShare } from '../fold/stack';
import { givesPercent } from '../stitch/gives';
import type { Stitch } from '../stitch/stitch';
import { stretchyPercent } from '../plan/usual-stitch';
import { adds, fact, noMatter, rulesOut, type Weighed } from './contribution';

// All points and limits here are starting guesses from craft practice, docs/formulas.md “Choosing”.

/** A hem this narrow is a roll, mm. */
const narrowMm = 6;
/** From this grade on layers slide on one another while they are sewn. */
const slipperyGrade = 2;
/** Cloth lighter than this shows how many layers lie in its edge, g/m². */
const fineGsm = 70;
/** A narrow roll of cloth up to this weight stays soft, g/m². */
const lightGsm = 150;
/** Cloth denser than this presses flat and does not print through, kg/m³. */
const denseKgPerM3 = 430;
/** More than this added prints through, of lofty cloth; of dense cloth it lies as a lump, mm. */
const printsMm = 0.9;
const lumpMm = 1.3;
/** Cloth that stretches less than this is firm, percent. */
const firmPercent = 10;
/** A bare edge that stretches further than this is pulled out of shape, percent. */
const wavyPercent = 30;
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

/** Whether the stitch follows the cloth: it is the stitch that gives, not the finish. */
export function weighStretch({ stretchPercent }: Cloth, stitch: Stitch | null): Weighed {
  if (stretchPercent < stretchyPercent || !stitch) return noMatter;
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

/** A narrow roll of cloth that is not light hangs as a cord. */
export function weighRoll(
  { weightGsm }: Cloth,
  { worked, closeStitch }: Nature,
  finishedDepthMm: number,
): Weighed {
  const rolled = (worked.includes('scroll') || closeStitch) && finishedDepthMm <= narrowMm;
  if (!rolled || weightGsm <= lightGsm) return noMatter;
  return adds(
    -Math.min(14, (weightGsm - lightGsm) / 8),
    fact('roll', 'A narrow roll is for light cloth; of {weightGsm} g/m² it hangs as a cord.', {
      weightGsm,
    }),
  );
}

/** A seam that can neither be pressed open nor let out, in cloth that would take both. */
export function weighNarrowSeam(
  { stretchPercent }: Cloth,
  { narrowSeam }: Nature,
  purpose: Purpose,
): Weighed {
  return narrowSeam && purpose === 'seam' && stretchPercent < firmPercent
    ? adds(
        -6,
        fact('narrow-seam', 'A narrow seam: it is not pressed open, and nothing can be let out.'),
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
      'The strip stretches about {gives} % and the cloth {stretchPercent} %: it takes the stretch out of the edge.',
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

/** A raw edge that is left single: no weakness where nothing frays and nothing curls. */
export function weighRawEdge(
  { fray, curl, stretchPercent, construction }: Cloth,
  nature: Nature,
  purpose: Purpose,
): Weighed & { readonly onlyToBeSeen: boolean } {
  const plain = { ...noMatter, onlyToBeSeen: false };
  if (!nature.rawEdge || purpose === 'seam') return plain;
  if (purpose === 'allowance') {
    return curl > (nature.liesWithCurl ?? 0)
      ? {
          ...adds(
            -8 * (curl - (nature.liesWithCurl ?? 0)),
            fact('curl', 'The cut edge rolls, grade {curl} of 3, and this lets it.', { curl }),
          ),
          onlyToBeSeen: false,
        }
      : plain;
  }
  const bare = nature.worked.includes('cut');
  // A pile that rolls a little lies flat by its own weight; a knit goes on rolling.
  const mostCurl = bare && construction !== 'knit' ? (nature.liesWithCurl ?? 0) : 0;
  if (fray === 0 && curl <= mostCurl && stretchPercent > wavyPercent) {
    return {
      ...adds(
        -18,
        fact('wavy', 'A bare edge that stretches {stretchPercent} % grows wavy.', {
          stretchPercent,
        }),
      ),
      onlyToBeSeen: false,
    };
  }
  if (fray === 0 && curl <= mostCurl) {
    if (!bare) {
      return {
        ...adds(
          -14,
          fact('raw-hem', 'Thread over a raw edge is a step before turning, and no hem.'),
        ),
        onlyToBeSeen: false,
      };
    }
    if (construction === 'knit') {
      return {
        ...adds(-14, fact('bare-knit', 'A knit left bare lets a loop go where it is rubbed.')),
        onlyToBeSeen: false,
      };
    }
    return curl > 0
      ? {
          ...adds(-5, fact('curl', 'The cut edge rolls a little, grade {curl} of 3.', { curl })),
          onlyToBeSeen: false,
        }
      : plain;
  }
  const because = fact(
    'raw-hem',
    'A raw edge that is only held is no hem: this cloth frays, grade {fray}, or rolls, grade {curl}.',
    { fray, curl },
  );
  // As an ornament it may be wished for, where the edge can be held at all.
  if (!bare || fray <= nature.holdsFray) {
    return { ...adds(-12, because), onlyToBeSeen: true };
  }
  return {
    ...rulesOut(because, fact('no-turning', 'cloth that neither frays nor rolls')),
    onlyToBeSeen: false,
  };
}

/** What only stops fraying, on cloth that has none to stop. */
export function weighNoFray({ fray, curl }: Cloth, nature: Nature, purpose: Purpose): Weighed {
  return nature.stopsFray && fray === 0 && curl === 0 && purpose !== 'seam'
    ? adds(-8, fact('no-fray', 'This cloth neither frays nor rolls: there is nothing to hold.'))
    : noMatter;
}

/** A second turn that has nothing to shut in. */
export function weighSecondTurn({ fray, curl }: Cloth, nature: Nature): Weighed {
  if (!nature.shutsIn || fray > 0 || curl > 0) return noMatter;
  return adds(
    -14,
    fact(
      'second-turn',
      'This cloth neither frays nor rolls: turning the edge in twice only adds a layer.',
    ),
  );
}

/** What a sheer cloth lets through. */
export function weighShowThrough(
  { construction }: Cloth,
  nature: Nature,
  purpose: Purpose,
): Weighed {
  // An allowance lies inside whatever is done to it.
  if (construction !== 'sheer' || purpose === 'allowance') return noMatter;
  if (nature.unequal) {
    return adds(
      -11,
      fact(
        'show-through',
        'Sheer cloth shows the step of unequal turns: hold a folded scrap to the light before you decide.',
      ),
    );
  }
  return nature.rawInside
    ? adds(
        -13,
        fact(
          'show-through',
          'Sheer cloth shows the raw edge behind it: hold a folded scrap to the light before you decide.',
        ),
      )
    : noMatter;
}

/** Slippery layers that lie free on one another, and a fold wide enough to creep. */
export function weighSlip(
  { slip }: Cloth,
  nature: Nature,
  depthMm: number,
  purpose: Purpose,
): Weighed {
  if (slip < slipperyGrade) return noMatter;
  // Two edges that are to be joined lie free on one another, however they are joined.
  const layers = Math.max(purpose === 'seam' ? 2 : 1, nature.freeLayers);
  const free = layers - 1;
  const wide = nature.worked.includes('turned') && depthMm > narrowMm;
  const points = -(3.3 * slip * Math.sqrt(free) + (wide ? 2.5 * slip : 0));
  if (points === 0) return noMatter;
  const values = { layers, depthMm, slip };
  return adds(
    points,
    wide
      ? fact(
          'slip',
          'This cloth slides, grade {slip} of 3: a fold {depthMm} deep creeps as it is sewn.',
          values,
        )
      : fact(
          'slip',
          'This cloth slides, grade {slip} of 3: {layers} layers lie free on one another.',
          values,
        ),
  );
}

/** Many layers in the edge of a fine cloth, and a lump in that of a thick one. */
export function weighBulk(
  { weightGsm, thicknessMm }: Cloth,
  layers: number,
  ownLayers: number,
  layerMm: number,
): Weighed {
  const addedMm = Math.max(0, (layers - ownLayers) * layerMm * pressedShare);
  const values = {
    layers: Math.round(layers),
    bulkMm: layers * layerMm * pressedShare,
    addedMm,
    weightGsm: Math.round(weightGsm),
  };
  if (weightGsm < fineGsm && layers > 3.5 && ownLayers === 1) {
    return adds(
      -9,
      fact(
        'layers',
        '{layers} layers make a cord of the edge of cloth of {weightGsm} g/m².',
        values,
      ),
    );
  }
  const lofty = weightGsm / thicknessMm < denseKgPerM3;
  const overMm = addedMm - (lofty ? printsMm : lumpMm);
  if (overMm <= 0) return noMatter;
  const points = -Math.min(40, (lofty ? 16 : 8) * overMm + (lofty ? 3 : 1));
  return adds(
    points,
    lofty
      ? fact(
          'bulk',
          '{layers} layers of this cloth are {bulkMm:fine}: they print through to the right side.',
          values,
        )
      : fact('bulk', '{layers} layers are {bulkMm:fine}: stiff, and a lump at each seam.', values),
  );
}
