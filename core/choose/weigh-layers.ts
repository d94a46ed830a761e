import type { Cloth } from '../cloth/cloth';
import { narrowTurnMm } from '../edge/flare';
import type { Purpose } from '../edge/purpose';
import type { Nature } from '../finish/nature';
import { pressedShare } from '../fold/stack';
import { adds, fact, noMatter, type Weighed } from './contribution';

// All points and limits here are starting guesses from craft practice, docs/formulas.md “Choosing”.

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

/** A narrow roll of cloth that is not light hangs as a cord. */
export function weighRoll(
  { weightGsm }: Cloth,
  { worked, closeStitch }: Nature,
  finishedDepthMm: number,
): Weighed {
  const rolled = (worked.includes('scroll') || closeStitch) && finishedDepthMm <= narrowTurnMm;
  if (!rolled || weightGsm <= lightGsm) return noMatter;
  return adds(
    -Math.min(14, (weightGsm - lightGsm) / 8),
    fact('roll', 'A narrow roll is for light cloth; of {weightGsm} g/m² it hangs as a cord.', {
      weightGsm,
    }),
  );
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
  const wide = nature.worked.includes('turned') && depthMm > narrowTurnMm;
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
