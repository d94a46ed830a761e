import { handZones } from '../edge/hands';
import type { CurvedEdge } from '../edge/curve';
import { closesOverMm, startPlaceOf, type StartReason } from '../edge/start-place';
import type { EdgeForm } from '../edge/form';
import type { Finish } from '../finish/finish';
import type { WorkRequest } from '../finish/work';
import { pressedShare } from '../fold/stack';
import { spanOf } from '../seam/crossing';
import type { AlongEdge, Sole } from '../seam/crossings';

/** Something the hands do at a place, or all along a stretch, of the edge. */
export type HandsAt = {
  readonly fromMm: number;
  /** The same as where it begins, for a place. */
  readonly toMm: number;
} & (
  | { readonly kind: 'start'; readonly why: StartReason; readonly freeArm: boolean }
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
/** The last of a round in a scroll is folded by hand, mm. Starting guess. */
const handFoldedMm = 40;
/** A step lower than this wants no shim, mm. Starting guess. */
const leastShimMm = 1;

/** An edge as the hands meet it. */
export interface HandledEdge extends CurvedEdge {
  readonly form: EdgeForm | null;
}

/**
 * What the hands do along an edge and where, from the start to the close, in the order in which they
 * come: a round goes on from its start and past its own beginning.
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
): HandsAt[] {
  const { wish, cloth, schools, sewn } = work;
  const { lengthMm } = edge;
  const { closed, crossings = [] } = work.edge;
  const nature = finish.nature(wish.variant);
  const fed = nature.worked.includes('scroll');
  const kinds = finish.needs(wish.variant).machineKinds;
  const looped = kinds.every((kind) => kind === 'overlocker' || kind === 'coverstitch');
  const ends = schools['ends'] === 'tails' ? 'tails' : 'backstitch';
  const start = startPlaceOf(
    {
      ...{ lengthMm, closed, form: edge.form },
      seamsAtMm: crossings.map(({ atMm }) => atMm),
      beforeThickestMm: crossings.length > 0 ? along.startAtMm : null,
    },
    schools['round-start'],
    fed,
  );
  const place = (mm: number) => {
    const wrapped = closed ? ((mm % lengthMm) + lengthMm) % lengthMm : mm;
    return Math.min(lengthMm, Math.max(0, wrapped));
  };
  const shims = along.zones.filter(({ shimMm }) => shimMm >= leastShimMm);
  const middle: HandsAt[] = [
    ...along.zones
      .filter(({ kind }) => kind === 'handwheel')
      .map(({ fromMm, toMm }): HandsAt => ({ kind: 'handwheel', fromMm, toMm })),
    ...(looped || fed
      ? []
      : shims.map(
          ({ kind, fromMm, toMm, shimMm }): HandsAt => ({
            ...{ kind: kind === 'shim-front' ? 'shim-front' : 'shim-behind', fromMm, toMm, shimMm },
            layers: layersFor(shimMm, cloth.thicknessMm),
          }),
        )),
    ...(fed
      ? crossings.flatMap((crossing): HandsAt[] => {
          const { fromMm, toMm } = spanOf(crossing);
          const [out, back] = [place(fromMm - sole.toeMm), place(toMm + sole.heelMm)];
          return [
            { kind: 'slide-out', fromMm: out, toMm: out },
            { kind: 'feed-in', fromMm: back, toMm: back },
          ];
        })
      : []),
    ...handZones(edge, sewn?.smallerSideMm ?? null).map((zone): HandsAt =>
      zone.kind === 'corner'
        ? {
            ...{ kind: 'corner', way: fed || looped ? 'sew-off' : 'turn' },
            ...{ fromMm: zone.fromMm, toMm: zone.toMm },
          }
        : { kind: 'curve', fromMm: zone.fromMm, toMm: zone.toMm, everyMm: zone.everyMm },
    ),
  ];
  /** How far along from the start; what lies on it begins the round rather than ends it. */
  const fromStart = ({ fromMm, toMm }: HandsAt) => {
    if (!closed) return fromMm;
    const off = (((fromMm - start.atMm) % lengthMm) + lengthMm) % lengthMm;
    return off + (toMm - fromMm) > lengthMm && off > lengthMm / 2 ? off - lengthMm : off;
  };
  const sorted = middle.sort((a, b) => fromStart(a) - fromStart(b));
  const at = (mm: number) => ({ fromMm: place(mm), toMm: place(mm) });
  const tube = ['tube', 'circle'].includes(edge.shape) && closed;
  return [
    { kind: 'start', ...at(start.atMm), why: start.why, freeArm: tube },
    ...sorted,
    ...(closed
      ? [
          ...(fed
            ? [{ kind: 'slide-out', ...at(start.atMm - handFoldedMm) } as const]
            : [{ kind: 'cut-tails', ...at(start.atMm - tailsCutBeforeMm) } as const]),
          { kind: 'close', ...at(start.atMm), overlapMm: closesOverMm, ends } as const,
        ]
      : [{ kind: 'end', ...at(lengthMm), ends } as const]),
  ];
}

/**
 * A shim told in layers of one's own cloth: ⌈Δh / 0.7t⌉. Source: docs/formulas.md, “Along the edge”.
 *
 * @param thicknessMm of one layer, > 0
 */
export const layersFor = (shimMm: number, thicknessMm: number): number =>
  Math.ceil(shimMm / (pressedShare * thicknessMm) - 1e-9);
