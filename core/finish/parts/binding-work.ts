import type { WorkRequest, WorkStep } from '../work';
import { dialsClause, ridesClause } from '../dials-clause';
import { stitchFromFrontMm, stripOf } from './binding';
import { isCovered, isZigzagged, machineOf, throughAttachment } from './binding-attaching';
import { corners, roundedCorners, sideBySide, startAtCorner } from './binding-corners';
import { curveSteps, loadingSteps } from './binding-loading';
import { covered } from './binding-schools';
import { preparedStrip } from './binding-strip';
import { course } from './course';
import { along, once, step } from './said';
import { lastPress } from './work';

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

/** The last end of a satin goes under its mitre by this much, and the sewing stops so far before. */
const satinEndMm = 25;
const satinStopMm = 150;

/** Whether a closed edge is bound while it is still flat, one seam of the garment open. */
const leavesSeamOpen = ({ wish, edge, schools }: WorkRequest): boolean =>
  edge.closed && covered.includes(wish.variant) && schools['one-seam-open'] !== 'round';

/** How the two ends of a binding meet, or are closed. */
function endsOf(request: WorkRequest): WorkStep[] {
  const { wish, edge } = request;
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
  if (leavesSeamOpen(request)) {
    return [
      once(
        2,
        'ends',
        'hand',
        'Close the seam that was left open, over the binding, and tack its allowance to one side.',
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

/** A strip that a hot iron melts or marks. */
const melts = ({ threading }: WorkRequest): boolean =>
  ['polyester', 'polyamide', 'acrylic'].includes(threading?.stripFibre ?? '');

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
      ...(leavesSeamOpen(request)
        ? [
            once(
              0.2,
              'open-seam',
              'table',
              'Leave one seam of the garment open until this edge is bound.',
            ),
          ]
        : []),
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
      ...preparedStrip(request),
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
    sew: [...sewSteps(request), ...corners(request, at)],
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
