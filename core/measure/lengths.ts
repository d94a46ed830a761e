import { formatDecimal, formatLength, type FormattedLength } from './format-length';
import type { LengthUnit } from './unit';

/** In which unit a person writes lengths, and how finely inches are rounded. */
export interface LengthPreferences {
  readonly unit: LengthUnit;
  readonly inchRounding: '1/8' | '1/16' | '1/32';
}

/** How lengths are written for this person. */
export interface Lengths {
  readonly unit: LengthUnit;
  /** A length on cloth, with its unit: fractions of an inch, or tenths of a centimetre. */
  cloth(mm: number): string;
  /** The same in the other system, to stand beside it. */
  beside(mm: number): string;
  /** A small length on the machine: decimals in every unit. */
  fine(mm: number): string;
  /** The number of a small length without its unit, for axes. */
  fineNumber(mm: number): string;
  /** The same with the decimals of a dial's step kept: 3.0 on a dial of half millimetres. */
  stepped(mm: number, stepMm: number): string;
  /** A length on cloth without its unit, to be edited. */
  editable(mm: number): string;
  /** What rounding does to a length on cloth as shown, mm; shown minus true. */
  roundingErrorMm(mm: number): number;
}

const fineDecimals: Record<LengthUnit, number> = { in: 3, cm: 3, mm: 2 };

function onCloth(mm: number, { unit, inchRounding }: LengthPreferences): FormattedLength {
  if (unit === 'in') return formatLength(mm, inchRounding);
  return unit === 'cm' ? formatDecimal(mm, 'cm', 2) : formatDecimal(mm, 'mm', 1);
}

const minus = (text: string) => text.replace(/^-/, '−');

/** Lengths for given preferences. */
export function lengthsFor(preferences: LengthPreferences): Lengths {
  const { unit } = preferences;
  const fineNumber = (mm: number) => minus(formatDecimal(mm, unit, fineDecimals[unit]).text);
  const cloth = (mm: number) => `${minus(onCloth(mm, preferences).text)} ${unit}`;
  return {
    unit,
    cloth,
    beside: (mm) =>
      unit === 'in'
        ? `${minus(formatDecimal(mm, 'mm', 1).text)} mm`
        : `${minus(formatLength(mm, preferences.inchRounding).text)} in`,
    fineNumber,
    stepped: (mm, stepMm) => {
      if (unit !== 'mm') return fineNumber(mm);
      const places = [0, 1, 2].find((n) => Number.isInteger(Number((stepMm * 10 ** n).toFixed(6))));
      return minus(mm.toFixed(stepMm === 0 ? 1 : (places ?? 2)));
    },
    fine: (mm) => `${fineNumber(mm)} ${unit}`,
    editable: (mm) => onCloth(mm, preferences).text,
    roundingErrorMm: (mm) => onCloth(mm, preferences).roundingErrorMm,
  };
}
