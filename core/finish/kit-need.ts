import type { FootKind } from '../kit/foot-kind';
import type { MachineKind } from '../kit/machine';
import type { Pattern } from '../stitch/stitch';
import type { Fact } from '../fact';

/** What one pass of the work takes; each list is of alternatives. */
export interface PassNeed {
  /** Empty when no machine is needed. */
  readonly machineKinds: readonly MachineKind[];
  readonly patterns: readonly Pattern[];
  /** Empty when any foot serves. */
  readonly feet: readonly FootKind[];
}

/** What a finish needs of a kit before it can be sewn, for the pass whose dials are solved. */
export interface KitNeed extends PassNeed {
  /** Other passes of the same work, before or after. */
  readonly also?: readonly PassNeed[];
  /** Two needles on one shank. */
  readonly twinNeedle?: boolean;
  /** A tool or notion that is no machine and no foot. */
  readonly besides?: Fact;
}
