import type { FinishMargin } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import { blindChecks, blindMargin } from './blind-margin';
import { guideReasons } from './margin-parts';
import { said } from './said';

/** How far a tacking attachment carries the fold under the needle, mm. Starting guess. */
export const tackReachMm = 3;
/** Stitches in the run before each tack. */
export const tackedRun = 6;
/** Stitch length that spaces the tacks, mm. Starting guess. */
export const tackLengthMm = 2.2;

/**
 * The straight-stitch tacking attachment: the needle stands still, and the attachment carries the
 * fold {@link tackReachMm} under it for the tack. Its guide is the dial.
 */
function checks(plan: SewingPlan) {
  const hand = plan.stitch.mirror ? -1 : 1;
  const carried = (sign: 1 | -1, byMm: number) => ({
    constantMm: byMm,
    width: 0,
    needlePosition: -sign * hand,
    guide: sign * hand,
  });
  const [bite, run] = blindChecks(plan);
  return [
    { ...bite, v0: carried(1, tackReachMm) },
    { ...run, v0: carried(-1, 0) },
  ];
}

export const tackMargin: FinishMargin = {
  ...blindMargin,
  checks,
  startingLength: () => ({
    value: tackLengthMm,
    because: [
      said('tack', 'A tack after {run} stitches, about every {everyMm}.', {
        run: tackedRun,
        everyMm: tackLengthMm * (tackedRun + 1),
      }),
    ],
    startingGuess: true,
  }),
  dialReasons(plan, { needlePositionMm, guideMm }) {
    const runMm = Math.abs(needlePositionMm - guideMm);
    return {
      widthMm: [
        said('tack-reach', 'The attachment carries the fold {reachMm:fine} over.', {
          reachMm: tackReachMm,
        }),
      ],
      needlePositionMm: [
        said('tack-run', 'Runs {runMm:fine} off the fold, tacks {biteMm:fine} into it.', {
          runMm,
          biteMm: tackReachMm - runMm,
        }),
      ],
      guideMm: guideReasons(plan),
    };
  },
  ruled: () => ({
    widthMm: {
      value: 0,
      because: [said('tack-width', 'The attachment swings the cloth, not the needle.')],
      startingGuess: false,
    },
  }),
};
