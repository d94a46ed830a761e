import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import { dialField, dialTravel, marginDials, type DialSettings } from '../kit/dial-steps';
import { needleMayGo } from '../stitch/clearance';
import { allowedDrift, undriftedMm, type Check } from '../margin/check';
import { normalDrift } from '../margin/normal';
import { plainLogSigmaSd, plainShiftSdMm } from '../margin/prior';
import { dialSpace, type MarginSettings, type SetUp } from '../margin/set-up';
import { normalDraw, sewSample, type KnownHand } from '../margin/sewist';
import { lessonOf, type SewnSample } from '../plan/learn-plan';
import { marginOfPlan } from '../plan/margin-of-plan';
import { ruleSpreads, setUpOf } from '../plan/set-up-of';
import { startingSetting } from '../plan/starting-setting';

/** What a study is made with. */
export interface StudySetting {
  readonly name: string;
  readonly finish: Finish;
  readonly plan: SewingPlan;
}

export interface Studied {
  readonly set: SetUp;
  /** Whose stitches are counted, and all the checks that drift with it. */
  readonly check: Check;
  readonly checks: readonly Check[];
  readonly ruleSigmaMm: number;
  readonly start: DialSettings;
}

/** Counted on every scrap. */
const stitches = 24;

export function studied({ finish, plan }: StudySetting): Studied {
  const set = setUpOf(finish, plan);
  const { countedCheck } = marginOfPlan(finish, plan.fold.variant);
  const check = set.checks.find(({ name }) => name === countedCheck);
  if (!check) throw new RangeError(`${finish.id} counts nothing.`);
  return {
    set,
    check,
    checks: set.checks.filter(({ source }) => source === check.source),
    ruleSigmaMm: ruleSpreads(finish, plan)[check.source] ?? 0.3,
    start: startingSetting(finish, plan, set),
  };
}

/** The true share of sound stitches a known hand would sew at a setting. */
export function soundShare(checks: readonly Check[], at: MarginSettings, hand: KnownHand): number {
  const ends = checks.map((check) => allowedDrift(check, undriftedMm(check, at)));
  const [from, to] = [Math.max(...ends.map(([a]) => a)), Math.min(...ends.map(([, b]) => b))];
  return to > from ? normalDrift(hand.shiftMm, hand.sigmaMm).within(from, to) : 0;
}

/** The best share a known hand can reach on the machine's own steps. */
function bestShare({ set, checks }: Studied, hand: KnownHand): number {
  const space = dialSpace(set);
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  let best = 0;
  for (const needlePositionMm of space.needlePosition) {
    for (const widthMm of space.width) {
      if (!mayGo(widthMm, needlePositionMm)) continue;
      for (const guideMm of space.guide) {
        best = Math.max(best, soundShare(checks, { widthMm, needlePositionMm, guideMm }, hand));
      }
    }
  }
  return best;
}

/** How often the 90 % intervals held the truth. */
export interface Coverage {
  readonly scraps: number;
  readonly offset: number;
  readonly spread: number;
  readonly sewists: number;
}

/**
 * Sewists whose truths are drawn from the very prior sew scraps as they are advised; after each
 * scrap one looks whether the 90 % intervals hold the truth.
 *
 * @param random even numbers in 0 … 1
 */
export function coverage(
  setting: StudySetting,
  sewists: number,
  scraps: number,
  random: () => number,
): Coverage[] {
  const { check, ruleSigmaMm, start } = studied(setting);
  const held = Array.from({ length: scraps }, () => ({ offset: 0, spread: 0 }));
  for (let i = 0; i < sewists; i++) {
    const hand = {
      shiftMm: plainShiftSdMm * normalDraw(random),
      sigmaMm: ruleSigmaMm * Math.exp(plainLogSigmaSd * normalDraw(random)),
    };
    const samples: SewnSample[] = [];
    let settings = start;
    for (const tally of held) {
      samples.push({ settings, ...sewSample(check, settings, stitches, hand, random) });
      const lesson = lessonOf(setting.finish, setting.plan, samples);
      const { shiftInterval, sigmaInterval } = lesson.posterior;
      if (hand.shiftMm >= shiftInterval[0] && hand.shiftMm <= shiftInterval[1]) tally.offset++;
      if (hand.sigmaMm >= sigmaInterval[0] && hand.sigmaMm <= sigmaInterval[1]) tally.spread++;
      settings = lesson.next.settings;
    }
  }
  return held.map(({ offset, spread }, i) => ({
    scraps: i + 1,
    offset: offset / sewists,
    spread: spread / sewists,
    sewists,
  }));
}

/** How many scraps it took until one was sewn at a good setting. */
export interface Reached {
  readonly medianAdvised: number;
  readonly medianTrial: number;
  /** Nine of ten needed no more than this. */
  readonly ninthAdvised: number;
  readonly ninthTrial: number;
  readonly sewists: number;
}

/** A setting is good that reaches this share of the best the hand can do on this machine. */
export const goodShare = 0.97;
/** Nobody goes on after so many scraps. */
export const mostScraps = 15;

/** One step of the first dial that moves the check, against the fault that was counted more. */
export function oneStepOn(
  { set, check }: Studied,
  now: DialSettings,
  { short, over }: { readonly short: number; readonly over: number },
): DialSettings {
  if (short === over) return now;
  const raise = short > over ? 1 : -1;
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  for (const dial of marginDials) {
    const pull = check.v0[dial];
    const { stepMm, fromMm, toMm } = dialTravel(dial, set.machine, set.foot.guide);
    if (pull === 0 || stepMm === 0) continue;
    const field = dialField[dial];
    const next = { ...now, [field]: now[field] + Math.sign(pull) * raise * stepMm };
    const inside = next[field] >= fromMm - 1e-9 && next[field] <= toMm + 1e-9;
    if (inside && mayGo(next.widthMm, next.needlePositionMm)) return next;
  }
  return now;
}

/** Medians, and what nine of ten needed, of scraps by either way. */
export function summedUp(advised: number[], trial: number[]): Reached {
  const at = (numbers: number[], share: number) =>
    numbers.sort((a, b) => a - b)[Math.floor((numbers.length - 1) * share)] ?? 0;
  return {
    medianAdvised: at(advised, 0.5),
    medianTrial: at(trial, 0.5),
    ninthAdvised: at(advised, 0.9),
    ninthTrial: at(trial, 0.9),
    sewists: advised.length,
  };
}

/**
 * From a start that is off by a millimetre to a good setting: as advised, and by trial and error,
 * one machine step at a time against the fault that was counted more.
 *
 * @param offMm how far the edge really runs from where the starting guess has it
 */
export function reached(
  setting: StudySetting,
  sewists: number,
  offMm: number,
  random: () => number,
): Reached {
  const about = studied(setting);
  const { check, checks, ruleSigmaMm, start } = about;
  const [advised, trial]: [number[], number[]] = [[], []];
  for (let i = 0; i < sewists; i++) {
    const hand = {
      shiftMm: i % 2 === 0 ? offMm : -offMm,
      sigmaMm: ruleSigmaMm * Math.exp(plainLogSigmaSd * normalDraw(random)),
    };
    const good = goodShare * bestShare(about, hand);
    const walk = (next: (samples: readonly SewnSample[]) => DialSettings): number => {
      const samples: SewnSample[] = [];
      let settings = start;
      for (let scrap = 1; scrap <= mostScraps; scrap++) {
        if (soundShare(checks, settings, hand) >= good) return scrap;
        samples.push({ settings, ...sewSample(check, settings, stitches, hand, random) });
        settings = next(samples);
      }
      return mostScraps + 1;
    };
    advised.push(walk((samples) => lessonOf(setting.finish, setting.plan, samples).next.settings));
    trial.push(
      walk((samples) => {
        const last = samples.at(-1) as SewnSample;
        return oneStepOn(about, last.settings, last);
      }),
    );
  }
  return summedUp(advised, trial);
}
