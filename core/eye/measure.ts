import type { Expected } from './expected';
import { coarser, flattened, standingOut, threadWidthMm, toned } from './flatten';
import { fittedSight } from './fitted-sight';
import { seamFinder, type FoundSeam, type SeamFinder } from './find-seam';
import { shrunkScaled, type ScaledImage } from './grey';
import { measurePricks } from './measure-pricks';
import { measureThread } from './measure-thread';
import type { MeasuredScrap } from './measured-scrap';
import { measureOverEdge } from './over-edge';
import { prickRow } from './prick-row';
import { refuse } from './refused';
import { isLine, needlesOf, ofNeedle, swingsAtRawEdge } from './seen';

/** Below this, what was found may be weave or print. */
const leastScore = 7;
/** Two plain pricks in a row at the right spacing, or more that are fainter; bare cloth has half. */
const leastPrickScore = 7.5;
/** Fine enough for a thread of 0.3 mm and a tenth of a millimetre of depth. */
const finePxPerMm = 10;
/** Coarse enough to look everywhere. */
const coarsePxPerMm = 4;

/** A repeat must be so long to be seen as more than a line: three threads beside each other, mm. */
const leastRepeatMm = { thread: 3 * threadWidthMm, pricks: 1.5 } as const;

/**
 * Measures what lies in the window: where the stitch runs, its holes, how deep each bite goes or how
 * far each stitch lies from its edge, and which are faulty.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param window the card’s window laid flat, 8 px a mm or more
 * @param onShare progress, 0 to 1; false stops
 * @param thread the same window where its thread is to be seen, if not in how light it is
 * @returns null where it was stopped
 * @throws Impossible where no stitch is told from the cloth, or none could be
 */
export function measureScrap(
  window: ScaledImage,
  expected: Expected,
  onShare: (share: number) => boolean = () => true,
  thread: ScaledImage = window,
): MeasuredScrap | null {
  // What is finer than is needed is made coarser first: a quarter of the work, and as true.
  const times = Math.max(1, Math.floor(window.pxPerMm / finePxPerMm));
  const small = shrunkScaled(window, times);
  const inGrey = thread === window;
  return measureFine(small, expected, onShare, inGrey ? small : shrunkScaled(thread, times));
}

/** The same of a window that is as fine as it is measured. */
function measureFine(
  window: ScaledImage,
  expected: Expected,
  onShare: (share: number) => boolean,
  thread: ScaledImage,
): MeasuredScrap | null {
  const coarseTimes = Math.max(1, Math.floor(window.pxPerMm / coarsePxPerMm));
  if (expected.seen.repeatMm < leastRepeatMm[expected.seen.kind]) refuse('too-fine');
  if (swingsAtRawEdge(expected.seen)) {
    const scale = { coarse: coarseTimes, leastScore };
    return measureOverEdge(thread, expected, scale, onShare);
  }
  const flat = flattened(thread);
  const standing = standingOut(flat);
  if (!onShare(0.15)) return null;
  if (expected.seen.kind === 'pricks') {
    const row = prickRow(flat, expected.seen);
    if (!row || row.score < leastPrickScore) refuse('no-prick');
    const measured = measurePricks(
      expected,
      { standing, even: flat },
      row,
      row.score / leastPrickScore,
    );
    return onShare(1) ? measured : null;
  }
  const coarse = coarser(standing, coarseTimes);
  // Lines beside each other are looked for one by one; which of them is which is told by the others.
  const [counted = 0, ...others] = needlesOf(expected.seen);
  const seen = ofNeedle(expected.seen, counted);
  const find = seamFinder(coarse, seen);
  const seams = find({ onShare: (share) => onShare(0.15 + 0.6 * share) });
  if (!seams) return null;
  if (isLine(seen)) seams.push(...linesBeside(find, seams));
  if (!seams.some(({ score }) => score >= leastScore)) refuse('no-stitch');
  const lit = thread === window ? flat : flattened(window);
  const even = { thread: flat, cloth: lit };
  const measured = measureThread(
    { ...expected, seen, beside: others.map((needle) => ofNeedle(expected.seen, needle)) },
    { tones: toned(window), standing },
    seams,
    (along, only) => find({ along, only }) ?? [],
    (sight) => fittedSight(even, seen, sight),
  );
  return onShare(1) ? measured : null;
}

/** So many lines beside each other are told apart: a thread, a fold, its shadow. */
const mostLines = 3;

/**
 * Straight lines along the likeliest seam, each beside the others: a thread without holes to be seen
 * looks like the fold it runs along, and which is which is told later.
 */
function linesBeside(find: SeamFinder, [likeliest]: readonly FoundSeam[]): FoundSeam[] {
  const found: FoundSeam[] = [];
  for (let i = 0; likeliest && i < mostLines; i++) {
    const except = found.map(({ acrossMm }) => acrossMm);
    found.push(...(find({ along: likeliest.angle, by: 'line', except }) ?? []));
  }
  return found;
}
