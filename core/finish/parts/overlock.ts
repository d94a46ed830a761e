import { cutOut, foldedStrip } from '../../fold/layer';
import { mark, type FoldMark } from '../../fold/mark';
import { stackMm } from '../../fold/stack';
import { refusal, type Issue } from '../../impossible';
import type { FoldPlan } from '../fold-plan';
import type { StartingValue } from '../work';
import type { FoldRequest, FoldWish } from '../fold-request';
import { said } from './said';
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

/** A stack thicker than this wants the presser foot lifted to its higher stop, mm. */
const thickStackMm = 3;

/** Which needles are threaded, and with how many loopers. */
export function threaded(threads: number, needles: string, why: string): StartingValue {
  return guess('threads', 'Threads', `${threads}, ${needles}`, '', said('threads', why));
}

/** How high the foot is lifted to put the work under it. */
export function presserLift(stackMm: number): StartingValue {
  return stackMm > thickStackMm
    ? guess(
        'lift',
        'Presser lift',
        'the higher stop',
        '',
        said('lift', 'A stack of {stackMm:fine} does not slide under the lower one.', { stackMm }),
      )
    : guess(
        'lift',
        'Presser lift',
        'the ordinary stop',
        '',
        said('lift', 'A stack of {stackMm:fine} slides under it.', { stackMm }),
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
