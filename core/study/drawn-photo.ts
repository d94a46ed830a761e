import seedrandom from 'seedrandom';
import { expectedOn } from '../eye/expected';
import type { ScaledImage } from '../eye/grey';
import { windowOf } from '../eye/photo';
import { upperSideOf } from '../eye/seen';
import type { Face } from '../eye/seen-on';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings } from '../kit/dial-steps';
import { undriftedMm } from '../margin/check';
import { marginOfPlan } from '../plan/margin-of-plan';
import { setUpOf } from '../plan/set-up-of';
import { shownThreadMm } from '../plan/shown-thread';
import { startingSetting } from '../plan/starting-setting';
import { sewSwatch } from '../swatch/swatch';
import { scrapOnCard } from './card-photo';
import { drawnFold, type RoundFold } from './round-fold';
import { drawnThread, usualThread, type DrawnThread } from './drawn-thread';
import { drawnScrap, photographed, type Lying, type ScrapLook } from './scrap-photo';

/** A kind of photo that is drawn many times. */
export interface EyeCase {
  readonly name: string;
  readonly finish: Finish;
  readonly plan: SewingPlan;
  readonly face: Face;
  /** Where the machine’s length stands, mm. */
  readonly lengthMm: number;
  readonly look: Omit<ScrapLook, 'seed' | 'beyond' | 'beyondSide' | 'fold' | 'sewnWith'>;
  readonly blurMm: number;
  readonly noise: number;
  readonly pxPerMm: number;
  /** Its fold is as round as cloth is thick, under a lamp from somewhere; else it is as sharp as a knife. */
  readonly isRound?: boolean;
  /** Its thread is as thick, and sinks into the cloth as deep, as any may; else it is as one usually is. */
  readonly isAnyThread?: boolean;
  /** The whole card is photographed by a hand that does not hold the phone straight. */
  readonly onCard?: boolean;
}

/** The window of the card as it is laid flat again, from a phone that leans up to ten degrees. */
function heldOverCard(flat: ScaledImage, random: () => number): ScaledImage {
  const held = { tilt: 0.35 * (random() - 0.5), turn: 0.2 * (random() - 0.5) };
  return windowOf(scrapOnCard(flat, { ...held, roundPx: 160 }));
}

/** A drawn photo, and what is true of it. */
export interface DrawnPhoto {
  readonly window: ReturnType<typeof photographed>;
  readonly expected: ReturnType<typeof expectedOn>;
  readonly dials: DialSettings;
  readonly truth: readonly {
    readonly atMm: readonly [number, number];
    /** The counted check’s value. */
    readonly depthMm: number;
    /** Whether this face shows it. */
    readonly isSeen: boolean;
  }[];
}

const windowMm = [100, 60] as const;

/** A scrap as one hand sews it. */
function sewnScrap({ finish, plan, lengthMm }: EyeCase, random: () => number) {
  const set = setUpOf(finish, plan);
  const margin = marginOfPlan(finish, plan.fold.variant);
  const start = startingSetting(finish, plan, set);
  // One hand bites deeper, another shallower.
  const widthMm = start.widthMm > 0 ? Math.max(0.5, start.widthMm + random() - 0.5) : 0;
  const dials = { ...start, widthMm, lengthMm };
  const [reference] = margin.references(plan, dials);
  const swatch = sewSwatch(set, dials, reference, 92, Math.floor(random() * 1e9));
  return { set, margin, dials, swatch };
}

/** How a scrap was laid into the window, on what cloth, and under which lamp. */
interface Laid {
  readonly lying: Lying;
  readonly fold: RoundFold | null;
  readonly sewnWith: DrawnThread;
  /** What is drawn at random is the same for the same one: of the cloth, and of what the sensor adds. */
  readonly seeds: { readonly cloth: string; readonly shot: string };
}

/** Lays a scrap into the window somehow. */
function laidSomehow({ isRound, isAnyThread }: EyeCase, random: () => number): Laid {
  const lying: Lying = {
    middleMm: [50 + random() * 4 - 2, 30 + random() * 20 - 10],
    angle: (random() - 0.5) * 0.2,
    turned: random() < 0.5 ? [1, 1] : [-1, -1],
  };
  const seed = String(random());
  const fold = isRound ? drawnFold(seedrandom(`${seed} fold`)) : null;
  const sewnWith = isAnyThread ? drawnThread(seedrandom(`${seed} thread`)) : usualThread;
  return { lying, fold, sewnWith, seeds: { cloth: seed, shot: seed } };
}

/** The same scrap as it lies, its card turned half round under the lamp. */
const lampAcross = ({ fold, seeds, ...same }: Laid): Laid => ({
  ...same,
  fold: fold && { ...fold, lamp: { ...fold.lamp, fromBeyond: -fold.lamp.fromBeyond } },
  seeds: { ...seeds, shot: `${seeds.shot} again` },
});

/** Takes the photo of a face of a scrap that was laid into the window. */
function photoOf(
  it: EyeCase,
  face: Face,
  { set, margin, dials, swatch }: ReturnType<typeof sewnScrap>,
  { lying, fold, sewnWith, seeds }: Laid,
  random: () => number,
): DrawnPhoto {
  const { finish, plan } = it;
  const shown = face === 'right' ? shownThreadMm(margin, set, plan, dials, swatch) : null;
  const expected = expectedOn('wrong', finish, plan, set, dials);
  const beyond = expected.seen.endsThere ? 'paper' : 'under';
  const beyondSide = -upperSideOf(expected.seen) as 1 | -1;
  const look: ScrapLook = { ...it.look, beyond, beyondSide, fold, sewnWith, seed: seeds.cloth };
  const flat = drawnScrap(swatch, shown, look, lying, windowMm, it.pxPerMm);
  const shot = { blurMm: it.blurMm, noise: it.noise, falloff: random() * 0.4 };
  const check = set.checks.find(({ name }) => name === margin.countedCheck)!;
  const [c, s] = [Math.cos(lying.angle), Math.sin(lying.angle)];
  const counted = swatch.holes.filter(({ stitch }) => stitch !== null);
  const window = photographed(flat, { ...shot, seed: seeds.shot });
  return {
    window: it.onCard ? heldOverCard(window, random) : window,
    expected: face === 'wrong' ? expected : expectedOn(face, finish, plan, set, dials),
    dials,
    truth: counted.map(({ yMm, fromReferenceMm, stitch }) => {
      const bend = it.look.edge
        ? it.look.edge.waveMm * Math.sin((2 * Math.PI * yMm) / it.look.edge.everyMm)
        : 0;
      const u = lying.turned[0] * (yMm - swatch.lengthMm / 2);
      const v = lying.turned[1] * (shown ? 0 : fromReferenceMm + bend);
      const drift = swatch.stitches[stitch!]!.driftMm[check.source] ?? 0;
      return {
        atMm: [lying.middleMm[0] + u * c - v * s, lying.middleMm[1] + u * s + v * c],
        depthMm: undriftedMm(check, dials) + check.k * drift,
        isSeen: shown === null || (shown[stitch!] ?? 0) > 0,
      };
    }),
  };
}

/** Sews a scrap, lays it into the window somehow and takes its photo. @param random 0 … 1 */
export const drawnPhoto = (it: EyeCase, random: () => number): DrawnPhoto =>
  photoOf(it, it.face, sewnScrap(it, random), laidSomehow(it, random), random);

/** Both faces of one scrap, each laid into the window by itself; what is true of them in one order. */
export function drawnFaces(it: EyeCase, random: () => number): Record<Face, DrawnPhoto> {
  const sewn = sewnScrap(it, random);
  const taken = (face: Face) => photoOf(it, face, sewn, laidSomehow(it, random), random);
  return { wrong: taken('wrong'), right: taken('right') };
}

/** One face of a scrap under a lamp, and once more with the lamp on its other side. */
export function drawnLights(it: EyeCase, random: () => number): readonly [DrawnPhoto, DrawnPhoto] {
  const sewn = sewnScrap(it, random);
  const laid = laidSomehow(it, random);
  const one = photoOf(it, it.face, sewn, laid, random);
  return [one, photoOf(it, it.face, sewn, lampAcross(laid), random)];
}
