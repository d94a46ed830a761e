import { useState } from 'react';
import { clothFromDescription } from '../../../core/cloth/describe';
import type { MeasuredCloth } from '../../../core/cloth/cloth';
import type { HomeTests } from '../../../core/cloth/home-tests';
import { Impossible, type Issue } from '../../../core/impossible';
import { homeTests } from '../../../contract/cloth';
import { issuesOf } from '../../../contract/error';
import type { ClothRecord } from '../../../contract/records';
import { change } from '../../ground/records';

/** A cloth with some readings, or what stands against them. */
function described(cloth: ClothRecord, tests: HomeTests): MeasuredCloth | readonly Issue[] {
  const shaped = homeTests.safeParse(tests);
  if (!shaped.success) return issuesOf(shaped.error);
  try {
    return clothFromDescription({ weightClass: cloth.weightClass, like: cloth.like, tests });
  } catch (error) {
    if (error instanceof Impossible) return error.issues;
    throw error;
  }
}

const isIssues = (it: MeasuredCloth | readonly Issue[]): it is readonly Issue[] =>
  Array.isArray(it);

/**
 * The readings of a cloth's home tests. Each is kept as soon as the whole makes sense; until then
 * it waits here, with the reason beside it.
 */
export function useHomeTests(cloth: ClothRecord) {
  const [draft, setDraft] = useState<Partial<HomeTests>>({});
  const tests: HomeTests = { ...cloth.tests, ...draft };
  const now = described(cloth, tests);
  return {
    tests,
    /** A reading; null where there is none. */
    number: (field: keyof HomeTests) => (tests[field] as number | null | undefined) ?? null,
    /** What stands against the readings of some fields. */
    trouble: (...fields: readonly (keyof HomeTests)[]) =>
      isIssues(now)
        ? now.find(({ path }) => fields.includes(path as keyof HomeTests))?.message
        : undefined,
    /** What the cloth would be with readings that are not taken yet; null when they can't be. */
    with(readings: Partial<HomeTests>): MeasuredCloth | null {
      const it = described(cloth, { ...tests, ...readings });
      return isIssues(it) ? null : it;
    },
    take(readings: Partial<HomeTests>): void {
      const next = { ...tests, ...readings };
      if (isIssues(described(cloth, next))) {
        setDraft({ ...draft, ...readings });
        return;
      }
      setDraft({});
      change('cloths', cloth.id, { tests: next });
    },
  };
}
