import type { WorkRequest, WorkStep, Workplace } from '../work';
import { overCorners, overSeams, roundCurves, type CornerWay } from './along-the-edge';
import { closing, start } from './ends';
import { putBack, setUp } from './at-the-machine';
import { inPhase, once, step } from './said';

/** What a finish brings to the course of its work; the rest is the same for all. */
export interface Course {
  /** Where its own line is sewn. */
  readonly at: Workplace;
  readonly measure: readonly WorkStep[];
  readonly prepare?: readonly WorkStep[];
  readonly fold?: readonly WorkStep[];
  /** What is set besides the foot and the dials. */
  readonly set?: readonly WorkStep[];
  /** The foot one would take where nothing is worked out yet. */
  readonly footName: string;
  /** How the scrap is folded: “folded as the hem will be, 3 layers”. */
  readonly scrap: { readonly text: string; readonly layers: number };
  /** What is looked for on the scrap before the one change. */
  readonly look: string;
  /** Instead of the usual way of starting. */
  readonly start?: readonly WorkStep[];
  readonly sew: readonly WorkStep[];
  /** How a corner is turned; not at all where it is left out. */
  readonly corner?: CornerWay;
  /** Instead of the usual step in a curve. */
  readonly curve?: readonly WorkStep[];
  /** Instead of the usual step over crossing seams. */
  readonly overSeams?: readonly WorkStep[];
  /** Instead of the usual way of closing a round or ending a line. */
  readonly close?: readonly WorkStep[];
  /** Trimming, opening out, holding down: after the line is sewn. */
  readonly after?: readonly WorkStep[];
  /** What is looked at along the whole edge. */
  readonly check: string;
  readonly press: WorkStep;
  /** Layers at the stitch, for what crosses it. */
  readonly layers: number;
}

/** A scrap first, folded as the real edge is. */
function scrapSteps({ scrap, look, at }: Course, { edge }: WorkRequest): WorkStep[] {
  const where = edge.thickestTimes > 1 ? ', with one piece over a seam' : '';
  return [
    once(
      3,
      'test-scrap',
      at,
      `Sew a scrap first: the same cloth and grain, ${scrap.text}${where}. First stitches by handwheel.`,
      { layers: scrap.layers },
      ['handwheel'],
    ),
    once(
      1,
      'look',
      'hand',
      look.endsWith('?')
        ? `Look at both faces of the scrap: ${look} Change one thing, and sew another.`
        : `Look at both faces of the scrap: ${look} Then sew another.`,
    ),
  ];
}

/**
 * The work of an edge in the order of the hands: measure, prepare, fold and press, set, scrap,
 * start, sew with its seams, curves and corners, close or end, check, press, put the machine back.
 */
export function course(request: WorkRequest, it: Course): WorkStep[] {
  const looped = typeof it.at !== 'string' && ['overlocker', 'coverstitch'].includes(it.at.machine);
  return [
    ...inPhase('measure', it.measure),
    ...inPhase('prepare', it.prepare ?? []),
    ...inPhase('fold', it.fold ?? []),
    ...inPhase('set', [...setUp(request, it.at, it.footName), ...(it.set ?? [])]),
    ...inPhase('scrap', scrapSteps(it, request)),
    ...inPhase('start', it.start ?? start(request, it.at)),
    ...inPhase('sew', [
      ...it.sew,
      ...(it.overSeams ?? overSeams(request, it.at, it.layers)),
      ...(it.curve ?? roundCurves(request, it.at)),
      ...overCorners(request, it.at, it.corner ?? (looped ? 'sew-off' : 'turn')),
    ]),
    ...inPhase('close', [...(it.close ?? closing(request, it.at)), ...(it.after ?? [])]),
    ...inPhase('check', [
      step(
        'check',
        'hand',
        `Pull along the whole edge and look at both faces in good light: ${it.check} Mark what missed and sew it again.`,
      ),
    ]).map((one) => ({ ...one, perMetreMinutes: 0.3 })),
    ...inPhase('press', [it.press]),
    ...inPhase('put-back', putBack(request, it.at)),
  ];
}

/** The same for work without a needle. */
export function cutCourse(parts: {
  readonly measure: readonly WorkStep[];
  readonly prepare: readonly WorkStep[];
  readonly sew: readonly WorkStep[];
  readonly check: readonly WorkStep[];
}): WorkStep[] {
  return [
    ...inPhase('measure', parts.measure),
    ...inPhase('prepare', parts.prepare),
    ...inPhase('sew', parts.sew),
    ...inPhase('check', parts.check),
  ];
}
