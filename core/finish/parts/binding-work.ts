import type { WorkRequest, WorkStep, Workplace } from '../work';
import { swingEveryMm } from '../../edge/swing';
import { usualStandOffMm, usualTipMm } from '../../kit/binder';
import { turnedInMm } from '../../strip/needed';
import { stripEasesPercent } from '../../strip/eases';
import { leastCornerRadiusMm } from '../../strip/round-corner';
import { stitchFromFrontMm, stripOf } from './binding';
import { shorterShareOf } from '../../strip/shorter';
import { covered, woven } from './binding-schools';
import { dialsClause, ridesClause } from '../dials-clause';
import { course } from './course';
import { along, home, once, step } from './said';
import { lastPress } from './work';

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

/** The way chosen of putting it on, by the school that the variant has; none for satin. */
function attachWay({ wish: { variant }, schools }: Pick<WorkRequest, 'wish' | 'schools'>) {
  if (woven.includes(variant)) return schools['attach'];
  if (variant === 'knit-strip') return schools['attach-cover'];
  return variant === 'fold-over-elastic' ? schools['attach-elastic'] : undefined;
}

/** Whether an attachment before the foot folds the strip while it is sewn. */
const throughAttachment = (request: Pick<WorkRequest, 'wish' | 'schools'>) =>
  ['binder-attachment', 'attachment', 'binder'].includes(attachWay(request) ?? '');

/** Whether it is sewn on a coverstitch machine, which wraps in one pass. */
const isCovered = ({ wish, machineKind }: WorkRequest) =>
  machineKind === 'coverstitch' || (covered.includes(wish.variant) && machineKind === undefined);

/** Whether elastic is zigzagged on where there is no coverstitch machine. */
const isZigzagged = ({ wish, machineKind, schools }: WorkRequest) =>
  wish.variant === 'fold-over-elastic' &&
  (machineKind === 'lockstitch' ||
    (machineKind === undefined && schools['attach-elastic'] === 'stretched'));

function machineOf(request: WorkRequest): Workplace {
  const {
    wish: { variant },
    schools,
  } = request;
  const byAttachment = throughAttachment(request);
  if (isZigzagged(request)) return home('zigzag');
  if (covered.includes(variant) || isCovered(request)) {
    return { machine: 'coverstitch', foot: byAttachment ? 'binder-attachment' : null };
  }
  if (variant === 'satin') return { machine: 'lockstitch', foot: 'walking' };
  if (byAttachment) return { machine: 'lockstitch', foot: 'binder-attachment' };
  return schools['attach'] === 'binder-foot'
    ? { machine: 'lockstitch', foot: 'binder' }
    : home('edge-guide');
}

function footName(request: WorkRequest): string {
  const {
    wish: { variant },
    schools,
  } = request;
  if (isZigzagged(request)) return 'an open zigzag foot';
  if (variant === 'satin') return 'walking foot';
  if (throughAttachment(request)) return 'binder attachment';
  if (covered.includes(variant) || isCovered(request)) return 'coverstitch foot';
  return schools['attach'] === 'binder-foot' ? 'binder foot' : 'edge-guide foot';
}

/** How far inside the front fold the line falls: as it is set, or as one aims. */
const fromFront = ({ wish, cloth, strip, sewn }: WorkRequest) => ({
  fromFrontMm: stitchFromFrontMm(
    wish,
    stripOf({ wish, cloth, strip }).tuckInMm,
    sewn?.checks['front'],
  ),
});

function sewSteps(request: WorkRequest): WorkStep[] {
  const { wish, schools } = request;
  const at = machineOf(request);
  const values = fromFront(request);
  const led = ridesClause(request);
  if (wish.variant === 'satin') {
    return [
      step(
        'sew',
        at,
        `Sew {fromFrontMm:fine} inside the front edge, through front and back at once: ${led}. Feel that the back edge lies under the swing.`,
        values,
        ['pins', 'needle'],
      ),
    ];
  }
  if (covered.includes(wish.variant)) {
    return [
      step(
        'sew',
        at,
        throughAttachment(request)
          ? 'Strip alone first, then lay the edge into the mouth and keep it up in it; the line falls {fromFrontMm:fine} inside the front fold.'
          : isZigzagged(request)
            ? `Wrap, and zigzag {fromFrontMm:fine} inside the front edge, the elastic pulled a little: ${led}. Feel that the back lies under the swing.`
            : `Wrap, and sew {fromFrontMm:fine} inside the front fold: ${led}. Feel that the back lies under the left needle.`,
        values,
        ['needle'],
      ),
    ];
  }
  if (isCovered(request) && !throughAttachment(request)) {
    return [
      step(
        'sew',
        at,
        `Wrap, and sew {fromFrontMm:fine} inside the front fold: ${led}. Feel that the back lies under the needle nearest to the fold.`,
        values,
        ['needle'],
      ),
    ];
  }
  if ((schools['attach'] ?? 'by-hand') === 'by-hand' && !throughAttachment(request)) {
    return [
      step(
        'sew',
        at,
        `Fold the strip over and sew from the right side {fromFrontMm:fine} inside the front fold, catching the back: ${led}.`,
        values,
        ['needle'],
      ),
    ];
  }
  return [
    step(
      'sew',
      at,
      'Strip alone first, then lay the edge into the mouth and keep it up in it; the line falls {fromFrontMm:fine} inside the front fold.',
      values,
      ['needle'],
    ),
  ];
}

/** The first of two passes by hand: the opened strip to the edge. */
function firstPass(request: WorkRequest): WorkStep[] {
  const { wish, cloth, strip, schools, passes } = request;
  if (covered.includes(wish.variant) || wish.variant === 'satin') return [];
  if (isCovered(request) || (schools['attach'] ?? 'by-hand') !== 'by-hand') return [];
  const { tuckInMm } = stripOf({ wish, cloth, strip });
  const first = passes?.['first']?.sewn ?? null;
  const dials = first && dialsClause(first);
  return [
    step(
      'first',
      machineOf(request),
      dials
        ? `Sew the opened strip to the edge, right sides together, along its first fold, {tuckInMm:fine} in: {foot}, ${dials.text}.`
        : 'Sew the opened strip to the edge, right sides together, along its first fold, {tuckInMm:fine} in.',
      { tuckInMm, ...(first && dials ? { ...dials.values, foot: first.footName } : {}) },
      ['needle', 'pins'],
    ),
  ];
}

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
function loadingSteps(request: WorkRequest): WorkStep[] {
  const { schools, wish, cloth, strip } = request;
  const at = machineOf(request);
  const byFoot = schools['attach'] === 'binder-foot' && !covered.includes(wish.variant);
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
function curveSteps(request: WorkRequest): WorkStep[] {
  const { edge, sewn, schools } = request;
  const radiusMm = edge.minRadiusMm;
  if (radiusMm === null) return [];
  const side = sewn?.smallerSideMm ?? null;
  const at = machineOf(request);
  const bound = throughAttachment(request) || schools['attach'] === 'binder-foot';
  return [
    ...(bound
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

/** The last end of a satin goes under its mitre by this much, and the sewing stops so far before. */
const satinEndMm = 25;
const satinStopMm = 150;

/** How the two ends of a binding meet, or are closed. */
function endsOf(request: WorkRequest): WorkStep[] {
  const { wish, edge, schools } = request;
  const at = machineOf(request);
  if (edge.closed && wish.variant === 'satin') {
    return [
      once(
        6,
        'ends',
        at,
        'Stop {satinStopMm} before the beginning, turn the end in by {satinEndMm} under the first mitre, pin, and sew to it; then a line down each mitre.',
        { satinStopMm, satinEndMm },
        ['pins', 'loose-trim', 'sleepwear'],
      ),
    ];
  }
  if (edge.closed && covered.includes(wish.variant) && schools['one-seam-open'] !== 'round') {
    return [
      once(
        2,
        'ends',
        'hand',
        'Bind with one seam of the garment still open; close that seam afterwards, over the binding, and tack its allowance to one side.',
      ),
    ];
  }
  if (edge.closed) {
    return [
      once(
        2,
        'ends',
        at,
        'Overlap the end by {overlapMm} on the beginning, its raw edge turned in, and sew over it.',
        { overlapMm: 10 },
      ),
    ];
  }
  return [
    once(
      2,
      'ends',
      'hand',
      'Turn the ends in and close them by hand.',
      {},
      wish.variant === 'satin' ? ['loose-trim', 'sleepwear'] : [],
    ),
  ];
}

/** The corners of a bound edge: rounded beforehand, or turned side by side with a mitre. */
function corners(request: WorkRequest): WorkStep[] {
  const { edge, schools, wish } = request;
  if (!edge.cornered || schools['binding-corner'] === 'rounded') return [];
  const at = machineOf(request);
  const byHand = schools['binding-corner'] === 'hand';
  const depthMm = wish.depthMm ?? 0;
  const mitreMm = depthMm * Math.SQRT2;
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
const sideBySide = ({ edge, schools, wish }: WorkRequest) =>
  wish.variant === 'satin' || (edge.cornered && schools['binding-corner'] !== 'rounded');

/** Where a mitred binding begins. */
const startAtCorner = ({ wish }: WorkRequest, at: Workplace): WorkStep[] => [
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
function roundedCorners({ edge, schools, wish }: WorkRequest): WorkStep[] {
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

/** A strip that a hot iron melts or marks. */
const melts = ({ threading }: WorkRequest): boolean =>
  ['polyester', 'polyamide', 'acrylic'].includes(threading?.stripFibre ?? '');

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

/**
 * The work of binding an edge.
 *
 * @param layers at the stitch, for the scrap
 */
export function bindingSteps(request: WorkRequest, layers: number): WorkStep[] {
  const { wish } = request;
  const trimMm = wish.seamAllowanceMm ?? 0;
  const blanket = wish.variant === 'satin';
  const at = machineOf(request);
  return course(request, {
    at,
    footName: footName(request),
    measure: [
      ...roundedCorners(request),
      trimMm > 0
        ? along(
            0.8,
            'trim',
            'table',
            'Cut {trimMm} off the garment’s edge first: the binding takes the place of the allowance.',
            { trimMm },
            ['cutter'],
          )
        : along(
            0.6,
            'trim',
            'table',
            'Cut the edge clean to its finished line; nothing is added.',
            {},
            ['cutter'],
          ),
    ],
    prepare: [
      ...starchSteps(request),
      ...stripSteps(request),
      ...shorterSteps(request),
      ...heldBack(request),
      ...(blanket
        ? [
            along(
              2,
              'baste',
              'hand',
              'Slip the binding over the edge and pin it in two staggered rows, {pinMm} in, or baste.',
              { pinMm: 75 },
              ['pins'],
            ),
          ]
        : []),
      ...firstPass(request),
    ],
    set: loadingSteps(request),
    ...(sideBySide(request) ? { start: startAtCorner(request, at) } : {}),
    layers,
    scrap: { text: 'wrapped as the edge is, {layers} layers', layers },
    look: 'is the back caught all along, and does the line keep to the fold?',
    sew: [...sewSteps(request), ...corners(request)],
    curve: curveSteps(request),
    corner: 'none',
    close: endsOf(request),
    check: 'front and back held everywhere.',
    press: lastPress(
      blanket || melts(request)
        ? 'Press the binding only, and cool.'
        : 'Press the binding from both faces.',
    ),
  });
}
