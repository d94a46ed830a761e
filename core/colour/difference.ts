import { differenceCiede2000, modeLab65, modeRgb, useMode as register } from 'culori/fn';

// Only the two ways of writing a colour that the difference needs, so that a page carries no more.
register(modeRgb);
register(modeLab65);

const difference = differenceCiede2000();

/**
 * How far two colours differ as they are seen, by CIEDE2000: about 1 is just told apart, 50 is
 * another colour altogether.
 *
 * @param one, other as `#rrggbb`
 * @example colourDifference('#000000', '#000000') // 0
 */
export function colourDifference(one: string, other: string): number {
  return difference(one, other);
}
