import { finishById } from '../../core/finish/catalogue';
import type { Family } from '../../core/finish/finish';

/** A finish and its variant as people call them. */
export function finishName(id: string, variantId?: string): string {
  const finish = finishById(id);
  if (!finish) return id;
  const variant = finish.variants.find((it) => it.id === variantId);
  return variant ? `${finish.name}, ${variant.name}` : finish.name;
}

/** The same inside a sentence: its first word small, unless it is the name of a people. */
export function finishInSentence(id: string, variantId?: string): string {
  const name = finishName(id, variantId);
  return /^French\b/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}

/** What families of finishes are called. */
export const familyNames: Readonly<Record<Family, string>> = {
  turned: 'Turned up',
  hidden: 'Hidden',
  rolled: 'Rolled',
  edge: 'Held edge',
  bound: 'Bound',
  decorative: 'Decorative',
};
