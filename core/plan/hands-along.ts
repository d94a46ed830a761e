import { handZones } from '../edge/hands';
import type { CurvedEdge } from '../edge/curve';
import { closesOverMm, handFoldedMm, startPlaceOf, type StartReason } from '../edge/start-place';
import type { EdgeForm } from '../edge/form';
import type { Finish } from '../finish/finish';
import type { WorkRequest } from '../finish/work';
import { pressedShare } from '../fold/stack';
import { spanOf, type Crossing } from '../seam/crossing';
import { leastShimMm, type AlongEdge, type Sole } from '../seam/crossings';
import { unrolled } from '../seam/unrolled';

/** Something the hands do at a place, or all along a stretch, measured from where the line begins. */
export type HandsAt = {
  readonly fromMm: number;
  /** The same as where it begins, for a place. */
  readonly toMm: number;
} & (
  | {
      readonly kind: 'start';
      readonly why: StartReason;
      readonly freeArm: boolean;
      /** Where that is, from where the edge is measured. */
      readonly onEdgeMm: number;
    }
  | { readonly kind: 'handwheel' }
  /** Behind the heel going up, in front of the toe coming down. */
  | {
      readonly kind: 'shim-behind' | 'shim-front';
      readonly shimMm: number;
      readonly layers: number;
    }
  /** Let the cloth swing; null where no margin says how often. */
  | { readonly kind: 'curve'; readonly everyMm: number | null }
  | { readonly kind: 'corner'; readonly way: 'turn' | 'sew-off' }
  /** Out of the scroll before a lump, and in again behind it. */
  | { readonly kind: 'slide-out' | 'feed-in' }
  | { readonly kind: 'cut-tails' }
  | { readonly kind: 'close'; readonly overlapMm: number; readonly ends: 'backstitch' | 'tails' }
  | { readonly kind: 'end'; readonly ends: 'backstitch' | 'tails' }
);

/** Starting tails are cut when they are so far ahead, mm. Starting guess. */
const tailsCutBeforeMm = 30;

/** What the hands do along an edge, and where on the edge they begin. */
export interface HandsAlong {
  /** From where the edge is measured. */
  readonly startAtMm: number;
  readonly hands: readonly HandsAt[];
}

/** An edge as the hands meet it. */
export interface HandledEdge extends CurvedEdge {
  readonly form: EdgeForm | null;
}

/**
 * What the hands do along an edge, from the start to the close, in the order in which they come.
 * Source: craft practice, “The hands at the machine”.
 *
 * @param along what the foot meets: seams with their zones
 * @param sole of the foot in use
 */
export function handsAlong(
  finish: Finish,
  edge: HandledEdge,
  work: WorkRequest,
  along: AlongEdge,
  sole: Sole,
): HandsAlong {
  const { wish, cloth, schools, sewn } = work;
  const { lengthMm } = edge;
  const { closed, crossings = [] } = work.edge;
  const nature = finish.nature(wish.variant);
  const fed = nature.worked.includes('scroll');
  const kinds = finish.needs(wish.variant).machineKinds;
  const looped = kinds.every((kind) => kind === 'overlocker' || kind === 'coverstitch');
  const ends = schools['ends'] === 'tails' ? 'tails' : 'backstitch';
  const sideBySide = nature.worked.includes('strip') && schools['binding-corner'] !== 'rounded';
  const start = startPlaceOf(
    {
      ...{ lengthMm, closed, form: edge.form },
      seamsAtMm: crossings.map(({ atMm }) => atMm),
      beforeThickestMm: crossings.length > 0 ? along.startAtMm : null,
    },
    schools['round-start'],
    fed ? 'fed' : sideBySide ? 'side-by-side' : 'led',
  );
  const shims = along.zones.filter(({ shimMm }) => shimMm >= leastShimMm);
  const met: HandsAt[] = [
    ...along.zones
      .filter(({ kind }) => kind === 'handwheel')
      .map(({ fromMm, toMm }): HandsAt => ({ kind: 'handwheel', fromMm, toMm })),
    ...(looped || fed
      ? []
      : shims.map(({ kind, fromMm, toMm, shimMm }): HandsAt => ({
          ...{ kind: kind === 'shim-front' ? 'shim-front' : 'shim-behind', fromMm, toMm, shimMm },
          layers: layersFor(shimMm, cloth.thicknessMm),
        }))),
    ...handZones(edge, sewn?.smallerSideMm ?? null).map((zone): HandsAt =>
      zone.kind === 'corner'
        ? {
            ...{ kind: 'corner', way: fed || looped ? 'sew-off' : 'turn' },
            ...{ fromMm: zone.fromMm, toMm: zone.toMm },
          }
        : { kind: 'curve', fromMm: zone.fromMm, toMm: zone.toMm, everyMm: zone.everyMm },
    ),
  ];
  const from = closed ? start.atMm : 0;
  const inOrder = closed ? unrolled(met, lengthMm, from, sameHands) : met;
  const scroll: HandsAt[] = fed ? outAndIn(crossings, { lengthMm, closed, from, sole }) : [];
  const at = (mm: number) => ({ fromMm: Math.max(0, mm), toMm: Math.max(0, mm) });
  const begin: HandsAt = {
    ...{ kind: 'start', ...at(0), why: start.why, onEdgeMm: from },
    freeArm: ['tube', 'circle'].includes(edge.shape) && closed,
  };
  const end: HandsAt[] = closed
    ? [
        fed
          ? { kind: 'slide-out', ...at(lengthMm - handFoldedMm) }
          : { kind: 'cut-tails', ...at(lengthMm - tailsCutBeforeMm) },
        { kind: 'close', ...at(lengthMm), overlapMm: closesOverMm, ends },
      ]
    : [{ kind: 'end', ...at(lengthMm), ends }];
  const middle = [...inOrder, ...scroll].sort((a, b) => a.fromMm - b.fromMm);
  return { startAtMm: from, hands: [begin, ...middle, ...end] };
}

const sameHands = (a: HandsAt, b: HandsAt): boolean =>
  a.kind === b.kind &&
  a.kind !== 'corner' &&
  ('shimMm' in a ? a.shimMm : 0) === ('shimMm' in b ? b.shimMm : 0) &&
  ('everyMm' in a ? a.everyMm : 0) === ('everyMm' in b ? b.everyMm : 0);

/** Out of the scroll a toe before each lump, and in again a heel behind it. */
function outAndIn(
  crossings: readonly Crossing[],
  at: { lengthMm: number; closed: boolean; from: number; sole: Sole },
): HandsAt[] {
  const { lengthMm, closed, from, sole } = at;
  const place = (mm: number) => {
    const off = closed ? (((mm - from) % lengthMm) + lengthMm) % lengthMm : mm;
    return Math.min(lengthMm, Math.max(0, off));
  };
  return crossings.flatMap((crossing): HandsAt[] => {
    const { fromMm, toMm } = spanOf(crossing);
    const [out, back] = [place(fromMm - sole.toeMm), place(toMm + sole.heelMm)];
    return [
      { kind: 'slide-out', fromMm: out, toMm: out },
      { kind: 'feed-in', fromMm: back, toMm: back },
    ];
  });
}

/**
 * A shim told in layers of one's own cloth: ⌈Δh / 0.7t⌉. Source: docs/formulas.md, “Along the edge”.
 *
 * @param thicknessMm of one layer, > 0
 */
export const layersFor = (shimMm: number, thicknessMm: number): number =>
  Math.ceil(shimMm / (pressedShare * thicknessMm) - 1e-9);
