import type { Expected } from './expected';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { atMostOneWrong, faultOf, sureOf } from './how-sure';
import type { MeasuredDepth } from '../margin/measured-depths';
import { countChances } from './likeliest-counts';
import { meanAndSpread } from './mean-and-spread';
import type { MeasuredScrap, MeasuredStitch } from './measured-scrap';
import { inWindow } from './on-seam';
import { leastAsSet, otherLength } from './other-length';
import { findPricks } from './pricks';
import { refuse } from './refused';
import { withinRow } from './row-ends';
import { commonSpreadMm } from './shared-offs';

/** Two make a row; what was taken for one may have been stripes or weave, when it is held against the picture. */
const leastShown = 2;

/**
 * Measures the pricks of hidden bites along the row they come out on.
 *
 * @param plain how plain it is
 * @throws Impossible where no two of them are thread, or they were sewn with another stitch length than is set
 */
export function measurePricks(
  { seen, judged }: Expected,
  { standing, even }: Readonly<Record<'standing' | 'even', Field>>,
  seam: FoundSeam,
  plain: number,
): MeasuredScrap {
  const row = findPricks(standing, even, seen, seam);
  const pricks = withinRow(row.places);
  const found = pricks.filter(({ shownMm }) => shownMm > 0);
  if (found.length < leastShown) refuse('no-prick');
  const other = otherLength(row);
  if (other.asSet < leastAsSet) refuse(other.is);
  const stitches: MeasuredStitch[] = [];
  const depths: MeasuredDepth[] = [];
  const theres: number[] = [];
  for (const { alongMm, acrossMm, shows, shownMm, spreadMm } of pricks) {
    const there = shownMm > 0 ? shows : 1 - shows;
    theres.push(there);
    const at = {
      ...({ kind: 'bite', counted: true } as const),
      atMm: inWindow(seam, standing.pxPerMm, [alongMm, acrossMm]),
    };
    const depthMm = judged.valueOfShownMm(shownMm);
    if (depthMm === null) {
      stitches.push({ ...at, depthMm, depthSpreadMm: null, fault: null, sure: there });
      continue;
    }
    depths.push({ depthMm, depthSpreadMm: spreadMm });
    stitches.push({
      ...{ ...at, depthMm, depthSpreadMm: spreadMm, fault: faultOf(depthMm, judged) },
      sure: there * sureOf(depthMm, spreadMm, judged),
    });
  }
  const over = stitches.filter(({ fault }) => fault === judged.above).length;
  const short = stitches.filter(({ fault }) => fault === judged.below).length;
  // How a bite’s thread goes down is the same for all of them.
  const surelyCounted = countChances(depths, commonSpreadMm(depths), judged)({ short, over });
  const apart = meanAndSpread(
    found.flatMap((one) => {
      const next = found.find(({ repeat, hole }) => hole === one.hole && repeat === one.repeat + 1);
      return next ? [Math.abs(next.alongMm - one.alongMm) / seen.stitches] : [];
    }),
  );
  return {
    stitches,
    counts: {
      check: judged.check,
      n: stitches.length,
      // What missed does not show on this side.
      short: 0,
      over,
    },
    lengthMm: apart.mean > 0 ? apart : { mean: seam.repeatMm / seen.stitches, sd: 0 },
    widthMm: null,
    reference: null,
    edge: null,
    plain,
    otherLength: other,
    sure: surelyCounted * atMostOneWrong(theres) * other.asSet,
  };
}
