import { useEffect, useState } from 'react';
import * as z from 'zod';
import { dialSettings } from '../../../contract/plan';
import type { DialSettings } from '../../../core/kit/dial-steps';

const draftSchema = z.object({
  /** Chosen with the draft: sending it twice records it once. */
  id: z.string(),
  /** What was really on the dials, where it differs from the plan; null follows the plan. */
  settings: dialSettings.nullable(),
  n: z.number().nullable(),
  short: z.number().nullable(),
  over: z.number().nullable(),
  note: z.string(),
});
type ScrapDraft = z.infer<typeof draftSchema>;

/** Bites one gets from a hand's length of scrap. */
const usualBites = 24;

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
  n: usualBites,
  short: 0,
  over: 0,
  note: '',
});

function remembered(key: string): ScrapDraft {
  try {
    const parsed = draftSchema.safeParse(JSON.parse(localStorage.getItem(key) ?? 'null'));
    return parsed.success ? parsed.data : blank();
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
