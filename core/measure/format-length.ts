import { mmPer, type LengthUnit } from './unit';

/** What a displayed length is rounded to: a fraction of an inch, or a step in millimetres. */
export const roundings = ['1/8', '1/16', '1/32', '0.5', '1'] as const;
export type Rounding = (typeof roundings)[number];

/** A length ready to be shown, with what the rounding did to it. */
export interface FormattedLength {
  /** The amount without its unit, e.g. `1 1/2` or `38.1`. */
  readonly text: string;
  /** The length that the text stands for. */
  readonly shownMm: number;
  /** Shown minus true, mm: positive when the text says too much. */
  readonly roundingErrorMm: number;
}

/** Removes binary noise below a millionth of a millimetre, and the negative zero. */
function clean(value: number): number {
  return Math.round(value * 1e6) / 1e6 + 0;
}

function finish(text: string, shownMm: number, mm: number): FormattedLength {
  return { text, shownMm: clean(shownMm), roundingErrorMm: clean(shownMm - mm) };
}

/**
 * Formats a length as whole inches and a reduced fraction.
 *
 * @param mm the length
 * @param perInch the fraction's denominator: 8, 16 or 32
 * @returns text such as `1 1/2`, `-5/8` or `0`
 */
export function formatInchFraction(mm: number, perInch: 8 | 16 | 32): FormattedLength {
  const parts = Math.round((Math.abs(mm) / mmPer.in) * perInch);
  const whole = Math.floor(parts / perInch);
  let numerator = parts % perInch;
  let denominator: number = perInch;
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  const fraction = numerator === 0 ? '' : `${numerator}/${denominator}`;
  const amount = [whole === 0 && fraction ? '' : String(whole), fraction].filter(Boolean).join(' ');
  const sign = mm < 0 && parts > 0 ? -1 : 1;
  return finish(`${sign < 0 ? '-' : ''}${amount}`, (sign * parts * mmPer.in) / perInch, mm);
}

/**
 * Formats a length as a decimal number of a unit.
 *
 * @param mm the length
 * @param unit the unit shown
 * @param places decimals kept; trailing zeros are kept off
 */
export function formatDecimal(mm: number, unit: LengthUnit, places: number): FormattedLength {
  const shown = Number((mm / mmPer[unit]).toFixed(places)) + 0;
  return finish(String(shown), shown * mmPer[unit], mm);
}

/**
 * Formats a length in millimetres rounded to a step.
 *
 * @param stepMm 0.5 or 1, or a machine's own step
 */
export function formatMmStep(mm: number, stepMm: number): FormattedLength {
  const shown = clean(Math.round(mm / stepMm) * stepMm);
  return finish(String(shown), shown, mm);
}

/**
 * Formats a length to one of the named roundings.
 *
 * @param mm the length
 * @param rounding a fraction of an inch gives inches, a millimetre step gives millimetres
 */
export function formatLength(mm: number, rounding: Rounding): FormattedLength {
  switch (rounding) {
    case '1/8':
      return formatInchFraction(mm, 8);
    case '1/16':
      return formatInchFraction(mm, 16);
    case '1/32':
      return formatInchFraction(mm, 32);
    case '0.5':
      return formatMmStep(mm, 0.5);
    case '1':
      return formatMmStep(mm, 1);
  }
}
