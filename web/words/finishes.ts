import { finishById } from '../../core/finish/catalogue';
import type { Family } from '../../core/finish/finish';

/** A finish and its variant as people call them. */
export function finishName(id: string, variantId?: string): string {
  const finish = finishById(id);
  if (!finish) return id;
  const variant = finish.variants.find((it) => it.id === variantId);
  return variant ? `${finish.name}, ${variant.name}` : finish.name;
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
