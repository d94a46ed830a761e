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

/** What a length can be written in: those one reads in, and the longer ones of either system. */
interface WrittenUnit {
  readonly mm: number;
  readonly system: 'metric' | 'inches';
}
const millimetre: WrittenUnit = { mm: mmPer.mm, system: 'metric' };
const centimetre: WrittenUnit = { mm: mmPer.cm, system: 'metric' };
const metre: WrittenUnit = { mm: 1000, system: 'metric' };
const inch: WrittenUnit = { mm: mmPer.in, system: 'inches' };
const foot: WrittenUnit = { mm: 12 * mmPer.in, system: 'inches' };
const yard: WrittenUnit = { mm: 36 * mmPer.in, system: 'inches' };

const named = (unit: WrittenUnit, ...names: readonly string[]) =>
  names.map((name): [string, WrittenUnit] => [name, unit]);
const unitNames: ReadonlyMap<string, WrittenUnit> = new Map([
  ...named(millimetre, 'mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'),
  ...named(centimetre, 'cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'),
  ...named(metre, 'm', 'metre', 'metres', 'meter', 'meters'),
  ...named(inch, '"', 'in', 'inch', 'inches'),
  ...named(foot, "'", 'ft', 'foot', 'feet'),
  ...named(yard, 'yd', 'yds', 'yard', 'yards'),
]);
const currentUnits: Readonly<Record<LengthUnit, WrittenUnit>> = {
  in: inch,
  cm: centimetre,
  mm: millimetre,
};

/** `scant` and `generous` shift a length by a thirty-second of an inch: the width of a chalk line. */
const hairMm = mmPer.in / 32;

/** An amount, whole, with a fraction or with a point, and the unit behind it where one was typed. */
const term = /(?:(?:(\d+)[ -])?(\d+)\/(\d+)|(\d+(?:\.\d+)?|\.\d+)) ?([a-z]+|["'])? ?/y;
const beginning = /^(scant |generous )?([-+])?/;

/** Brings typographic variants to one spelling, so that the grammar above stays small. */
function plainSpelling(text: string): string {
  return text
    .toLowerCase()
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (glyph) => ` ${vulgarFractions[glyph] ?? ''}`)
    .replace(/[⁄∕]/g, '/')
    .replace(/[″”“]|''/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/[−–]/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s*\/\s*/g, '/')
    .replace(/\s+/g, ' ')
    .replace(/\.(?= |$)/g, '')
    .trim()
    .replace(/^([-+]) /, '$1');
}

function unreadable(text: string, path: string): Impossible {
  const quoted = text.length > 40 ? `${text.slice(0, 40)}…` : text;
  const message =
    quoted.trim() === ''
      ? 'Type a length, for example 5/8", 1 1/2 in, 16 mm, 4.4 m or 2 yd.'
      : `“${quoted}” is not a length. Try for example 5/8", 1 1/2 in, 16 mm, 4.4 m or 2 yd.`;
  return new Impossible([{ path, message }]);
}

/** One term of a length; null where it makes no sense. */
interface Term {
  readonly amount: number;
  /** Null where none was typed; undefined where one was typed that nobody knows. */
  readonly unit: WrittenUnit | null | undefined;
}

/** The terms of a length; null when anything else stands between or behind them. */
function termsOf(text: string): Term[] | null {
  const terms: Term[] = [];
  for (let at = 0; at < text.length; at = term.lastIndex) {
    term.lastIndex = at;
    const found = term.exec(text);
    if (!found) return null;
    const [, whole, over, under, decimal, unit] = found;
    const mixed = whole !== undefined;
    if (under !== undefined) {
      const [numerator, denominator] = [Number(over), Number(under)];
      if (denominator === 0 || (mixed && numerator >= denominator)) return null;
    }
    terms.push({
      amount:
        under === undefined ? Number(decimal) : Number(whole ?? 0) + Number(over) / Number(under),
      unit: unit === undefined ? null : unitNames.get(unit),
    });
  }
  return terms;
}

/**
 * The terms added up: each in a smaller unit than the one before and of the same system; behind
 * feet a bare number is inches. Null when they don't go together.
 */
function addedUpMm(terms: readonly Term[], current: WrittenUnit): number | null {
  const [only] = terms;
  if (!only) return null;
  if (terms.length === 1) {
    return only.unit === undefined ? null : only.amount * (only.unit ?? current).mm;
  }
  let sum = 0;
  let before: WrittenUnit | null = null as WrittenUnit | null;
  for (const { amount, unit: typed } of terms) {
    const unit: WrittenUnit | null | undefined = typed === null && before === foot ? inch : typed;
    if (!unit || (before && (unit.mm >= before.mm || unit.system !== before.system))) return null;
    sum += amount * unit.mm;
    before = unit;
  }
  return sum;
}

/**
 * Reads a length the way people write it: `5/8"`, `1-1/2 in`, `1½`, `0.625 in`, `16mm`, `1,6 cm`,
 * `4.4 m`, `2 1/2 yd`, `1 yd 9 in`, `5'6"`, `scant 1/4`. Source: docs/formulas.md, “Lengths”.
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
  const [start = '', qualifier, minus] = beginning.exec(plain) ?? [];
  const terms = termsOf(plain.slice(start.length));
  const amountMm = terms && addedUpMm(terms, currentUnits[unit]);
  if (amountMm === null) throw unreadable(text, path);
  const shiftMm = qualifier === 'scant ' ? -hairMm : qualifier === 'generous ' ? hairMm : 0;
  const mm = (minus === '-' ? -1 : 1) * (amountMm + shiftMm);
  if (!Number.isFinite(mm)) throw unreadable(text, path);
  return mm;
}
