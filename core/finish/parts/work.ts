import type { Values } from '../../fact';
import type { WorkRequest, WorkStep } from '../work';
import { once, step } from './said';

/** Cutting, with what is added beyond the finished edge. */
export function cut(allowanceMm: number): WorkStep {
  return allowanceMm > 0
    ? step('cut', 'table', 'Cut with {allowanceMm} beyond the finished edge.', { allowanceMm }, [
        'cutter',
      ])
    : step('cut', 'table', 'Cut to the finished edge; nothing is added.', {}, ['cutter']);
}

/** A scrap first, on what the real edge is made of. */
export function testScrap(layers: number): WorkStep {
  return once(
    4,
    'test-scrap',
    'hand',
    'Sew a scrap first: same cloth, same grain, {layers} layers, over a seam if the edge crosses one.',
    { layers },
    ['handwheel'],
  );
}

/** Changing the foot, needle or thread. */
export function changeTo(what: string, at: WorkStep['at'], values: Values = {}): WorkStep {
  return once(2.5, 'change-foot', at, `Put on the ${what} and set the dials.`, values, [
    'power-off',
  ]);
}

/** The last pressing. */
export function lastPress(text: string): WorkStep {
  return step('last-press', 'iron', text, {}, ['iron', 'shine']);
}

/** Finishing the ends, by the school chosen for them. */
export function ends({ edge, schools }: WorkRequest, at: WorkStep['at']): WorkStep {
  if (edge.closed) {
    return once(
      2,
      'ends',
      at,
      'Start just before a seam and sew on over the beginning by about {overlapMm}.',
      { overlapMm: 10 },
    );
  }
  return schools['ends'] === 'tails'
    ? once(2, 'ends', 'hand', 'Leave long tails at both ends, pull them inside and tie them off.')
    : once(2, 'ends', at, 'Backstitch three stitches at both ends.');
}

/**
 * Topstitching a hem from the side the person sews it.
 *
 * @param along what is seen from the inside: the fold or the edge to be caught
 */
export function topstitch(
  { schools }: WorkRequest,
  at: WorkStep['at'],
  fromEdgeMm: number | null,
  along: string,
): WorkStep {
  const text =
    schools['topstitch-side'] === 'right-side'
      ? 'From the right side, topstitch {fromEdgeMm} from the hemline, with the hemline along a guide.'
      : `From the inside, topstitch {fromEdgeMm} from the hemline, just inside the ${along}.`;
  return step('sew', at, text, { fromEdgeMm: fromEdgeMm ?? 0 }, ['needle']);
}

/** Finishing the raw edge before it is turned, the way the variant or the person has it. */
export function finishRawEdge({ cloth, wish, schools }: WorkRequest): WorkStep {
  const overlocker = { machine: 'overlocker', foot: null } as const;
  const way = wish.variant === 'serged' ? 'serged' : schools['raw-edge'];
  if (way === 'serged') {
    return step('raw-edge', overlocker, 'Serge the raw edge; the knife only skims it.', {}, [
      'knife',
    ]);
  }
  if (way === 'pinked') {
    return cloth.fray >= 2
      ? step(
          'raw-edge',
          'table',
          'Pink the raw edge; this cloth frays, so sew a line of straight stitches inside it first.',
          {},
          ['cutter'],
        )
      : step('raw-edge', 'table', 'Pink the raw edge.', {}, ['cutter']);
  }
  if (way === 'left' && cloth.fray === 0) {
    return once(
      0,
      'raw-edge',
      'table',
      'Leave the raw edge as it is cut; this cloth does not fray.',
    );
  }
  return step(
    'raw-edge',
    { machine: 'lockstitch', foot: 'overcasting' },
    'Overcast the raw edge first.',
    {},
    ['power-off'],
  );
}

/** Pressing up a curve that is fuller than where it lands. */
export function easeIfCurved({ edge }: WorkRequest, depthMm: number): WorkStep[] {
  if (edge.minRadiusMm === null || edge.minRadiusMm <= depthMm) return [];
  return [
    step(
      'ease',
      'iron',
      'The curve of radius {radiusMm} makes the raw edge too long: run a line of long stitches along it, draw it up until it lies flat, and shrink it with steam.',
      { radiusMm: edge.minRadiusMm },
      ['iron'],
    ),
  ];
}
