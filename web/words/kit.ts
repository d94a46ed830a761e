import type { FootKind } from '../../core/kit/foot-kind';
import type { MachineKind } from '../../core/kit/machine';
import type { KitGap } from '../../core/plan/kit-gaps';
import type { NeedlePoint } from '../../core/kit/needle';
import type { Shank } from '../../core/kit/shank';
import type { ThreadUse } from '../../core/kit/thread';
import { patternNames } from './stitches';
import type { Lengths } from '../../core/measure/lengths';

export const machineKindNames: Readonly<Record<MachineKind, string>> = {
  lockstitch: 'lockstitch machine',
  'straight-stitch': 'straight-stitch machine',
  overlocker: 'overlocker',
  coverstitch: 'coverstitch machine',
};

export const footKindNames: Readonly<Record<FootKind, string>> = {
  zigzag: 'open zigzag foot',
  clear: 'clear foot',
  straight: 'straight-stitch foot',
  blind: 'blind foot',
  overcasting: 'overcasting foot',
  'tall-bar': 'foot with a tall bar',
  hemmer: 'hemmer foot',
  'wide-hemmer': 'wide hemmer',
  'edge-guide': 'edge-guide foot',
  binder: 'binder foot',
  'binder-attachment': 'binder attachment',
  'tacking-attachment': 'tacking attachment',
  zipper: 'zipper foot',
  walking: 'walking foot',
};

export const shankNames: Readonly<Record<Shank, string>> = {
  low: 'low bar',
  high: 'high bar',
  slanted: 'slanted bar',
  'clip-on': 'clip-on ankle',
};

export const needlePointNames: Readonly<Record<NeedlePoint, string>> = {
  universal: 'universal',
  sharp: 'sharp, fine',
  ball: 'ball point',
  denim: 'denim point',
  topstitch: 'topstitch, long eye',
  leather: 'leather, cutting',
};

/** A needle as one would ask for it, from its code: “80 universal”. */
export function needleWords(code: string): string {
  const [size = '', point = ''] = code.split('-');
  const name = (needlePointNames as Readonly<Record<string, string>>)[point];
  return name ? `${size} ${name}` : code;
}

/** The code of a needle in words; what nobody knows stands as it is. */
export function needleCode(words: string): string {
  const known = Object.entries(needlePointNames).find(([, name]) => words.endsWith(` ${name}`));
  return known ? `${Number.parseInt(words, 10)}-${known[0]}` : words;
}

export const threadUseNames: Readonly<Record<ThreadUse, string>> = {
  'all-purpose': 'all-purpose',
  fine: 'fine cloth',
  topstitching: 'topstitching',
  cone: 'overlocker, on a cone',
  fluffy: 'fluffy, for loopers',
  'see-through': 'see-through',
};

const anyOf = (names: readonly string[]) =>
  `${/^[aeo]/.test(names[0] ?? '') ? 'an' : 'a'} ${names.join(' or ')}`;

/** What is missing from the kit, as what would have to be there. */
export function gapInWords(gap: KitGap, { fine }: Lengths): string {
  switch (gap.about) {
    case 'machine':
      return anyOf(gap.anyOf.map((kind) => machineKindNames[kind]));
    case 'foot':
      return anyOf(gap.anyOf.slice(0, 2).map((kind) => footKindNames[kind]));
    case 'stitch':
      return `a machine that sews ${gap.anyOf
        .slice(0, 2)
        .map((pattern) => patternNames[pattern])
        .join(' or ')}`;
    case 'shank':
      return `${anyOf(gap.anyOf.slice(0, 2).map((kind) => footKindNames[kind]))} for a ${gap.shanks.map((shank) => shankNames[shank]).join(' or ')}`;
    case 'channel':
      return `a hemmer foot of ${fine(gap.channelMm)}`;
    case 'width':
      return `a wide hemmer of ${fine(gap.widthMm)}`;
  }
}
