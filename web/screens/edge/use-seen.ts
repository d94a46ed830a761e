import { useState } from 'react';
import { symptomIds, type SymptomId } from '../../../core/diagnose/symptom';

const keyOf = (planId: string) => `pin-margin seen ${planId}`;

function remembered(planId: string): SymptomId[] {
  try {
    const kept = JSON.parse(sessionStorage.getItem(keyOf(planId)) ?? '[]') as unknown;
    return symptomIds.filter((id) => Array.isArray(kept) && kept.includes(id));
  } catch {
    return [];
  }
}

/** What was seen on the scrap beside what is counted; a reload keeps it. */
export function useSeen(planId: string): [readonly SymptomId[], (id: SymptomId) => void] {
  const [seen, setSeen] = useState(() => remembered(planId));
  const toggle = (id: SymptomId) => {
    const next = seen.includes(id) ? seen.filter((one) => one !== id) : [...seen, id];
    setSeen(next);
    sessionStorage.setItem(keyOf(planId), JSON.stringify(next));
  };
  return [seen, toggle];
}
