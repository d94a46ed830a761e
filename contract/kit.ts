import * as z from 'zod';
import { fibres } from '../core/cloth/about-cloth';
import { guidances, type Foot, type Guidance, type Guide } from '../core/kit/foot';
import { footKinds } from '../core/kit/foot-kind';
import { machineKinds, patternsOfKind, type Machine } from '../core/kit/machine';
import { needlePoints } from '../core/kit/needle';
import { usualIds, type UsualId } from '../core/kit/put-back';
import { shanks } from '../core/kit/shank';
import { threadUses } from '../core/kit/thread';
import { patterns } from '../core/stitch/stitch';
import { intervalMm, stepMm, within } from './number';
import { presserLiftMm } from './seam';
import { title } from './title';

const shank = z.enum(shanks, { error: `A foot is held by ${shanks.join(', ')}.` });

/** A machine as the sums take it. */
export const machine = z
  .strictObject({
    kind: z.enum(machineKinds, { error: `A machine is one of ${machineKinds.join(', ')}.` }),
    maxWidthMm: within(0, 20, ' mm'),
    widthStepMm: stepMm,
    maxLengthMm: within(0.1, 20, ' mm'),
    lengthStepMm: stepMm,
    needleRangeMm: z
      .tuple([within(-20, 20, ' mm'), within(-20, 20, ' mm')])
      .refine(([left, right]) => left <= right, {
        error: 'The first number must not be more than the second.',
      }),
    needleStepMm: stepMm,
    plateHoleMm: intervalMm.nullish(),
    presserLiftMm: presserLiftMm.nullish(),
    presserLiftHighMm: presserLiftMm.nullish(),
    differentialRange: z
      .tuple([within(0.2, 4), within(0.2, 4)])
      .refine(([least, most]) => least <= most, {
        error: 'The first number must not be more than the second.',
      })
      .nullish(),
    differentialStep: within(0.01, 1).nullish(),
    lengthMeans: z.enum(['stitch', 'repeat']).optional(),
    patterns: z.array(z.enum(patterns)).min(1, 'A machine has at least one stitch.').nullish(),
    shanks: z.array(shank).max(shanks.length).nullish(),
  })
  .refine((it) => (it.presserLiftHighMm ?? Infinity) >= (it.presserLiftMm ?? 0), {
    path: ['presserLiftHighMm'],
    error: 'The higher lift is not less than the ordinary one.',
  })
  .refine((it) => it.lengthStepMm <= it.maxLengthMm, {
    path: ['lengthStepMm'],
    error: 'The step must not be more than the longest stitch.',
  })
  .refine((it) => (it.patterns ?? []).every((one) => patternsOfKind(it.kind).includes(one)), {
    path: ['patterns'],
    error: ({ input }) => {
      const { kind, patterns: listed } = input as Machine;
      const possible = patternsOfKind(kind);
      const odd = (listed ?? []).filter((one) => !possible.includes(one));
      return `A ${kind} machine cannot have ${odd.join(', ')}; it can have ${possible.join(', ')}.`;
    },
  }) satisfies z.ZodType<Machine>;

const guide = z.union(
  [
    z.strictObject({ atMm: within(-60, 60, ' mm') }),
    z.strictObject({ rangeMm: intervalMm, stepMm: stepMm.optional() }),
  ],
  { error: 'A guide is {"atMm":x} or {"rangeMm":[left,right],"stepMm":0.25}, left before right.' },
);

const guidance = z.enum(guidances, { error: `A fold rides on one of ${guidances.join(', ')}.` });

/** One of the places along which an edge can be led. */
const reference = z.strictObject({
  name: title('reference', 80),
  guidance,
  guide,
  besideMm: intervalMm.nullish(),
});

/** The most references a foot can have. */
export const mostReferences = 24;

const footFields = {
  slotMm: intervalMm.nullish().transform((slot) => slot ?? null),
  besideMm: intervalMm.nullish(),
  guidance: guidance.optional(),
  guide: guide.optional(),
  references: z
    .array(reference)
    .min(1, 'Give at least one reference, or leave them out.')
    .max(mostReferences, `At most ${mostReferences} references.`)
    .refine((all) => new Set(all.map(({ name }) => name)).size === all.length, {
      error: 'Every reference has a name of its own.',
    })
    .nullish(),
  /** The name of the one it rides; left out, the best of them is found. */
  reference: z.string().max(80).nullish(),
  shank: shank.nullish(),
};

/** A foot as it is sent, before the first of its references stands for guidance and guide. */
interface SentFoot {
  readonly slotMm: readonly [number, number] | null;
  readonly besideMm?: readonly [number, number] | null | undefined;
  readonly guidance?: Guidance | undefined;
  readonly guide?: Guide | undefined;
  readonly references?:
    | readonly { name: string; guidance: Guidance; guide: Guide }[]
    | null
    | undefined;
  readonly reference?: string | null | undefined;
}

/** What is wrong with a foot as a whole. */
function footTroubles(it: SentFoot): { path: string; message: string }[] {
  const names = (it.references ?? []).map(({ name: known }) => known);
  return [
    ...(it.slotMm === null && !it.besideMm
      ? [
          {
            path: 'slotMm',
            message: 'A foot has a slot, or stands beside the needle: give slotMm or besideMm.',
          },
        ]
      : []),
    ...(!it.references && !(it.guidance && it.guide)
      ? [
          {
            path: it.guidance ? 'guide' : 'guidance',
            message: 'Say what the edge rides along: guidance and guide, or references.',
          },
        ]
      : []),
    ...(it.reference && it.references && !names.includes(it.reference)
      ? [
          {
            path: 'reference',
            message: `This foot has no reference “${it.reference}”; it has ${names.join(', ')}.`,
          },
        ]
      : []),
  ];
}

/** Refuses a foot that contradicts itself. */
function refuseFoot(it: SentFoot, context: z.core.$RefinementCtx<unknown>): void {
  for (const { path, message } of footTroubles(it)) {
    context.addIssue({ code: 'custom', path: [path], message });
  }
}

/** Guidance and guide of a foot that named only references are those it rides, or the first. */
function withGuide<T extends SentFoot>(it: T): T & { guidance: Guidance; guide: Guide } {
  const named = it.references?.find(({ name: known }) => known === it.reference);
  const taken = named ?? it.references?.[0];
  return {
    ...it,
    guidance: it.guidance ?? taken?.guidance ?? 'edge',
    guide: it.guide ?? taken?.guide ?? { atMm: 0 },
  };
}

/**
 * A foot as the sums take it: a slot, or where it stands beside the needle; and what an edge rides
 * along, one place or several by name.
 */
export const foot = z
  .strictObject(footFields)
  .superRefine(refuseFoot)
  .transform((it): Foot => withGuide(it));

/** A foot of a drawer that is sent with a request, with what it is made for. */
export const kitFoot = z
  .strictObject({
    kind: z.enum(footKinds, { error: `A foot is one of ${footKinds.join(', ')}.` }),
    channelMm: within(0.5, 80, ' mm').nullish(),
    mouthMm: within(1, 150, ' mm').nullish(),
    stripMm: within(1, 150, ' mm').nullish(),
    flangeMm: intervalMm.nullish(),
    ...footFields,
  })
  .superRefine(refuseFoot)
  .transform(withGuide);

/** The travel of a flange. */
const flange = intervalMm.refine(([least]) => least >= 1, {
  error: 'A flange goes from 1 mm upwards.',
});

const note = z.string().max(2000, 'At most 2000 characters.');

const setTo = z.union([within(-1000, 1000), z.string().max(60, 'At most 60 characters.')]);

/** A setting saved on a machine under a name. */
export const memorised = z.strictObject({
  id: z.string().min(1).max(64),
  name: title('setting', 80),
  cloth: z.string().max(120),
  finish: z.string().max(64),
  variant: z.string().max(64),
  foot: z.string().max(250),
  pattern: z.enum(patterns),
  /** Where the solved dials stood; null for a finish that has none. */
  settings: z
    .strictObject({
      widthMm: within(0, 20, ' mm'),
      lengthMm: within(0.05, 20, ' mm'),
      needlePositionMm: within(-20, 20, ' mm'),
      guideMm: within(-60, 60, ' mm'),
    })
    .nullable(),
  /** What stood beside them, by the value's id. */
  values: z.record(z.string().max(64), setTo),
});
export type Memorised = z.infer<typeof memorised>;

/** A machine in the drawer. */
export const machineDraft = z.strictObject({
  name: title('machine'),
  specs: machine,
  note,
  /** How it usually stands, where somebody said. */
  usual: z
    .strictObject(
      Object.fromEntries(usualIds.map((id) => [id, setTo.optional()])) as Record<
        UsualId,
        z.ZodOptional<typeof setTo>
      >,
    )
    .default({}),
  /** Settings saved on it, the newest first. */
  memory: z.array(memorised).max(200, 'A machine remembers 200 settings.').default([]),
});
export type MachineDraft = z.infer<typeof machineDraft>;

/** A foot or an attachment in the drawer, with the outline that its drawing needs. */
export const footDraft = z.strictObject({
  name: title('foot'),
  kind: z.enum(footKinds, { error: `A foot is one of ${footKinds.join(', ')}.` }),
  /** Scroll of a hemmer, width of a wide hemmer; null for the others. */
  channelMm: within(0.5, 80, ' mm').nullable(),
  /** How wide an attachment's mouth is, where a strip goes in. */
  mouthMm: within(1, 150, ' mm').nullable().default(null),
  /** The strip that an attachment is made for. */
  stripMm: within(1, 150, ' mm').nullable().default(null),
  /** From where to where the flange moves that holds the strip. */
  flangeMm: flange.nullable().default(null),
  specs: foot,
  soleMm: z.strictObject({
    widthMm: within(4, 60, ' mm'),
    toeMm: within(2, 60, ' mm'),
    heelMm: within(2, 60, ' mm'),
    /** From the toe to an attachment's scroll. */
    standOffMm: within(0, 60, ' mm').optional(),
  }),
  note,
});
export type FootDraft = z.infer<typeof footDraft>;

const pieces = z.int('A whole number is needed.').min(0).max(10_000, 'At most 10,000.');

/** Needles of one kind in the drawer. */
export const needleDraft = z.strictObject({
  name: title('needle'),
  size: within(40, 140),
  point: z.enum(needlePoints, { error: `A point is one of ${needlePoints.join(', ')}.` }),
  /** How many are left. */
  left: pieces,
  note,
});
export type NeedleDraft = z.infer<typeof needleDraft>;

/** A thread in the drawer. */
export const threadDraft = z.strictObject({
  name: title('thread'),
  use: z.enum(threadUses, { error: `A thread is one of ${threadUses.join(', ')}.` }),
  fibre: z.enum(fibres, { error: `A fibre is one of ${fibres.join(', ')}.` }).nullable(),
  /** Weight of a kilometre, g. */
  tex: within(1, 500, ' tex').nullable(),
  colour: z.string().max(60, 'At most 60 characters.'),
  note,
});
export type ThreadDraft = z.infer<typeof threadDraft>;
