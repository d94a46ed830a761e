import { refusal, type Issue } from '../impossible';
import type { Cloth } from '../cloth/cloth';
import type { EdgeUse } from '../edge/edge';

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
  /** What people call it in this finish: hem depth, binding width. */
  readonly name: string;
  /** Which variants cannot do without it. */
  readonly neededBy: readonly string[];
  /** Which take it but start with `startMm` when it is left out; the rest leave it unused. */
  readonly optionalFor?: readonly string[];
  readonly leastMm: number;
  readonly mostMm: number;
  /** Null for a field that has no value of its own to start with. */
  readonly startMm: number | null;
  /** Where a variant starts otherwise. */
  readonly startsMm?: Readonly<Record<string, number>>;
  /** The usual sizes, where they are made in sizes. */
  readonly sizesMm?: readonly number[];
}

/** The fields a finish uses; one that is not listed is refused. */
export type FoldFieldRules = { readonly [field in FoldField]?: FoldFieldRule };

/** Whether a variant takes a field at all. */
export function takesField(rule: FoldFieldRule, variant: string): boolean {
  return rule.neededBy.includes(variant) || (rule.optionalFor?.includes(variant) ?? false);
}

/** Where a variant's field starts; null where it has no value of its own to start with. */
export const startOf = ({ startMm, startsMm }: FoldFieldRule, variant: string): number | null =>
  startsMm?.[variant] ?? startMm;

/** A finish as far as its fold fields go. */
interface Foldable {
  readonly id: string;
  readonly variants: readonly { readonly id: string }[];
  readonly fields: FoldFieldRules;
}

/**
 * The variant that is meant when none was named: the first that takes every length given and
 * needs none besides; else the first.
 */
export function impliedVariant(
  { variants, fields }: Foldable,
  wish: Omit<FoldWish, 'variant'>,
): string {
  const given = (field: FoldField) => (wish[field] ?? null) !== null;
  const fits = variants.find(({ id }) =>
    Object.entries(fields).every(([name, rule]) => {
      const field = name as FoldField;
      return given(field) ? takesField(rule, id) : !rule.neededBy.includes(id);
    }),
  );
  return (fits ?? variants[0])?.id ?? '';
}

function fieldIssue(
  finishId: string,
  field: FoldField,
  rule: FoldFieldRule | undefined,
  wish: FoldWish,
): Issue | null {
  const value = wish[field] ?? null;
  if (!rule) {
    return value === null
      ? null
      : refusal(field, 'no-use', `${finishId} has no use for ${field}; leave it out.`);
  }
  const { leastMm, mostMm } = rule;
  if (value === null) {
    return rule.neededBy.includes(wish.variant)
      ? refusal(
          field,
          'needed',
          `${field} is needed: ${rule.name.toLowerCase()}, from {leastMm} to {mostMm}.`,
          { leastMm, mostMm },
        )
      : null;
  }
  return value >= leastMm && value <= mostMm
    ? null
    : refusal(
        field,
        'out-of-range',
        `${rule.name}: {givenMm} is out of range; it can be {leastMm} to {mostMm}.`,
        { givenMm: value, leastMm, mostMm },
      );
}

/**
 * Checks a wish against a finish's field rules: unknown variants, fields the finish cannot use,
 * missing ones and ones out of range.
 *
 * @returns one issue for each, empty when all is well
 */
export function foldIssues({ id, variants, fields }: Foldable, wish: FoldWish): Issue[] {
  const ids = variants.map((variant) => variant.id);
  if (!ids.includes(wish.variant)) {
    const text = '“{variant}” is not a variant of {finish}; it has {variants}.';
    return [
      refusal('variant', 'no-such-variant', text, {
        variant: wish.variant,
        finish: id,
        variants: ids.join(', '),
      }),
    ];
  }
  return foldFields.flatMap((field): Issue[] => {
    const issue = fieldIssue(id, field, fields[field], wish);
    return issue === null ? [] : [issue];
  });
}

/** A wish with every optional length that was left out at its start. */
export function completed(fields: FoldFieldRules, wish: FoldWish): FoldWish {
  const starts = Object.entries(fields).flatMap(([field, rule]): [string, number][] => {
    const startMm = startOf(rule, wish.variant);
    return (wish[field as FoldField] ?? null) === null &&
      rule.optionalFor?.includes(wish.variant) &&
      startMm !== null
      ? [[field, startMm]]
      : [];
  });
  return { ...wish, ...Object.fromEntries(starts) };
}

/** A fold request: the wish and the cloth it is folded in. */
export interface FoldRequest {
  readonly wish: FoldWish;
  readonly cloth: Pick<Cloth, 'thicknessMm'>;
  /** What a strip round the edge is made of; the cloth itself when left out. */
  readonly strip?: Pick<Cloth, 'thicknessMm'> | null | undefined;
  /** What the edge is for and what is done to it already, where that changes the folds. */
  readonly edge?: { readonly [use in keyof EdgeUse]?: EdgeUse[use] | undefined } | undefined;
  /** Values of the finish's checks at the present setting, by name, to draw the needle truly. */
  readonly sewn?: Readonly<Record<string, number>> | undefined;
}
