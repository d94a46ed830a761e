import type { Cloth } from '../cloth/cloth';
import type { CurvedEdge } from '../edge/curve';
import type { Purpose } from '../edge/purpose';
import type { EdgeForm } from '../edge/form';
import type { OldHem, Pairing } from '../edge/state';
import type { Foot } from '../kit/foot';
import type { FootKind } from '../kit/foot-kind';
import type { Machine } from '../kit/machine';
import type { Crossing } from '../seam/crossing';

/** What one would like of a finish, each from 0 to 1. */
export const wishNames = ['hidden', 'sturdy', 'light', 'quick', 'decorative'] as const;
export type WishName = (typeof wishNames)[number];
export type Wishes = Readonly<Record<WishName, number>>;

/** Plain words for a mixture of wishes. */
export const presets: readonly { readonly name: string; readonly wishes: Wishes }[] = [
  {
    name: 'Nothing in particular',
    wishes: { hidden: 0.5, sturdy: 0.5, light: 0.5, quick: 0.5, decorative: 0 },
  },
  {
    name: 'A hem nobody sees',
    wishes: { hidden: 1, sturdy: 0.3, light: 0.4, quick: 0.1, decorative: 0 },
  },
  {
    name: 'One that lasts',
    wishes: { hidden: 0.1, sturdy: 1, light: 0.1, quick: 0.3, decorative: 0 },
  },
  {
    name: 'Light as the cloth',
    wishes: { hidden: 0.4, sturdy: 0.1, light: 1, quick: 0.2, decorative: 0.2 },
  },
  {
    name: 'Done tonight',
    wishes: { hidden: 0.2, sturdy: 0.4, light: 0.2, quick: 1, decorative: 0 },
  },
  {
    name: 'To be looked at',
    wishes: { hidden: 0, sturdy: 0.3, light: 0.3, quick: 0.1, decorative: 1 },
  },
];

/** The edge as choosing sees it. */
export interface ChosenEdge extends CurvedEdge {
  /** A hem when nobody said. */
  readonly purpose?: Purpose | undefined;
  /** A hem that is in it already; none when left out. */
  readonly oldHem?: OldHem | null | undefined;
  /** The depth of hem one would like; null leaves it to the finish. */
  readonly depthMm: number | null;
  /** The allowance of a seam that is still to be sewn; as the finish has it when nobody said. */
  readonly seamAllowanceMm?: number | null | undefined;
  readonly crossings: readonly Crossing[];
  /** How it was measured; null or left out for its length alone. */
  readonly form?: EdgeForm | null | undefined;
  /** Whether there is a second one that has to come out the same. */
  readonly pair?: Pairing | undefined;
  /** For a small child, so that nothing may come off. */
  readonly forChild?: boolean | undefined;
  /** How much cloth there is beyond the finished edge; as much as is wanted when nobody said. */
  readonly spareMm?: number | null | undefined;
  /** What is left of the cloth, for strips; enough when nobody said. */
  readonly clothLeft?: { readonly widthMm: number; readonly lengthMm: number } | null | undefined;
}

/** A foot of the drawer. */
export interface DrawerFoot {
  readonly kind: FootKind;
  readonly channelMm?: number | null | undefined;
  /** The strip that an attachment folds. */
  readonly stripMm?: number | null | undefined;
  readonly specs: Foot;
}

/** Everything a ranking is worked out from. */
export interface ChooseRequest {
  readonly cloth: Cloth;
  readonly edge: ChosenEdge;
  readonly kit: { readonly machines: readonly Machine[]; readonly feet: readonly DrawerFoot[] };
  readonly wishes: Wishes;
}

export const purposeOf = ({ purpose }: Pick<ChosenEdge, 'purpose'>): Purpose => purpose ?? 'hem';
