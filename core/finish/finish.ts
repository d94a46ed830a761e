import type { Cloth, Grade } from '../cloth/cloth';
import type { Stack } from '../fold/layer';
import type { FoldMark } from '../fold/mark';
import type { Issue } from '../impossible';
import type { Foot } from '../kit/foot';
import type { FootKind } from '../kit/foot-kind';
import type { Machine, MachineKind } from '../kit/machine';
import type { Check, DriftSource } from '../margin/check';
import type { FaultWeights } from '../margin/cost';
import type { MarginSettings } from '../margin/set-up';
import type { Pattern, Stitch } from '../stitch/stitch';
import type { FoldFieldRules, FoldRequest, FoldWish } from './fold-request';

/** The numbers of a sentence. Names that end in `Mm` are lengths. */
export type Values = Readonly<Record<string, number | string>>;

/**
 * A fact behind a result: what it is about, and its numbers. The engines' facts are worded by the
 * interface; a finish brings its own `text`, with its numbers' names in braces, `{depthMm}`.
 */
export interface Fact {
  readonly about: string;
  readonly values: Values;
  readonly text?: string;
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

/** The edge as the work meets it. */
export interface WorkEdge extends Edge {
  /** A tube, a neck, a full circle: its end meets its beginning. */
  readonly closed: boolean;
  readonly cornered: boolean;
  /** How many times as thick the thickest crossing seam makes the hem; 1 for none. */
  readonly thickestTimes: number;
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
  /** What steadies the work besides the foot; a bare hand and a pressed crease when left out. */
  readonly aids?: WorkAids | undefined;
}

/** What steadies a crease and a wrap. */
export interface WorkAids {
  /** Pressed by eye, or over a card template. */
  readonly press?: 'crease' | 'template' | undefined;
  /** Wrapped by hand, or in a binder. */
  readonly wrap?: 'hand' | 'binder' | undefined;
}

/** One picture of the work: how the cloth lies by then, and where it was sewn. */
export interface FoldStage {
  readonly id: string;
  readonly title: string;
  readonly stack: Stack;
  /** Where the needle pierces, across the stack; empty before sewing. */
  readonly stitchesXMm: readonly number[];
  /** Thread wrapped around an edge, from outside it to the needle line. */
  readonly wrappedMm: readonly [from: number, to: number] | null;
  /** Loops of thread standing over the stitches, this high. */
  readonly loopsMm: number | null;
  /** Folds, by their place on the garment, that are opened again. */
  readonly temporaryAtMm: readonly number[];
}

/** A strip that is wrapped around the edge. */
export interface StripPlan {
  readonly widthMm: number;
  readonly cutting: 'bias' | 'cross' | 'none';
  readonly tuckInMm: number;
  /** What is wrapped, and the extra strip that going around it takes. */
  readonly coreMm: number;
  readonly turnOfClothMm: number;
  /** Fold lines of the strip, from one of its edges, in the order they are pressed. */
  readonly foldsAtMm: readonly number[];
}

/** What is cut off, and how much stays. */
export interface TrimPlan {
  readonly needed: boolean;
  readonly leaveMm: number;
  readonly cutAwayMm: number;
}

/** What the folds station, the steps and the print show. */
export interface FoldPlan {
  /** Cloth beyond the finished edge; negative where cloth is cut off first. */
  readonly allowanceMm: number;
  /** In press order. */
  readonly marks: readonly FoldMark[];
  readonly layersAtStitch: number;
  /** The same with whatever else lies under the needle counted. */
  readonly layersUnderNeedle: number;
  readonly stackMm: number;
  /** From the finished edge to the stitching; null where the edge itself is sewn over. */
  readonly stitchFromHemlineMm: number | null;
  /** How deep the finished edge is worked: the hem's depth, the binding's width; 0 for none. */
  readonly finishedDepthMm: number;
  /** In the order of the work, from flat cloth to the finished edge. */
  readonly stages: readonly FoldStage[];
  /** Cloth to feed into a scroll. */
  readonly feedMm?: number;
  readonly strip?: StripPlan;
  readonly trim?: TrimPlan;
}

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

/** What can hurt or spoil at a step; the words are the interface's. */
export const cautionIds = [
  'power-off',
  'needle',
  'handwheel',
  'pins',
  'cutter',
  'knife',
  'iron',
  'starch',
  'shine',
  'loose-trim',
  'cords',
  'sleepwear',
] as const;
export type CautionId = (typeof cautionIds)[number];

/** Where a step is done. Going from one machine and foot to another is a machine change. */
export type Workplace =
  'table' | 'iron' | 'hand' | { readonly machine: MachineKind; readonly foot: FootKind | null };

/** A step of the work with its own numbers, and the cautions that belong to it. */
export interface WorkStep {
  readonly id: string;
  readonly at: Workplace;
  readonly text: string;
  readonly values: Values;
  readonly cautions: readonly CautionId[];
}

/** A way of doing a finish that changes its folds or its stitch. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  readonly costs: readonly Fact[];
}

/** One of the answers to a question on which practitioners differ. */
export interface SchoolWay {
  readonly id: string;
  readonly name: string;
  readonly costs: readonly Fact[];
}

/** A question on which practitioners differ; the first way stands until one is chosen. */
export interface School {
  readonly id: string;
  readonly question: string;
  readonly ways: readonly SchoolWay[];
  /** Variants it matters for; all of them when left out. */
  readonly variants?: readonly string[];
}

/** What a finish needs of a kit before it can be sewn; each list is of alternatives. */
export interface KitNeed {
  /** Empty when no machine is needed. */
  readonly machineKinds: readonly MachineKind[];
  /** A second machine, for what is done before the dials above are of any use. */
  readonly alsoMachineKinds?: readonly MachineKind[];
  readonly patterns: readonly Pattern[];
  /** Empty when any foot serves. */
  readonly feet: readonly FootKind[];
  /** A tool or notion that is no machine and no foot. */
  readonly besides?: Fact;
}

/** A value to start with, of a dial or of what is put into the machine. */
export interface StartingValue extends Reasoned<number | string> {
  readonly id: string;
  readonly name: string;
  /** `mm`, or nothing for a plain number or a word. */
  readonly unit: 'mm' | '';
}

/** What the steps and the starting values are worked out from. */
export interface WorkRequest {
  readonly wish: FoldWish;
  readonly cloth: Cloth;
  readonly edge: WorkEdge;
  /** The chosen way of each school, by the school's id. */
  readonly schools: Readonly<Record<string, string>>;
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
  /** Dials that are ruled, on top of those that are solved. */
  ruled?(plan: SewingPlan): RuledDials;
}

/**
 * What a variant is good and bad at, as far as no sum says it. Shares from 0 to 1; starting
 * guesses from craft practice.
 */
export interface Nature {
  /** How little of it is seen on the right side. */
  readonly hidden: number;
  readonly sturdy: number;
  readonly decorative: number;
  /** The worst fraying it holds. */
  readonly holdsFray: Grade;
  /** The most stretch, in percent, that its stitch follows without breaking. */
  readonly givesPercent: number;
  /** The tightest curve it goes round; 0 for any. */
  readonly leastRadiusMm: number;
  /** The thickest cloth it can be made of; infinite for any. */
  readonly thickestMm: number;
  /** The thinnest cloth it looks and lies right on; 0 for any. */
  readonly thinnestMm?: number;
  /** It holds a raw edge and leaves it single, which is no hem. */
  readonly edgeOnly?: boolean;
  /** The least stretch of a cloth that asks for it, percent. */
  readonly leastStretchPercent?: number;
  /** It is wrapped in a strip of another cloth, usually about so thick. */
  readonly stripMm?: number;
  /** It joins two edges; alone an edge has no use for it. */
  readonly joins?: boolean;
  /** Turned up on itself, so that a flared edge has to be eased in. */
  readonly turnsUp: boolean;
  /** Something that comes off when it is pulled. */
  readonly pullsOff?: boolean;
  /** What has to be there already: a factory hem, a seam. */
  readonly onlyWith?: string;
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

  /** The work from cutting to the last pressing. */
  steps(request: WorkRequest): WorkStep[];

  /** What to set and put in before the first test, in the order one sets it. */
  startingValues(request: WorkRequest): StartingValue[];

  /** What a variant's margin is worked out from; null where no dial is solved for it. */
  margin(variant: string): FinishMargin | null;
}
