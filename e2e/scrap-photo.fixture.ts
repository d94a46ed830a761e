import sharp from 'sharp';
import { scrapOnCard } from '../core/study/card-photo';
import type { Face } from '../core/eye/seen-on';
import { finishById } from '../core/finish/catalogue';
import { marginOfPlan } from '../core/plan/margin-of-plan';
import { plainPlan } from '../core/plan/plain-plan';
import { setUpOf } from '../core/plan/set-up-of';
import { shownThreadMm } from '../core/plan/shown-thread';
import { eyeCases } from '../core/study/eye-cases';
import { drawnPhoto } from '../core/study/drawn-photo';
import { evenDraws } from '../core/swatch/draw';
import { usualThread } from '../core/study/drawn-thread';
import type { RoundFold } from '../core/study/round-fold';
import { drawnScrap, photographed } from '../core/study/scrap-photo';
import { sewSwatch } from '../core/swatch/swatch';

/** Where the cape's dials stand in the demo; the hand bites 0.3 mm deeper. */
const dials = { widthMm: 2.2, needlePositionMm: 0.4, guideMm: -0.7, lengthMm: 2.5 };
/** The cape's flannel, mm. */
const thicknessMm = 1;

/** A fold as round as the cape’s flannel makes it, under a lamp that stands over the cloth or beyond its fold. */
const litFrom = (side: 'cloth' | 'beyond'): RoundFold => ({
  ...{ roundMm: 0.3, ambient: 0.5 },
  lamp: { height: 0.8, fromBeyond: side === 'beyond' ? 0.8 : -0.8 },
});

/**
 * A photo of a face of a scrap of the cape’s blind hem on its card, as a JPEG, and how many bites it has.
 *
 * @param lit where the lamp stood, if its fold is to be seen round
 * @param deeperMm the hand bit so much deeper
 * @param lowerMm it lies so much farther down in the window
 */
export async function capeScrapPhoto(
  face: Face = 'wrong',
  {
    lit,
    deeperMm = 0,
    lowerMm = 0,
  }: {
    readonly lit?: 'cloth' | 'beyond';
    readonly deeperMm?: number;
    readonly lowerMm?: number;
  } = {},
): Promise<{ readonly jpeg: Buffer; readonly bites: number }> {
  const finish = finishById('blind-hem')!;
  const plan = plainPlan(finish, 'flat', { thicknessMm });
  const margin = marginOfPlan(finish, 'flat');
  const set = setUpOf(finish, plan);
  const [fold] = margin.references(plan, dials);
  const bitten = { ...dials, widthMm: dials.widthMm + deeperMm };
  const swatch = sewSwatch(set, bitten, fold, 95, 13);
  const flat = drawnScrap(
    swatch,
    face === 'right' ? shownThreadMm(margin, set, plan, bitten, swatch) : null,
    {
      ...{ cloth: 0.32, thread: 0.62, weave: 0.12, print: 'checked', shadow: 0.35 },
      ...{ beyond: 'under', beyondSide: 1, seed: 'w', fold: lit ? litFrom(lit) : null },
      sewnWith: usualThread,
    },
    { middleMm: [50, 32 + lowerMm], angle: 0.03, turned: face === 'right' ? [-1, -1] : [1, 1] },
    [100, 60],
    11,
  );
  const window = photographed(flat, { blurMm: 0.02, noise: 0, falloff: 0, seed: 'q' });
  const { width, height, grey } = scrapOnCard(window);
  const raw = { width, height, channels: 1 } as const;
  const jpeg = await sharp(Buffer.from(grey), { raw }).jpeg({ quality: 88 }).toBuffer();
  return { jpeg, bites: swatch.stitches.length };
}

/** A photo of an edge that was stretched, thread sewn over it, with two threads of the cloth that stick out far. */
export async function wavyEdgePhoto(): Promise<Buffer> {
  const kind = eyeCases().find(({ name }) => name === 'raw edge, overcast, striped, soft')!;
  const whiskers = [35, 62].map((alongMm) => ({ alongMm, lengthMm: 4, leanMm: 0.5 }));
  const edge = { waveMm: 1.2, everyMm: 28, whiskers };
  const { window } = drawnPhoto({ ...kind, look: { ...kind.look, edge } }, evenDraws(9));
  const { width, height, grey } = scrapOnCard(window);
  const raw = { width, height, channels: 1 } as const;
  return sharp(Buffer.from(grey), { raw }).jpeg({ quality: 88 }).toBuffer();
}

/** A picture that has nothing to do with it. */
export const noCard = (): Promise<Buffer> =>
  sharp({ create: { width: 640, height: 480, channels: 3, background: '#a87' } })
    .jpeg()
    .toBuffer();
