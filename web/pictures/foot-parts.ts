import type { FootDraft } from '../../contract/kit';
import type { Foot } from '../../core/kit/foot';

/** A place on the foot from above: mm right of the needle's centre, mm behind the needle. */
export type Place = readonly [xMm: number, yMm: number];

/** A piece of a foot as it is drawn. */
export interface FootPart {
  readonly look: 'sole' | 'clear' | 'metal' | 'hole' | 'crease';
  readonly points: readonly Place[];
  /** Lines are open, everything else is closed. */
  readonly open?: boolean;
}

/** What a foot's drawing needs of it. */
export type DrawnFoot = Pick<FootDraft, 'kind' | 'soleMm' | 'channelMm'> & {
  readonly specs: Foot;
  /** Where a strip goes in; about as wide as the sole while nobody measured it. */
  readonly mouthMm?: number | null;
};

/** The slot's half length along the seam; no sum depends on it. */
export const slotHalfMm = 2.2;

const box = (left: number, right: number, front: number, back: number): Place[] => [
  [left, back],
  [right, back],
  [right, front],
  [left, front],
];

const line = (look: FootPart['look'], ...points: Place[]): FootPart => ({
  look,
  points,
  open: true,
});

/** Where the opening that the needle passes is drawn; nothing of a foot it passes beside. */
export const drawnSlot = ({ specs }: Pick<DrawnFoot, 'specs'>): readonly [number, number] =>
  specs.slotMm ?? [0, 0];

/** From where to where the sole lies across the machine. */
export function soleSpan({ specs, soleMm }: Pick<DrawnFoot, 'specs' | 'soleMm'>) {
  const half = soleMm.widthMm / 2;
  return specs.slotMm === null && specs.besideMm ? specs.besideMm : ([-half, half] as const);
}

/** A sole with its front corners taken off. */
function soleOf(left: number, right: number, toeMm: number, heelMm: number): Place[] {
  const cut = Math.min(2.5, (right - left) / 5);
  return [
    [left, heelMm],
    [right, heelMm],
    [right, -toeMm + cut],
    [right - cut, -toeMm],
    [left + cut, -toeMm],
    [left, -toeMm + cut],
  ];
}

/** Metal parts before, in and beside the slot that tell one kind from another. */
function ownParts(foot: DrawnFoot, guideMm: number): FootPart[] {
  const { kind, specs, soleMm, channelMm, mouthMm } = foot;
  const [left, right] = drawnSlot(foot);
  const { toeMm, widthMm } = soleMm;
  const half = widthMm / 2;
  switch (kind) {
    case 'zigzag':
    case 'straight':
      // Open between the toes.
      return [{ look: 'hole', points: box(left, right, -toeMm, -slotHalfMm) }];
    case 'clear':
      return [line('crease', [0, -slotHalfMm], [0, -toeMm])];
    case 'blind':
      return 'rangeMm' in specs.guide
        ? [
            line('metal', [guideMm, -toeMm + 2], [half + 3, -toeMm + 2]),
            { look: 'metal', points: box(half + 3, half + 6, -toeMm, -toeMm + 4) },
          ]
        : [];
    case 'overcasting':
      return [{ look: 'metal', points: box(guideMm - 0.35, guideMm + 0.35, -slotHalfMm, 3.5) }];
    case 'tall-bar':
      return [
        { look: 'metal', points: box(-0.6, 0.6, -slotHalfMm, 4) },
        ...[-1, 0, 1, 2, 3].map((y) => line('crease', [-0.6, y], [0.6, y])),
      ];
    case 'hemmer':
      return scroll(channelMm ?? 3, toeMm);
    case 'wide-hemmer': {
      const wide = channelMm ?? 20;
      return [
        { look: 'metal', points: box(-3, wide, -toeMm - 10, -slotHalfMm - 2) },
        line('crease', [0, -slotHalfMm - 2], [0, -toeMm - 10]),
        line('crease', [wide * 0.7, -toeMm - 10], [2, -slotHalfMm - 2]),
      ];
    }
    case 'edge-guide':
      return [line('metal', [guideMm - 1.2, -toeMm], [guideMm + 1.2, -toeMm])];
    case 'binder':
      return funnel((mouthMm ?? widthMm * 0.8) / 2, -toeMm - 5, -slotHalfMm - 1.5);
    case 'binder-attachment': {
      const from = -toeMm - (soleMm.standOffMm ?? 6);
      const mouthHalf = (mouthMm ?? widthMm * 0.9) / 2;
      const arm = Math.max(half + 12, mouthHalf + 4);
      return [
        ...funnel(mouthHalf, from - 12, from),
        line('metal', [mouthHalf * 0.9, from - 10], [arm, from - 4], [arm, soleMm.heelMm]),
      ];
    }
    case 'tacking-attachment':
      return [
        { look: 'metal', points: box(left - 2.5, left - 0.5, -3, 3) },
        line('metal', [left - 2.5, 0], [-half - 6, 0], [-half - 6, soleMm.heelMm]),
      ];
    case 'zipper':
      return [
        { look: 'hole', points: box(-half, left, -3, 3) },
        { look: 'hole', points: box(right, half, -3, 3) },
      ];
    case 'walking':
      return [-1, 1].flatMap((side) => {
        const from = side > 0 ? right + 0.8 : left - 3.3;
        const at = (y: number) => line('crease', [from, y], [from + 2.5, y]);
        return [
          { look: 'metal' as const, points: box(from, from + 2.5, -6, 6) },
          ...[-5, -3, -1, 1, 3, 5].map(at),
        ];
      });
  }
}

/** A narrow scroll: it takes 2.15 channels of flat cloth at the toe and leaves one at the needle. */
function scroll(channelMm: number, toeMm: number): FootPart[] {
  const [near, far] = [-slotHalfMm - 0.5, -toeMm - 1];
  const edge = channelMm / 2;
  const wide = edge + 2.15 * channelMm;
  return [
    {
      look: 'metal',
      points: [
        [-edge, near],
        [edge, near],
        [wide, far],
        [-edge, far],
      ],
    },
    line('crease', [edge, near], [edge, far]),
    line('crease', [0, near], [wide - channelMm, far]),
  ];
}

/** A cone that folds a strip round an edge, with the slit that the edge runs in. */
function funnel(halfMm: number, far: number, near: number): FootPart[] {
  return [
    {
      look: 'metal',
      points: [
        [-2, near],
        [2, near],
        [halfMm, far],
        [-halfMm, far],
      ],
    },
    line('crease', [0, near], [0, far]),
    line('crease', [1, near], [halfMm / 2, far]),
    line('crease', [-1, near], [-halfMm / 2, far]),
  ];
}

/** What the edge rides along, whatever foot it is on. */
function guideParts({ specs, soleMm }: DrawnFoot, guideMm: number): FootPart[] {
  const front = -soleMm.toeMm;
  switch (specs.guidance) {
    case 'blade':
      return [line('metal', [guideMm, -slotHalfMm], [guideMm, front - 2])];
    case 'bar':
      return [line('metal', [guideMm, -slotHalfMm], [guideMm, front])];
    case 'bed':
      return [{ look: 'metal', points: box(guideMm, guideMm + 4, front - 4, 4) }];
    case 'edge':
    case 'mark':
      return [line('metal', [guideMm, front + 4], [guideMm, front])];
    case 'line':
    case 'eye':
      return [line('crease', [guideMm, front - 6], [guideMm, -slotHalfMm])];
  }
}

/** A foot from above, part by part, back to front. */
export function footParts(foot: DrawnFoot, guideMm: number): FootPart[] {
  const { kind, specs, soleMm } = foot;
  const [from, to] = soleSpan(foot);
  const [left, right] = drawnSlot(foot);
  const sole =
    kind === 'straight'
      ? soleOf(from * 0.6, to, soleMm.toeMm, soleMm.heelMm)
      : soleOf(from, to, soleMm.toeMm, soleMm.heelMm);
  const fills = specs.guidance === 'bar' && kind === 'overcasting' ? [] : guideParts(foot, guideMm);
  return [
    { look: kind === 'clear' ? 'clear' : 'sole', points: sole },
    ...(right > left
      ? [{ look: 'hole' as const, points: box(left, right, -slotHalfMm, slotHalfMm) }]
      : []),
    ...ownParts(foot, guideMm),
    ...fills,
  ];
}
