import type { Values } from '../fact';
import { alongName } from '../kit/along';
import { swings } from '../stitch/needle-path';
import type { Pattern } from '../stitch/stitch';
import type { SewnWith, WorkRequest } from './work';

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
  chain: 'chain stitch',
};

export const stitchName = (pattern: Pattern): string => stitchNames[pattern] ?? 'its own stitch';

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
