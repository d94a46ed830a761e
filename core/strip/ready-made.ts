import { refusal, type Issue } from '../impossible';

/** What is sold as a binding, ready to be sewn on. */
export const readyMadeKinds = ['folded-bias', 'satin', 'fold-over-elastic'] as const;
export type ReadyMadeKind = (typeof readyMadeKinds)[number];

/** A ready-made binding as it lies in its package. */
export interface ReadyMade {
  readonly kind: ReadyMadeKind;
  /** How wide it is when it is on: each face of it, mm. */
  readonly finishedMm: number;
  /** How long what is in a package is, mm. */
  readonly packageMm: number;
}

/** What a kind is usually like, and what it is used for. */
interface Usual {
  readonly name: string;
  readonly variants: readonly string[];
  /** Widths it is sold in, finished, mm. */
  readonly widthsMm: readonly number[];
  readonly packageMm: number;
  /** The plain cloth it is like. */
  readonly like: string;
}

/** Widths and lengths as such packages often have them. Starting guesses: measure your own. */
export const usualReadyMade: Readonly<Record<ReadyMadeKind, Usual>> = {
  'folded-bias': {
    name: 'Folded bias',
    variants: ['double-fold', 'single-fold', 'seam-allowances'],
    widthsMm: [6.35, 9, 12.7],
    packageMm: 2743.2,
    like: 'shirting',
  },
  satin: {
    name: 'Satin binding',
    variants: ['satin'],
    widthsMm: [25.4, 50.8],
    packageMm: 4343.4,
    like: 'satin',
  },
  'fold-over-elastic': {
    name: 'Fold-over elastic',
    variants: ['fold-over-elastic'],
    widthsMm: [8, 10, 12.7],
    packageMm: 5000,
    like: 'ponte',
  },
};

/** A fold made by a machine differs from the width that is asked for by no more than this, mm. */
const sameWidthMm = 0.5;

/** Whether a ready-made binding is used for a way of binding at all. */
export const servesVariant = ({ kind }: Pick<ReadyMade, 'kind'>, variant: string): boolean =>
  usualReadyMade[kind].variants.includes(variant);

/** What does not fit between a ready-made binding and what is to be sewn; empty when all does. */
export function readyMadeIssues(
  readyMade: ReadyMade,
  fold: { readonly variant: string; readonly depthMm?: number | null | undefined },
): Issue[] {
  const { name, variants } = usualReadyMade[readyMade.kind];
  if (!servesVariant(readyMade, fold.variant)) {
    return [
      refusal(
        'strip',
        'ready-made-for-other',
        '{name} is no strip for {variant}; it serves {variants}.',
        { name, variant: fold.variant, variants: variants.join(', ') },
      ),
    ];
  }
  const { finishedMm } = readyMade;
  const wantedMm = fold.depthMm ?? finishedMm;
  return Math.abs(wantedMm - finishedMm) <= sameWidthMm
    ? []
    : [
        refusal(
          'depthMm',
          'ready-made-other-width',
          '{name} that is folded for {finishedMm} makes no binding of {wantedMm}; {finishedMm} fits.',
          { name, finishedMm, wantedMm },
        ),
      ];
}
