import { bookEntry, type PlanDraft } from '../../contract/records';
import { localDay } from '../../core/book/day';
import { finishById } from '../../core/finish/catalogue';
import { startingNeedle } from '../../core/kit/needle';
import { judge } from '../../core/plan/judge';
import { lessonOf } from '../../core/plan/learn-plan';
import { marginOfPlan } from '../../core/plan/margin-of-plan';
import { plainWish } from '../../core/plan/new-plan';
import { sewingPlanOf } from '../../core/plan/of-records';
import { alongBest } from '../../core/plan/ride';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import type { Entry } from '../database/rows';
import { cloths } from './cloths';
import { blindEdges, otherEdges, type DemoEdge, type OtherEdge } from './edges';
import { earlierSamples } from './earlier-samples';
import { feet, machines, needles, threads } from './kit';
import { propertiesOf } from './properties';

/** One edge with its plan and scraps; each scrap is sewn at what the ones before it advised. */
function sewn(projectId: string, demo: DemoEdge): Entry[] {
  const cloth = cloths[demo.edge.clothId];
  const machine = machines[demo.machineId];
  const foot = feet[demo.footId];
  const finish = finishById('blind-hem');
  if (!cloth || !machine || !foot || !finish)
    throw new Error(`Demo edge ${demo.id} is incomplete.`);
  const properties = propertiesOf(cloth);
  const wished = {
    ...plainWish,
    fold: {
      variant: demo.enclosedTurnMm ? 'enclosed' : 'flat',
      depthMm: demo.depthMm,
      extensionMm: 8,
      ...(demo.enclosedTurnMm ? { turnMm: demo.enclosedTurnMm } : {}),
    },
    stitch: {
      pattern: demo.stretch ? ('blind-stretch' as const) : ('blind-woven' as const),
      anchor: 'right' as const,
      runStitches: 5,
    },
    needleSize: startingNeedle(properties.weightGsm).size,
    pickMm: 1,
    faultWeights: { below: 1, above: 1 },
    schools: {},
  };
  const kept = sewingPlanOf({
    edge: demo.edge,
    plan: wished,
    cloth: { properties, fibre: cloth.fibre },
    strip: null,
    machine,
    foot,
  });
  const plan = alongBest(finish, kept);
  const set = setUpOf(finish, plan);
  let settings = startingSetting(finish, plan, set);
  const samples: Parameters<typeof lessonOf>[2][number][] = [];
  const planId = demo.id.replace('edge', 'plan');
  const attempts = demo.scraps.map(([n, short, over, note], i): Entry => {
    if (judge(set, settings).blocked) throw new Error(`Demo scrap on ${demo.id} is blocked.`);
    const counts = { check: marginOfPlan(finish, plan.fold.variant).countedCheck, n, short, over };
    const draft = bookEntry.parse({
      planId,
      number: i + 1,
      settings,
      counts: [counts],
      note,
      setUp: plan,
      names: { cloth: cloth.name, machine: machine.name, foot: foot.name },
      finish: finish.id,
      clothId: demo.edge.clothId,
      machineId: demo.machineId,
      footId: demo.footId,
      sewnOn: demo.sewnOn ?? localDay(new Date()),
    });
    samples.push({ settings, ...counts });
    settings = lessonOf(finish, plan, samples).next.settings;
    return { table: 'attempts', id: `${demo.id.replace('edge', 'scrap')}-${i + 1}`, draft };
  });
  const lastSewn = samples.at(-1)?.settings ?? null;
  const planDraft: PlanDraft = {
    edgeId: demo.id,
    finish: finish.id,
    machineId: demo.machineId,
    footId: demo.footId,
    ...wished,
    settings: lastSewn,
    keptAttemptId: null,
    ticks: [],
    took: {},
    // These were sewn side by side; none knew of the others.
    carryOver: false,
  };
  return [
    { table: 'edges', id: demo.id, draft: { projectId, ...demo.edge } },
    { table: 'plans', id: planId, draft: planDraft },
    ...attempts,
  ];
}

/** One edge with another finish, not sewn yet. */
function planned(projectId: string, other: OtherEdge): Entry[] {
  const cloth = cloths[other.edge.clothId];
  if (!cloth) throw new Error(`Demo edge ${other.id} has no cloth.`);
  const draft: PlanDraft = {
    edgeId: other.id,
    finish: other.finish,
    fold: other.fold,
    machineId: other.machineId ?? 'machine-home',
    footId: other.footId,
    stitch: { pattern: other.pattern, anchor: 'centre', runStitches: 5 },
    needleSize: startingNeedle(propertiesOf(cloth).weightGsm).size,
    pickMm: 1,
    faultWeights: { below: 1, above: 1 },
    ...plainWish,
    stripClothId: other.stripClothId ?? null,
    settings: null,
    keptAttemptId: null,
    schools: {},
    ticks: [],
    took: {},
    carryOver: true,
  };
  return [
    { table: 'edges', id: other.id, draft: { projectId, ...other.edge } },
    { table: 'plans', id: other.id.replace('edge', 'plan'), draft },
  ];
}

let made: readonly Entry[] | null = null;

/**
 * The demo: a lantern parade's wardrobe, with its cloths, a small kit, ten edges and a book. Its
 * scraps are sewn by the sums themselves, which takes a moment: once is enough.
 */
export function wardrobe(): readonly Entry[] {
  return (made ??= makeWardrobe());
}

function makeWardrobe(): Entry[] {
  const projectId = 'project-lantern-parade';
  const each = <D>(drafts: Readonly<Record<string, D>>, entry: (id: string, draft: D) => Entry) =>
    Object.entries(drafts).map(([id, draft]) => entry(id, draft));
  return [
    ...each(cloths, (id, draft) => ({ table: 'cloths', id, draft })),
    ...each(machines, (id, draft) => ({ table: 'machines', id, draft })),
    ...each(feet, (id, draft) => ({ table: 'feet', id, draft })),
    ...each(needles, (id, draft) => ({ table: 'needles', id, draft })),
    ...each(threads, (id, draft) => ({ table: 'threads', id, draft })),
    {
      table: 'projects',
      id: projectId,
      draft: {
        name: 'Lantern-parade wardrobe',
        note: 'Seven costumes, one evening, much wind.',
        garment: null,
      },
    },
    ...earlierSamples().map(({ id, draft }) => ({ table: 'attempts' as const, id, draft })),
    ...blindEdges.flatMap((demo) => sewn(projectId, demo)),
    ...otherEdges.flatMap((other) => planned(projectId, other)),
  ];
}
