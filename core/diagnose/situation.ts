import type { Cloth } from '../cloth/cloth';
import type { Finish } from '../finish/finish';
import { takesField } from '../finish/fold-request';
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

/** Whether a needle bites into a fold so that little shows. */
export const bites = ({ finish, variant }: Situation): boolean =>
  finish
    .needs(variant)
    .patterns.some((pattern) => pattern.startsWith('blind') || pattern === 'tacking');

/** Whether a stitch swings or wraps over a raw edge. */
export const goesOverEdge = ({ finish, variant }: Situation): boolean =>
  finish
    .needs(variant)
    .patterns.some((pattern) => /^(overcast|overedge|rolled|zigzag|three-step)/.test(pattern)) &&
  finish.nature(variant).edgeOnly === true;

/** Whether cloth is fed through a scroll that turns it. */
export const usesScroll = ({ foot }: Situation): boolean =>
  foot.kind === 'hemmer' || foot.kind === 'wide-hemmer';

/** Whether a strip is wrapped round the edge. */
export const isBound = ({ finish, variant }: Situation): boolean => {
  const rule = finish.fields.statedStripMm;
  return rule !== undefined && takesField(rule, variant);
};

/** Whether an attachment or a foot folds the strip. */
export const hasBinder = ({ foot }: Situation): boolean =>
  foot.kind === 'binder' || foot.kind === 'binder-attachment';

/** Whether an old hem is kept and the leg made shorter above it. */
export const keepsOldHem = ({ finish, variant }: Situation): boolean => {
  const rule = finish.fields.shortenMm;
  return rule !== undefined && takesField(rule, variant);
};

export const turnsUp = ({ finish, variant }: Situation): boolean => finish.nature(variant).turnsUp;
