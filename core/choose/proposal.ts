import type { Finish } from '../finish/finish';
import { servesPurpose } from '../finish/nature';
import type { FoldWish } from '../finish/fold-request';
import { wishForVariant } from '../plan/fold-plan';
import { usualStitch } from '../plan/usual-stitch';
import type { Stitch } from '../stitch/stitch';
import type { Considered } from './consider';
import type { Ranking } from './score';
import { purposeOf, type ChooseRequest } from './request';

/** What a plan would be with a finish taken for it. */
export interface Proposal {
  readonly finish: string;
  readonly fold: FoldWish;
  /** Places in the kit's lists; null where the kit has nothing for it. */
  readonly machine: number | null;
  readonly foot: number | null;
  /** Null where no machine of the kit sews it. */
  readonly stitch: Stitch | null;
  /** The ways that the cloth and the kit allow. */
  readonly schools: Readonly<Record<string, string>>;
}

/** A considered variant as a plan would take it: the machine and foot it was found best with. */
export function proposed({ finishId, wish, machine, foot, stitch, schools }: Considered): Proposal {
  return { finish: finishId, fold: wish, machine, foot, stitch, schools };
}

/** A variant that is out, at its own starting lengths, on whatever of the kit comes nearest. */
export function proposedAnyway(
  finish: Finish,
  variant: string,
  lengths: Omit<FoldWish, 'variant'>,
  { kit, cloth }: Pick<ChooseRequest, 'kit' | 'cloth'>,
): Proposal {
  const need = finish.needs(variant);
  const machine = kit.machines.findIndex(({ kind }) => need.machineKinds.includes(kind));
  // The foot made for it, else one that serves.
  const made = need.feet.find((one) => kit.feet.some(({ kind }) => kind === one));
  const foot = kit.feet.findIndex(({ kind }) => kind === made);
  const there = kit.machines[machine];
  return {
    finish: finish.id,
    fold: wishForVariant(finish, lengths, variant),
    machine: machine < 0 ? null : machine,
    foot: foot < 0 ? null : foot,
    stitch: there ? usualStitch(need, there, cloth.stretchPercent) : null,
    schools: {},
  };
}

/**
 * What the first on the list would give, for an edge that has no finish yet. Where everything is
 * ruled out, the variant with the least against it that serves the edge's purpose.
 *
 * @returns null when nothing in the catalogue serves it at all
 */
export function firstProposal(
  { ranked, ruledOut }: Ranking,
  catalogue: readonly Finish[],
  request: Pick<ChooseRequest, 'kit' | 'cloth' | 'edge'>,
): Proposal | null {
  const [first] = ranked;
  if (first) return proposed(first);
  const purpose = purposeOf(request.edge);
  const nearest = [...ruledOut]
    .filter(({ finishId, variant }) => {
      const nature = catalogue.find(({ id }) => id === finishId)?.nature(variant);
      return nature !== undefined && servesPurpose(nature, purpose);
    })
    .sort((a, b) => a.hindrances.length - b.hindrances.length)[0];
  const finish = catalogue.find(({ id }) => id === nearest?.finishId);
  return nearest && finish ? proposedAnyway(finish, nearest.variant, {}, request) : null;
}
