import type { Cloth } from '../cloth/cloth';
import type { Finish } from '../finish/finish';
import type { Working } from '../finish/nature';
import type { Guide } from '../kit/foot';
import type { FootKind } from '../kit/foot-kind';
import type { Machine } from '../kit/machine';
import type { Stitch } from '../stitch/stitch';

/** What was sewn, as far as a fault can come from it. */
export interface Situation {
  readonly finish: Finish;
  readonly variant: string;
  readonly cloth: Cloth;
  readonly machine: Machine;
  readonly foot: { readonly kind: FootKind; readonly guide: Guide };
  readonly stitch: Stitch;
  readonly edge: {
    /** Its end meets its beginning. */
    readonly closed: boolean;
    readonly curved: boolean;
    /** Seams cross it. */
    readonly crossed: boolean;
  };
}

const loopers: readonly Machine['kind'][] = ['overlocker', 'coverstitch'];

/** Whether loopers make the stitch, and no bobbin does. */
export const hasLoopers = ({ machine }: Situation): boolean => loopers.includes(machine.kind);

/** Whether needles sew it at all; shears alone need no dial. */
export const isSewn = ({ finish, variant }: Situation): boolean =>
  finish.needs(variant).machineKinds.length > 0;

const isWorked =
  (working: Working) =>
  ({ finish, variant }: Situation): boolean =>
    finish.nature(variant).worked.includes(working);

/** Whether a needle bites into a fold so that little shows. */
export const bites = isWorked('bites');

/** Whether a stitch swings or wraps over a raw edge. */
export const goesOverEdge = isWorked('over-edge');

/** Whether cloth is fed through a scroll that turns it. */
export const usesScroll = isWorked('scroll');

/** Whether a strip is wrapped round the edge. */
export const isBound = isWorked('strip');

/** Whether an attachment or a foot folds the strip. */
export const hasBinder = ({ foot }: Situation): boolean =>
  foot.kind === 'binder' || foot.kind === 'binder-attachment';

/** Whether an old hem is kept and the leg made shorter above it. */
export const keepsOldHem = isWorked('tuck');

export const turnsUp = isWorked('turned');

/** Whether two edges become one seam. */
export const joins = isWorked('joins');
