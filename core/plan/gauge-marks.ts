import { mark, type FoldMark } from '../fold/mark';
import type { FoldPlan } from '../finish/fold-plan';

/**
 * Everything of a plan that is worth an edge on a fold gauge, in the order of the work: what is
 * cut off first, the marks, what is fed, and how a strip is cut and folded.
 */
export function gaugeMarks({ marks, feedMm, strip, trim, allowanceMm }: FoldPlan): FoldMark[] {
  const cutFirst =
    allowanceMm < 0 && trim ? [mark('cut-off', 'Cut off first', trim.cutAwayMm, 'cut')] : [];
  const kept =
    trim?.needed && marks.some(({ from }) => from === 'seam-line')
      ? [{ ...mark('leave', 'Trim to', trim.leaveMm, 'cut'), from: 'seam-line' as const }]
      : [];
  const fed =
    feedMm === undefined || marks.length > 0 ? [] : [mark('feed', 'Feed', feedMm, 'press')];
  const ofStrip = strip
    ? [
        mark('strip', 'Strip width', strip.widthMm, 'cut'),
        ...(strip.tuckInMm > 0 ? [mark('tuck', 'Tuck in', strip.tuckInMm, 'press')] : []),
      ]
    : [];
  return [...cutFirst, ...marks, ...kept, ...fed, ...ofStrip];
}
