import type { Issue } from '../impossible';
import type { Fact } from '../fact';
import type { FinishMargin } from './finish-margin';
import type { FoldPlan } from './fold-plan';
import type { FoldFieldRules, FoldRequest } from './fold-request';
import type { KitNeed } from './kit-need';
import type { Nature } from './nature';
import type { School } from './school';
import type { PassWish, StartingValue, WorkRequest, WorkStep } from './work';

/** A way of doing a finish that changes its folds or its stitch. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  readonly costs: readonly Fact[];
}

/** Families, in the order people look for them. */
export const families = ['turned', 'hidden', 'rolled', 'edge', 'bound', 'decorative'] as const;

export type Family = (typeof families)[number];

/**
 * A hem or edge finish, with everything about it: adding one is adding a file, its test and a line
 * in the catalogue. The engines know this interface and no finish by name.
 */
export interface Finish {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  /** The construction: finishes that differ in depth, thread or foot alone share one. */
  readonly group: string;
  /** One sentence: what it is good for. */
  readonly about: string;
  readonly variants: readonly Variant[];
  readonly fields: FoldFieldRules;
  readonly schools: readonly School[];

  /** What it takes to sew a variant. */
  needs(variant: string): KitNeed;

  /** What a variant is like, to choose it by. */
  nature(variant: string): Nature;

  /** ISO 4916 class of the seam or edge it makes, where one fits. */
  seamClass(variant: string): string | null;

  /** Fold fields that contradict each other; each alone is already within its range. */
  contradictions(request: FoldRequest): Issue[];

  /** Allowance, marks and stages. The wish has passed the field rules and {@link contradictions}. */
  folds(request: FoldRequest): FoldPlan;

  /**
   * Other passes of the same work, each a finish of its own with its own dials: an edge overcast
   * before it is turned, the first line of a French seam. None when left out.
   */
  passes?(request: WorkRequest): readonly PassWish[];

  /** The work from measuring to putting the machine back. */
  steps(request: WorkRequest): WorkStep[];

  /** What to set and put in before the first test, in the order one sets it. */
  startingValues(request: WorkRequest): StartingValue[];

  /** What a variant's margin is worked out from; null where no dial is solved for it. */
  margin(variant: string): FinishMargin | null;
}
