import type { Cloth } from '../cloth/cloth';
import type { Purpose } from '../edge/purpose';
import type { Binder } from '../kit/binder';
import type { Foot } from '../kit/foot';
import type { Machine } from '../kit/machine';
import type { FaultWeights } from '../margin/cost';
import type { Stitch } from '../stitch/stitch';
import type { FoldWish } from './fold-request';

/** The edge to be finished, as far as a finish needs to know it. */
export interface Edge {
  readonly lengthMm: number;
  /** Tightest curve; null for a straight edge. */
  readonly minRadiusMm: number | null;
  /** What it is for, where a finish is worked otherwise for it; a hem when nobody said. */
  readonly purpose?: Purpose | undefined;
}

/** Everything chosen before the dials are. */
export interface SewingPlan {
  readonly cloth: Cloth;
  readonly edge: Edge;
  readonly fold: FoldWish;
  readonly machine: Machine;
  readonly foot: Foot;
  readonly stitch: Stitch;
  readonly needleSize: number;
  /** The longest thread one accepts on the right side, mm. */
  readonly pickMm: number;
  readonly faultWeights: FaultWeights;
  /** Multiplies the spread; 1 until samples say otherwise. */
  readonly skill: number;
  /** What a binding is made of; the cloth itself when left out. */
  readonly strip?: Cloth | null | undefined;
  /** What is wanted of the stitches, where that decides their length; even when nobody said. */
  readonly aim?: Aim | undefined;
  /** What folds the strip at the needle, and how it stands; none when left out. */
  readonly binder?: Binder | null | undefined;
  /** What steadies the work besides the foot; a bare hand and a pressed crease when left out. */
  readonly aids?: WorkAids | undefined;
}

/** What one would rather have of a hem that is to hold and to hide. */
export const aims = ['hold', 'even', 'hide'] as const;
export type Aim = (typeof aims)[number];

/** What steadies a crease and a wrap. */
export interface WorkAids {
  /** Pressed by eye, or over a card template. */
  readonly press?: 'crease' | 'template' | undefined;
  /** Wrapped by hand, or in a binder. */
  readonly wrap?: 'hand' | 'binder' | undefined;
}
