import type { ClothDraft } from '../../contract/cloth';
import type { FootDraft, MachineDraft } from '../../contract/kit';
import type { EdgeDraft, PlanDraft } from '../../contract/records';
import type { HomeTests } from '../../core/cloth/home-tests';
import { clothFromDescription } from '../../core/cloth/describe';
import { finishById } from '../../core/finish/catalogue';
import { startingNeedle } from '../../core/kit/needle';
import { judge } from '../../core/plan/judge';
import { lessonOf } from '../../core/plan/learn-plan';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import type { SewingPlan } from '../../core/finish/finish';
import type { RecordTable } from '../database/models';

interface Entry {
  readonly table: RecordTable;
  readonly id: string;
  readonly draft: Record<string, unknown>;
}

const untested = {
  sampleGrams: null,
  sampleSideMm: null,
  ozPerSqYd: null,
  stackHeightMm: null,
  stackLayers: null,
  restMm: null,
  pulledMm: null,
  afterMm: null,
  looseThreads: null,
  curlMm: null,
  rollsOver: null,
  slipDegrees: null,
} satisfies Partial<HomeTests>;

const cloths: Record<string, ClothDraft> = {
  'cloth-flannel': {
    name: 'Wool flannel, slate',
    weightClass: 'heavy',
    tests: {
      ...untested,
      construction: 'woven',
      sampleGrams: 3.1,
      sampleSideMm: 100,
      stackHeightMm: 10,
      stackLayers: 10,
      restMm: 100,
      pulledMm: 104,
      afterMm: 100,
      looseThreads: 2,
      curlMm: 0,
      slipDegrees: 44,
    },
    note: 'Shines under a bare iron; use a press cloth.',
  },
  'cloth-linen': {
    name: 'Linen, unbleached',
    weightClass: 'light',
    tests: {
      ...untested,
      construction: 'woven',
      sampleGrams: 1.5,
      stackHeightMm: 3.6,
      stackLayers: 10,
      looseThreads: 8,
      slipDegrees: 38,
    },
    note: '',
  },
  'cloth-ponte': {
    name: 'Ponte knit, brick red',
    weightClass: 'heavy',
    tests: {
      ...untested,
      construction: 'knit',
      sampleGrams: 3,
      stackHeightMm: 9.6,
      stackLayers: 10,
      restMm: 100,
      pulledMm: 124,
      afterMm: 101,
      looseThreads: 0,
      curlMm: 2,
      slipDegrees: 42,
    },
    note: '',
  },
  'cloth-canvas': {
    name: 'Cotton canvas, chalk white',
    weightClass: 'heavy',
    tests: { ...untested, construction: 'woven', ozPerSqYd: 10 },
    note: 'Weight from the bolt; the rest not tested yet.',
  },
  'cloth-veil': {
    name: 'Sheer veil cloth, moth grey',
    weightClass: 'featherweight',
    tests: {
      ...untested,
      construction: 'sheer',
      sampleGrams: 0.42,
      stackHeightMm: 2.4,
      stackLayers: 16,
      looseThreads: 9,
      slipDegrees: 18,
    },
    note: '',
  },
};

const machines: Record<string, MachineDraft> = {
  'machine-home': {
    name: 'Home machine, 7 mm wide',
    specs: {
      kind: 'lockstitch',
      maxWidthMm: 7,
      widthStepMm: 0.5,
      maxLengthMm: 5,
      lengthStepMm: 0.1,
      needleRangeMm: [-3.5, 3.5],
      needleStepMm: 0.5,
      plateHoleMm: [-4.5, 4.5],
    },
    note: '',
  },
  'machine-fine': {
    name: 'Fine-step machine, 9 mm wide',
    specs: {
      kind: 'lockstitch',
      maxWidthMm: 9,
      widthStepMm: 0.1,
      maxLengthMm: 6,
      lengthStepMm: 0.1,
      needleRangeMm: [-4.5, 4.5],
      needleStepMm: 0.1,
      plateHoleMm: [-5.5, 5.5],
    },
    note: '',
  },
};

const feet: Record<string, FootDraft> = {
  'foot-blind-fixed': {
    name: 'Blind foot, fixed blade',
    specs: { slotMm: [-4.5, 4.5], guidance: 'blade', guide: { atMm: -1 } },
    soleMm: { widthMm: 20, toeMm: 14, heelMm: 16 },
    note: '',
  },
  'foot-blind-screw': {
    name: 'Blind foot, blade on a screw',
    specs: {
      slotMm: [-4.5, 4.5],
      guidance: 'blade',
      guide: { rangeMm: [-3, 1], stepMm: 0.25 },
    },
    soleMm: { widthMm: 20, toeMm: 15, heelMm: 16 },
    note: 'A quarter turn of the screw is about 0.25 mm.',
  },
  'foot-zigzag': {
    name: 'Open zigzag foot',
    specs: { slotMm: [-4.5, 4.5], guidance: 'edge', guide: { atMm: -2 } },
    soleMm: { widthMm: 18, toeMm: 12, heelMm: 14 },
    note: 'The fold follows a line scratched on the toe.',
  },
  'foot-narrow': {
    name: 'Narrow-slot foot, centre blade',
    specs: { slotMm: [-2, 2], guidance: 'blade', guide: { atMm: 0 } },
    soleMm: { widthMm: 16, toeMm: 12, heelMm: 12 },
    note: 'Small slot: wide swings meet the foot.',
  },
};

interface DemoEdge {
  readonly id: string;
  readonly edge: Omit<EdgeDraft, 'projectId'>;
  readonly depthMm: number;
  readonly enclosedTurnMm?: number;
  readonly machineId: string;
  readonly footId: string;
  readonly stretch?: boolean;
  /** Counts of scraps sewn so far: bites, missed, shown. */
  readonly scraps: readonly (readonly [n: number, short: number, over: number, note: string])[];
}

const edges: readonly DemoEdge[] = [
  {
    id: 'edge-cape',
    edge: {
      name: 'Cape, lower edge',
      on: 'wool flannel cape',
      clothId: 'cloth-flannel',
      shape: 'straight',
      lengthMm: 3420,
      minRadiusMm: 2400,
    },
    depthMm: 40,
    machineId: 'machine-fine',
    footId: 'foot-blind-fixed',
    scraps: [[24, 7, 0, 'Holes in the extension only, seven times.']],
  },
  {
    id: 'edge-shirt',
    edge: {
      name: 'Marshal’s shirt, hem',
      on: 'linen shirt',
      clothId: 'cloth-linen',
      shape: 'tube',
      lengthMm: 1240,
      minRadiusMm: null,
    },
    depthMm: 25,
    enclosedTurnMm: 8,
    machineId: 'machine-home',
    footId: 'foot-blind-screw',
    scraps: [],
  },
  {
    id: 'edge-tunic',
    edge: {
      name: 'Drummer’s tunic, sleeve',
      on: 'ponte tunic, one sleeve',
      clothId: 'cloth-ponte',
      shape: 'tube',
      lengthMm: 310,
      minRadiusMm: null,
    },
    depthMm: 30,
    machineId: 'machine-fine',
    footId: 'foot-blind-fixed',
    stretch: true,
    scraps: [
      [18, 0, 2, 'Two pricks on the right side.'],
      [24, 0, 0, 'Clean on both faces.'],
      [24, 0, 0, 'Clean again.'],
    ],
  },
  {
    id: 'edge-tabard',
    edge: {
      name: 'Tabard, lower edge',
      on: 'canvas tabard',
      clothId: 'cloth-canvas',
      shape: 'straight',
      lengthMm: 620,
      minRadiusMm: null,
    },
    depthMm: 35,
    machineId: 'machine-home',
    footId: 'foot-blind-screw',
    scraps: [],
  },
  {
    id: 'edge-veil',
    edge: {
      name: 'Veil, front edge',
      on: 'sheer veil',
      clothId: 'cloth-veil',
      shape: 'straight',
      lengthMm: 1900,
      minRadiusMm: 300,
    },
    depthMm: 20,
    machineId: 'machine-fine',
    footId: 'foot-blind-fixed',
    scraps: [],
  },
];

/** One edge with its plan and scraps; each scrap is sewn at what the ones before it advised. */
function sewn(projectId: string, demo: DemoEdge): Entry[] {
  const cloth = cloths[demo.edge.clothId];
  const machine = machines[demo.machineId];
  const foot = feet[demo.footId];
  const finish = finishById('blind-hem');
  if (!cloth || !machine || !foot || !finish)
    throw new Error(`Demo edge ${demo.id} is incomplete.`);
  const {
    recoveryPercent: _recovery,
    estimated: _estimated,
    ...properties
  } = clothFromDescription(cloth);
  const plan: SewingPlan = {
    cloth: { construction: cloth.tests.construction, ...properties },
    edge: { lengthMm: demo.edge.lengthMm, minRadiusMm: demo.edge.minRadiusMm },
    fold: {
      variant: demo.enclosedTurnMm ? 'enclosed' : 'flat',
      depthMm: demo.depthMm,
      extensionMm: 8,
      ...(demo.enclosedTurnMm ? { turnMm: demo.enclosedTurnMm } : {}),
    },
    machine: machine.specs,
    foot: foot.specs,
    stitch: {
      pattern: demo.stretch ? 'blind-stretch' : 'blind-woven',
      anchor: 'right',
      runStitches: 5,
    },
    needleSize: startingNeedle(properties.weightGsm).size,
    pickMm: 1,
    faultWeights: { below: 1, above: 1 },
    skill: 1,
  };
  const set = setUpOf(finish, plan);
  let settings = startingSetting(finish, plan, set);
  const samples: Parameters<typeof lessonOf>[2][number][] = [];
  const planId = demo.id.replace('edge', 'plan');
  const attempts = demo.scraps.map(([n, short, over, note], i): Entry => {
    if (judge(set, settings).blocked) throw new Error(`Demo scrap on ${demo.id} is blocked.`);
    const counts = { check: finish.countedCheck, n, short, over };
    const draft = {
      planId,
      number: i + 1,
      settings,
      counts: [counts],
      note,
      setUp: plan,
      names: { cloth: cloth.name, machine: machine.name, foot: foot.name },
    };
    samples.push({ settings, ...counts });
    settings = lessonOf(finish, plan, samples).next.settings;
    return { table: 'attempts', id: `${demo.id.replace('edge', 'scrap')}-${i + 1}`, draft };
  });
  const lastSewn = samples.at(-1)?.settings ?? null;
  const planDraft: PlanDraft = {
    edgeId: demo.id,
    finish: finish.id,
    fold: plan.fold,
    machineId: demo.machineId,
    footId: demo.footId,
    stitch: plan.stitch,
    needleSize: plan.needleSize,
    pickMm: plan.pickMm,
    faultWeights: plan.faultWeights,
    settings: lastSewn,
    keptAttemptId: null,
  };
  return [
    { table: 'edges', id: demo.id, draft: { projectId, ...demo.edge } },
    { table: 'plans', id: planId, draft: planDraft },
    ...attempts,
  ];
}

/** The demo: a lantern parade's wardrobe, with its cloths, a small kit and five edges. */
export function wardrobe(): Entry[] {
  const projectId = 'project-lantern-parade';
  const shelf = (table: RecordTable, drafts: Record<string, object>): Entry[] =>
    Object.entries(drafts).map(([id, draft]) => ({ table, id, draft: { ...draft } }));
  return [
    ...shelf('cloths', cloths),
    ...shelf('machines', machines),
    ...shelf('feet', feet),
    {
      table: 'projects',
      id: projectId,
      draft: { name: 'Lantern-parade wardrobe', note: 'Five costumes, one evening, much wind.' },
    },
    ...edges.flatMap((demo) => sewn(projectId, demo)),
  ];
}
