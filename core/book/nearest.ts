import type { Cloth } from '../cloth/cloth';
import type { SewingPlan } from '../finish/sewing-plan';

/** A setting that was kept, with what it was sewn on. */
export interface KeptSetting {
  readonly finish: string;
  readonly clothId: string | null;
  readonly machineId: string | null;
  readonly footId: string | null;
  readonly pinned: boolean;
  readonly setUp: SewingPlan;
}

/** The set-up that looks for what worked. */
export interface Seeker {
  readonly finish: string;
  readonly clothId: string;
  readonly machineId: string;
  readonly footId: string;
  readonly plan: SewingPlan;
}

/** How far a kept setting is from a set-up, in the parts one would say it in. */
export interface Likeness {
  readonly cloth: 'same' | 'alike' | 'other';
  readonly machine: 'same' | 'kind' | 'other';
  readonly foot: 'same' | 'guidance' | 'other';
  readonly variant: 'same' | 'other';
  /** How many times as thick this cloth is as the one it was kept on. */
  readonly thicknessTimes: number;
  /** How much more this cloth stretches, percentage points. */
  readonly stretchPoints: number;
  /** 0 for the same of everything; starting guess. */
  readonly distance: number;
}

/** Starting guesses: what each difference counts. Thickness moves a bite most of all. */
const perLogThickness = 1.2;
const perStretchPoint = 1 / 50;
const otherConstruction = 0.7;
const perSlipGrade = 0.15;
const otherVariant = 0.4;
const sameKindOfMachine = 0.5;
const otherMachine = 1.5;
const sameGuidance = 0.6;
const otherFoot = 1.2;
/** Cloths nearer than this are alike. */
const alikeWithin = 0.5;

function clothDistance(a: Cloth, b: Cloth): number {
  return (
    perLogThickness * Math.abs(Math.log(a.thicknessMm / b.thicknessMm)) +
    perStretchPoint * Math.abs(a.stretchPercent - b.stretchPercent) +
    (a.construction === b.construction ? 0 : otherConstruction) +
    perSlipGrade * Math.abs(a.slip - b.slip)
  );
}

/** How far a kept setting is from a set-up. Source: docs/formulas.md, “Start from what worked”. */
export function likenessOf(seeker: Seeker, kept: KeptSetting): Likeness {
  const [own, other] = [seeker.plan, kept.setUp];
  const sameCloth = kept.clothId === seeker.clothId;
  const cloth = sameCloth ? 0 : clothDistance(own.cloth, other.cloth);
  const sameMachine = kept.machineId === seeker.machineId;
  const sameKind = own.machine.kind === other.machine.kind;
  const sameFoot = kept.footId === seeker.footId;
  const alikeFoot = own.foot.guidance === other.foot.guidance;
  const sameVariant = own.fold.variant === other.fold.variant;
  return {
    cloth: sameCloth ? 'same' : cloth < alikeWithin ? 'alike' : 'other',
    machine: sameMachine ? 'same' : sameKind ? 'kind' : 'other',
    foot: sameFoot ? 'same' : alikeFoot ? 'guidance' : 'other',
    variant: sameVariant ? 'same' : 'other',
    thicknessTimes: own.cloth.thicknessMm / other.cloth.thicknessMm,
    stretchPoints: own.cloth.stretchPercent - other.cloth.stretchPercent,
    distance:
      cloth +
      (sameMachine ? 0 : sameKind ? sameKindOfMachine : otherMachine) +
      (sameFoot ? 0 : alikeFoot ? sameGuidance : otherFoot) +
      (sameVariant ? 0 : otherVariant),
  };
}

/**
 * The kept settings nearest to a set-up, of the same finish. One that was pinned to this cloth,
 * finish and machine comes before all.
 *
 * @param most how many at most
 */
export function nearestKept<T extends KeptSetting>(
  seeker: Seeker,
  kept: readonly T[],
  most: number,
): { readonly kept: T; readonly likeness: Likeness; readonly pinnedHere: boolean }[] {
  return kept
    .filter(({ finish }) => finish === seeker.finish)
    .map((one) => {
      const likeness = likenessOf(seeker, one);
      const pinnedHere = one.pinned && likeness.cloth === 'same' && likeness.machine === 'same';
      return { kept: one, likeness, pinnedHere };
    })
    .sort(
      (a, b) =>
        Number(b.pinnedHere) - Number(a.pinnedHere) || a.likeness.distance - b.likeness.distance,
    )
    .slice(0, most);
}
