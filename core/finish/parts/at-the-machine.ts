import { dialsClause } from '../dials-clause';
import type { WorkRequest, WorkStep, Workplace } from '../work';
import { once } from './said';

/** A foot as it is said in a sentence: “the zipper foot”, “a foot with a guide”. */
const theFoot = (name: string) => (/^(an?|its|the) /.test(name) ? name : `the ${name}`);

const isLooped = (at: Workplace) =>
  typeof at !== 'string' && (at.machine === 'overlocker' || at.machine === 'coverstitch');

/** Putting on the foot, and the dials as they are in force. */
export function setUp({ sewn }: WorkRequest, at: Workplace, footName: string): WorkStep[] {
  if (isLooped(at)) {
    return [
      once(
        1,
        'set',
        at,
        sewn
          ? 'Set the machine as the slip says: stitch length {lengthMm:fine}, and what stands beside it.'
          : 'Set the machine as the slip says.',
        sewn ? { lengthMm: sewn.settings.lengthMm } : {},
        ['power-off'],
      ),
    ];
  }
  if (!sewn) {
    return [
      once(
        2,
        'change-foot',
        at,
        `Put on ${theFoot(footName)} and set the dials as the slip says.`,
        {},
        ['power-off'],
      ),
    ];
  }
  const { text, values } = dialsClause(sewn);
  return [
    once(2, 'change-foot', at, `Put on {foot}. Set ${text}.`, { ...values, foot: sewn.footName }, [
      'power-off',
    ]),
  ];
}

/** Whatever was changed is put back. */
export function putBack({ sewn }: WorkRequest, at: Workplace): WorkStep[] {
  const looped = isLooped(at);
  const needle = sewn && Math.abs(sewn.settings.needlePositionMm) > 1e-6;
  const text = looped
    ? 'Put the machine back: differential, cutting width, looper tensions and lift as they were.'
    : needle
      ? 'Put the machine back: needle to the centre, pressure and tension as they were, the usual foot on.'
      : 'Put the machine back: pressure and tension as they were, the usual foot on.';
  return [once(0.5, 'put-back', at, text, {}, ['power-off'])];
}
