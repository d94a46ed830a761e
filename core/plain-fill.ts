import type { Values } from './fact';

/** A length as a checker writes it: at most two decimals, no trailing zeros. */
const plainLength = (mm: number): string => `${Math.round(mm * 100) / 100} mm`;

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
  // A range says its unit once.
  return filled.replace(/(-?[\d.]+) mm to (?=-?[\d.]+ mm)/g, '$1 to ');
}
