import { bestPresser } from '../kit/presser-beside';
import type { FootKind } from '../kit/foot-kind';
import type { Foot } from '../kit/foot';
import type { Machine } from '../kit/machine';
import type { Stitch } from '../stitch/stitch';
import { finishById } from '../finish/catalogue';
import type { FoldWish } from '../finish/fold-request';
import { schoolsFor } from '../plan/work';
import type { Proposal } from './proposal';
import type { ChooseRequest, ChosenEdge } from './request';

/** What is left of a cloth as it is kept. */
interface ClothLeft {
  readonly widthMm: number | null;
  readonly lengthLeftMm: number | null;
}

/** An edge of the records as choosing sees it. */
export function chosenEdgeOf(
  edge: Omit<ChosenEdge, 'clothLeft'>,
  { widthMm, lengthLeftMm }: ClothLeft,
): ChosenEdge {
  const { lengthMm, shape, joined, minRadiusMm, turnDegrees, crossings } = edge;
  const { purpose, oldHem, depthMm, seamAllowanceMm, forChild, spareMm, form, pair } = edge;
  return {
    ...{ lengthMm, shape, joined, minRadiusMm, turnDegrees, crossings },
    ...{ purpose, oldHem, depthMm, seamAllowanceMm, forChild, spareMm, form, pair },
    clothLeft:
      widthMm === null || lengthLeftMm === null ? null : { widthMm, lengthMm: lengthLeftMm },
  };
}

/** A foot of the drawer as it is kept. */
export interface KeptFoot {
  readonly id: string;
  readonly kind: FootKind;
  readonly channelMm: number | null;
  readonly stripMm: number | null;
  readonly specs: Foot;
  readonly soleMm: { readonly widthMm: number; readonly toeMm: number };
}

/** The kit of the records as choosing sees it. */
export const kitOf = (
  machines: readonly { readonly specs: Machine }[],
  feet: readonly Omit<KeptFoot, 'id' | 'soleMm'>[],
): ChooseRequest['kit'] => ({
  machines: machines.map(({ specs }) => specs),
  feet: feet.map(({ kind, channelMm, stripMm, specs }) => ({ kind, channelMm, stripMm, specs })),
});

/** What of a plan taking a finish sets. */
export interface Taking {
  readonly finish: string;
  readonly fold: FoldWish;
  readonly machineId: string;
  readonly footId: string;
  readonly attachmentId: string | null;
  readonly placing: null;
  readonly stitch: Stitch;
  readonly schools: Record<string, string>;
  readonly settings: null;
  readonly keptAttemptId: null;
  readonly ticks: string[];
}

/** What presses and what folds: an attachment needs a foot of the drawer behind it. */
function feetOf(
  found: KeptFoot | undefined,
  footId: string,
  feet: readonly KeptFoot[],
): Pick<Taking, 'footId' | 'attachmentId' | 'placing'> {
  if (found?.kind !== 'binder-attachment') {
    return { footId: found?.id ?? footId, attachmentId: null, placing: null };
  }
  const presser = bestPresser(feet, found.soleMm.widthMm / 4, null);
  return { footId: presser?.id ?? footId, attachmentId: found.id, placing: null };
}

/**
 * Of the ways a proposal was worked out with, those that hang on the cloth or the kit; a way that any
 * table allows is left to whoever sews, and to the garment.
 */
function decidedWays({ finish, fold, schools }: Proposal): Record<string, string> {
  const known = finishById(finish);
  const free = known
    ? schoolsFor(known, fold.variant).filter(({ ways }) =>
        ways.every(({ needs, suits }) => !needs && !suits),
      )
    : [];
  return Object.fromEntries(
    Object.entries(schools).filter(([id]) => !free.some((school) => school.id === id)),
  );
}

/** A proposal as a change of the plan; its dials and ticks start anew. */
export function takingOf(
  proposal: Proposal,
  plan: {
    readonly machineId: string;
    readonly footId: string;
    readonly stitch: Stitch;
    readonly schools: Readonly<Record<string, string>>;
  },
  kit: {
    readonly machines: readonly { readonly id: string }[];
    readonly feet: readonly KeptFoot[];
  },
): Taking {
  const { finish, fold, machine, foot, stitch } = proposal;
  return {
    finish,
    fold,
    machineId: (machine === null ? undefined : kit.machines[machine]?.id) ?? plan.machineId,
    ...feetOf(foot === null ? undefined : kit.feet[foot], plan.footId, kit.feet),
    stitch: stitch ?? plan.stitch,
    schools: { ...decidedWays(proposal), ...plan.schools },
    settings: null,
    keptAttemptId: null,
    ticks: [],
  };
}
