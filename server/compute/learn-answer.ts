import type * as z from 'zod';
import type { learnRequest } from '../../contract/plan';
import type { Finish } from '../../core/finish/finish';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible, refusal } from '../../core/impossible';
import { ownFootOf } from '../../core/kit/own-foot';
import {
  differentialLesson,
  stretchedIssues,
  type Stretched,
} from '../../core/loopers/differential';
import { lessonOf, type SewnSample } from '../../core/plan/learn-plan';
import { alongBest } from '../../core/plan/ride';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { askedPlan, wholeWish } from './asked-plan';

type LearnBody = z.output<typeof learnRequest>;
type CountedSample = Exclude<LearnBody['samples'][number], Stretched>;

const isStretched = (sample: LearnBody['samples'][number]): sample is Stretched =>
  'beforeMm' in sample;

/** A counted sample with the set-up it was sewn with, where that was another. */
function sewnSample(
  finish: Finish,
  plan: SewingPlan,
  { fold, foot, ...sample }: CountedSample,
): SewnSample {
  if (!fold && !foot) return sample;
  const own = {
    ...plan,
    fold: fold ? wholeWish(finish, fold) : plan.fold,
    foot: foot ?? plan.foot,
  };
  return { ...sample, plan: alongBest(finish, own) };
}

/** What counted samples teach. */
function countedAnswer(finish: Finish, plan: SewingPlan, samples: readonly SewnSample[]) {
  const lesson = lessonOf(finish, plan, samples);
  const { posterior, learned, now, next, instead, enough } = lesson;
  return {
    shiftMm: posterior.shiftMm,
    shiftInterval: posterior.shiftInterval,
    sigmaMm: posterior.sigmaMm,
    sigmaInterval: posterior.sigmaInterval,
    next: { settings: next.settings, change: next.change },
    predicted: next.predicted,
    staying: now.predicted,
    stayingFaults: [now.range.fromFaults, now.range.toFaults],
    sources: Object.fromEntries(
      Object.entries(learned).map(([source, it]) => [
        source,
        {
          ...{ shiftMm: it.shiftMm, shiftInterval: it.shiftInterval },
          ...{ sigmaMm: it.sigmaMm, sigmaInterval: it.sigmaInterval },
        },
      ]),
    ),
    instead: instead && { settings: instead.settings, change: instead.change },
    enough,
  };
}

/** What measured scraps teach about the differential. @throws Impossible naming the sample */
function differentialAnswer(plan: SewingPlan, body: LearnBody, measured: readonly Stretched[]) {
  const { machine, cloth } = plan;
  if (!ownFootOf(machine.kind)) {
    throw new Impossible([
      refusal(
        `samples.${body.samples.findIndex(isStretched)}.beforeMm`,
        'no-loopers',
        'A length before and after is measured on an overlocker or a coverstitch machine; this is a {kind} one.',
        { kind: machine.kind },
      ),
    ]);
  }
  const issues = body.samples.flatMap((sample, i) =>
    isStretched(sample)
      ? stretchedIssues(sample, cloth, machine).map((issue) => ({
          ...issue,
          path: `samples.${i}.${issue.path}`,
        }))
      : [],
  );
  if (issues.length > 0) throw new Impossible(issues);
  const [first, ...rest] = measured;
  return first ? differentialLesson([first, ...rest], machine) : null;
}

/**
 * The answer of `/api/compute/learn`: from counted samples, from lengths measured on a looped edge,
 * or from both. Where both ask for a move, the one that the last sample asks for comes next.
 */
export function learnAnswer(body: LearnBody) {
  const { finish, plan } = askedPlan(body);
  const start = startingSetting(finish, plan, setUpOf(finish, plan));
  const measured = body.samples.filter(isStretched);
  const counted = body.samples
    .filter((sample): sample is CountedSample => !isStretched(sample))
    .map((sample) => sewnSample(finish, plan, sample));
  if (measured.length === 0) {
    return { ...countedAnswer(finish, plan, counted), reference: plan.foot.reference ?? null };
  }
  const lesson = differentialAnswer(plan, body, measured);
  const told = counted.length > 0 ? countedAnswer(finish, plan, counted) : null;
  const last = body.samples.at(-1);
  const feedLast = last !== undefined && isStretched(last);
  const change =
    lesson && Math.abs(lesson.to - lesson.from) > 1e-9
      ? {
          dial: 'differential',
          from: lesson.from,
          to: lesson.to,
          // The names that every change has; a differential has no unit.
          fromMm: lesson.from,
          toMm: lesson.to,
        }
      : null;
  const settings = { ...(told?.next.settings ?? start), differential: lesson?.to ?? 1 };
  return {
    ...told,
    reference: plan.foot.reference ?? null,
    next: { settings, change: feedLast || !told?.next.change ? change : told.next.change },
    differential: lesson,
    enough: (lesson?.enough ?? true) && (told?.enough ?? true),
  };
}
