import { Impossible } from '../impossible';
import { mmPer, type LengthUnit } from './unit';

const vulgarFractions: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const unitNames: Readonly<Record<string, LengthUnit>> = {
  '"': 'in',
  in: 'in',
  inch: 'in',
  inches: 'in',
  cm: 'cm',
  mm: 'mm',
};

/** `scant` and `generous` shift a length by a thirty-second of an inch: the width of a chalk line. */
const hairMm = mmPer.in / 32;

const shape = /^(scant |generous )?([-+])?(?:(\d+)[ -])?(\d+)\/(\d+) ?([a-z"]*)$/;
const decimalShape = /^(scant |generous )?([-+])?(\d+(?:\.\d+)?|\.\d+) ?([a-z"]*)$/;

/** Brings typographic variants to one spelling, so that the grammar above stays small. */
function plainSpelling(text: string): string {
  return text
    .toLowerCase()
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (glyph) => ` ${vulgarFractions[glyph] ?? ''}`)
    .replace(/[⁄∕]/g, '/')
    .replace(/[″”“]|''/g, '"')
    .replace(/[−–]/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s*\/\s*/g, '/')
    .replace(/\s+/g, ' ')
    .replace(/\.$/, '')
    .trim()
    .replace(/^([-+]) /, '$1');
}

function unreadable(text: string, path: string): Impossible {
  const quoted = text.length > 40 ? `${text.slice(0, 40)}…` : text;
  const message =
    quoted.trim() === ''
      ? 'Type a length, for example 5/8", 1 1/2 in, 16 mm or 1.6 cm.'
      : `“${quoted}” is not a length. Try for example 5/8", 1 1/2 in, 16 mm or 1.6 cm.`;
  return new Impossible([{ path, message }]);
}

/**
 * Reads a length the way people write it: `5/8"`, `1-1/2 in`, `1½`, `0.625 in`, `16mm`, `1,6 cm`,
 * `scant 1/4`. Source: docs/formulas.md, “Lengths”.
 *
 * @param text what was typed
 * @param unit the unit that a bare number takes
 * @param path the field to name in an error
 * @returns the length in mm, not rounded; negative only when a minus sign was typed or when a
 *   scant length is smaller than a thirty-second of an inch
 * @throws Impossible that quotes the text and shows an example
 */
export function parseLength(text: string, unit: LengthUnit, path = 'text'): number {
  const plain = plainSpelling(text);
  const fraction = shape.exec(plain);
  const decimal = fraction ? null : decimalShape.exec(plain);
  const parts = fraction ?? decimal;
  if (!parts) throw unreadable(text, path);

  const suffix = (fraction ? fraction[6] : decimal?.[4]) ?? '';
  const namedUnit = suffix === '' ? unit : unitNames[suffix];
  if (!namedUnit) throw unreadable(text, path);

  let amount: number;
  if (fraction) {
    const [numerator, denominator] = [Number(fraction[4]), Number(fraction[5])];
    const mixed = fraction[3] !== undefined;
    if (denominator === 0 || (mixed && numerator >= denominator)) throw unreadable(text, path);
    amount = Number(fraction[3] ?? 0) + numerator / denominator;
  } else {
    amount = Number(decimal?.[3]);
  }

  const sign = parts[2] === '-' ? -1 : 1;
  const shiftMm = parts[1] === 'scant ' ? -hairMm : parts[1] === 'generous ' ? hairMm : 0;
  const mm = sign * (amount * mmPer[namedUnit] + shiftMm);
  if (!Number.isFinite(mm)) throw unreadable(text, path);
  return mm;
}
