import { symptoms, type Symptom, type SymptomId } from '../../core/diagnose/symptom';

/** Which face of the cloth one looks at. */
export const lookedAtNames: Readonly<Record<Symptom['face'], string>> = {
  right: 'the right side',
  wrong: 'the wrong side',
  both: 'both faces',
  edge: 'the edge',
};

/** What a symptom is called in a sentence. */
export function symptomName(id: SymptomId): string {
  const name = symptoms.find((one) => one.id === id)?.name ?? id;
  return name.charAt(0).toLowerCase() + name.slice(1);
}
