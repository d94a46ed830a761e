import { fullnessesOf, type Fullness } from '../../edge/fullness';
import { releaseCuts } from '../../edge/release';
import { easingDifferential } from '../../loopers/differential';
import type { WorkRequest, WorkStep } from '../work';
import { along } from './said';

/** Too short round a hole: clipped, or stretched by the school chosen. */
function letOut(radiusMm: number, share: number, depthMm: number, way: string | undefined) {
  if (way === 'stretched') {
    return along(
      1,
      'release',
      'iron',
      'Round the hole of radius {radiusMm} the turned edge is {percent} % too short where it lands: stretch it with steam as you press it in, no more than it takes without springing back.',
      { radiusMm, percent: Math.round(share * 100) },
      ['iron'],
    );
  }
  const { everyMm, longMm } = releaseCuts(radiusMm, depthMm, 'inside');
  return along(
    0.5,
    'release',
    'table',
    'Round the hole of radius {radiusMm} the turned edge is too short where it lands: clip it every {clipMm}, {longMm} long and not up to the fold, until it lies.',
    { radiusMm, clipMm: everyMm, longMm },
    ['cutter'],
  );
}

/** Cloth piled up behind the foot is let go this often, mm. Starting guess. */
const fingerEveryMm = 50;

/** Too full: eased in by the school chosen. */
function easeIn(share: number, { schools, passes }: WorkRequest): WorkStep {
  const values = { percent: Math.round(share * 1000) / 10 };
  switch (schools['curve-easing']) {
    case 'differential': {
      // On the steps of the overlocker that serges the raw edge, where one is planned.
      const serger = passes?.['raw-edge']?.sewn?.machine;
      return along(
        0.6,
        'ease',
        { machine: 'overlocker', foot: null },
        'The raw edge is {percent} % too long where it lands: serge it with the differential at {differential}, which draws it in by as much.',
        { ...values, differential: easingDifferential(share, serger ?? {}) },
        ['knife'],
      );
    }
    case 'finger':
      return along(
        1,
        'ease',
        'hand',
        'The raw edge is {percent} % too long where it lands: as you finish it, hold a finger against the back of the foot so that the cloth piles up; let it go every {everyMm}, and press it with steam.',
        { ...values, everyMm: fingerEveryMm },
        ['iron'],
      );
    default:
      return along(
        1.5,
        'ease',
        'iron',
        'The raw edge is {percent} % too long where it lands: run a line of long stitches along it, draw it up until it lies flat, and shrink it with steam.',
        values,
        ['iron'],
      );
  }
}

function fit(it: Fullness, depthMm: number, request: WorkRequest): WorkStep[] {
  if (it.kind === 'short') {
    return [letOut(it.radiusMm, it.share, depthMm, request.schools['inside-curve'])];
  }
  if (it.kind === 'fits' || it.way === 'pressed') return [];
  return [
    it.way === 'eased'
      ? easeIn(it.share, request)
      : along(
          1.5,
          'ease',
          'table',
          'The raw edge is too long to ease where it lands: make the hem shallower, or bind or face it.',
        ),
  ];
}

/** What a curve does to the turned-up edge, as the one rule for it says; on a measured edge in its curves of both hands. */
export function fitCurve(request: WorkRequest, depthMm: number): WorkStep[] {
  const { shape, lengthMm, minRadiusMm, turnDegrees = null, joined, form } = request.edge;
  if (!shape) return [];
  return fullnessesOf(
    { shape, lengthMm, minRadiusMm, turnDegrees, joined, form },
    depthMm,
    request.cloth,
  ).flatMap((it) => fit(it, depthMm, request));
}
