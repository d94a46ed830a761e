import { cutOut, foldedStrip } from '../../fold/layer';
import { mark, type FoldMark } from '../../fold/mark';
import { stackMm } from '../../fold/stack';
import { refusal, type Issue } from '../../impossible';
import type { FoldPlan } from '../fold-plan';
import type { Cloth } from '../../cloth/cloth';
import type { Purpose } from '../../edge/purpose';
import type { StartingValue, WorkRequest, WorkStep } from '../work';
import type { FoldRequest, FoldWish } from '../fold-request';
import { along, once, said } from './said';
import { stage } from './stages';
import { guess } from './starting';

/** @returns an issue when the knife would have to add cloth */
export function widerThanAllowance({ depthMm, seamAllowanceMm }: FoldWish): Issue[] {
  const [width, allowance] = [depthMm ?? 0, seamAllowanceMm ?? 0];
  if (width <= allowance) return [];
  return [
    refusal(
      'depthMm',
      'wider-than-allowance',
      'A cutting width of {widthMm} is more than the allowance of {allowanceMm}; it can be up to {allowanceMm}.',
      { widthMm: width, allowanceMm: allowance },
    ),
  ];
}

/**
 * An edge sewn on the overlocker: the needle a from the guide, the knife takes a − cutting width.
 * Source: docs/formulas.md, “Folds”.
 *
 * @param way whether the stitch wraps what the knife leaves, joins two edges, or rolls it under itself
 */
export function overlocked(
  { wish, cloth: { thicknessMm } }: FoldRequest,
  way: 'wraps' | 'joins' | 'rolls',
): FoldPlan {
  const rolls = way === 'rolls';
  const [allowance, width] = [wish.seamAllowanceMm ?? 0, wish.depthMm ?? 0];
  const cutAway = allowance - width;
  const shownMm = allowance + (rolls ? 5 : 14);
  const marks: FoldMark[] = [
    ...(cutAway > 0 ? [mark('knife', 'Knife cuts', cutAway, 'cut')] : []),
    mark('needle', 'Needle line', allowance, 'stitch'),
  ];
  const one = foldedStrip(shownMm, [], thicknessMm);
  const flat =
    way === 'joins' ? [...one, ...foldedStrip(shownMm, [], thicknessMm, 'other side')] : one;
  const cut = cutOut(flat, 0, Math.max(0, cutAway));
  const fold = cutAway + width / 2;
  const rolled = cutOut(
    foldedStrip(shownMm, [{ atMm: fold, direction: 'over' }], thicknessMm),
    0,
    cutAway,
  );
  const layers = way === 'wraps' ? 1 : 2;
  const edge = rolls ? fold : cutAway;
  const sewn = {
    stitchesXMm: [rolls ? allowance - 0.2 : allowance],
    wrappedMm: [edge - 0.6, allowance] as const,
  };
  return {
    allowanceMm: allowance,
    marks,
    layersAtStitch: layers,
    layersUnderNeedle: layers,
    stackMm: stackMm(layers, thicknessMm),
    stitchFromHemlineMm: null,
    finishedDepthMm: rolls ? width / 2 : width,
    outsideNeedleMm: rolls ? width / 2 : width,
    trim: { needed: cutAway > 0, leaveMm: width, cutAwayMm: cutAway },
    stages: [
      stage(
        'flat',
        way === 'joins'
          ? 'Both edges together, along the guide'
          : 'Flat cloth, raw edge along the guide',
        flat,
      ),
      ...(cutAway > 0 ? [stage('cut', 'What the knife leaves', cut)] : []),
      stage(
        'stitch',
        rolls
          ? 'Rolled into the thread'
          : way === 'joins'
            ? 'Joined and wrapped'
            : 'Wrapped in thread',
        rolls ? rolled : cut,
        sewn,
      ),
    ],
  };
}

/**
 * Which needles are threaded, with how many threads in all.
 *
 * @param needles a code: `both`, `left`, `right`, `outer`, `narrow`
 */
export function threaded(threads: number, needles: string, why: string): StartingValue {
  return guess('threads', 'Threads', `${threads}-${needles}`, '', said('threads', why));
}

/** The lift of the foot while it sews, mm, for cloth that a foot would drag. Starting guess. */
const delicateLiftMm = 0.5;
/** Lighter or stretchier than this a cloth is delicate here, g/m² and percent. */
const delicateGsm = 90;
const elasticPercent = 40;

/**
 * How high the foot is lifted *while sewing*, besides the lever: a little for delicate or elastic
 * cloth; too much and nothing feeds. 0 to 2.5 mm.
 */
export function presserLift({
  weightGsm,
  stretchPercent,
}: Pick<Cloth, 'weightGsm' | 'stretchPercent'>): StartingValue {
  const delicate = weightGsm < delicateGsm || stretchPercent >= elasticPercent;
  return guess(
    'lift',
    'Presser lift while sewing',
    delicate ? delicateLiftMm : 0,
    'mm',
    delicate
      ? said(
          'lift',
          'A little, so that the foot does not drag this cloth; too much and nothing feeds.',
        )
      : said('lift', 'None: this cloth is fed best under the whole foot.'),
  );
}

/**
 * What is cut or checked before the knife: the edge ends as far outside the needle line as the
 * knife leaves it, so a garment edge is cut that much less beyond it.
 */
export function overlockCut(
  { allowanceMm, trim }: FoldPlan,
  purpose: Purpose | undefined,
  joins: boolean,
): WorkStep {
  const values = {
    allowanceMm,
    leaveMm: trim?.leaveMm ?? allowanceMm,
    cutAwayMm: Math.max(0, trim?.cutAwayMm ?? 0),
  };
  return joins
    ? along(0.4, 'cut', 'table', 'Check that both edges have {allowanceMm} of allowance.', values)
    : purpose === 'allowance'
      ? along(
          0.3,
          'cut',
          'table',
          'Nothing is added: the needle line runs {allowanceMm} from the raw edge, the knife takes {cutAwayMm}, and {leaveMm} of the allowance stay outside the line.',
          values,
        )
      : along(
          0.6,
          'cut',
          'table',
          'Cut {cutAwayMm} beyond the finished edge, for the knife: it leaves {leaveMm} outside the needle line, which runs {allowanceMm} from the raw edge.',
          values,
          ['cutter'],
        );
}

const machine = { machine: 'overlocker', foot: null } as const;

/** Starting on the overlocker: a chain first, or a notch in a round. */
export function overlockStart({ edge }: Pick<WorkRequest, 'edge'>): WorkStep {
  return edge.closed
    ? once(
        1,
        'start',
        machine,
        'Chain off a little, cut a notch of {notchMm} where it is seen least, lay it to the needle, and lower the foot.',
        { notchMm: 20 },
        ['knife'],
      )
    : once(
        0.5,
        'start',
        machine,
        'Chain off a little, hold the chain back, and let the edge run in.',
        {},
        ['knife'],
      );
}

/** Where the guide on the bed stands for an edge that the knife trims. */
export function overlockGuide({ allowanceMm, trim }: FoldPlan): StartingValue {
  return guess(
    'seam-guide',
    'Seam guide',
    allowanceMm,
    'mm',
    said('seam-guide', 'Right of the needle; the knife takes {cutAwayMm} of it.', {
      cutAwayMm: Math.max(0, trim?.cutAwayMm ?? 0),
    }),
  );
}
