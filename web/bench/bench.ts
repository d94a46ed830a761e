import type { WorkedBefore } from '../../contract/book';
import type {
  AttemptRecord,
  ClothRecord,
  EdgeRecord,
  FootRecord,
  MachineRecord,
} from '../../contract/records';
import type { Finish } from '../../core/finish/finish';
import type { FinishMargin } from '../../core/finish/finish-margin';
import type { FoldPlan } from '../../core/finish/fold-plan';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import type { WorkRequest } from '../../core/finish/work';
import type { Issue } from '../../core/impossible';
import type { Dial, DialSettings } from '../../core/kit/dial-steps';
import type { SetUp } from '../../core/margin/set-up';
import type { Carried } from '../../core/plan/carried';
import type { Judgement } from '../../core/plan/judge';
import type { Learned, Lesson } from '../../core/plan/learn-plan';
import type { PlannedPass } from '../../core/plan/passes';
import type { TakenPlan } from './use-kept-plan';

/** What is kept: the edge, its plan, and everything that points at. */
export interface KeptPart {
  readonly edge: EdgeRecord;
  /** The plan; while no finish is taken, as the first of the list would make it. */
  readonly record: TakenPlan;
  /** No finish is taken yet: whatever is shown of one is a proposal. */
  readonly proposed: boolean;
  readonly cloth: ClothRecord;
  readonly machine: MachineRecord;
  /** As it is drawn and named: the one that is really on, as it is led. */
  readonly foot: FootRecord;
  /** What folds the strip before it; null for none. */
  readonly attachment: FootRecord | null;
  /** The cloth a binding is made of; null for the cloth of the edge. */
  readonly strip: ClothRecord | null;
}

/** The set-up: what is sewn, how it folds, and why it can't be. */
export interface SetUpPart {
  readonly finish: Finish;
  /** What the dials are solved by; null where the finish has starting values only. */
  readonly margin: FinishMargin | null;
  readonly plan: SewingPlan;
  readonly set: SetUp | null;
  /** Allowance, marks and stages at the present setting; null while they contradict each other. */
  readonly folds: FoldPlan | null;
  /** Why the plan cannot be sewn; empty when it can. */
  readonly issues: readonly Issue[];
}

/** The work: what the starting values and the steps are worked out from. */
export interface WorkPart {
  /** The same while a dial is turned. */
  readonly request: WorkRequest;
  /** With the setting in force and the other passes. */
  readonly work: WorkRequest;
  /** The other passes of the work, each planned with its own dials. */
  readonly passes: readonly PlannedPass[];
  /** Which other pass of the work this is the bench of; null for the line itself. */
  readonly pass: PlannedPass | null;
}

/** The scraps, and what they teach. */
export interface LessonPart {
  /** What a scrap that is being written down is kept under. */
  readonly draftKey: string;
  /** Every scrap of this plan, whatever pass it is of. */
  readonly everyAttempt: readonly AttemptRecord[];
  /** Every scrap of this pass, oldest first. */
  readonly attempts: readonly AttemptRecord[];
  /** Those that were sewn with the present set-up, and so teach something about it. */
  readonly pooled: readonly AttemptRecord[];
  readonly lesson: Lesson | null;
  /** What is believed of each source by scraps, of this edge or of others. */
  readonly learned: Learned;
  /** What other edges taught that is taken over here; null while it is left out or not there. */
  readonly worked: WorkedBefore | null;
  readonly carried: Carried;
  /** Whether something of it is in the sums here. */
  readonly learnedElsewhere: boolean;
  /** The share of stitches this person is content to sew again. */
  readonly acceptedShare: number;
}

/** The dials: where they stand, what is judged of that, and how they are turned. */
export interface DialsPart {
  readonly solved: DialSettings | null;
  /** True while a solve or a lesson is under way. */
  readonly busy: boolean;
  readonly dials: DialSettings | null;
  readonly judgement: Judgement | null;
  /** Turns a dial; kept unless the needle would meet metal there. */
  readonly turn: (dial: Dial, mm: number) => void;
  /** Turns several at once; while `dragging` they are shown and not yet kept. */
  readonly moveTo: (patch: Partial<DialSettings>, dragging?: boolean) => void;
}

/** Everything an edge's stations show. A part of a screen takes the parts that it needs. */
export interface Bench extends KeptPart, SetUpPart, WorkPart, LessonPart, DialsPart {}
