import type { WorkRequest, WorkStep, Workplace } from '../work';
import { alongOf } from './lumps';
import { once } from './said';

/** A round is sewn this far over its own beginning, mm. Starting guess. */
const overlapMm = 10;
/** A line begins this far in where the cloth is fine, so that the plate does not chew it, mm. */
const fineGsm = 90;

/** Where to begin, and how. */
export function start(request: WorkRequest, at: Workplace): WorkStep[] {
  const { edge, cloth } = request;
  if (edge.closed) {
    const along = alongOf(request, 1);
    return [
      once(
        0.5,
        'start',
        at,
        along && along.startAtMm > 0
          ? 'On the free arm, where there is one, start just before the thickest seam, {startAtMm} along the edge; tails held back, first stitches by handwheel.'
          : 'On the free arm, where there is one, start where it is seen least; tails held back, first stitches by handwheel.',
        { startAtMm: along?.startAtMm ?? 0 },
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
