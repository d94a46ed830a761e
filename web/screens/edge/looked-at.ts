import { useSearchParams } from 'react-router';
import { finishById } from '../../../core/finish/catalogue';
import type { Finish } from '../../../core/finish/finish';
import type { FoldPlan } from '../../../core/finish/fold-plan';
import type { FoldWish } from '../../../core/finish/fold-request';
import { Impossible } from '../../../core/impossible';
import { foldPlanOf, wishForVariant } from '../../../core/plan/fold-plan';
import type { KeptPart, SetUpPart } from '../../bench/bench';

/** A finish as it would be on this edge. */
export interface Option {
  readonly finish: Finish;
  readonly wish: FoldWish;
  /** Null while the present lengths contradict each other; then `trouble` says why. */
  readonly folds: FoldPlan | null;
  readonly trouble: Impossible | null;
}

/**
 * A finish and variant on this edge's cloth, with whatever lengths the plan has for it.
 *
 * @param suited lengths that were found to suit the edge, where the plan has none of its own
 */
export function optionFor(
  bench: KeptPart & SetUpPart,
  finish: Finish,
  variantId?: string,
  suited?: FoldWish,
): Option {
  const { record, plan } = bench;
  const own = finish.id === record.finish;
  const variant = variantId ?? (own ? record.fold.variant : (finish.variants[0]?.id ?? ''));
  const wish = suited && !own ? suited : wishForVariant(finish, own ? record.fold : {}, variant);
  try {
    const { purpose, oldHem } = bench.edge;
    const folds = foldPlanOf(finish, { wish, cloth: plan.cloth, edge: { purpose, oldHem } });
    return { finish, wish, folds, trouble: null };
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    return { finish, wish, folds: null, trouble: error };
  }
}

/** The picture that says most: sewn, or the last one where nothing is sewn. */
export const tellingStage = ({ stages }: FoldPlan) =>
  stages.find(({ id }) => id === 'stitch') ?? stages.at(-1);

const joined = (finish: string, variant: string) => `${finish}.${variant}`;

function parsed(bench: KeptPart & SetUpPart, text: string): Option | null {
  const [id = '', variant] = text.split('.');
  const finish = finishById(id);
  const known = finish?.variants.some((it) => it.id === variant);
  return finish && known ? optionFor(bench, finish, variant) : null;
}

/** At most so many are laid side by side. */
export const mostCompared = 3;

/** Which finish is looked at, and which are compared: kept in the address, so in a reload too. */
export function useLookedAt(bench: KeptPart & SetUpPart) {
  const [params, setParams] = useSearchParams();
  const look = params.get('look');
  const chosen = optionFor(bench, bench.finish);
  const looked = (look && parsed(bench, look)) || chosen;
  const compared = (params.get('compare') ?? '')
    .split(',')
    .flatMap((text) => parsed(bench, text) ?? [])
    .slice(0, mostCompared);
  const set = (name: string, value: string | null) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true },
    );
  const key = ({ finish, wish }: Option) => joined(finish.id, wish.variant);
  return {
    looked,
    isChosen: !bench.proposed && key(looked) === key(chosen),
    compared,
    showing: params.get('show') === 'compare' && compared.length > 0,
    look: (finish: Finish, variant: string) => set('look', joined(finish.id, variant)),
    isCompared: (option: Option) => compared.some((other) => key(other) === key(option)),
    toggleCompared: (option: Option) => {
      const others = compared.filter((other) => key(other) !== key(option)).map(key);
      const next = others.length < compared.length ? others : [...others, key(option)];
      set('compare', next.slice(-mostCompared).join(','));
    },
    show: (compare: boolean) => set('show', compare ? 'compare' : null),
  };
}
