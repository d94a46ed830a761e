import type { Values } from './fact';

/** A length as a checker writes it: at most two decimals, no trailing zeros. */
const plainLength = (mm: number): string => `${Math.round(mm * 100) / 100} mm`;

/**
 * A range says its unit once.
 *
 * @example unitOnce('2 mm to 25 mm') // '2 to 25 mm'
 */
export const unitOnce = (text: string): string =>
  text.replace(/(\d) (mm|cm|in) to (?=[-−]?\d[\d ./]* \2)/g, '$1 to ');

/**
 * Puts the numbers into a sentence in millimetres, whoever reads it: `{depthMm}` and
 * `{gapMm:fine}` are lengths, every other name stands as it is. The interface has its own way, in
 * the person's unit.
 *
 * @example plainFill('Up to {mostMm}.', { mostMm: 12.5 }) // 'Up to 12.5 mm.'
 */
export function plainFill(text: string, values: Values): string {
  const filled = text.replace(/\{(\w+)(?::fine)?\}/g, (_, name: string) => {
    const value = values[name];
    if (typeof value !== 'number') return String(value ?? `{${name}}`);
    return name.endsWith('Mm') ? plainLength(value) : String(Math.round(value * 100) / 100);
  });
  return unitOnce(filled);
}
