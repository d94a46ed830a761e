import type { Check, DriftSource } from '../margin/check';
import type { MarginSettings } from '../margin/set-up';
import type { Fact, Reasoned } from '../fact';
import type { SewingPlan } from './sewing-plan';

/** A region of cloth under the foot, by its distance from the reference edge. */
export interface ClothRegion {
  /** What people call it: “garment, folded back”. */
  readonly name: string;
  /** mm to the right of the reference edge; infinite where it runs out of the picture. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly layers: number;
  /** Only before or only behind the needle, where sewing changes how the cloth lies. */
  readonly only?: 'before' | 'behind';
}

/** What a fault is called: on the bar in three words, and in a sentence. */
export interface FaultWords {
  readonly short: string;
  readonly long: string;
}

/** The words a finish brings for its own margin. */
export interface MarginWords {
  /** What rides the guide and wanders: “fold”, “raw edge”. */
  readonly reference: string;
  /** The stitches a person counts on a sample: “bite”, “bites”. */
  readonly one: string;
  readonly counted: string;
  /** What sound ones do, after “of 100 …”: “hold and hide”. */
  readonly good: string;
  /** What is counted below and above the counted check's bounds; null where nothing waits. */
  readonly short: string;
  readonly over: string | null;
  /** How it is seen from which face of the cloth. */
  readonly look: string;
  /** Each check by its name. */
  readonly checks: Readonly<Record<string, string>>;
  readonly faults: Readonly<Record<string, FaultWords>>;
}

/** A line of cloth that wanders, as the picture under the foot draws it. */
export interface Reference {
  readonly source: DriftSource;
  readonly name: string;
  /** Across the machine with no drift, mm from the centre needle position. */
  readonly atMm: number;
  /** It is there to be seen only before the needle. */
  readonly onlyBefore?: boolean;
}

/** Dials that are set by a rule, because no check depends on them as it should. */
export type RuledDials = Partial<Readonly<Record<'widthMm', Reasoned<number>>>>;

/** The part of a finish that the margin engine turns the dials by. */
export interface FinishMargin {
  readonly words: MarginWords;
  /** The check whose stitches a person counts on a sample. */
  readonly countedCheck: string;
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
  /** How the cloth lies under the foot, from the first reference. */
  regions(plan: SewingPlan): ClothRegion[];
  /** What wanders and where it lies; the first is what the regions are measured from. */
  references(plan: SewingPlan, dials: MarginSettings): readonly [Reference, ...Reference[]];
  /** What of a check's value stays inside the cloth on the right side, where only the rest shows. */
  hiddenOnRight?(plan: SewingPlan): { readonly check: string; readonly hiddenMm: number };
  /**
   * How many layers are fed together and not fastened to one another where a source's checks must
   * meet the lower one, so that they creep apart.
   */
  freeLayers?(plan: SewingPlan): Partial<Record<DriftSource, number>>;
  /** Dials that are ruled, on top of those that are solved. */
  ruled?(plan: SewingPlan): RuledDials;
}
