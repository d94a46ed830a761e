import type { Cloth } from '../../cloth/cloth';
import { needlePointFor, startingNeedle } from '../../kit/needle';
import type { StartingValue, WorkRequest } from '../work';
import { said } from './said';

/** A starting guess with its reason. */
export function guess(
  id: string,
  name: string,
  value: number | string,
  unit: 'mm' | '',
  ...because: StartingValue['because']
): StartingValue {
  return { id, name, value, unit, because, startingGuess: true };
}

/** Straight and topstitch length: 2.0 + 0.35 × stack, 1.8 … 4.0; with topstitching thread + 0.5. */
export function straightLengthMm(stackMm: number, topstitchingThread = false): number {
  const length = Math.min(4, Math.max(1.8, 2 + 0.35 * stackMm));
  return topstitchingThread ? length + 0.5 : length;
}

/** The stitch length of a line of straight stitching. Source: docs/formulas.md. */
export function straightLength(stackMm: number, topstitchingThread = false): StartingValue {
  return guess(
    'length',
    'Stitch length',
    straightLengthMm(stackMm, topstitchingThread),
    'mm',
    topstitchingThread
      ? said('topstitch-length', 'Longer for a stack of {stackMm:fine} and for thick thread.', {
          stackMm,
        })
      : said('straight-length', 'For a stack of {stackMm:fine}; longer over more.', { stackMm }),
  );
}

/** A stack that is thicker than this wants the next needle up, mm. */
const thickCrossingMm = 4;
/** Where a home machine begins, however thick the crossing; the next up only when this one skips. */
const finestOfThick = 100;

function needleReasons(
  { weightGsm }: Pick<Cloth, 'weightGsm'>,
  it: { size: number; alternative: number; begun: number; thickestMm: number; thread: boolean },
) {
  const byWeight = said('needle', 'For {weightGsm} g/m² {size}, or {alternative} if it skips.', {
    weightGsm: Math.round(weightGsm),
    size: it.size,
    alternative: it.alternative,
  });
  if (it.begun <= it.size) return [byWeight];
  const raised =
    it.thread && it.begun > it.alternative
      ? said('needle-thread', 'Thick thread wants an eye of 100 or more.')
      : said('needle-crossing', 'Stronger here for a crossing of {thickestMm:fine}.', {
          thickestMm: it.thickestMm,
        });
  return [byWeight, raised];
}

/**
 * Needle size by weight and by the stack where the thickest seam crosses, point by construction and
 * density. Source: docs/formulas.md, “Dials that are not margins”.
 *
 * @param stackMm of the hem between crossings
 */
export function needle(
  { cloth, edge, strip }: Pick<WorkRequest, 'cloth' | 'edge' | 'strip'>,
  stackMm: number,
  topstitchingThread = false,
): StartingValue {
  const thickestMm = stackMm * edge.thickestTimes;
  const pieces = strip ? [cloth, strip] : [cloth];
  const weightGsm = Math.max(...pieces.map((piece) => piece.weightGsm));
  const { size, alternative } = startingNeedle(weightGsm);
  const raised = thickestMm > thickCrossingMm ? Math.min(finestOfThick, alternative) : size;
  const begun = Math.max(size, topstitchingThread ? Math.max(finestOfThick, raised) : raised);
  return guess(
    'needle',
    'Needle',
    `${begun}-${needlePointFor(pieces)}`,
    '',
    ...needleReasons(
      { weightGsm },
      { size, alternative, begun, thickestMm, thread: topstitchingThread },
    ),
  );
}

/** Presser pressure: less for lofty, stretchy or fine cloth, more for thick stacks. */
export function pressure(cloth: Cloth, stackMm: number): StartingValue {
  const gentle =
    cloth.construction === 'pile' || cloth.stretchPercent >= 15 || cloth.weightGsm < 80;
  const [value, why] = gentle
    ? (['less', 'Fine, lofty or stretchy cloth creeps under a heavy foot.'] as const)
    : stackMm > 3
      ? (['more', 'A thick stack lifts the foot.'] as const)
      : (['normal', 'Nothing about this cloth asks for another.'] as const);
  return guess('pressure', 'Presser pressure', value, '', said('pressure', why));
}

/** Overcast zigzag: 1.5 long, 2.0 above 250 g/m². */
export function zigzagLength(cloth: Cloth): StartingValue {
  const heavy = cloth.weightGsm > 250;
  return guess(
    'length',
    'Stitch length',
    heavy ? 2 : 1.5,
    'mm',
    said('zigzag-length', heavy ? 'Longer above 250 g/m².' : 'Close enough to hold the threads.'),
  );
}

/** An overlocker's differential: by stretch for knits, below 1 for sheers, more to ease. */
export function differential(cloth: Cloth, eased: boolean): StartingValue {
  const byStretch = Math.min(2, 1 + cloth.stretchPercent / 100);
  const [value, why] = eased
    ? ([Math.max(1.5, byStretch), 'Gathers the full edge in as it sews.'] as const)
    : cloth.construction === 'knit'
      ? ([byStretch, 'By its stretch, so that the edge does not wave.'] as const)
      : cloth.construction === 'sheer'
        ? ([0.8, 'Holds a sheer cloth taut, so that it does not pucker.'] as const)
        : ([1, 'Firm cloth wants none.'] as const);
  return guess(
    'differential',
    'Differential feed',
    Math.round(value * 10) / 10,
    '',
    said('differential', why),
    said('rebalance', 'Balance the loopers again after changing it.'),
  );
}

/** An overlocker's stitch length: 2.5 ordinary, 3.2 heavy; a narrow edge wants it close. */
export function overlockLength(cloth: Cloth, narrow = false): StartingValue {
  if (narrow) {
    return guess(
      'length',
      'Stitch length',
      1.2,
      'mm',
      said('overlock-length', 'Close on a narrow edge, 0.7 to 1.5.'),
    );
  }
  const heavy = cloth.weightGsm > 300;
  return guess(
    'length',
    'Stitch length',
    heavy ? 3.2 : 2.5,
    'mm',
    said('overlock-length', heavy ? 'Longer on heavy cloth.' : 'The ordinary length.'),
  );
}
