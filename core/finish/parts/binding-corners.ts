import type { WorkRequest, WorkStep, Workplace } from '../work';
import { stripEasesPercent } from '../../strip/eases';
import { mitreOf } from '../../strip/mitre';
import { turnedInMm } from '../../strip/needed';
import { leastCornerRadiusMm } from '../../strip/round-corner';
import { once } from './said';

/** The corners of a bound edge: rounded beforehand, or turned side by side with a mitre. */
export function corners(request: WorkRequest, at: Workplace): WorkStep[] {
  const { schools, wish } = request;
  if (!sideBySide(request)) return [];
  const byHand = schools['binding-corner'] === 'hand';
  const { lengthMm: mitreMm } = mitreOf({ depthMm: wish.depthMm ?? 0, angleDegrees: 90 });
  return [
    once(
      2,
      'corner-end',
      at,
      'Sew to the very end of the side, and take the work from under the foot.',
    ),
    once(1, 'corner-open', 'table', 'Turn it over and open the binding beyond the corner.'),
    once(
      2,
      'mitre-back',
      'table',
      'Fold the mitre at the back first: from the corner inwards, {mitreMm} long at a right angle; pin it.',
      { mitreMm },
      ['pins'],
    ),
    once(
      2,
      'mitre-front',
      'table',
      'Then the same at the front, its fold on that of the back.',
      { mitreMm },
      ['pins'],
    ),
    once(
      1,
      'corner-snug',
      at,
      'Push the foot snug up to the mitre’s fold, secure, and sew along the next side.',
      {},
      ['needle'],
    ),
    byHand
      ? once(4, 'mitre-close', 'hand', 'Close every mitre by hand, back and front.')
      : once(
          2,
          'mitre-close',
          at,
          'When all sides are sewn, a line down each mitre, from the corner to the inner fold.',
          {},
          ['needle'],
        ),
  ];
}

/** Whether it is sewn side by side, from corner to corner. */
export const sideBySide = ({ edge, schools }: WorkRequest) =>
  edge.cornered && schools['binding-corner'] !== 'rounded';

/** Where a mitred binding begins. */
export const startAtCorner = ({ wish }: WorkRequest, at: Workplace): WorkStep[] => [
  once(
    1,
    'start',
    at,
    wish.variant === 'satin'
      ? 'Turn the end of the binding in by {startInMm}, slip it over the edge and begin at a corner, tails held back.'
      : 'Begin at a corner, the strip’s end turned in by {startInMm}; tails held back.',
    { startInMm: turnedInMm.start },
    ['handwheel'],
  ),
];

/** Corners that are cut round before anything is bound. */
export function roundedCorners({ edge, schools, wish }: WorkRequest): WorkStep[] {
  if (!edge.cornered || schools['binding-corner'] !== 'rounded') return [];
  return [
    once(
      4,
      'round-corners',
      'table',
      'Round every corner with a plate or a tin: {radiusMm} or more, so that the strip lies round it without a pleat.',
      { radiusMm: leastCornerRadiusMm(wish.depthMm ?? 0, stripEasesPercent(wish.variant)) },
      ['cutter'],
    ),
  ];
}
