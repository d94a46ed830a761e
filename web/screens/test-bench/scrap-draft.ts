import { symptomIds, type SymptomId } from '../../../core/diagnose/symptom';
import type { DialSettings } from '../../../core/kit/dial-steps';
import { keepHere, keptHere, useKeptHere } from '../../ground/kept-here';
import { newId } from '../../ground/new-id';
import { verdicts, type Verdict } from '../../../contract/records';
import type { KeptDepth } from './finds';
import type { FindsByFace } from './joined-finds';

/** A scrap that is being written down. */
export interface ScrapDraft {
  /** Chosen with the draft: sending it twice records it once. */
  readonly id: string;
  /** What was really on the dials, where it differs from the plan; null follows the plan. */
  readonly settings: DialSettings | null;
  /** Starting values that were set otherwise, by their id. */
  readonly dialValues: Readonly<Record<string, number | string>>;
  readonly n: number | null;
  readonly short: number | null;
  readonly over: number | null;
  /** Those of n that were measured in a photo; gone once the counts are set otherwise. */
  readonly depths?: readonly KeptDepth[];
  /** What was found on the faces that were photographed; gone with the depths. */
  readonly faces?: FindsByFace;
  /** How likely the right side among them is of the length that is set, 0 … 1. */
  readonly rightAsSet?: number;
  /** Faults of the check that another drift decides, where there is one. */
  readonly also: number | null;
  /** Faults of checks that are counted only when one wants to; by their name. */
  readonly more: Readonly<Record<string, { readonly short: number; readonly over: number }>>;
  /** A marked length before and after, and where the loopers lock; on a looped edge. */
  readonly beforeMm: number | null;
  readonly afterMm: number | null;
  readonly lockMm: number | null;
  /** Bound corners, and those that gape; null where nobody looked. */
  readonly corners: { readonly n: number; readonly missed: number } | null;
  readonly symptoms: readonly SymptomId[];
  readonly verdict: Verdict | null;
  readonly photoId: string | null;
  /** Of a scrap that was photographed on both faces. */
  readonly otherFacePhotoId?: string | null;
  /** Null for today. */
  readonly sewnOn: string | null;
  readonly note: string;
}

/** What one counts on a hand's length of scrap. */
const usualCount = 24;

/** The length one marks on a looped edge before sewing, mm. */
export const usualMarkMm = 100;

const blank = (): ScrapDraft => ({
  id: newId(),
  settings: null,
  dialValues: {},
  n: usualCount,
  short: 0,
  over: 0,
  also: 0,
  more: {},
  beforeMm: usualMarkMm,
  afterMm: null,
  lockMm: null,
  corners: null,
  symptoms: [],
  verdict: null,
  photoId: null,
  sewnOn: null,
  note: '',
});

const isCount = (value: unknown) => value === null || typeof value === 'number';
const isWord = (value: unknown) => value === null || typeof value === 'string';

/** Whether what the browser kept is a draft of this shape, and not of an older version's. */
function isDraft(value: unknown): value is ScrapDraft {
  const draft = value as Partial<ScrapDraft> | null;
  const dials = draft?.settings;
  return (
    typeof draft?.id === 'string' &&
    typeof draft.note === 'string' &&
    typeof draft.dialValues === 'object' &&
    draft.dialValues !== null &&
    [draft.n, draft.short, draft.over, draft.also, draft.rightAsSet ?? null].every(isCount) &&
    [draft.beforeMm, draft.afterMm, draft.lockMm].every(isCount) &&
    (draft.corners === null || typeof draft.corners?.n === 'number') &&
    typeof draft.more === 'object' &&
    draft.more !== null &&
    [draft.photoId, draft.otherFacePhotoId ?? null, draft.sewnOn].every(isWord) &&
    (draft.depths === undefined || Array.isArray(draft.depths)) &&
    [draft.faces?.wrong, draft.faces?.right].every(
      (finds) => finds === undefined || Array.isArray(finds),
    ) &&
    Array.isArray(draft.symptoms) &&
    (draft.symptoms as unknown[]).every((id) => symptomIds.includes(id as SymptomId)) &&
    (draft.verdict === null || verdicts.includes(draft.verdict as Verdict)) &&
    (dials === null ||
      [dials?.widthMm, dials?.lengthMm, dials?.needlePositionMm, dials?.guideMm].every(
        (mm) => typeof mm === 'number',
      ))
  );
}

const placeOf = (planId: string) => `scrap ${planId}`;
/** A draft has its id from when it is begun, though nothing of it is kept yet. */
const begun = new Map<string, ScrapDraft>();

function draftOf(planId: string): ScrapDraft {
  const kept = keptHere(placeOf(planId));
  if (isDraft(kept)) return kept;
  const fresh = begun.get(planId) ?? blank();
  begun.set(planId, fresh);
  return fresh;
}

export interface ScrapDraftState {
  readonly draft: ScrapDraft;
  set(patch: Partial<Omit<ScrapDraft, 'id'>>): void;
  /** Starts the next scrap. */
  clear(): void;
}

/**
 * The scrap being written down, kept over a reload until it is recorded. The table and the slip
 * look at the same one.
 */
export function useScrapDraft(planId: string): ScrapDraftState {
  const place = placeOf(planId);
  // What is kept is looked at, so that whatever changes it shows.
  useKeptHere(place, isDraft);
  return {
    draft: draftOf(planId),
    set: (patch) => keepHere(place, { ...draftOf(planId), ...patch }),
    clear: () => keepHere(place, blank()),
  };
}
