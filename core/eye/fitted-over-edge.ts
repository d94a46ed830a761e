import { evenAlong, mostGain } from './along-edge';
import { bareCloth } from './bare-cloth';
import { fittedHoles } from './fitted-holes';
import { lineFitted } from './fitted-sight';
import type { LaidEdge } from './laid-edge';
import type { LikeliestSight } from './likeliest-sight';
import { meetingLines } from './meeting-lines';
import { lookAlong } from './on-seam';
import type { Seen } from './seen';
import { threadCover } from './thread-look';

const { abs, ceil, cos, exp, hypot, round, sin } = Math;

/** Where a shadow is as light as thread, its end may lie so far from where it is lost, one spread, mm. */
const lostMm = 0.4;
/** It is lost where it would have to be made up for by the most, or so near to there, mm. */
const besideLostMm = 0.2;
/** How far off the end of a thread may be besides that was held against cloth and paper; and one that was followed alone, mm. */
const [fittedMm, followedMm] = [0.05, 0.1];
/** So far in from its edge the cloth is seen as it is, mm. */
const clearMm = 0.35;

/**
 * Swings over a raw edge once more, held against the picture: the edge, and where each swing ends, which looks on paper as on cloth. A thread that is lost in a shadow as light as itself may go on; how its
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
  const { seam, line } = sight;
  // Thread is held against what is the same all along; where the edge lies is told a little better by what is seen.
  const greys = evenAlong(picture);
  const held = line ? fittedHoles(greys, seam, line.slope, sight.thread) : null;
  // A fit that is less sure than following was tells nothing: thread and what it lies on are nearly alike there.
  const thread = sight.thread.map((followed, i) => {
    const fitted = held?.thread[i] ?? followed;
    const isSurer = fitted !== followed && fitted.acrossSpreadMm <= followedMm;
    const [one, openMm] = isSurer ? [fitted, fittedMm] : [followed, followedMm];
    return { ...one, acrossSpreadMm: hypot(one.acrossSpreadMm, openMm) };
  });
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
  const meetings =
    held?.look && line
      ? meetingLines(
          {
            look: lookAlong(greys, seam),
            bare: bareCloth(greys, seam, line.slope, thread),
            cover: threadCover(held.look),
          },
          thread,
          (alongMm, acrossMm) =>
            edge.paper * (placeOf(alongMm, acrossMm) - edge.acrossMm) < -clearMm,
        )
      : [];
  const weighed = thread.map((one, i) => {
    const lost = isLost(one.alongMm, one.acrossMm) ? lostMm : 0;
    const spreadMm = hypot(one.acrossSpreadMm, lost);
    const meeting = meetings[i];
    if (!meeting) return { ...one, acrossSpreadMm: spreadMm };
    const [a, b] = [1 / spreadMm ** 2, 1 / meeting.acrossSpreadMm ** 2];
    return {
      ...one,
      acrossMm: (a * one.acrossMm + b * meeting.at[0]) / (a + b),
      acrossSpreadMm: 1 / Math.sqrt(a + b),
    };
  });
  // A lens blurs light, not the logarithms of greys.
  const whole = { ...tones, values: tones.values.map(exp) };
  return { ...sight, thread: weighed, line: lineFitted(whole, seen, sight, 0) };
}
