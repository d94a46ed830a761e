import * as z from 'zod';
import { edgeTurns, garmentKinds, ownPlaces, type Garment } from '../core/garment/garment';
import { within } from './number';
import { title } from './title';

/** An edge's id and a step's, with a slash between. */
const taskId = z.string().min(1).max(160);
const id = z.string().min(1).max(64);
const shortText = (most: number) => z.string().max(most, `At most ${most} characters.`);

/** More of anything than this is no garment. */
const most = <T extends z.ZodType>(items: T, count: number, what: string) =>
  z.array(items).max(count, `At most ${count} ${what}.`);

/** Whether this machine's table of time zones knows a name. */
function isTimeZone(name: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name }));
  } catch {
    return false;
  }
}

export const garmentKind = z.enum(garmentKinds, {
  error: `A garment is one of ${garmentKinds.join(', ')}.`,
});

/** The evenings one has. */
export const evenings = z.strictObject({
  startOn: z.iso.date('A day is written 2026-11-25.'),
  weekdays: z
    .array(z.int().min(0).max(6))
    .min(1, 'Pick at least one day of the week.')
    .max(7)
    .refine((days) => new Set(days).size === days.length, { error: 'Each day once.' }),
  fromTime: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time is written 19:30.'),
  minutes: within(10, 720, ' min'),
  timeZone: z
    .string()
    .max(64)
    .refine(isTimeZone, { error: 'This time zone is not known; one is Europe/Vienna.' }),
});

/** What makes a project a garment. */
export const garment = z.strictObject({
  kind: garmentKind.nullable(),
  pieces: most(
    z.strictObject({ name: title('piece'), count: z.int().min(1).max(200) }),
    60,
    'pieces',
  ),
  meets: most(
    z.strictObject({
      edgeId: id,
      seamId: id,
      edge: z.enum(edgeTurns, { error: 'An edge is finished before a seam or after.' }),
    }),
    200,
    'meetings',
  ),
  own: most(
    z.strictObject({
      id,
      text: shortText(300).min(1, 'Say what is to be done.'),
      minutes: within(0, 1440, ' min'),
      place: z.enum(ownPlaces, { error: `It is done at: ${ownPlaces.join(', ')}.` }),
      beforeEdges: most(id, 60, 'edges'),
      afterEdges: most(id, 60, 'edges'),
    }),
    60,
    'tasks of its own',
  ),
  before: most(z.tuple([taskId, taskId]), 200, 'wishes'),
  sequence: most(taskId, 500, 'tasks').nullable(),
  done: most(taskId, 200, 'ticks'),
  ready: most(shortText(200), 300, 'ticks'),
  evenings: evenings.nullable(),
}) satisfies z.ZodType<Garment>;

/** What steps took, by the step's id. */
export const took = z.record(
  z.string().max(160),
  z.strictObject({ minutes: within(0, 10_000, ' min'), usualMinutes: within(0, 10_000, ' min') }),
);

/** `POST /api/garments`: a project of a known kind, with its edges and seams. */
export const garmentRequest = z.strictObject({
  kind: garmentKind,
  name: title('project'),
  note: shortText(2000).default(''),
  clothId: id,
});
