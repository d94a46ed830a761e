import { finishById } from '../../core/finish/catalogue';
import type { SewingPlan } from '../../core/finish/finish';
import type { FoldWish } from '../../core/finish/fold-request';
import type { SymptomId } from '../../core/diagnose/symptom';
import { startingNeedle } from '../../core/kit/needle';
import { sewSample } from '../../core/margin/sewist';
import { workAids } from '../../core/plan/aids';
import { lessonOf, type SewnSample } from '../../core/plan/learn-plan';
import { ruleSpreads, setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { startingValuesOf } from '../../core/plan/work';
import type { Pattern } from '../../core/stitch/stitch';
import { evenDraws } from '../../core/swatch/draw';
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
  /** Where this foot lets the edge run on this cloth, mm. */
  readonly runsMm: number;
  /** How steady the hand was that day, against the rule. */
  readonly steadiness: number;
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
} as const;

const earlier: readonly Earlier[] = [
  {
    ...{ day: '2026-02-14', ...blindFoot, fold: flat, clothId: 'cloth-flannel' },
    ...{ runsMm: -0.3, steadiness: 1.3, note: 'Lamp bearer’s cloak.' },
  },
  {
    ...{ day: '2026-03-07', ...blindFoot, clothId: 'cloth-linen' },
    fold: { variant: 'enclosed', depthMm: 30, extensionMm: 8, turnMm: 8 },
    ...{ runsMm: -0.22, steadiness: 1.2, note: 'Starched first; it slips less.' },
  },
  {
    ...{ day: '2026-03-28', ...blindFoot, fold: flat, clothId: 'cloth-canvas' },
    ...{ runsMm: -0.28, steadiness: 1.05, note: 'Banner, lower edge.' },
  },
  {
    ...{ day: '2026-04-18', ...blindFoot, fold: flat, clothId: 'cloth-denim' },
    ...{ runsMm: -0.2, steadiness: 0.95, note: 'Stilt trousers, once let down.' },
  },
  {
    ...{ day: '2026-05-09', ...blindFoot, fold: flat, clothId: 'cloth-flannel' },
    ...{ runsMm: -0.26, steadiness: 0.85, note: 'A second cloak; the old setting held.' },
  },
  {
    ...{ day: '2026-05-30', ...overcast, clothId: 'cloth-canvas' },
    ...{ runsMm: 0.12, steadiness: 1.1, note: 'Bar wiped clean of fluff before the second.' },
  },
  {
    ...{ day: '2026-06-20', ...overcast, clothId: 'cloth-linen' },
    ...{ runsMm: 0.18, steadiness: 0.9, note: 'Trimmed first.' },
  },
  {
    ...{ day: '2026-07-18', ...topstitch, finish: 'jeans-hem', clothId: 'cloth-denim' },
    fold: { variant: 'narrow', depthMm: 13, turnMm: 10 },
    ...{ runsMm: 0.2, steadiness: 1.1, note: 'Shim behind the heel at the felled seam.' },
  },
  {
    ...{ day: '2026-08-15', ...topstitch, finish: 'double-hem', clothId: 'cloth-canvas' },
    fold: { variant: 'narrow', depthMm: 20, turnMm: 10 },
    ...{ runsMm: 0.15, steadiness: 0.95, note: 'Tent flap.' },
  },
  {
    ...{ day: '2026-09-12', ...topstitch, finish: 'double-hem', clothId: 'cloth-linen' },
    fold: { variant: 'narrow', depthMm: 15, turnMm: 8 },
    ...{ runsMm: 0.1, steadiness: 0.8, note: 'Basted the fold line.' },
  },
];

/** Counted on each scrap. */
const stitches = 24;
/** Nobody sews more scraps than this in an evening. */
const mostScraps = 4;

function scrapsOf(one: Earlier, random: () => number): BookEntry[] {
  const finish = finishById(one.finish);
  const [cloth, machine, foot] = [cloths[one.clothId], machines[one.machineId], feet[one.footId]];
  const margin = finish?.margin(one.fold.variant);
  if (!finish || !cloth || !machine || !foot || !margin) {
    throw new Error(`Demo sample of ${one.day} is incomplete.`);
  }
  const properties = propertiesOf(cloth);
  const setUp: SewingPlan = {
    cloth: properties,
    edge: { lengthMm: 1500, minRadiusMm: null },
    fold: one.fold,
    machine: machine.specs,
    foot: foot.specs,
    stitch: { pattern: one.pattern, anchor: one.anchor, runStitches: 5 },
    needleSize: startingNeedle(properties.weightGsm).size,
    pickMm: 1,
    faultWeights: { below: 1, above: 1 },
    skill: 1,
    aids: workAids(foot.kind, {}),
  };
  const set = setUpOf(finish, setUp);
  const check = set.checks.find(({ name }) => name === margin.countedCheck);
  if (!check) throw new Error(`${finish.id} counts nothing.`);
  const sigmaMm = (ruleSpreads(finish, setUp)[check.source] ?? 0.3) * one.steadiness;
  const values = startingValuesOf(finish, {
    wish: one.fold,
    cloth: properties,
    edge: { ...setUp.edge, closed: false, cornered: false, thickestTimes: 1 },
    schools: {},
  });
  const samples: SewnSample[] = [];
  const entries: BookEntry[] = [];
  let settings = startingSetting(finish, setUp, set);
  for (let number = 1; number <= mostScraps; number++) {
    const counted = sewSample(check, settings, stitches, { shiftMm: one.runsMm, sigmaMm }, random);
    samples.push({ settings, ...counted });
    const { enough, next } = lessonOf(finish, setUp, samples);
    const last = enough || next.change === null || number === mostScraps;
    const faults = counted.short + counted.over;
    const verdict: Verdict = last ? 'keep' : faults > 4 ? 'no' : 'nearly';
    const symptoms: SymptomId[] =
      finish.id === 'blind-hem' && counted.over > 0
        ? ['bite-shows']
        : finish.id === 'blind-hem' && counted.short > 0
          ? ['bite-missed']
          : [];
    entries.push({
      ...{
        planId: null,
        number,
        finish: finish.id,
        settings,
        counts: [counted],
        symptoms,
        verdict,
      },
      dialValues: Object.fromEntries(values.map(({ id, value }) => [id, value])),
      ...{ photoId: null, sewnOn: one.day, note: last ? one.note : '', pinned: false },
      setUp: sewingPlan.parse(setUp),
      ...{ clothId: one.clothId, machineId: one.machineId, footId: one.footId },
      names: { cloth: cloth.name, machine: machine.name, foot: foot.name },
    });
    if (last) break;
    settings = next.settings;
  }
  return entries;
}

/** The book before this parade: made-up samples of edges that are long worn. */
export function earlierSamples(): { readonly id: string; readonly draft: BookEntry }[] {
  const random = evenDraws(7);
  return earlier.flatMap((one, i) =>
    scrapsOf(one, random).map((draft) => ({ id: `earlier-${i + 1}-${draft.number}`, draft })),
  );
}
