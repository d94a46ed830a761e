import type { Cloth } from '../cloth/cloth';
import type { Fold } from '../fold/flat-fold';
import type { FoldMark } from '../fold/mark';
import type { Issue } from '../impossible';
import type { Foot, Guidance } from '../kit/foot';
import type { Machine } from '../kit/machine';
import type { Check, DriftSource } from '../margin/check';
import type { FaultWeights } from '../margin/cost';
import type { MarginSettings } from '../margin/set-up';
import type { Pattern, Stitch } from '../stitch/stitch';
import type { FoldFieldRules, FoldRequest, FoldWish } from './fold-request';

/** A fact behind a result: what it is about, and its numbers. Wording belongs to the interface. */
export interface Fact {
  readonly about: string;
  readonly values: Readonly<Record<string, number | string>>;
}

/** A starting value and why it is that. */
export interface Reasoned<T> {
  readonly value: T;
  readonly because: readonly Fact[];
  /** True while it rests on craft practice alone. */
  readonly startingGuess: boolean;
}

/** The edge to be finished, as far as a finish needs to know it. */
export interface Edge {
  readonly lengthMm: number;
  /** Tightest curve; null for a straight edge. */
  readonly minRadiusMm: number | null;
}

/** Everything chosen before the dials are. */
export interface SewingPlan {
  readonly cloth: Cloth;
  readonly edge: Edge;
  readonly fold: FoldWish;
  readonly machine: Machine;
  readonly foot: Foot;
  readonly stitch: Stitch;
  readonly needleSize: number;
  /** The longest thread one accepts on the right side, mm. */
  readonly pickMm: number;
  readonly faultWeights: FaultWeights;
  /** Multiplies the spread; 1 until samples say otherwise. */
  readonly skill: number;
}

/** One picture of the folding: which folds are made by then, and whether a needle is in place. */
export interface FoldStage {
  readonly id: string;
  /** Each fold made so far; a temporary one is drawn as such. */
  readonly folds: readonly (Fold & { readonly temporary: boolean })[];
  /** Where the needle pierces, as s on the flat cloth; empty before sewing. */
  readonly holesAtMm: readonly number[];
}

/** What the folds station and the slip show. */
export interface FoldPlan {
  /** Cloth beyond the finished edge. */
  readonly allowanceMm: number;
  /** In press order. */
  readonly marks: readonly FoldMark[];
  readonly layersAtStitch: number;
  /** The same with a turned-in raw edge counted where it lies under the stitch. */
  readonly layersUnderNeedle: number;
  readonly stackMm: number;
  /** From the finished edge to the stitching. */
  readonly stitchFromHemlineMm: number;
  /** In the order of the work, from flat cloth to the finished edge. */
  readonly stages: readonly FoldStage[];
  /** How much cloth beyond the marks a picture should show. */
  readonly shownMm: number;
}

/** A region of cloth under the foot, by its distance from the reference edge. */
export interface ClothRegion {
  readonly name: string;
  /** mm to the right of the reference edge; infinite where it runs out of the picture. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly layers: number;
}

/** A step of the work with its own numbers, and the cautions that belong to it. */
export interface WorkStep {
  readonly id: string;
  readonly values: Readonly<Record<string, number | string>>;
  readonly cautions: readonly string[];
}

/** A named way of doing it, and what it costs. */
export interface School {
  readonly id: string;
  readonly variant: string;
  readonly costs: readonly Fact[];
}

/** What a finish needs of a kit before it can be sewn. */
export interface KitNeed {
  readonly machineKinds: readonly Machine['kind'][];
  readonly patterns: readonly Pattern[];
  readonly guidances: readonly Guidance[];
}

/**
 * A hem or edge finish. The engines know this interface and no finish by name: adding a finish is
 * adding a file, its test and a line in the catalogue.
 */
export interface Finish {
  readonly id: string;
  readonly variants: readonly string[];
  readonly fields: FoldFieldRules;
  readonly needs: KitNeed;
  /** The check whose stitches a person counts on a sample. */
  readonly countedCheck: string;
  readonly schools: readonly School[];

  /** Fold fields that contradict each other; each alone is already within its range. */
  contradictions(wish: FoldWish): Issue[];

  /** Allowance, marks and stages. The wish has passed the field rules and {@link contradictions}. */
  folds(request: FoldRequest): FoldPlan;

  /** The checks of a plan, linear in its dials and in drift. */
  checks(plan: SewingPlan): Check[];

  /** Which drift sources are spread by what, mm before cloth, curve and skill. */
  baseSpreadMm(plan: SewingPlan): Partial<Record<DriftSource, number>>;

  /** Stitch length to start with, before it is set to the machine's steps. */
  startingLength(plan: SewingPlan): Reasoned<number>;

  /** Why each solved dial stands where it stands. */
  dialReasons(
    plan: SewingPlan,
    dials: MarginSettings,
  ): Readonly<Record<keyof MarginSettings, readonly Fact[]>>;

  /** Stitches of one counted kind in a repeat, so that repeats can be counted along an edge. */
  countedPerRepeat(plan: SewingPlan): number;

  /** How the cloth lies under the foot. */
  regions(plan: SewingPlan): ClothRegion[];

  /** The work from cutting to the last pressing. */
  steps(plan: SewingPlan): WorkStep[];
}
