import type { FoldPlan } from '../fold-plan';
import type { WorkRequest, WorkStep } from '../work';
import { course } from './course';
import { fitCurve } from './fit-curve';
import { home } from './said';
import { cut, lastPress, markFolds, pin, press, topstitch } from './work';

/**
 * The work of a hem turned twice with the iron and sewn beside its inner fold, whether narrow or
 * wide.
 *
 * @param turnMm how far the raw edge is turned under, mm
 * @param footName the foot one would take where nothing is worked out yet
 */
export function turnedTwiceWork(
  request: WorkRequest,
  plan: FoldPlan,
  turnMm: number,
  footName: string,
): WorkStep[] {
  const at = home('edge-guide');
  return course(request, {
    at,
    footName,
    measure: [
      cut(plan.allowanceMm),
      markFolds('Mark the folds {turnMm} and {hemlineMm} from the raw edge.', {
        turnMm,
        hemlineMm: plan.allowanceMm,
      }),
    ],
    fold: [
      press('turn', 'Turn the raw edge under by {turnMm} and press.', { turnMm }),
      press('press', 'Turn again by {depthMm} and press the hemline.', {
        depthMm: plan.finishedDepthMm,
      }),
      ...fitCurve(request, plan.finishedDepthMm),
      pin('Pin across the hem, well clear of the needle.'),
    ],
    layers: plan.layersAtStitch,
    scrap: { text: 'folded as the hem is, {layers} layers', layers: plan.layersAtStitch },
    look: 'does the line catch the inner fold all along?',
    sew: [topstitch(request, at, plan.stitchFromHemlineMm, 'inner fold')],
    check: 'the inner fold caught everywhere, pins out equal to pins in.',
    press: lastPress('Press from the inside.'),
  });
}
