import { useMemo } from 'react';
import { rankAdvice, type RankedAdvice } from '../../../core/diagnose/advice';
import { diagnose } from '../../../core/diagnose/diagnose';
import { symptomsOf, type SymptomId } from '../../../core/diagnose/symptom';
import type { KeptPart, LessonPart, SetUpPart } from '../../bench/bench';
import { useScrapDraft } from './scrap-draft';
import { situationOf } from './situation';

export interface AdviceNow extends RankedAdvice {
  readonly seen: readonly SymptomId[];
}

/**
 * What to move next: from the counts of the scraps so far, and from what is picked on the scrap at
 * hand, or was seen on the last one.
 */
export function useAdvice(bench: KeptPart & SetUpPart & LessonPart): AdviceNow {
  const { draft } = useScrapDraft(bench.draftKey);
  const { lesson, finish } = bench;
  const last = bench.attempts.at(-1);
  const situation = useMemo(() => situationOf(bench), [bench]);
  const picked =
    draft.symptoms.length > 0 ? draft.symptoms : last?.finish === finish.id ? last.symptoms : [];
  const possible = symptomsOf(situation).map(({ id }) => id);
  // What was seen under another finish or on another edge means nothing here.
  const seen = picked.filter((id) => possible.includes(id));
  const counted = lesson ? [lesson.next, ...(lesson.instead ? [lesson.instead] : [])] : null;
  return { seen, ...rankAdvice(counted, diagnose(situation, seen), lesson?.enough ?? false) };
}
