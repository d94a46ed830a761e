import type { Layer } from '../../fold/layer';
import { turnOfClothMm } from '../../fold/turn-of-cloth';
import type { StripPlan } from '../fold-plan';
import type { FoldRequest, FoldWish } from '../fold-request';

/** How a strip goes round an edge: how much is tucked in at its front and at its back. */
interface Wrap {
  readonly front: number;
  readonly back: number;
}

/**
 * Tuck-ins: F for woven double fold, F − 2 for knit strips, none for fold-over elastic; single
 * fold turns its front edge only; satin has a turn of its own.
 * Source: docs/formulas.md, “Folds”.
 */
function tuckIns({ variant, depthMm, turnMm }: FoldWish): Wrap {
  const width = depthMm ?? 0;
  switch (variant) {
    case 'knit-strip':
      return { front: Math.max(0, width - 2), back: Math.max(0, width - 2) };
    case 'fold-over-elastic':
      return { front: 0, back: 0 };
    case 'single-fold':
      return { front: width, back: 0 };
    case 'satin':
      return { front: turnMm ?? 0, back: turnMm ?? 0 };
    default:
      return { front: width, back: width };
  }
}

const cuttings: Readonly<Record<string, StripPlan['cutting']>> = {
  'knit-strip': 'cross',
  'fold-over-elastic': 'none',
  satin: 'none',
};

/** An attachment wants its stated strip cut scant by this, mm. */
const scantMm = 0.5;

/**
 * A binding's strip: 2F, what its back is wider, tuck-ins and the turn of cloth; an attachment's stated width wins.
 * The wrap goes round what is bound and the tucked-in layers.
 */
export function stripOf({ wish, cloth, strip }: FoldRequest): StripPlan {
  const { thicknessMm } = strip ?? cloth;
  const width = wish.depthMm ?? 0;
  const { front, back } = tuckIns(wish);
  const tucked = (front > 0 ? 1 : 0) + (back > 0 ? 1 : 0);
  const coreMm = (wish.coreMm ?? cloth.thicknessMm) + tucked * thicknessMm;
  const turn = turnOfClothMm(thicknessMm, coreMm);
  const wider = wish.extensionMm ?? 0;
  const stated = wish.statedStripMm ?? null;
  const widthMm = stated === null ? 2 * width + wider + front + back + turn : stated - scantMm;
  return {
    widthMm,
    cutting: cuttings[wish.variant] ?? 'bias',
    tuckInMm: front,
    coreMm,
    turnOfClothMm: turn,
    foldsAtMm: [
      ...(front > 0 ? [front] : []),
      ...(back > 0 ? [widthMm - back] : []),
      front + width + turn / 2,
    ],
  };
}

/**
 * Where the stitch lies from the front fold: middle of 0.7 … F/2, within the tucked-in layer.
 *
 * @param sewnMm where the setting in force sews; the middle of what is good when left out
 */
export function stitchFromFrontMm(
  { depthMm }: FoldWish,
  tuckInMm: number,
  sewnMm?: number,
): number {
  if (sewnMm !== undefined) return Math.min(sewnMm, depthMm ?? 0);
  const middle = (0.7 + (depthMm ?? 0) / 2) / 2;
  return tuckInMm > 0 ? Math.max(0.35, Math.min(middle, tuckInMm * 0.9)) : middle;
}

/** The strip's layers and the bound cloth, bottom first; the bound edge is x = 0. */
export function boundStack(
  { wish, cloth, strip: made }: FoldRequest,
  shownMm: number,
): { strip: Layer[]; bound: Layer[] } {
  const { thicknessMm } = made ?? cloth;
  const width = wish.depthMm ?? 0;
  const { front, back } = tuckIns(wish);
  const trimmed = wish.seamAllowanceMm ?? 0;
  const layer = (
    [fromSMm, toSMm]: readonly [number, number],
    [fromXMm, toXMm]: readonly [number, number],
  ): Layer => ({ piece: 'binding', thicknessMm, fromSMm, toSMm, fromXMm, toXMm });
  // The turn of cloth lies in the bend itself, so the two faces meet there in s.
  const across = width + (wish.extensionMm ?? 0);
  const [edge, end] = [front + width, front + width + across];
  const below = [
    layer([edge, end], [0, across]),
    ...(back > 0 ? [layer([end, end + back], [across, across - back])] : []),
  ];
  const above = [
    ...(front > 0 ? [layer([0, front], [width - front, width])] : []),
    layer([front, edge], [width, 0]),
  ];
  const garment: Layer = {
    piece: 'garment',
    thicknessMm: wish.coreMm ?? cloth.thicknessMm,
    fromSMm: trimmed,
    toSMm: trimmed + shownMm,
    fromXMm: 0,
    toXMm: shownMm,
  };
  return { strip: [...below, ...above], bound: [...below, garment, ...above] };
}
