import type { Values } from '../../fact';
import type { PassWish, WorkRequest, WorkStep } from '../work';
import { dialsClause, ridesClause } from '../dials-clause';
import { along, once, step } from './said';

/** Cutting, with what is added beyond the finished edge. */
export function cut(allowanceMm: number): WorkStep {
  return allowanceMm > 0
    ? along(
        0.6,
        'cut',
        'table',
        'Measure and cut with {allowanceMm} beyond the finished edge.',
        { allowanceMm },
        ['cutter'],
      )
    : along(0.6, 'cut', 'table', 'Measure and cut on the finished edge; nothing is added.', {}, [
        'cutter',
      ]);
}

/** Marking the folds, in press order. */
export function markFolds(text: string, values: Values): WorkStep {
  return along(0.4, 'mark', 'table', `${text} Try the chalk on a scrap first.`, values);
}

/** One pressing along a fold. */
export function press(id: string, text: string, values: Values = {}): WorkStep {
  return along(1, id, 'iron', text, values, ['iron']);
}

/** Pinning along the edge. */
export function pin(text: string): WorkStep {
  return along(0.6, 'pin', 'table', text, {}, ['pins']);
}

/** The last pressing. */
export function lastPress(text: string): WorkStep {
  return along(0.7, 'last-press', 'iron', text, {}, ['iron', 'shine']);
}

/**
 * Topstitching a hem from the side the person sews it.
 *
 * @param fromEdgeMm from the hemline to the line, as it is sewn
 * @param caught what is seen from the inside: the fold or the edge to be caught
 */
export function topstitch(
  request: WorkRequest,
  at: WorkStep['at'],
  fromEdgeMm: number | null,
  caught: string,
): WorkStep {
  const text =
    request.schools['topstitch-side'] === 'right-side'
      ? `From the right side, topstitch {fromEdgeMm:fine} from the hemline; feel that the ${caught} lies under the line.`
      : `From the inside, topstitch {fromEdgeMm:fine} from the hemline, just inside the ${caught}: ${ridesClause(request)}.`;
  return step('sew', at, text, { fromEdgeMm: fromEdgeMm ?? 0 }, ['needle']);
}

const overlocker = { machine: 'overlocker', foot: null } as const;

/** How the raw edge is finished: the way of the variant, or the person's. */
export function rawEdgeWay({
  cloth,
  wish,
  schools,
}: Pick<WorkRequest, 'cloth' | 'wish' | 'schools'>) {
  // A machine that sews only straight can line and pink an edge, and overcast none.
  const unasked = wish.variant === 'tacked' ? (cloth.fray === 0 ? 'left' : 'pinked') : 'overcast';
  const way = wish.variant === 'serged' ? 'serged' : (schools['raw-edge'] ?? unasked);
  return way === 'left' && cloth.fray > 0 ? 'overcast' : way;
}

/**
 * Finishing the raw edge before it is turned, with the dials of that pass where they are worked out.
 *
 * @param what “the raw edge”, “both raw edges together”
 */
export function finishRawEdge(request: WorkRequest, what = 'the raw edge'): WorkStep {
  const pass = request.passes?.['raw-edge'];
  const sewn = pass?.sewn ?? null;
  switch (rawEdgeWay(request)) {
    case 'serged': {
      const differential = pass?.values.find(({ id }) => id === 'differential')?.value;
      return step(
        'raw-edge',
        overlocker,
        sewn
          ? `Serge ${what}, length {lengthMm:fine}, differential {differential}; the knife only skims it.`
          : `Serge ${what}; the knife only skims it.`,
        sewn ? { lengthMm: sewn.settings.lengthMm, differential: differential ?? 1 } : {},
        ['knife'],
      );
    }
    case 'pinked':
      return request.cloth.fray >= 2
        ? along(
            1.2,
            'raw-edge',
            'table',
            `Sew a line of straight stitches inside ${what}, for this cloth frays, then pink it.`,
            {},
            ['cutter'],
          )
        : along(0.6, 'raw-edge', 'table', `Pink ${what}.`, {}, ['cutter']);
    case 'left':
      return once(0, 'raw-edge', 'table', `Leave ${what} as it is cut; this cloth does not fray.`);
    default: {
      const at = { machine: 'lockstitch', foot: 'overcasting' } as const;
      if (!sewn)
        return step('raw-edge', at, `Overcast ${what} first, on a test of its own.`, {}, [
          'power-off',
        ]);
      const { text, values } = dialsClause(sewn);
      return step(
        'raw-edge',
        at,
        `Overcast ${what} first, on a test of its own: {foot}, ${text}; ${ridesClause({ sewn })}.`,
        { ...values, foot: sewn.footName },
        ['power-off'],
      );
    }
  }
}

/** A stretchy cloth is overcast with a stitch that gives, percent. Starting guess. */
const stretchyPercent = 15;
/** A light cloth is serged narrow, g/m². Starting guess. */
const lightGsm = 110;

/** The pass that holds a raw edge before it is turned; none where shears do, or nothing is done. */
export function rawEdgePass(
  request: WorkRequest,
  name = 'Raw edge, before it is turned',
): PassWish[] {
  const { cloth } = request;
  switch (rawEdgeWay(request)) {
    case 'serged':
      return [
        {
          id: 'raw-edge',
          name,
          finish: 'serged',
          wish: { variant: cloth.weightGsm < lightGsm ? 'three-narrow' : 'three-wide' },
        },
      ];
    case 'overcast':
      return [
        {
          id: 'raw-edge',
          name,
          finish: 'overcast',
          wish: { variant: cloth.stretchPercent >= stretchyPercent ? 'stretch' : 'zigzag' },
        },
      ];
    default:
      return [];
  }
}
