import * as z from 'zod';
import { within } from '../../contract/number';
import { expectedOn } from '../../core/eye/expected';
import { pictureOf, type ColourImage } from '../../core/eye/grey';
import { measurePhoto } from '../../core/eye/photo';
import { pageSizesMm, type PageSize } from '../../core/fold/gauge';
import { Impossible } from '../../core/impossible';
import { plainPlan } from '../../core/plan/plain-plan';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { parseBody } from '../http/refusal';
import { knownFinish } from './known-finish';

const number = (from: number, to: number, unit: string) =>
  z.coerce.number('A number is needed.').pipe(within(from, to, unit));

const pageSizes = Object.keys(pageSizesMm) as PageSize[];

/** What is said of a photographed scrap, in the address. */
export const scrapQuery = z.strictObject({
  finish: z.string('Name the finish.'),
  variant: z.string('Name the variant.'),
  face: z.enum(['right', 'wrong'], { error: 'A face is right or wrong.' }),
  /** Where the dials stood; the finish’s own starting setting where they are left out. */
  lengthMm: number(0.05, 20, ' mm').optional(),
  widthMm: number(0, 20, ' mm').optional(),
  /** How thick the cloth is: how much of a bite stays inside. */
  thicknessMm: number(0.01, 20, ' mm').optional(),
  /** The longest thread that may show. */
  pickMm: number(0, 10, ' mm').optional(),
  runStitches: z.coerce
    .number()
    .pipe(z.int('A whole number of stitches is needed.').min(1).max(40))
    .optional(),
  mirror: z.enum(['true', 'false'], { error: 'It is true or false.' }).optional(),
  page: z.enum(pageSizes, { error: `A page is ${pageSizes.join(' or ')}.` }).default('a4'),
});

/** A photo’s red, green and blue, and what is said of it. */
export interface ScrapAsked {
  readonly query: unknown;
  readonly picture: Omit<ColourImage, 'perPixel'>;
}

/** The answer of `/api/compute/scrap`. @throws Impossible, or Refusal for what is asked */
export function scrapAnswer({ query, picture }: ScrapAsked) {
  const asked = parseBody(scrapQuery, query);
  const finish = knownFinish(asked.finish);
  const plan = plainPlan(finish, asked.variant, { ...asked, mirror: asked.mirror === 'true' });
  const set = setUpOf(finish, plan);
  const start = startingSetting(finish, plan, set);
  const dials = {
    ...start,
    lengthMm: asked.lengthMm ?? start.lengthMm,
    widthMm: asked.widthMm ?? start.widthMm,
  };
  const expected = expectedOn(asked.face, finish, plan, set, dials);
  const photo = measurePhoto(pictureOf({ ...picture, perPixel: 3 }), expected, asked.page);
  // Nobody stops it here; the thread is ended instead.
  if (!photo) throw new Impossible([]);
  const { measured, pxPerMm, tiltDegrees, card } = photo;
  return {
    ...{ pxPerMm, tiltDegrees },
    window: { widthMm: card.window.widthMm, heightMm: card.window.heightMm },
    stitches: measured.stitches.map(({ counted: _counted, ...stitch }) => stitch),
    counts: measured.counts,
    lengthMm: measured.lengthMm,
    widthMm: measured.widthMm,
    edge: measured.edge,
    otherLength: measured.otherLength,
    sure: measured.sure,
  };
}
