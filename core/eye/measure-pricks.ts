import type { Expected } from './expected';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { atMostOneWrong, faultOf, sureOf } from './how-sure';
import { meanAndSpread } from './mean-and-spread';
import type { MeasuredScrap, MeasuredStitch } from './measured-scrap';
import { inWindow } from './on-seam';
import { findPricks } from './pricks';

/** Measures the pricks of hidden bites along the row they come out on. @param plain how plain it is */
export function measurePricks(
  { seen, judged }: Expected,
  { standing, even }: Readonly<Record<'standing' | 'even', Field>>,
  seam: FoundSeam,
  plain: number,
): MeasuredScrap {
  const pricks = findPricks(standing, even, seen, seam);
  const stitches = pricks.map(({ alongMm, acrossMm, shows, shownMm, spreadMm }): MeasuredStitch => {
    const depthMm = judged.valueOfShownMm(shownMm);
    const fault = depthMm === null ? null : faultOf(depthMm, judged);
    const isSeen = shownMm > 0;
    return {
      kind: 'bite',
      atMm: inWindow(seam, standing.pxPerMm, [alongMm, acrossMm]),
      ...{ depthMm, depthSpreadMm: depthMm === null ? null : spreadMm, fault },
      sure:
        (isSeen ? shows : 1 - shows) * (depthMm === null ? 1 : sureOf(depthMm, spreadMm, judged)),
      counted: true,
    };
  });
  const found = pricks.filter(({ shownMm }) => shownMm > 0);
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
      short: 0,
      over: stitches.filter(({ fault }) => fault === judged.above).length,
    },
    lengthMm: apart.mean > 0 ? apart : { mean: seam.repeatMm / seen.stitches, sd: 0 },
    widthMm: null,
    reference: null,
    edge: null,
    plain,
    sure: atMostOneWrong(stitches.map(({ sure }) => sure)),
  };
}
