import { dialField, dialTravel, type DialSettings } from '../kit/dial-steps';
import type { Check } from '../margin/check';
import { plainLogSigmaSd } from '../margin/prior';
import { dialSpace } from '../margin/set-up';
import { normalDraw, sewSample, type KnownHand } from '../margin/sewist';
import { needleMayGo } from '../stitch/clearance';
import { lessonOf, type SewnSample } from '../plan/learn-plan';
import { ruleSpreads } from '../plan/set-up-of';
import {
  goodShare,
  mostScraps,
  oneStepOn,
  soundShare,
  studied,
  summedUp,
  type Reached,
  type StudySetting,
  type Studied,
} from './study';

/** Counted on every scrap, on the front and on the back. */
const stitches = 24;

/** A hand at an attachment that was screwed on by eye: where its folds really come out. */
interface Placed {
  readonly front: KnownHand;
  readonly back: KnownHand;
}

const of = (checks: readonly Check[], name: string): Check => {
  const found = checks.find((check) => check.name === name);
  if (!found) throw new RangeError(`Nothing is counted at the ${name}.`);
  return found;
};

/** The true share of stitches that hold front and back at a setting. */
const held = ({ set }: Studied, at: DialSettings, { front, back }: Placed): number =>
  soundShare([of(set.checks, 'front')], at, front) * soundShare([of(set.checks, 'back')], at, back);

/** The best that can be reached on the machine's own steps. */
function bestHeld(about: Studied, placed: Placed): number {
  const { set, start } = about;
  const space = dialSpace(set);
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  let best = 0;
  for (const needlePositionMm of space.needlePosition) {
    if (!mayGo(start.widthMm, needlePositionMm)) continue;
    for (const guideMm of space.guide) {
      best = Math.max(best, held(about, { ...start, needlePositionMm, guideMm }, placed));
    }
  }
  return best;
}

/** The other way: a step of the attachment, then of the needle, by turns, against what shows more. */
function byTurns(about: Studied, samples: readonly SewnSample[]): DialSettings {
  const last = samples.at(-1);
  if (!last) return about.start;
  const scraps = samples.length / 2;
  const needleToo = scraps % 2 === 0;
  const step = oneStepOn(about, last.settings, last);
  if (!needleToo) return step;
  const { set } = about;
  const { stepMm, fromMm, toMm } = dialTravel('guide', set.machine, set.foot.guide);
  const pull = of(set.checks, 'front').v0.guide;
  if (last.short === last.over || pull === 0) return last.settings;
  const by = Math.sign(pull) * (last.short > last.over ? stepMm : -stepMm);
  const field = dialField.guide;
  const guideMm = Math.min(toMm, Math.max(fromMm, last.settings[field] + by));
  return { ...last.settings, [field]: guideMm };
}

/**
 * From an attachment whose place nobody knows to a binding that holds front and back: as advised
 * after counting both faces, and one adjustment at a time.
 *
 * @param offMm how far its folds come out from where they were meant to, to either side
 */
export function placingReached(
  setting: StudySetting,
  sewists: number,
  offMm: number,
  random: () => number,
): Reached {
  const about = studied(setting);
  const { finish, plan } = setting;
  const { set, start } = about;
  const [front, back] = [of(set.checks, 'front'), of(set.checks, 'back')];
  const rule = ruleSpreads(finish, plan);
  const [advised, trial]: [number[], number[]] = [[], []];
  for (let i = 0; i < sewists; i++) {
    const steady = Math.exp(plainLogSigmaSd * normalDraw(random));
    const shiftMm = (i % 2 === 0 ? offMm : -offMm) + 0.2 * normalDraw(random);
    const placed: Placed = {
      front: { shiftMm, sigmaMm: (rule.guide ?? 0.4) * steady },
      // The back comes out with the front, and a little aside.
      back: { shiftMm: shiftMm + 0.3 * normalDraw(random), sigmaMm: (rule.wrap ?? 0.3) * steady },
    };
    const good = goodShare * bestHeld(about, placed);
    const walk = (next: (samples: readonly SewnSample[]) => DialSettings): number => {
      const samples: SewnSample[] = [];
      let settings = start;
      for (let scrap = 1; scrap <= mostScraps; scrap++) {
        if (held(about, settings, placed) >= good) return scrap;
        samples.push({ settings, ...sewSample(back, settings, stitches, placed.back, random) });
        samples.push({ settings, ...sewSample(front, settings, stitches, placed.front, random) });
        settings = next(samples);
      }
      return mostScraps + 1;
    };
    advised.push(walk((samples) => lessonOf(finish, plan, samples).next.settings));
    trial.push(walk((samples) => byTurns(about, samples)));
  }
  return summedUp(advised, trial);
}
