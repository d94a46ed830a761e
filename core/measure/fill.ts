import type { Values } from '../fact';
import type { Lengths } from './lengths';

/**
 * Puts the numbers into a finish's own sentence, in the person's unit: `{depthMm}` as a length on
 * cloth, `{gapMm:fine}` as a small one, every other name as it is.
 */
export function fill(text: string, values: Values, { cloth, fine }: Lengths): string {
  return text.replace(/\{(\w+)(:fine)?\}/g, (_, name: string, small?: string) => {
    const value = values[name];
    if (typeof value !== 'number') return String(value ?? `{${name}}`);
    if (!name.endsWith('Mm')) return String(Math.round(value * 100) / 100);
    return small ? fine(value) : cloth(value);
  });
}
