import { localDay } from '../../../core/book/day';
import { symptomsOf } from '../../../core/diagnose/symptom';
import type { AttemptDraft } from '../../../contract/records';
import type { Bench } from '../../bench/bench';
import { isLooped } from '../edge/looped';
import { hasBoundCorners } from './corners-fields';
import { measuredOf } from './measured-fields';
import type { ScrapDraft } from './scrap-draft';
import { setValuesOf } from './set-values';
import { situationOf } from './situation';

/** The checks that are counted on a scrap: the one that decides, one of another drift, the rest. */
export function countedChecks({ set, margin }: Pick<Bench, 'set' | 'margin'>) {
  const counted = set?.checks.find(({ name }) => name === margin?.countedCheck);
  const other = set?.checks.find(({ source }) => source !== counted?.source);
  const more = set?.checks.filter((check) => check !== counted && check !== other) ?? [];
  return { counted, other, more };
}

/** What was picked under another finish means nothing under this one. */
export function possibleSymptoms(bench: Bench, draft: ScrapDraft) {
  const possible = symptomsOf(situationOf(bench)).map(({ id }) => id);
  return draft.symptoms.filter((id) => possible.includes(id));
}

/** A scrap as it is sent, from what was written down of it. @param onlyLooked nothing was counted */
export function attemptOf(
  bench: Bench,
  draft: ScrapDraft,
  onlyLooked: boolean,
): AttemptDraft & { readonly id: string } {
  const { margin, record, plan } = bench;
  const { counted, other, more } = countedChecks(bench);
  const n = draft.n ?? 0;
  return {
    id: draft.id,
    planId: record.id,
    settings: margin ? (draft.settings ?? bench.dials) : null,
    dialValues: Object.fromEntries(setValuesOf(bench, draft).map(({ id, now }) => [id, now])),
    counts:
      margin && counted && !onlyLooked
        ? [
            ...more.flatMap(({ name }) => {
              const faults = draft.more[name];
              return faults ? [{ check: name, n, ...faults }] : [];
            }),
            ...(other ? [{ check: other.name, n, short: draft.also ?? 0, over: 0 }] : []),
            {
              ...{ check: counted.name, n, short: draft.short ?? 0, over: draft.over ?? 0 },
              ...(draft.depths?.length && { depths: [...draft.depths] }),
            },
          ]
        : [],
    measured: isLooped(plan) ? measuredOf(draft) : null,
    corners: hasBoundCorners(bench) ? draft.corners : null,
    pass: bench.pass?.id ?? null,
    symptoms: [...possibleSymptoms(bench, draft)],
    verdict: draft.verdict,
    photoId: draft.photoId,
    otherFacePhotoId: draft.otherFacePhotoId ?? null,
    sewnOn: draft.sewnOn ?? localDay(new Date()),
    note: draft.note,
    pinned: false,
  };
}
