import type { WorkRequest, WorkStep } from '../work';
import { swingEveryMm } from '../../edge/swing';
import { usualStandOffMm, usualTipMm } from '../../kit/binder';
import { stripOf } from './binding';
import {
  attachWay,
  isCovered,
  isZigzagged,
  machineOf,
  throughAttachment,
} from './binding-attaching';
import { once } from './said';

/** An elastic strip, which a woven binder leads a little loosely. */
const isElastic = ({ wish }: WorkRequest) => wish.variant === 'fold-over-elastic';

/** The tightest inside curve of the edge; null where it has none. */
const insideRadiusMm = ({ edge }: WorkRequest) =>
  edge.shape === 'inside-curve' || edge.purpose === 'opening' ? edge.minRadiusMm : null;

/** How far its mouth stands off the toe: as it is set, or as one begins. */
const standOffMm = (request: WorkRequest) =>
  request.binder?.placing.standOffMm ??
  usualStandOffMm(isElastic(request), insideRadiusMm(request));

/** A binder is set, and loaded before the edge is: flange, then the place, then the needle. */
export function loadingSteps(request: WorkRequest): WorkStep[] {
  const { wish, cloth, strip } = request;
  const at = machineOf(request);
  const byFoot = attachWay(request) === 'binder-foot';
  if (!throughAttachment(request) && !byFoot) return [];
  const { widthMm: stripMm } = stripOf({ wish, cloth, strip });
  return [
    byFoot
      ? once(
          2,
          'set-flange',
          at,
          'Set the flange to the strip, {flangeMm:fine}; then the foot nearer or further, then the needle: in that order.',
          { flangeMm: request.binder?.placing.flangeMm ?? stripMm },
          ['power-off'],
        )
      : once(
          3,
          'lay-attachment',
          at,
          'Screw the attachment on {standOffMm} before the toe, its tip {tipMm} right of the needle. The foot beside it holds the whole strip, and is short where the edge curves.',
          { standOffMm: standOffMm(request), tipMm: usualTipMm },
          ['power-off'],
        ),
    ...(isElastic(request)
      ? [
          once(
            1,
            'centre-elastic',
            at,
            'Stick tape into both sides of the mouth until the elastic runs in its middle, its fold line on the fold.',
          ),
        ]
      : []),
    once(0.5, 'point-strip', 'table', 'Cut the end of the strip to a long point, at 45°.', {}, [
      'cutter',
    ]),
    once(
      1.5,
      'coax-strip',
      at,
      'Lay it in with its wrong side to you and coax the point through with something blunt, until it can be taken hold of behind.',
      {},
      ['power-off'],
    ),
    once(
      0.5,
      'even-folds',
      at,
      'Pull it to and fro until both folds are even, and draw a hand’s width behind the needle.',
    ),
    once(
      1,
      'strip-alone',
      at,
      'Sew a hand’s width of the strip alone: its back and its front must both lie under the stitch.',
      {},
      ['handwheel'],
    ),
    once(
      0.5,
      'hold-start',
      at,
      'Push the cloth’s edge all the way up into the mouth, hold the beginning down with a pin’s head or the blunt tool, and keep it up there as you go.',
      {},
      ['needle'],
    ),
    once(
      0.5,
      'lost-back',
      at,
      'A strip that suddenly looks wider has lost its back: needle down, draw the cloth out, pull the strip back until it folds again, and feed the edge in anew.',
    ),
  ];
}

/** The curve of a binding: the edge comes to the mouth as it curves, and is never pulled straight. */
export function curveSteps(request: WorkRequest): WorkStep[] {
  const { edge, sewn } = request;
  const radiusMm = edge.minRadiusMm;
  if (radiusMm === null) return [];
  const side = sewn?.smallerSideMm ?? null;
  const at = machineOf(request);
  return [
    ...(throughAttachment(request)
      ? [
          once(
            0.5,
            'curve-tick',
            'table',
            'Chalk a tick beside the mouth where each curve begins: there the attachment’s stand-off of {standOffMm} lets the strip turn.',
            { standOffMm: standOffMm(request) },
          ),
        ]
      : []),
    side === null || side <= 0
      ? once(
          0.5,
          'binding-curve',
          at,
          'In a curve let the edge come curved to the needle, stop and turn often; never pull edge or strip straight.',
        )
      : once(
          0.5,
          'binding-curve',
          at,
          'In a curve let the edge come curved to the needle and swing every {everyMm}: needle down, foot up, down again; never pull edge or strip straight.',
          { everyMm: swingEveryMm(radiusMm, side) },
        ),
    ...(isCovered(request) && !isZigzagged(request)
      ? [
          once(
            0.3,
            'watch-needles',
            at,
            'Watch the needle nearest to the fold: it leaves the binding first on a curve.',
            {},
            ['needle'],
          ),
        ]
      : []),
  ];
}
