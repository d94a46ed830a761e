import { useEffect, useState } from 'react';
import type { DialSettings } from '../../../core/kit/dial-steps';

interface ScrapDraft {
  /** Chosen with the draft: sending it twice records it once. */
  readonly id: string;
  /** What was really on the dials, where it differs from the plan; null follows the plan. */
  readonly settings: DialSettings | null;
  readonly n: number | null;
  readonly short: number | null;
  readonly over: number | null;
  /** Faults of the check that another drift decides, where there is one. */
  readonly also: number | null;
  readonly note: string;
}

/** What one counts on a hand's length of scrap. */
const usualCount = 24;

/** A version-4 UUID; `crypto.randomUUID` is missing where the page is not on the loopback name. */
function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return [8, 13, 18, 23].reduce((text, at) => `${text.slice(0, at)}-${text.slice(at)}`, hex);
}

const blank = (): ScrapDraft => ({
  id: newId(),
  settings: null,
  n: usualCount,
  short: 0,
  over: 0,
  also: 0,
  note: '',
});

const isCount = (value: unknown) => value === null || typeof value === 'number';

/** Whether what the browser kept is a draft of this shape, and not of an older version's. */
function isDraft(value: unknown): value is ScrapDraft {
  const draft = value as Partial<ScrapDraft> | null;
  const dials = draft?.settings;
  return (
    typeof draft?.id === 'string' &&
    typeof draft.note === 'string' &&
    [draft.n, draft.short, draft.over, draft.also].every(isCount) &&
    (dials === null ||
      [dials?.widthMm, dials?.lengthMm, dials?.needlePositionMm, dials?.guideMm].every(
        (mm) => typeof mm === 'number',
      ))
  );
}

function remembered(key: string): ScrapDraft {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
    return isDraft(kept) ? kept : blank();
  } catch {
    return blank();
  }
}

export interface ScrapDraftState {
  readonly draft: ScrapDraft;
  set(patch: Partial<Omit<ScrapDraft, 'id'>>): void;
  /** Starts the next scrap. */
  clear(): void;
  /** What was on the dials. */
  sewnAt(dials: DialSettings): DialSettings;
}

/** The scrap being counted, kept over a reload until it is recorded. */
export function useScrapDraft(planId: string): ScrapDraftState {
  const key = `pin-margin scrap ${planId}`;
  const [draft, setDraft] = useState(() => remembered(key));
  useEffect(() => localStorage.setItem(key, JSON.stringify(draft)), [key, draft]);
  return {
    draft,
    set: (patch) => setDraft((before) => ({ ...before, ...patch })),
    clear: () => setDraft(blank()),
    sewnAt: (dials) => draft.settings ?? dials,
  };
}
