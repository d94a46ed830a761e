import {
  defaultGuideStepMm,
  type Foot,
  type FootReference,
  type Guidance,
  type IntervalMm,
} from './foot';
import type { FootKind } from './foot-kind';

/** A foot or attachment of a plain kind, with the measures that such feet usually have. */
export interface GenericFoot {
  readonly id: string;
  readonly name: string;
  readonly kind: FootKind;
  readonly channelMm: number | null;
  /** How wide an attachment's mouth is. */
  readonly mouthMm: number | null;
  /** The strip it folds. */
  readonly stripMm: number | null;
  /** The travel of its flange; null for one that has none. */
  readonly flangeMm: IntervalMm | null;
  readonly specs: Foot;
  readonly soleMm: {
    readonly widthMm: number;
    readonly toeMm: number;
    readonly heelMm: number;
    readonly standOffMm?: number;
  };
}

type Row = readonly [
  id: string,
  name: string,
  kind: FootKind,
  /** Null for a foot that has none. */
  slotMm: IntervalMm | null,
  guidance: Guidance,
  /** Where the guide stands, or the range it adjusts over. */
  guide: number | IntervalMm,
  /** Sole width, needle to toe, needle to heel. */
  soleMm: readonly [number, number, number],
  more?: Partial<Pick<GenericFoot, 'channelMm' | 'mouthMm' | 'stripMm' | 'flangeMm'>> & {
    standOffMm?: number;
    besideMm?: IntervalMm;
    references?: readonly FootReference[];
  },
];

const at = (name: string, guidance: Guidance, atMm: number): FootReference => ({
  name,
  guidance,
  guide: { atMm },
});

/** The lines that most plates have on either side, mm from the needle. */
const plateLinesMm = { fromMm: 10, toMm: 25, stepMm: 5 } as const;

/** Lines on the plate beside the foot, which any foot can be led along. */
export const plateLines: readonly FootReference[] = (['right', 'left'] as const).map((side) => {
  const { fromMm, toMm, stepMm } = plateLinesMm;
  return {
    name: `${side} lines on the plate`,
    guidance: 'mark',
    guide: { rangeMm: side === 'right' ? [fromMm, toMm] : [-toMm, -fromMm], stepMm },
  };
});

/**
 * What an edge can be led along on a foot with two toes, the usual one first.
 *
 * @param toeMm from the centre to the inner edge of a toe, or to a mark on it
 * @param outerMm from the centre to the foot's own edge
 */
export function toedReferences(
  guidance: 'edge' | 'mark',
  toeMm: number,
  outerMm: number,
): FootReference[] {
  const toe = guidance === 'edge' ? 'inner toe edge' : 'mark';
  return [
    at(`left ${toe}`, guidance, -toeMm),
    at(`right ${toe}`, guidance, toeMm),
    at('centre line', 'mark', 0),
    at('right outer edge', 'edge', outerMm),
    at('left outer edge', 'edge', -outerMm),
    ...plateLines,
  ];
}

/** A zipper foot stands beside the needle, on whichever side it is clipped on. */
const zipperReferences: readonly FootReference[] = [
  { ...at('right edge of the foot', 'edge', -1), besideMm: [-6, -1] },
  { ...at('left edge of the foot', 'edge', 1), besideMm: [1, 6] },
];

// One row a line, to be read as the table it is.
// oxfmt-ignore
const rows: readonly Row[] = [
  ['zigzag-7', 'Open zigzag foot, 7 mm', 'zigzag', [-4.5, 4.5], 'edge', -2, [18, 12, 14], { references: toedReferences('edge', 2, 9) }],
  ['zigzag-5', 'Open zigzag foot, 5 mm', 'zigzag', [-3.5, 3.5], 'edge', -2, [16, 12, 14], { references: toedReferences('edge', 2, 8) }],
  ['clear', 'Clear foot', 'clear', [-4.5, 4.5], 'mark', -3, [20, 12, 14], { references: toedReferences('mark', 3, 10) }],
  ['straight', 'Straight-stitch foot', 'straight', [-1, 1], 'edge', -3, [12, 12, 14], { references: toedReferences('edge', 3, 6) }],
  ['quarter', 'Straight foot, 6.5 mm edge', 'straight', [-1, 1], 'edge', 6.5, [14, 12, 14], { references: [at('right edge of the foot', 'edge', 6.5), ...plateLines] }],
  ['blind-fixed', 'Blind foot, fixed blade', 'blind', [-4.5, 4.5], 'blade', -1, [20, 14, 16]],
  ['blind-screw', 'Blind foot, blade on a screw', 'blind', [-4.5, 4.5], 'blade', [-3, 1], [20, 15, 16]],
  ['overcast-flat', 'Overcasting foot, flat bar', 'overcasting', [-3.5, 3.5], 'bar', 2.5, [20, 12, 14]],
  ['tall-bar', 'Foot with a tall bar', 'tall-bar', [-3.5, 3.5], 'bar', 0, [18, 12, 14]],
  ['hemmer-2', 'Hemmer foot, 2 mm scroll', 'hemmer', [-3, 3], 'edge', 0, [16, 15, 14], { channelMm: 2 }],
  ['hemmer-4', 'Hemmer foot, 4 mm scroll', 'hemmer', [-3, 3], 'edge', 0, [20, 17, 14], { channelMm: 4 }],
  ['hemmer-6', 'Hemmer foot, 6 mm scroll', 'hemmer', [-3, 3], 'edge', 0, [22, 19, 14], { channelMm: 6 }],
  ['wide-12', 'Wide hemmer, 12 mm', 'wide-hemmer', [-1.5, 1.5], 'edge', [-4, -1], [26, 24, 14], { channelMm: 12 }],
  ['wide-25', 'Wide hemmer, 25 mm', 'wide-hemmer', [-1.5, 1.5], 'edge', [-4, -1], [40, 34, 14], { channelMm: 25 }],
  ['edge-guide', 'Edge-guide foot', 'edge-guide', [-1.5, 1.5], 'bar', 2, [19, 13, 14]],
  ['binder-foot', 'Binder foot, adjustable', 'binder', [-2.5, 2.5], 'edge', [-6, 2.5], [24, 18, 14], { mouthMm: 42, flangeMm: [10, 40] }],
  ['binder-10', 'Binder attachment, narrow', 'binder-attachment', [-3, 3], 'edge', [-8, 2], [18, 12, 14], { mouthMm: 44, stripMm: 40, standOffMm: 12 }],
  ['tacking', 'Tacking attachment', 'tacking-attachment', [-3, 3], 'blade', [-2, 2], [22, 16, 14]],
  ['zipper', 'Zipper foot', 'zipper', null, 'edge', -1, [5, 12, 14], { besideMm: [-6, -1], references: zipperReferences }],
  ['walking', 'Walking foot', 'walking', [-3.5, 3.5], 'mark', -3, [26, 16, 18], { references: toedReferences('mark', 3, 13) }],
];

/** Twenty plain feet and attachments to start from. Starting guesses: measure your own. */
export const genericFeet: readonly GenericFoot[] = rows.map(
  ([id, name, kind, slotMm, guidance, guide, [widthMm, toeMm, heelMm], more = {}]) => ({
    ...{ id, name, kind, channelMm: more.channelMm ?? null },
    ...{ mouthMm: more.mouthMm ?? null, stripMm: more.stripMm ?? null },
    flangeMm: more.flangeMm ?? null,
    specs: {
      slotMm,
      guidance,
      guide:
        typeof guide === 'number'
          ? { atMm: guide }
          : { rangeMm: guide, stepMm: defaultGuideStepMm },
      ...(more.besideMm ? { besideMm: more.besideMm } : {}),
      ...(more.references ? { references: more.references } : {}),
    },
    soleMm: {
      ...{ widthMm, toeMm, heelMm },
      ...(more.standOffMm === undefined ? {} : { standOffMm: more.standOffMm }),
    },
  }),
);
