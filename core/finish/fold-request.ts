import type { Issue } from '../impossible';
import type { Cloth } from '../cloth/cloth';

/** The lengths a fold request may hold, by name; each finish says which it can use. */
export const foldFields = [
  'depthMm',
  'extensionMm',
  'turnMm',
  'channelMm',
  'seamAllowanceMm',
  'secondPassMm',
  'shortenMm',
  'coreMm',
  'statedStripMm',
] as const;
export type FoldField = (typeof foldFields)[number];

/** What is wanted of the folds; null and absent mean the same. */
export type FoldWish = { readonly variant: string } & {
  readonly [field in FoldField]?: number | null | undefined;
};

/** How a finish uses one fold field. */
export interface FoldFieldRule {
  /** Which variants need it; the others leave it unused. */
  readonly neededBy: readonly string[];
  readonly leastMm: number;
  readonly mostMm: number;
  readonly startMm: number;
}

/** The fields a finish uses; one that is not listed is refused. */
export type FoldFieldRules = { readonly [field in FoldField]?: FoldFieldRule };

/**
 * Checks a wish against a finish's field rules: unknown variants, fields the finish cannot use,
 * missing ones and ones out of range.
 *
 * @returns one issue for each, empty when all is well
 */
export function foldIssues(
  finishId: string,
  variants: readonly string[],
  rules: FoldFieldRules,
  wish: FoldWish,
): Issue[] {
  if (!variants.includes(wish.variant)) {
    return [
      {
        path: 'variant',
        message: `“${wish.variant}” is not a variant of ${finishId}; it has ${variants.join(', ')}.`,
      },
    ];
  }
  return foldFields.flatMap((field): Issue[] => {
    const value = wish[field] ?? null;
    const rule = rules[field];
    if (!rule) {
      return value === null
        ? []
        : [{ path: field, message: `${finishId} has no use for ${field}; leave it out.` }];
    }
    if (value === null) {
      return rule.neededBy.includes(wish.variant)
        ? [
            {
              path: field,
              message: `${field} is needed, from ${rule.leastMm} to ${rule.mostMm} mm.`,
            },
          ]
        : [];
    }
    return value >= rule.leastMm && value <= rule.mostMm
      ? []
      : [
          {
            path: field,
            message: `${value} mm is out of range; it can be ${rule.leastMm} to ${rule.mostMm} mm.`,
          },
        ];
  });
}

/** A fold request: the wish and the cloth it is folded in. */
export interface FoldRequest {
  readonly wish: FoldWish;
  readonly cloth: Pick<Cloth, 'thicknessMm'>;
  /** Values of the finish's checks at the present setting, by name, to draw the needle truly. */
  readonly sewn?: Readonly<Record<string, number>> | undefined;
}
