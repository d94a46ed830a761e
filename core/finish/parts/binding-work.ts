import type { WorkRequest, WorkStep, Workplace } from '../work';
import { swingEveryMm } from '../../edge/swing';
import { stitchFromFrontMm, stripOf } from './binding';
import { covered } from './binding-schools';
import { dialsClause, ridesClause } from '../dials-clause';
import { course } from './course';
import { along, home, once, step } from './said';
import { lastPress } from './work';

function stripSteps({ wish, cloth, strip, schools }: WorkRequest): WorkStep[] {
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
    ...(!throughAttachment(schools) && first > 0
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

/** Whether a flat strip is folded by an attachment while it is sewn. */
const throughAttachment = (schools: WorkRequest['schools']) =>
  schools['attach'] === 'binder-attachment' || schools['attach-cover'] === 'attachment';

/** Whether elastic is zigzagged on where there is no coverstitch machine. */
const isZigzagged = ({ wish, machineKind }: WorkRequest) =>
  wish.variant === 'fold-over-elastic' && machineKind === 'lockstitch';

function machineOf(request: WorkRequest): Workplace {
  const {
    wish: { variant },
    schools,
  } = request;
  const byAttachment = throughAttachment(schools);
  if (isZigzagged(request)) return home('zigzag');
  if (covered.includes(variant)) {
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
  if (throughAttachment(schools)) return 'binder attachment';
  if (covered.includes(variant)) return 'coverstitch foot';
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
        throughAttachment(schools)
          ? 'Strip alone first, then lay the edge into the mouth and keep it up in it; the line falls {fromFrontMm:fine} inside the front fold.'
          : isZigzagged(request)
            ? `Wrap, and zigzag {fromFrontMm:fine} inside the front edge, the elastic pulled a little: ${led}. Feel that the back lies under the swing.`
            : `Wrap, and sew {fromFrontMm:fine} inside the front fold: ${led}. Feel that the back lies under the left needle.`,
        values,
        ['needle'],
      ),
    ];
  }
  if ((schools['attach'] ?? 'by-hand') === 'by-hand') {
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
  if ((schools['attach'] ?? 'by-hand') !== 'by-hand') return [];
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

/** A binder is fed before the edge is. */
function feedStep(request: WorkRequest): WorkStep[] {
  const { schools, wish } = request;
  const byFoot = schools['attach'] === 'binder-foot' && !covered.includes(wish.variant);
  if (!throughAttachment(schools) && !byFoot) return [];
  return [
    once(
      3,
      'feed-strip',
      machineOf(request),
      'Cut the strip to a point at 45°, coax it through the mouth with a blunt tool, wrong side to the maker, pull it to and fro until the folds are even, and draw a spare length behind the needle.',
      {},
      ['power-off'],
    ),
  ];
}

/** The curve of a binding: the edge comes to the mouth as it curves, and is never pulled straight. */
function curveSteps({ edge, sewn, ...request }: WorkRequest): WorkStep[] {
  if (edge.minRadiusMm === null) return [];
  const side = sewn?.smallerSideMm ?? null;
  const at = machineOf({ edge, sewn, ...request });
  return side === null || side <= 0
    ? [
        once(
          0.5,
          'binding-curve',
          at,
          'In a curve let the edge come curved to the needle, stop and turn often; never pull edge or strip straight.',
        ),
      ]
    : [
        once(
          0.5,
          'binding-curve',
          at,
          'In a curve let the edge come curved to the needle and swing every {everyMm}: needle down, foot up, down again; never pull edge or strip straight.',
          { everyMm: swingEveryMm(edge.minRadiusMm, side) },
        ),
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

function corners(request: WorkRequest): WorkStep[] {
  if (!request.edge.cornered) return [];
  return [
    once(
      8,
      'mitre',
      machineOf(request),
      'At each corner sew to the end of the side, turn the work over, open the binding, fold the mitre at the back, then at the front, snug it up to the fold, and go on along the next side.',
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
      ...stripSteps(request),
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
    set: feedStep(request),
    layers,
    scrap: { text: 'wrapped as the edge is, {layers} layers', layers },
    look: 'is the back caught all along, and does the line keep to the fold?',
    sew: [...sewSteps(request), ...corners(request)],
    curve: curveSteps(request),
    corner: 'none',
    close: endsOf(request),
    check: 'front and back held everywhere.',
    press: lastPress(
      blanket ? 'Press the binding only, and cool.' : 'Press the binding from both faces.',
    ),
  });
}
