import { closesOverMm as overlapMm, startPlaceOf, type StartReason } from '../../edge/start-place';
import type { WorkRequest, WorkStep, Workplace } from '../work';
import { alongOf } from './lumps';
import { once } from './said';

/** A line begins this far in where the cloth is fine, so that the plate does not chew it, mm. */
const fineGsm = 90;

/** Where a round begins, in words. */
const startsAt: Readonly<Record<StartReason, string>> = {
  'one-end': '',
  'thickest-seam': 'just before the thickest seam, {startAtMm} along the edge',
  'least-seen': 'where it is seen least',
  'clear-of-seams': 'clear of every seam, {startAtMm} along the edge',
  'mid-side': 'in the middle of a side, {startAtMm} along the edge',
  'one-corner': 'at a corner',
};

/** Where to begin, and how. */
export function start(request: WorkRequest, at: Workplace): WorkStep[] {
  const { edge, cloth, schools } = request;
  if (edge.closed) {
    const place = startPlaceOf(
      {
        ...{ lengthMm: edge.lengthMm, closed: true, form: edge.form },
        seamsAtMm: (edge.crossings ?? []).map(({ atMm }) => atMm),
        beforeThickestMm: alongOf(request, 1)?.startAtMm ?? null,
      },
      schools['round-start'],
      'led',
    );
    const arm = edge.cornered ? 'Start' : 'On the free arm, where there is one, start';
    return [
      once(
        0.5,
        'start',
        at,
        `${arm} ${startsAt[place.why]}; tails held back, first stitches by handwheel.`,
        { startAtMm: place.atMm },
        ['handwheel'],
      ),
    ];
  }
  return [
    once(
      0.5,
      'start',
      at,
      cloth.weightGsm < fineGsm
        ? 'Start on a leader of soluble or tear-away sheet, or a little in; hold both tails back, first stitches by handwheel.'
        : 'Start at one end, both tails held back; first stitches by handwheel.',
      {},
      ['handwheel'],
    ),
  ];
}

/** Closing a round, or finishing the ends by the school chosen for them. */
export function closing({ edge, schools }: WorkRequest, at: Workplace): WorkStep[] {
  const tails = schools['ends'] === 'tails';
  if (edge.closed) {
    return [
      once(
        1.5,
        'ends',
        at,
        tails
          ? 'Cut the starting tails before you reach them, meet the first stitches exactly, sew {overlapMm} over them, and tie the tails inside.'
          : 'Cut the starting tails before you reach them, meet the first stitches exactly, sew {overlapMm} over them, and three stitches back.',
        { overlapMm },
      ),
    ];
  }
  return [
    tails
      ? once(2, 'ends', 'hand', 'Leave long tails at both ends, pull them inside and tie them off.')
      : once(1, 'ends', at, 'Three stitches back at both ends.'),
  ];
}
