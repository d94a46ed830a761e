import { carryOver } from '../../core/book/carry';
import { skillsOf, type Skill } from '../../core/book/skill';
import type { Garment } from '../../core/garment/garment';
import type { GarmentRecords } from '../../core/garment/of-records';
import type { Drawer } from '../../core/garment/ready';
import { orderedWork, type OrderedWork } from '../../core/garment/work-of';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { stepsLeft, type StepsLeft } from '../../core/garment/steps-left';
import type { Carried } from '../../core/plan/carried';
import { edgeSheet, type EdgeSheet, type SheetAsked } from '../../core/plan/edge-sheet';
import { lessonOf, type Lesson, type SewnSample } from '../../core/plan/learn-plan';
import { alongBestOrFirst } from '../../core/plan/ride';
import type { Entry } from '../database/rows';
import { wardrobe } from '../demo/wardrobe';
import { knownFinish } from './known-finish';
import { scrapAnswer, type ScrapAsked } from './scrap-answer';
import type { TaughtScrap } from './taught-scrap';

/** Sums that the server itself needs while it reads and writes records; too long for its thread. */
export const innerSums = {
  /** A plan led along the reference of its foot that harms least. */
  ride: ({ finish, plan }: { readonly finish: string; readonly plan: SewingPlan }): SewingPlan =>
    alongBestOrFirst(knownFinish(finish), plan),

  /** What a plan can take over from scraps of other edges. */
  carried: ({
    plan,
    ofFoot,
    ofHand,
  }: {
    readonly plan: SewingPlan;
    readonly ofFoot: readonly TaughtScrap[];
    readonly ofHand: readonly TaughtScrap[];
  }): ReturnType<typeof carryOver> => carryOver(plan, ofFoot, ofHand),

  /** A garment's work in its order. */
  garment: ({
    records,
    garment,
    drawer,
  }: {
    readonly records: GarmentRecords;
    readonly garment: Garment;
    readonly drawer: Omit<Drawer, 'machines' | 'feet'>;
  }): OrderedWork => orderedWork(records, garment, drawer),

  /** How far the work on each edge has come. */
  stepsLeft: (records: GarmentRecords): StepsLeft[] => stepsLeft(records),

  /** What scraps advise next. */
  advice: ({
    finish,
    plan,
    samples,
    carried,
    acceptedShare,
  }: {
    readonly finish: string;
    readonly plan: SewingPlan;
    readonly samples: readonly SewnSample[];
    readonly carried: Carried;
    readonly acceptedShare: number;
  }): { readonly enough: boolean; readonly change: Lesson['next']['change'] } => {
    const { enough, next } = lessonOf(knownFinish(finish), plan, samples, carried, acceptedShare);
    return { enough, change: next.change };
  },

  /** The work on an edge, to be printed. */
  sheet: ({
    finish,
    ...asked
  }: Omit<SheetAsked, 'finish'> & { readonly finish: string }): EdgeSheet =>
    edgeSheet({ ...asked, finish: knownFinish(finish) }),

  /** The demo, whose scraps are sewn by the sums themselves. */
  wardrobe: (_nothing: null): readonly Entry[] => wardrobe(),

  /** What a photographed scrap shows. */
  scrap: (asked: ScrapAsked) => scrapAnswer(asked),

  /** The skill along every kind of guidance. */
  skills: (scraps: readonly TaughtScrap[]): Skill[] => skillsOf(scraps),
} as const;

export type InnerSum = keyof typeof innerSums;
