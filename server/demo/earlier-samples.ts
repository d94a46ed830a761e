import { finishById } from '../../core/finish/catalogue';
import type { FoldWish } from '../../core/finish/fold-request';
import type { SymptomId } from '../../core/diagnose/symptom';
import { startingNeedle } from '../../core/kit/needle';
import { uncut } from '../../core/edge/state';
import { plainWish, usualPickMm } from '../../core/plan/new-plan';
import { sewingPlanOf, workRequestOf } from '../../core/plan/of-records';
import { alongBest } from '../../core/plan/ride';
import { valuesBesideDials } from '../../core/plan/work';
import type { Pattern } from '../../core/stitch/stitch';
import type { BookEntry, Verdict } from '../../contract/records';
import { sewingPlan } from '../../contract/plan';
import { cloths } from './cloths';
import { feet, machines } from './kit';
import { propertiesOf } from './properties';

/** Something that was hemmed for an earlier parade, and is long worn. */
interface Earlier {
  readonly day: string;
  readonly clothId: string;
  readonly machineId: string;
  readonly footId: string;
  readonly finish: string;
  readonly fold: FoldWish;
  readonly pattern: Pattern;
  readonly anchor: 'left' | 'centre' | 'right';
  /** What of its foot it was led along, where the foot has several. */
  readonly reference?: string;
  /** Where the dials stood (width, length, needle, guide), and of 24 how many fell below and above. */
  readonly scraps: readonly (readonly [
    settings: readonly [number, number, number, number],
    short: number,
    over: number,
  ])[];
  readonly note: string;
}

const blind = { finish: 'blind-hem', pattern: 'blind-woven', anchor: 'right' } as const;
const flat = { variant: 'flat', depthMm: 40, extensionMm: 8 };
const blindFoot = { ...blind, machineId: 'machine-fine', footId: 'foot-blind-fixed' } as const;
const overcast = {
  finish: 'overcast',
  pattern: 'overcast-woven',
  anchor: 'centre',
  ...{ machineId: 'machine-home', footId: 'foot-overcast', fold: { variant: 'woven' } },
} as const;
const topstitch = {
  pattern: 'straight',
  anchor: 'centre',
  machineId: 'machine-home',
  footId: 'foot-straight',
  reference: 'left inner toe edge',
} as const;

const earlier: readonly Earlier[] = [
  {
    ...{ day: '2026-02-14', ...blindFoot, fold: flat, clothId: 'cloth-flannel' },
    note: 'Lamp bearer’s cloak.',
    scraps: [
      [[2.2, 1.8, 0.4, -1], 1, 0],
      [[2.4, 1.8, 0.4, -1], 3, 0],
      [[2.4, 1.8, 0.3, -1], 0, 0],
    ],
  },
  {
    ...{ day: '2026-03-07', ...blindFoot, clothId: 'cloth-linen' },
    fold: { variant: 'enclosed', depthMm: 30, extensionMm: 8, turnMm: 8 },
    note: 'Starched first; it slips less.',
    scraps: [
      [[1.7, 1.8, 0.2, -1], 9, 0],
      [[2, 1.8, 0.2, -1], 1, 6],
      [[2, 1.8, 0.3, -1], 3, 1],
    ],
  },
  {
    ...{ day: '2026-03-28', ...blindFoot, fold: flat, clothId: 'cloth-canvas' },
    note: 'Banner, lower edge.',
    scraps: [
      [[2.1, 1.8, 0.4, -1], 3, 0],
      [[2.3, 1.8, 0.4, -1], 0, 1],
    ],
  },
  {
    ...{ day: '2026-04-18', ...blindFoot, fold: flat, clothId: 'cloth-denim' },
    note: 'Stilt trousers, once let down.',
    scraps: [
      [[2.1, 1.8, 0.4, -1], 2, 0],
      [[2.3, 1.8, 0.4, -1], 0, 0],
    ],
  },
  {
    ...{ day: '2026-05-09', ...blindFoot, fold: flat, clothId: 'cloth-flannel' },
    note: 'A second cloak; the old setting held.',
    scraps: [
      [[2.2, 1.8, 0.4, -1], 1, 0],
      [[2.4, 1.8, 0.4, -1], 0, 0],
    ],
  },
  {
    ...{ day: '2026-05-30', ...overcast, clothId: 'cloth-canvas' },
    note: 'Bar wiped clean of fluff before the second.',
    scraps: [[[5.5, 2.5, 0, 2.5], 3, 0]],
  },
  {
    ...{ day: '2026-06-20', ...overcast, clothId: 'cloth-linen' },
    note: 'Trimmed first.',
    scraps: [[[5.5, 2.5, 0, 2.5], 3, 0]],
  },
  {
    ...{ day: '2026-07-18', ...topstitch, finish: 'jeans-hem', clothId: 'cloth-denim' },
    fold: { variant: 'narrow', depthMm: 13, turnMm: 10 },
    note: 'Shim behind the heel at the felled seam.',
    scraps: [[[0, 3.1, 0, -3], 0, 0]],
  },
  {
    ...{ day: '2026-08-15', ...topstitch, finish: 'double-hem', clothId: 'cloth-canvas' },
    fold: { variant: 'narrow', depthMm: 20, turnMm: 10 },
    note: 'Tent flap.',
    scraps: [[[0, 2.6, 0, -3], 0, 2]],
  },
  {
    ...{ day: '2026-09-12', ...topstitch, finish: 'double-hem', clothId: 'cloth-linen' },
    fold: { variant: 'narrow', depthMm: 15, turnMm: 8 },
    note: 'Basted the fold line.',
    scraps: [[[0, 2.3, 0, -3], 0, 0]],
  },
];

/** Counted on each scrap. */
const stitches = 24;
/** The scraps of one evening: each but the last was moved on from, and the last was kept. */
function scrapsOf(one: Earlier): BookEntry[] {
  const finish = finishById(one.finish);
  const [cloth, machine, foot] = [cloths[one.clothId], machines[one.machineId], feet[one.footId]];
  const margin = finish?.margin(one.fold.variant);
  if (!finish || !cloth || !machine || !foot || !margin) {
    throw new Error(`Demo sample of ${one.day} is incomplete.`);
  }
  const properties = propertiesOf(cloth);
  const records = {
    edge: { ...uncut, shape: 'straight', turnDegrees: null, lengthMm: 1500, minRadiusMm: null },
    plan: {
      ...plainWish,
      fold: one.fold,
      stitch: { pattern: one.pattern, anchor: one.anchor, runStitches: 5 },
      needleSize: startingNeedle(properties.weightGsm).size,
      pickMm: usualPickMm,
      faultWeights: { below: 1, above: 1 },
      reference: one.reference ?? null,
      schools: {},
    },
    cloth: { properties, fibre: cloth.fibre },
    strip: null,
    machine,
    foot,
  } as const;
  const setUp = sewingPlan.parse(
    alongBest(finish, sewingPlanOf({ ...records, edge: { ...records.edge, crossings: [] } })),
  );
  const values = valuesBesideDials(
    finish,
    workRequestOf({ ...records, edge: { ...records.edge, crossings: [] } }, setUp, finish),
  );
  return one.scraps.map(([[widthMm, lengthMm, needlePositionMm, guideMm], short, over], i) => {
    const last = i === one.scraps.length - 1;
    const verdict: Verdict = last ? 'keep' : short + over > 4 ? 'no' : 'nearly';
    const bites = finish.id === 'blind-hem';
    const symptoms: SymptomId[] =
      bites && over > 0 ? ['bite-shows'] : bites && short > 0 ? ['bite-missed'] : [];
    return {
      ...{
        planId: null,
        photoId: null,
        otherFacePhotoId: null,
        number: i + 1,
        finish: finish.id,
        verdict,
        symptoms,
        setUp,
        measured: null,
        corners: null,
        pass: null,
      },
      settings: { widthMm, lengthMm, needlePositionMm, guideMm },
      counts: [{ check: margin.countedCheck, n: stitches, short, over }],
      dialValues: Object.fromEntries(values.map(({ id, value }) => [id, value])),
      ...{ sewnOn: one.day, note: last ? one.note : '', pinned: false },
      ...{ clothId: one.clothId, machineId: one.machineId, footId: one.footId },
      names: { cloth: cloth.name, machine: machine.name, foot: foot.name },
    };
  });
}

/** The book before this parade: made-up samples of edges that are long worn. */
export function earlierSamples(): { readonly id: string; readonly draft: BookEntry }[] {
  return earlier.flatMap((one, i) =>
    scrapsOf(one).map((draft) => ({ id: `earlier-${i + 1}-${draft.number}`, draft })),
  );
}
