import * as z from 'zod';
import { lengthUnits } from '../core/measure/unit';
import { mostPlates } from '../core/seam/plates';
import { symptomIds } from '../core/diagnose/symptom';
import { aims } from '../core/finish/sewing-plan';
import { threadMatches } from '../core/kit/thread';
import { clothDraft, clothProperties, colour } from './cloth';
import {
  edgeLengthMm,
  edgeShape,
  joining,
  minRadiusMm,
  oldHem,
  pairing,
  purpose,
  seamAllowanceMm,
  wishedDepthMm,
} from './edge';
import { edgeForm } from './edge-form';
import { garment, took } from './garment';
import { footDraft, machineDraft, needleDraft, threadDraft } from './kit';
import {
  counted,
  dialSettings,
  faultWeights,
  foldWish,
  needleSize,
  pickMm,
  placing,
  sewingPlan,
  stitch,
} from './plan';
import { within } from './number';
import { photoId } from './photo';
import { crossings } from './seam';
import { title } from './title';

/** Chosen ways by the question's id. */
const schools = z.record(z.string().max(64), z.string().max(64));
const id = z.string().min(1).max(64);
const text = (most: number) => z.string().max(most, `At most ${most} characters.`);
/** What every stored record carries: `version` rises with each write. */
const stored = { id, version: z.int(), createdAt: z.string(), updatedAt: z.string() };

export const cloth = z.object({
  ...stored,
  ...clothDraft.shape,
  /** Derived from the tests by the server; never written. */
  properties: clothProperties,
});
export type ClothRecord = z.infer<typeof cloth>;

export const machineRecord = z.object({ ...stored, ...machineDraft.shape });
export type MachineRecord = z.infer<typeof machineRecord>;

export const footRecord = z.object({ ...stored, ...footDraft.shape });
export type FootRecord = z.infer<typeof footRecord>;

export const needleRecord = z.object({ ...stored, ...needleDraft.shape });
export type NeedleRecord = z.infer<typeof needleRecord>;

export const threadRecord = z.object({ ...stored, ...threadDraft.shape });
export type ThreadRecord = z.infer<typeof threadRecord>;

export const projectDraft = z.strictObject({
  name: title('project'),
  note: text(2000),
  /** What makes it a garment; null while nobody said. */
  garment: garment.nullable().default(null),
});
export type ProjectDraft = z.infer<typeof projectDraft>;
export const project = z.object({ ...stored, ...projectDraft.shape });
export type ProjectRecord = z.infer<typeof project>;

export const edgeDraft = z.strictObject({
  projectId: id,
  name: title('edge'),
  /** What it is on: a skirt, a sleeve, a curtain. */
  on: text(120),
  clothId: id,
  /** What it is for. */
  purpose: purpose.default('hem'),
  /** A hem that is in it already; null for none. */
  oldHem: oldHem.nullable().default(null),
  /** Open still, or sewn into a round; null goes by the shape. */
  joined: joining.nullable().default(null),
  /** Whether a second one has to come out the same. */
  pair: pairing.default('alone'),
  /** The depth of hem one would like; null leaves it to the finish. */
  depthMm: wishedDepthMm.nullable().default(null),
  /** What a seam joins this edge to, and how much cloth it takes. */
  secondEdge: text(120).nullable().default(null),
  seamAllowanceMm: seamAllowanceMm.nullable().default(null),
  shape: edgeShape,
  lengthMm: edgeLengthMm,
  minRadiusMm,
  /** How far a curved edge turns; null for all the way round. */
  turnDegrees: within(1, 360, '°').nullable(),
  /** What has to pass through a closed edge, as a girth: a head, a hand. */
  passesOverMm: within(10, 5000, ' mm').nullable(),
  crossings,
  /** How it was measured; what follows from that stands in shape, length, radius and turn. */
  form: edgeForm.nullable().default(null),
  /** On something for a small child, so that nothing may come off. */
  forChild: z.boolean().default(false),
  /** Cloth beyond the finished edge, where it is cut already. */
  spareMm: within(0, 2000, ' mm').nullable().default(null),
});
export type EdgeDraft = z.infer<typeof edgeDraft>;
export const edge = z.object({ ...stored, ...edgeDraft.shape });
export type EdgeRecord = z.infer<typeof edge>;

export const planDraft = z.strictObject({
  edgeId: id,
  /** Null until a finish is taken; the lengths beside it say nothing until then. */
  finish: z.string().nullable(),
  fold: foldWish,
  machineId: id,
  footId: id,
  stitch,
  needleSize,
  pickMm,
  faultWeights,
  /** What one would rather have of the stitches. */
  aim: z.enum(aims, { error: `One wants to ${aims.join(', ')}.` }).default('even'),
  /** What it is sewn with on the right side, and its colour where one was picked. */
  thread: z
    .enum(threadMatches, { error: `A thread is ${threadMatches.join(', ')}.` })
    .default('matching'),
  threadColour: colour.nullable().default(null),
  /** Which reference of the foot it is led along; null for the best. */
  reference: z.string().max(80).nullable().default(null),
  /** The cloth a binding is made of; null for the cloth of the edge. */
  stripClothId: id.nullable().default(null),
  /** What folds the strip before the foot; null for none. */
  attachmentId: id.nullable().default(null),
  /** How that stands on the machine; null for as usual. */
  placing: placing.nullable().default(null),
  /** Null follows the solved setting; otherwise where the person put the dials. */
  settings: dialSettings.nullable(),
  /** The attempt whose setting was kept for the real edge. */
  keptAttemptId: id.nullable(),
  schools,
  /** Steps of the work that are done, by id. */
  ticks: z.array(z.string().max(64)).max(200),
  /** What steps took that were timed, by id. */
  took: took.default({}),
  /** Whether what was learned elsewhere with this foot and this hand is taken over. */
  carryOver: z.boolean().default(true),
});
export type PlanDraft = z.infer<typeof planDraft>;
export const plan = z.object({ ...stored, ...planDraft.shape });
export type PlanRecord = z.infer<typeof plan>;

/** What the person thinks of a scrap as a whole. */
export const verdicts = ['keep', 'nearly', 'no'] as const;
export type Verdict = (typeof verdicts)[number];

export const attemptDraft = z.strictObject({
  /** Given by the client, so that sending twice records once. */
  id: z.uuid('An attempt’s id is a UUID.').optional(),
  planId: id,
  /** Where the solved dials stood; null for a finish that has none. */
  settings: dialSettings.nullable(),
  /** Where everything else stood that was set to a number or a word, by the value's id. */
  dialValues: z.record(z.string().max(64), z.union([z.number(), z.string().max(200)])).default({}),
  counts: z.array(counted).max(10),
  /** What was measured on a looped edge: a marked length, and where the looper threads lock. */
  measured: z
    .strictObject({
      beforeMm: within(20, 5000, ' mm'),
      afterMm: within(5, 10_000, ' mm'),
      /** From the edge to the lock, towards the top positive; null where nobody looked. */
      lockMm: within(-10, 10, ' mm').nullable(),
    })
    .nullable()
    .default(null),
  /** Corners that were bound, and those that gape or pucker; null where nobody looked. */
  corners: z
    .strictObject({ n: z.int().min(1).max(1000), missed: z.int().min(0).max(1000) })
    .refine(({ n, missed }) => missed <= n, {
      path: ['missed'],
      error: 'More corners were missed than were sewn.',
    })
    .nullable()
    .default(null),
  /** Which other pass of the work it is a scrap of; null for the line itself. */
  pass: z.string().max(64).nullable().default(null),
  /** What was seen beside what is counted. */
  symptoms: z
    .array(z.enum(symptomIds, 'There is no such symptom.'))
    .max(symptomIds.length)
    .default([]),
  verdict: z.enum(verdicts, 'A verdict is keep, nearly or no.').nullable().default(null),
  /** The photo in which what was measured has its places. */
  photoId: photoId.nullable().default(null),
  /** Where both faces were photographed, the photo of the other one. */
  otherFacePhotoId: photoId.nullable().default(null),
  /** The day it was sewn; null for today. */
  sewnOn: z.iso.date('A day is written 2026-11-25.').nullable().default(null),
  note: text(2000),
  /** The setting to start from on this cloth, with this finish, on this machine. */
  pinned: z.boolean().default(false),
});
export type AttemptDraft = z.infer<typeof attemptDraft>;

/** An attempt as it is kept and carried: it stands on its own, whatever becomes of its plan. */
export const bookEntry = z.strictObject({
  ...attemptDraft.omit({ id: true }).shape,
  /** Null where the edge it was sewn for is gone, or was never here. */
  planId: id.nullable(),
  /** 1 for the first of its plan. */
  number: z.int().min(1),
  finish: z.string().max(64),
  clothId: id.nullable(),
  machineId: id.nullable(),
  footId: id.nullable(),
  /** The names then in use. */
  names: z.strictObject({ cloth: text(120), machine: text(120), foot: text(120) }),
  /** The set-up as it was when the sample was sewn. */
  setUp: sewingPlan,
});
export type BookEntry = z.infer<typeof bookEntry>;
export const attempt = z.object({ ...stored, ...bookEntry.shape });
export type AttemptRecord = z.infer<typeof attempt>;

export const inchRoundings = ['1/8', '1/16', '1/32'] as const;
export const preferencesDraft = z.strictObject({
  unit: z.enum(lengthUnits),
  inchRounding: z.enum(inchRoundings),
  /** The person's default on every question practitioners differ on. */
  schools,
  /** The share of stitches one is content to sew again. */
  acceptedPercent: within(0.1, 50, ' %').default(2),
  /** Levelling plates one owns, by how thick each is. */
  platesMm: z
    .array(within(0.3, 12, ' mm'))
    .max(mostPlates, `At most ${mostPlates} plates.`)
    .default([]),
});
export type PreferencesDraft = z.infer<typeof preferencesDraft>;
export const preferences = z.object({ ...stored, ...preferencesDraft.shape });
export type PreferencesRecord = z.infer<typeof preferences>;

/** What undo and redo would do next; null when there is nothing. */
export const history = z.object({ undo: z.string().nullable(), redo: z.string().nullable() });
export type History = z.infer<typeof history>;
