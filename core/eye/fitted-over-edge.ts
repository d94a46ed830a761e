import { mostGain } from './along-edge';
import { lineFitted } from './fitted-sight';
import { standingOut } from './flatten';
import type { LaidEdge } from './laid-edge';
import type { LikeliestSight } from './likeliest-sight';
import { meetingLines } from './meeting-lines';
import type { Seen } from './seen';

const { abs, ceil, cos, exp, hypot, round, sin } = Math;

/** Where a shadow is as light as thread, its end may lie so far from where it is lost, one spread, mm. */
const lostMm = 0.4;
/** It is lost where it would have to be made up for by the most, or so near to there, mm. */
const besideLostMm = 0.2;
/** How far off the end of a thread may be that was followed over an edge: it may sink there, or lie round, mm. */
const followedMm = 0.1;
/** So far in from its edge the cloth is seen as it is, mm. */
const clearMm = 0.35;

/**
 * Swings over a raw edge once more, held against the picture: the edge, and where each swing ends. A thread that is lost in a shadow as light as itself may go on; how its
 * two lines run on the cloth tells as well, and both are weighed by how sure they are.
 *
 * @param gains what every row was taken times for its thread to stand out
 */
export function fittedOverEdge(
  { edge, picture, tones }: LaidEdge,
  gains: readonly number[],
  seen: Seen,
  sight: LikeliestSight,
): LikeliestSight {
  const { seam, thread } = sight;
  const { pxPerMm, height } = tones;
  const placeOf = (alongMm: number, acrossMm: number) =>
    alongMm * sin(seam.angle) + acrossMm * cos(seam.angle);
  const near = ceil(besideLostMm * pxPerMm);
  const isLost = (alongMm: number, acrossMm: number) => {
    const row = round(placeOf(alongMm, acrossMm) * pxPerMm + (height - 1) / 2);
    return gains
      .slice(Math.max(0, row - near), row + near + 1)
      .some((gain) => abs(gain) >= mostGain);
  };
  const meetings = meetingLines(
    standingOut(picture.even),
    seam,
    thread,
    (alongMm, acrossMm) => edge.paper * (placeOf(alongMm, acrossMm) - edge.acrossMm) < -clearMm,
  );
  const weighed = thread.map((one, i) => {
    const lost = isLost(one.alongMm, one.acrossMm) ? lostMm : 0;
    const followed = hypot(one.acrossSpreadMm, lost, followedMm);
    const meeting = meetings[i];
    if (!meeting) return { ...one, acrossSpreadMm: followed };
    const [a, b] = [1 / followed ** 2, 1 / meeting.acrossSpreadMm ** 2];
    return {
      ...one,
      acrossMm: (a * one.acrossMm + b * meeting.acrossMm) / (a + b),
      acrossSpreadMm: 1 / Math.sqrt(a + b),
    };
  });
  // A lens blurs greys, not their logarithms.
  const greys = { ...tones, values: tones.values.map(exp) };
  return { ...sight, thread: weighed, line: lineFitted(greys, seen, sight, 0) };
}
