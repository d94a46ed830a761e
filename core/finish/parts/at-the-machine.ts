import { alongName } from '../../kit/along';
import { swings } from '../../stitch/needle-path';
import type { Pattern } from '../../stitch/stitch';
import type { Values } from '../../fact';
import type { SewnWith, WorkRequest, WorkStep, Workplace } from '../work';
import { once } from './said';

/** What a stitch is called in a sentence. */
const stitchNames: Partial<Readonly<Record<Pattern, string>>> = {
  straight: 'straight stitch',
  zigzag: 'zigzag',
  'three-step': 'three-step zigzag',
  'blind-woven': 'blind stitch',
  'blind-stretch': 'stretch blind stitch',
  tacking: 'straight stitch',
  'overcast-woven': 'overcasting stitch',
  'overcast-stretch': 'stretch overcasting stitch',
  shell: 'shell stitch',
  fringe: 'close wide zigzag',
};

export const stitchName = (pattern: Pattern): string => stitchNames[pattern] ?? 'its own stitch';

const isLooped = (at: Workplace) =>
  typeof at !== 'string' && (at.machine === 'overlocker' || at.machine === 'coverstitch');

/** A place across the machine, in words with its number. */
const asideOf = (mm: number, name: string) =>
  Math.abs(mm) < 1e-6
    ? 'in the centre'
    : `{${name}:fine} ${mm < 0 ? 'left' : 'right'} of the centre`;

/** The dials of a setting as one clause, with their numbers. */
export function dialsClause(sewn: SewnWith): { readonly text: string; readonly values: Values } {
  const { settings, stitch, foot } = sewn;
  const { widthMm, lengthMm, needlePositionMm, guideMm } = settings;
  const width = swings(stitch) && widthMm > 0 ? 'width {widthMm:fine}, ' : '';
  const guide =
    'rangeMm' in foot.guide ? `, ${alongName(foot)} ${asideOf(guideMm, 'guideMm')}` : '';
  return {
    text: `${stitchName(stitch.pattern)}, ${width}length {lengthMm:fine}, needle ${asideOf(needlePositionMm, 'needleMm')}${guide}`,
    values: {
      ...(width ? { widthMm } : {}),
      lengthMm,
      needleMm: Math.abs(needlePositionMm),
      guideMm: Math.abs(guideMm),
    },
  };
}

/** What rides along what: “the raw edge along the right inner toe edge”. */
export function ridesClause({ sewn }: Pick<WorkRequest, 'sewn'>): string {
  if (!sewn) return 'led as the slip says';
  return sewn.foot.guidance === 'eye'
    ? `the ${sewn.rides} led by eye`
    : `the ${sewn.rides} along the ${alongName(sewn.foot)}`;
}

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
      once(2, 'change-foot', at, `Put on the ${footName} and set the dials as the slip says.`, {}, [
        'power-off',
      ]),
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
