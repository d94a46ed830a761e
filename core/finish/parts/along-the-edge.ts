import { swingEveryMm } from '../../edge/swing';
import { leastShimMm } from '../../seam/crossings';
import { dialTravel, snapToDial } from '../../kit/dial-steps';
import type { WorkRequest, WorkStep, Workplace } from '../work';
import { alongOf, usualSoleMm } from './lumps';
import { once } from './said';
import { straightLengthMm } from './starting';

/** How a corner is turned with a line of stitches. */
export type CornerWay = 'turn' | 'sew-off' | 'none';

/** Over the seams that cross: handwheel, longer stitch, and a shim where the foot would tip. */
export function overSeams(request: WorkRequest, at: Workplace, layers: number): WorkStep[] {
  const along = alongOf(request, layers);
  if (!along) return [];
  const { crossings = [] } = request.edge;
  const { toeMm, heelMm } = request.sewn?.soleMm ?? usualSoleMm;
  const shimMm = Math.max(0, ...along.zones.map((zone) => zone.shimMm));
  const values = {
    count: crossings.length,
    maxStackMm: along.maxStackMm,
    soleMm: toeMm + heelMm,
    shimMm,
    longerMm: longerStitchMm(request, along.maxStackMm),
  };
  const seams = crossings.length === 1 ? 'the seam' : 'each of the {count} seams';
  const looped = typeof at !== 'string' && ['overlocker', 'coverstitch'].includes(at.machine);
  const lengthen = looped ? '' : ', stitches {longerMm:fine} long';
  return [
    once(
      0,
      'over-seams',
      at,
      shimMm < leastShimMm || looped
        ? `Over ${seams}, {maxStackMm:fine} thick at most: slowly, by handwheel from {soleMm} before to {soleMm} behind${lengthen}.`
        : `Over ${seams}, {maxStackMm:fine} thick at most: hammer flat first; by handwheel from {soleMm} before to {soleMm} behind${lengthen}; a shim of {shimMm:fine} behind the heel going up, in front of the toe coming down, never under the needle.`,
      values,
      ['handwheel', 'needle'],
    ),
  ];
}

/** The stitch length over the thickest place, on the machine's steps. */
function longerStitchMm({ sewn }: WorkRequest, maxStackMm: number): number {
  const wished = straightLengthMm(maxStackMm);
  if (!sewn) return wished;
  const travel = dialTravel('length', sewn.machine, sewn.foot.guide);
  return Math.max(sewn.settings.lengthMm, snapToDial(wished, travel));
}

/** In a curve: how often to let the cloth swing. Source: docs/formulas.md, “Curves under the hand”. */
export function roundCurves({ edge, sewn }: WorkRequest, at: Workplace): WorkStep[] {
  const side = sewn?.smallerSideMm ?? null;
  if (edge.minRadiusMm === null || side === null || side <= 0) return [];
  return [
    once(
      0.5,
      'curve',
      at,
      'In the curve let the cloth swing every {everyMm}: needle down, foot up for a moment, down again. A chalk tick beside the foot says where the curve begins.',
      { everyMm: swingEveryMm(edge.minRadiusMm, side) },
    ),
  ];
}

/** At corners. */
export function overCorners({ edge }: WorkRequest, at: Workplace, way: CornerWay): WorkStep[] {
  if (!edge.cornered || way === 'none') return [];
  return [
    way === 'turn'
      ? once(
          1,
          'corner',
          at,
          'At each corner stop with the needle down as far from the next edge as from this one, lift the foot, turn the work, go on.',
        )
      : once(
          1,
          'corner',
          at,
          'At each corner sew off the end, cut, turn the work, and start the next side.',
        ),
  ];
}
