import type { Finish } from '../finish/finish';
import { foldFields, takesField } from '../finish/fold-request';
import type { SewingPlan } from '../finish/sewing-plan';
import { Impossible, refusal, type Issue } from '../impossible';
import { everyReference, type Foot, type IntervalMm } from '../kit/foot';
import { bestChance } from '../margin/best-chance';
import { leastChance } from '../margin/least-chance';
import { setUpOf } from './set-up-of';

/** One change of a set-up, in words. */
interface Change {
  readonly plan: SewingPlan;
  readonly code: string;
  /** What would help, after “: ”; with its numbers in braces. */
  readonly text: string;
  readonly values: Readonly<Record<string, number | string>>;
}

/** The best chance a plan reaches; 0 where it can't be sewn at all. */
export function chanceOfPlan(finish: Finish, plan: SewingPlan): number {
  try {
    return bestChance(setUpOf(finish, plan));
  } catch (error) {
    if (error instanceof Impossible) return 0;
    throw error;
  }
}

/** How far a guide is tried to either side of where it is, mm: near by in half steps, then wider. */
const nearMm = 12;
const nearStepMm = 0.5;
const farMm = 60;
const farStepMm = 2;
/** A lengthening of a fold that is tried: so many times as long. */
const stretches = [1.25, 1.5, 2, 3];

/** A change is looked for that makes most of it sound, else one that makes some of it so. */
const worthwhile = [0.5, 0.1];

const withGuide = (plan: SewingPlan, atMm: number): SewingPlan => ({
  ...plan,
  foot: { ...plan.foot, guide: { atMm } },
});

const movesMm: readonly number[] = [
  ...Array.from({ length: nearMm / nearStepMm }, (_, i) => (i + 1) * nearStepMm),
  ...Array.from({ length: (farMm - nearMm) / farStepMm }, (_, i) => nearMm + (i + 1) * farStepMm),
];

/** A guide elsewhere: the place nearest to where it is. */
function guideChanges(plan: SewingPlan): Change[] {
  const { guide } = plan.foot;
  const nowMm = 'atMm' in guide ? guide.atMm : (guide.rangeMm[0] + guide.rangeMm[1]) / 2;
  return movesMm
    .flatMap((byMm) => [nowMm - byMm, nowMm + byMm])
    .map((atMm) => ({
      plan: withGuide(plan, atMm),
      code: 'guide-elsewhere',
      text:
        atMm < 0
          ? 'a foot whose guide stands {asideMm:fine} left of the centre would sew it'
          : 'a foot whose guide stands {asideMm:fine} right of the centre would sew it',
      values: { asideMm: Math.abs(atMm) },
    }));
}

/** Half the width of the widest slot that is tried, mm. */
const widestHalfMm = 6;
const openSlotMm: IntervalMm = [-widestHalfMm, widestHalfMm];

function slotChanges(plan: SewingPlan): Change[] {
  const foot: Foot = { ...plan.foot, slotMm: openSlotMm, besideMm: null };
  return [
    {
      plan: { ...plan, foot },
      code: 'wider-slot',
      text: 'a foot with a wider slot would sew it',
      values: {},
    },
  ];
}

/** The plate with the wide hole, where a narrow one is on. */
function plateChanges(plan: SewingPlan): Change[] {
  const { machine } = plan;
  if (!machine.plateHoleMm) return [];
  return [plan.foot, ...everyReference(plan.foot)].map((foot) => ({
    plan: { ...plan, foot, machine: { ...machine, plateHoleMm: null } },
    code: 'wider-plate',
    text: 'a plate with a wide hole would sew it',
    values: {},
  }));
}

/** The same foot, led along another of its references. */
function referenceChanges(plan: SewingPlan): Change[] {
  return everyReference(plan.foot).map((foot) => ({
    plan: { ...plan, foot },
    code: 'other-reference',
    text: 'led along the {reference} it can be sewn',
    values: { reference: foot.reference ?? '' },
  }));
}

/** A fold made longer, as far as the finish lets it be. */
function foldChanges(finish: Finish, plan: SewingPlan): Change[] {
  return foldFields.flatMap((field): Change[] => {
    const rule = finish.fields[field];
    const lengthMm = plan.fold[field] ?? null;
    if (!rule || lengthMm === null || !takesField(rule, plan.fold.variant)) return [];
    return stretches
      .map((times) => Math.ceil(lengthMm * times))
      .filter((mm) => mm <= rule.mostMm)
      .map((mm) => ({
        plan: { ...plan, fold: { ...plan.fold, [field]: mm } },
        code: 'longer-fold',
        text: `${rule.name.toLowerCase()} of {wouldMm} instead of {nowMm} would sew it`,
        values: { wouldMm: mm, nowMm: lengthMm },
      }));
  });
}

/**
 * Why a set-up whose best setting is next to hopeless is refused, with the one change that would
 * help: another of the foot’s references, another plate, a guide elsewhere, a wider slot, a longer fold; the first that is worth sewing.
 *
 * @param plan led along one reference
 */
export function hopelessIssue(finish: Finish, plan: SewingPlan, chance: number): Issue {
  const tried = [
    ...referenceChanges(plan),
    ...plateChanges(plan),
    ...guideChanges(plan),
    ...slotChanges(plan),
    ...foldChanges(finish, plan),
  ];
  const known = new Map<Change, number>();
  const chanceOf = (it: Change): number => {
    const chanceNow = known.get(it) ?? chanceOfPlan(finish, it.plan);
    known.set(it, chanceNow);
    return chanceNow;
  };
  const worth = (least: number) => tried.find((it) => chanceOf(it) >= Math.max(leastChance, least));
  const change = worthwhile.reduce<Change | undefined>(
    (found, least) => found ?? worth(least),
    undefined,
  );
  const percent = Math.round(chance * 10_000) / 100;
  const nothing =
    'No setting of this machine and foot is worth sewing: at best {percent} of 100 would be sound';
  return refusal(
    'foot',
    change?.code ?? 'hopeless',
    change
      ? `${nothing}; ${change.text}.`
      : `${nothing}; another foot or another finish is needed.`,
    { percent, ...change?.values },
  );
}
