import { Impossible, type Issue } from '../impossible';
import type { Finish } from '../finish/finish';
import type { FoldPlan } from '../finish/fold-plan';
import {
  completed,
  foldFields,
  foldIssues,
  startOf,
  takesField,
  type FoldField,
  type FoldFieldRule,
  type FoldRequest,
  type FoldWish,
} from '../finish/fold-request';

/** Why a finish cannot fold a wish, one issue a field; empty when it can. */
export function foldTroubles(finish: Finish, { wish, ...rest }: FoldRequest): Issue[] {
  const single = foldIssues(finish, wish);
  return single.length > 0
    ? single
    : finish.contradictions({ ...rest, wish: completed(finish.fields, wish) });
}

/**
 * Refuses a fold wish that the finish cannot fold.
 *
 * @param path put before the field names, e.g. `fold.`
 * @throws Impossible with one issue for each field
 */
export function refuseFold(finish: Finish, request: FoldRequest, path = ''): void {
  const issues = foldTroubles(finish, request);
  if (issues.length === 0) return;
  throw new Impossible(issues.map((issue) => ({ ...issue, path: path + issue.path })));
}

/**
 * The folds of a finish; lengths that may be left out start where the finish says.
 * Source: docs/formulas.md, “Folds”.
 *
 * @throws Impossible
 */
export function foldPlanOf(finish: Finish, request: FoldRequest): FoldPlan {
  refuseFold(finish, request);
  return finish.folds({ ...request, wish: completed(finish.fields, request.wish) });
}

/** The lengths that were left out and start where the finish says, by field. */
export function assumedLengths(finish: Finish, wish: FoldWish): Record<string, number> {
  const whole: Record<string, unknown> = completed(finish.fields, wish);
  return Object.fromEntries(
    foldFields.flatMap((field): [string, number][] =>
      (wish[field] ?? null) === null && typeof whole[field] === 'number'
        ? [[field, whole[field]]]
        : [],
    ),
  );
}

/** The fields that were given but that this variant leaves unused. */
export function unusedFoldFields(finish: Finish, wish: FoldWish): string[] {
  return Object.entries(finish.fields)
    .filter(([field, rule]) => {
      const given = (wish[field as FoldField] ?? null) !== null;
      return given && !takesField(rule, wish.variant);
    })
    .map(([field]) => field);
}

/**
 * A wish turned to another variant: what both use is kept, what the new one takes besides starts
 * where the finish says, and what it has no use for is left out.
 *
 * @param wish may be empty, for a first plan
 */
export function wishForVariant(
  finish: Finish,
  wish: Omit<FoldWish, 'variant'>,
  variant: string,
): FoldWish {
  const within = (mm: number, { leastMm, mostMm }: FoldFieldRule) =>
    Math.min(mostMm, Math.max(leastMm, mm));
  const depthRule = finish.fields.depthMm;
  const wished = wish.depthMm ?? null;
  const depthMm = wished === null || !depthRule ? Infinity : within(wished, depthRule);
  const lengths = foldFields.flatMap((field): [FoldField, number][] => {
    const rule = finish.fields[field];
    if (!rule || !takesField(rule, variant)) return [];
    const given = wish[field] ?? null;
    if (given !== null) return [[field, within(given, rule)]];
    // No part of a hem is deeper than the hem.
    const startMm = startOf(rule, variant);
    return startMm === null ? [] : [[field, Math.min(startMm, depthMm)]];
  });
  return { variant, ...Object.fromEntries(lengths) };
}
