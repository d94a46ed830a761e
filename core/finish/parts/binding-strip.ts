import type { WorkRequest, WorkStep } from '../work';
import { shorterShareOf } from '../../strip/shorter';
import { stripOf } from './binding';
import { throughAttachment } from './binding-attaching';
import { along, home, once, step } from './said';

/** Where the strip comes from, how it is cut and folded. */
function stripSteps(request: WorkRequest): WorkStep[] {
  const { wish, cloth, strip, schools } = request;
  const { widthMm, cutting, foldsAtMm } = stripOf({ wish, cloth, strip });
  if (cutting === 'none') return [];
  if (schools['strip-source'] === 'ready-made' && cutting === 'bias') {
    return [
      once(1, 'buy', 'table', 'Take ready-folded bias {widthMm} wide when it is opened flat.', {
        widthMm,
      }),
    ];
  }
  const first = foldsAtMm[0] ?? 0;
  return [
    once(
      5,
      'lay-out',
      'table',
      cutting === 'bias'
        ? 'Find the bias: fold a straight edge onto the cross grain, and draw the strips beside that fold.'
        : 'Find the direction that stretches most, and draw the strips along it.',
    ),
    cutting === 'bias'
      ? along(
          1.5,
          'cut-strip',
          'table',
          'Cut strips {widthMm} wide at 45° to the grain; join them on the straight grain, not all joins at one place.',
          { widthMm },
          ['cutter'],
        )
      : step(
          'cut-strip',
          'table',
          'Cut strips {widthMm} wide across the grain, so that they stretch along.',
          { widthMm },
          ['cutter'],
        ),
    ...(!throughAttachment(request) && first > 0
      ? [
          step(
            'fold-strip',
            'iron',
            'Press {tuckMm} in along the edge, then fold the strip in half, the back a hair wider.',
            { tuckMm: first },
            ['iron'],
          ),
        ]
      : []),
  ];
}

/** A strip that gives is cut shorter than its edge by the way chosen. */
function shorterSteps({ wish, schools }: WorkRequest): WorkStep[] {
  const percent = Math.round(100 * shorterShareOf(wish.variant, schools, true));
  if (percent === 0) return [];
  return [
    once(
      2,
      'strip-shorter',
      'table',
      wish.variant === 'fold-over-elastic'
        ? 'Cut the elastic {percent} % shorter than the edge; mark both in quarters and pull it to them as you sew.'
        : 'On an inside curve cut the strip {percent} % shorter than the edge; mark both in quarters, and ease to them.',
      { percent },
    ),
  ];
}

/** The raw back of a single fold, where the strip frays. */
function heldBack({ wish, strip, cloth }: WorkRequest): WorkStep[] {
  const fray = strip?.fray ?? cloth.fray;
  if (wish.variant !== 'single-fold' || fray < 2) return [];
  return [
    step(
      'hold-back',
      home('overcasting'),
      'The strip frays: overcast its back edge before it goes on, or take the double fold.',
    ),
  ];
}

/** What curls is starched, and tried on a scrap before and after. */
function starchSteps({ cloth, strip, wish }: WorkRequest): WorkStep[] {
  const curls = Math.max(cloth.curl, strip?.curl ?? 0);
  if (curls < 2 || wish.variant === 'satin') return [];
  return [
    once(
      6,
      'starch',
      'iron',
      'It rolls: starch a scrap of the edge and of the strip, let it dry, press; if both lie flat and wash out again, do the same to the real ones.',
      {},
      ['starch', 'iron'],
    ),
  ];
}

/** The strip made ready: starched, cut, shortened, its raw back held. */
export const preparedStrip = (request: WorkRequest): WorkStep[] => [
  ...starchSteps(request),
  ...stripSteps(request),
  ...shorterSteps(request),
  ...heldBack(request),
];
