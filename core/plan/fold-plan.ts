import { Impossible } from '../impossible';
import type { Finish, FoldPlan } from '../finish/finish';
import {
  foldFields,
  foldIssues,
  type FoldField,
  type FoldRequest,
  type FoldWish,
} from '../finish/fold-request';

/**
 * Refuses a fold wish that the finish cannot fold.
 *
 * @param path put before the field names, e.g. `fold.`
 * @throws Impossible with one issue for each field
 */
export function refuseFold(finish: Finish, wish: FoldWish, path = ''): void {
  const single = foldIssues(finish.id, finish.variants, finish.fields, wish);
  const issues = single.length > 0 ? single : finish.contradictions(wish);
  if (issues.length === 0) return;
  throw new Impossible(issues.map((issue) => ({ ...issue, path: path + issue.path })));
}

/** The folds of a finish. Source: docs/formulas.md, “Folds”. @throws Impossible */
export function foldPlanOf(finish: Finish, request: FoldRequest): FoldPlan {
  refuseFold(finish, request.wish);
  return finish.folds(request);
}

/** The fields that were given but that this variant leaves unused. */
export function unusedFoldFields(finish: Finish, wish: FoldWish): string[] {
  return Object.entries(finish.fields)
    .filter(([, rule]) => !rule.neededBy.includes(wish.variant))
    .map(([field]) => field)
    .filter((field) => (wish[field as keyof FoldWish] ?? null) !== null);
}

/**
 * A wish turned to another variant: what both use is kept, what the new one needs besides starts
 * where the finish says, and what it has no use for is left out.
 *
 * @param wish may be empty, for a first plan
 */
export function wishForVariant(
  finish: Finish,
  wish: Omit<FoldWish, 'variant'>,
  variant: string,
): FoldWish {
  const depthMm = wish.depthMm ?? Infinity;
  const lengths = foldFields.flatMap((field): [FoldField, number][] => {
    const rule = finish.fields[field];
    if (!rule?.neededBy.includes(variant)) return [];
    // No part of a hem is deeper than the hem.
    return [[field, wish[field] ?? Math.min(rule.startMm, depthMm)]];
  });
  return { variant, ...Object.fromEntries(lengths) };
}
