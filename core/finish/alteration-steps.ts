import type { WorkRequest, WorkStep } from './work';
import { along, inPhase, once } from './parts/said';
import type { TurnedUp } from '../edge/turned-on';

/** Starting guesses: minutes a metre to take an old hem out, by how it is sewn. */
const outPerMetre = { chain: 1, lock: 8, topstitched: 10 } as const;

/** How the old stitching comes out. */
const takeOut = {
  chain:
    'Take the old hem out: it is chain-stitched and runs out in one pull. At the right end of the line, looking at the looped side, free the last loop and pull the thread.',
  lock: 'Take the old hem out: cut every fourth stitch on the one side, draw the thread out on the other.',
  topstitched:
    'Take the old hem out: cut every third stitch of the topstitching from inside, draw the thread out, and pick the bits off.',
} as const;

const isLeg = ({ edge }: WorkRequest) => edge.form?.kind === 'slant' || edge.pair === 'pair';

/** Before the first fold of a ready-made thing: tried on, old hem out, pressed out. */
export function alterationSteps(request: WorkRequest, up: TurnedUp): WorkStep[] {
  const { oldHem } = request.edge;
  if (!oldHem) return [];
  return inPhase('measure', [
    once(
      5,
      'try-on',
      'hand',
      isLeg(request)
        ? 'Put it on, with the shoes it is worn with. Pin the front where the leg breaks on the shoe, the back just above the heel; legs that differ get pins of their own. Measure each down from the waist.'
        : 'Put it on, and measure from the floor up, all the way round. Hips that differ get a mark each.',
      {},
      ['pins'],
    ),
    once(
      2,
      'find-end',
      'table',
      oldHem.sewn === 'chain'
        ? 'Turn it inside out, and find the end that runs: the chain ends in a loop, and only from there it comes undone.'
        : 'Turn it inside out, and find the knot or the stitches back where the old line ends.',
    ),
    along(outPerMetre[oldHem.sewn], 'take-out', 'table', takeOut[oldHem.sewn], {}, ['cutter']),
    along(
      1,
      'press-out',
      'iron',
      'Press the old crease out, {oldDepthMm} from the edge; try for shine where nobody looks. Is the old fold worn or faded, it will show: then keep it inside the new hem, or keep its look.',
      { oldDepthMm: oldHem.depthMm },
      ['iron', 'shine'],
    ),
    ...(up.allowanceMm > 0
      ? [
          once(
            2,
            'cut-line',
            'table',
            'Draw the cut line {allowanceMm} below the hemline, and pin the hem up on it. Put it on once more; only then cut.',
            { allowanceMm: up.allowanceMm },
            ['pins'],
          ),
        ]
      : []),
  ]);
}

/** The other one of a pair, when the first is done and the machine still stands as it did. */
export function secondOfPair({ edge, schools }: WorkRequest): WorkStep[] {
  if (edge.pair !== 'pair') return [];
  return inPhase('press', [
    once(
      2,
      'second-leg',
      'table',
      schools['second-leg'] === 'copied'
        ? 'Then the second one: lay it on the first, upper edges even, and carry its finished edge and its cut line over. The same setting, the same order.'
        : 'Then the second one, measured by itself and laid against the first before it is cut. The same setting, the same order.',
    ),
  ]);
}
