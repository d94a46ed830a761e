import { blindHem } from '../finish/blind-hem';
import type { SewingPlan } from '../finish/sewing-plan';
import { sewSample, type KnownHand } from '../margin/sewist';
import { examplePlan } from '../plan/example.fixture';
import { ruleSpreads, setUpOf } from '../plan/set-up-of';
import { startingSetting } from '../plan/starting-setting';
import { learningKey } from '../plan/same-set-up';
import type { DatedScrap } from './skill';

/** A felted cloth so thick, on the example's machine. */
export function planOn(thicknessMm: number): SewingPlan {
  return { ...examplePlan, cloth: { ...examplePlan.cloth, thicknessMm } };
}

/** Scraps a known hand sewed of one set-up, with places of the needle around the start. */
export function scrapsBy(
  plan: SewingPlan,
  hand: { readonly shiftMm: number; readonly steadiness: number },
  days: readonly string[],
  random: () => number,
): DatedScrap[] {
  const set = setUpOf(blindHem, plan);
  const start = startingSetting(blindHem, plan, set);
  const known: KnownHand = {
    shiftMm: hand.shiftMm,
    sigmaMm: (ruleSpreads(blindHem, plan).guide ?? 0.2) * hand.steadiness,
  };
  return days.map((sewnOn, i) => {
    const settings = { ...start, needlePositionMm: start.needlePositionMm + ((i % 3) - 1) * 0.5 };
    return {
      finish: 'blind-hem',
      setUp: plan,
      settings,
      counts: [sewSample(set.checks[0]!, settings, 40, known, random)],
      sewnOn,
      group: learningKey(plan),
    };
  });
}

/** So many days, one after another. */
export const days = (count: number): string[] =>
  Array.from({ length: count }, (_, i) => `2026-01-${String(i + 1).padStart(2, '0')}`);
