import type { WorkRequest, WorkStep, Workplace } from '../work';
import { stitchFromFrontMm, stripOf } from './binding';
import { covered } from './binding-schools';
import { home, once, step } from './said';
import { changeTo, lastPress, testScrap } from './work';

function stripSteps({ wish, cloth, schools }: WorkRequest): WorkStep[] {
  const { widthMm, cutting, foldsAtMm } = stripOf({ wish, cloth });
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
      ? step(
          'cut-strip',
          'hand',
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
  if (isZigzagged(request)) return 'open zigzag foot; three-step or plain zigzag';
  if (variant === 'satin') return 'walking foot';
  if (throughAttachment(schools)) return 'binder attachment';
  if (covered.includes(variant)) return 'coverstitch foot, both needles';
  return schools['attach'] === 'binder-foot' ? 'binder foot' : 'edge-guide foot';
}

function sewSteps(request: WorkRequest): WorkStep[] {
  const { wish, edge, schools } = request;
  const machine = machineOf(request);
  const fromFront = { fromFrontMm: stitchFromFrontMm(wish, stripOf(request).tuckInMm) };
  if (wish.variant === 'satin') {
    return [
      step(
        'sew',
        machine,
        'Slip the binding over the edge and baste it; sew {fromFrontMm:fine} inside its front edge, through both.',
        fromFront,
        ['pins', 'needle'],
      ),
      ...(edge.cornered
        ? [
            once(
              8,
              'mitre',
              'hand',
              'At each corner stop at the cloth’s edge, fold the binding to a mitre on both faces, and catch the mitre by hand.',
            ),
          ]
        : []),
    ];
  }
  if (covered.includes(wish.variant)) {
    return [
      step(
        'sew',
        machine,
        throughAttachment(schools)
          ? 'Draw the strip through the attachment, lay the edge into its mouth, and sew {fromFrontMm:fine} inside the front fold; stand the attachment off further on a curve.'
          : isZigzagged(request)
            ? 'Wrap, and zigzag {fromFrontMm:fine} inside the front edge, the elastic pulled a little; feel that the back lies under the swing.'
            : 'Wrap, and sew {fromFrontMm:fine} inside the front fold; feel that the back lies under the left needle.',
        fromFront,
        ['needle'],
      ),
    ];
  }
  if ((schools['attach'] ?? 'by-hand') === 'by-hand') {
    return [
      step(
        'first',
        machine,
        'Sew the opened strip to the edge, right sides together, along its first fold.',
        {},
        ['needle', 'pins'],
      ),
      step(
        'sew',
        machine,
        'Fold it over and sew from the right side {fromFrontMm:fine} inside the front fold, catching the back.',
        fromFront,
        ['needle'],
      ),
    ];
  }
  return [
    step(
      'sew',
      machine,
      'Draw the strip through the binder, lay the edge into its mouth to the end, and sew {fromFrontMm:fine} inside the front fold.',
      fromFront,
      ['needle'],
    ),
    once(
      0.5,
      'curve',
      machine,
      'On a curve straighten the edge in front of the binder with your hands; never pull the strip.',
      {},
    ),
  ];
}

/** How the two ends of a binding meet, or are closed. */
function endsOf({ wish, edge, schools }: WorkRequest): WorkStep {
  if (edge.closed && covered.includes(wish.variant) && schools['one-seam-open'] !== 'round') {
    return once(
      2,
      'ends',
      'hand',
      'Bind with one seam of the garment still open; close that seam afterwards, over the binding, and tack its allowance to one side.',
    );
  }
  if (edge.closed) {
    return once(
      2,
      'ends',
      'hand',
      'Overlap the end by {overlapMm} on the beginning, its raw edge turned in.',
      { overlapMm: 10 },
    );
  }
  const blanket = wish.variant === 'satin';
  return once(
    2,
    'ends',
    'hand',
    'Turn the ends in and close them by hand.',
    {},
    blanket ? ['loose-trim', 'sleepwear'] : [],
  );
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
  return [
    trimMm > 0
      ? step(
          'trim',
          'table',
          'Cut {trimMm} off the garment’s edge first: the binding takes the place of the allowance.',
          { trimMm },
          ['cutter'],
        )
      : step('trim', 'table', 'Cut the edge clean to its finished line; nothing is added.', {}, [
          'cutter',
        ]),
    ...stripSteps(request),
    changeTo(footName(request), machineOf(request)),
    testScrap(layers),
    ...sewSteps(request),
    endsOf(request),
    lastPress(blanket ? 'Press the binding only, and cool.' : 'Press the binding from both faces.'),
  ];
}
