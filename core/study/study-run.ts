import { finishById } from '../finish/catalogue';
import { evenDraws } from '../swatch/draw';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import { marginOfPlan } from '../plan/margin-of-plan';
import {
  differentialCoverage,
  differentialReached,
  type DifferentialCoverage,
  type DifferentialReached,
} from './differential-study';
import { eyeCases } from './eye-cases';
import { eyeStudy, type EyeSeen } from './eye-study';
import { facesStudy, type FacesSeen } from './faces-study';
import { lightsStudy, type LightsSeen } from './lights-study';
import { measuredStudy, type MeasuredStudy } from './measured-study';
import { placingReached } from './placing-study';
import { coverage, reached, type Coverage, type Reached, type StudySetting } from './study';

function known(id: string): Finish {
  const finish = finishById(id);
  if (!finish) throw new RangeError(`There is no finish “${id}”.`);
  return finish;
}
const blindHem = known('blind-hem');
const overcast = known('overcast');

/** A medium woven on a home machine of half-millimetre steps, its edge along a fixed blade. */
const homePlan: SewingPlan = {
  cloth: {
    ...{ construction: 'woven', weightGsm: 240, thicknessMm: 0.6, stretchPercent: 2 },
    ...{ fray: 2, curl: 0, slip: 0 },
  },
  edge: { lengthMm: 1400, minRadiusMm: null },
  fold: { variant: 'flat', depthMm: 40, extensionMm: 8 },
  machine: {
    ...{ kind: 'lockstitch', maxWidthMm: 7, widthStepMm: 0.5, maxLengthMm: 5, lengthStepMm: 0.1 },
    ...{ needleRangeMm: [-3.5, 3.5], needleStepMm: 0.5 },
  },
  foot: { slotMm: [-4.5, 4.5], guidance: 'blade', guide: { atMm: -1 } },
  stitch: { pattern: 'blind-woven', anchor: 'right', runStitches: 5 },
  ...{ needleSize: 80, pickMm: 1, faultWeights: { below: 1, above: 1 }, skill: 1 },
};
const finer = { ...homePlan.machine, widthStepMm: 0.1, needleStepMm: 0.1 };
const felted = { ...homePlan.cloth, thicknessMm: 1 };

/** What is sewn in the studies of counts and of measured depths. */
export const settings: readonly StudySetting[] = [
  {
    name: 'blind hem, half-millimetre steps',
    finish: blindHem,
    plan: { ...homePlan, cloth: felted },
  },
  {
    name: 'blind hem, tenth-millimetre steps',
    finish: blindHem,
    plan: { ...homePlan, cloth: felted, machine: finer },
  },
  {
    name: 'blind hem, thinner cloth, tenths',
    finish: blindHem,
    plan: { ...homePlan, machine: finer },
  },
  {
    name: 'overcast edge, tenth-millimetre steps',
    finish: overcast,
    plan: {
      ...homePlan,
      fold: { variant: 'woven' },
      machine: finer,
      foot: { slotMm: [-3.5, 3.5], guidance: 'bar', guide: { atMm: 2.5 } },
      stitch: { pattern: 'overcast-woven', anchor: 'centre', runStitches: 5 },
    },
  },
];

export interface StudyRow {
  readonly name: string;
  readonly coverage: readonly Coverage[];
  readonly reached: Reached;
}

/** The whole study: the same seeds give the same numbers. */
export function runStudy(
  coveredSewists: number,
  walkedSewists: number,
  told: (name: string) => void,
): StudyRow[] {
  return settings.map((setting, i) => {
    told(setting.name);
    return {
      name: setting.name,
      coverage: coverage(setting, coveredSewists, 3, evenDraws(100 + i)),
      reached: reached(setting, walkedSewists, 1, evenDraws(200 + i)),
    };
  });
}

export interface DifferentialRow {
  readonly name: string;
  readonly coverage: readonly DifferentialCoverage[];
  readonly reached: DifferentialReached;
}

/** Marked lengths of an edge, and dials: what the differential is learned with. */
const looped = [
  { name: 'overlocker, 100 mm marked, steps of 0.1', lengthMm: 100, dial: {} },
  { name: 'overlocker, 300 mm marked, steps of 0.1', lengthMm: 300, dial: {} },
  {
    name: 'overlocker, 300 mm marked, steps of 0.05',
    lengthMm: 300,
    dial: { differentialStep: 0.05 },
  },
] as const;

/** The same for the overlocker's differential, from lengths that were measured. */
export const runDifferentialStudy = (sewists: number): DifferentialRow[] =>
  looped.map(({ name, lengthMm, dial }, i) => ({
    name,
    coverage: differentialCoverage(lengthMm, sewists, 3, dial, evenDraws(300 + i)),
    reached: differentialReached(lengthMm, sewists, dial, evenDraws(400 + i)),
  }));

/** A denim curve and a narrow attachment beside a straight-stitch foot. */
export const denimCurve: StudySetting = {
  name: 'denim curve, narrow attachment',
  finish: known('bound'),
  plan: {
    ...homePlan,
    cloth: { ...homePlan.cloth, weightGsm: 390, thicknessMm: 0.76 },
    edge: { lengthMm: 640, minRadiusMm: 80, purpose: 'opening' },
    fold: { variant: 'double-fold', depthMm: 6, statedStripMm: 26 },
    foot: { slotMm: [-1.5, 1.5], guidance: 'edge', guide: { rangeMm: [-8, 2], stepMm: 0.5 } },
    stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
    strip: { ...homePlan.cloth, weightGsm: 120, thicknessMm: 0.28 },
    binder: { mouthMm: 30, stripMm: 26, placing: {} },
    aids: { wrap: 'binder' },
  },
};

/** From a mess to neat with an attachment that was screwed on by eye. */
export const runPlacingStudy = (
  sewists: number,
): { readonly name: string; readonly offMm: number; readonly reached: Reached }[] =>
  [1, 2].map((offMm, i) => ({
    ...{ name: denimCurve.name, offMm },
    reached: placingReached(denimCurve, sewists, offMm, evenDraws(500 + i)),
  }));

/** How many measured stitches tell as much as a counted scrap. */
export const runMeasuredStudy = (
  sewists: number,
): { readonly name: string; readonly told: MeasuredStudy }[] =>
  settings.map((setting, i) => ({
    name: setting.name,
    told: measuredStudy(setting, sewists, evenDraws(550 + i)),
  }));

/** How well the eye measures photos of every kind, drawn with known truth. */
export const runEyeStudy = (
  photos: number,
  told: (name: string) => void,
): { readonly name: string; readonly seen: EyeSeen }[] =>
  eyeCases().map((it, i) => {
    told(it.name);
    return { name: it.name, seen: eyeStudy(it, photos, evenDraws(600 + i)) };
  });

/** How well the bites of both faces are matched: on every kind of photo of a hidden stitch. */
export const runFacesStudy = (
  scraps: number,
  told: (name: string) => void,
): { readonly name: string; readonly seen: FacesSeen }[] =>
  eyeCases()
    .filter(({ plan, face, finish, onCard }) => {
      const { hiddenOnRight } = marginOfPlan(finish, plan.fold.variant);
      return face === 'wrong' && hiddenOnRight && !onCard;
    })
    .map((it, i) => {
      const name = it.name.replace(', wrong side', ', both faces');
      told(name);
      return { name, seen: facesStudy(it, scraps, evenDraws(700 + i)) };
    });

/** What a second photo with the lamp on the other side tells: on every kind of photo over a round fold. */
export const runLightsStudy = (
  scraps: number,
  told: (name: string) => void,
): { readonly name: string; readonly seen: LightsSeen }[] =>
  eyeCases()
    .filter(({ isRound, onCard }) => isRound && !onCard)
    .map((it, i) => {
      const name = it.name.replace(', wrong side', ', light from both sides');
      told(name);
      return { name, seen: lightsStudy(it, scraps, evenDraws(900 + i)) };
    });
