import type { Lengths } from '../../core/measure/lengths';

/** Fields whose name says too little by itself. */
const named: Readonly<Record<string, string>> = {
  clothId: 'cloth',
  machineId: 'machine',
  footId: 'foot',
  photoId: 'photo',
  otherFacePhotoId: 'photo of its other face',
  stripClothId: 'cloth of the strip',
  keptAttemptId: 'scrap that is kept',
  specs: 'what it can do',
  soleMm: 'sole',
};

/** A field as one would say it: `lengthLeftMm` is “length left”. */
export function fieldInWords(field: string): string {
  return (
    named[field] ??
    field
      .replace(/(Mm|Id)$/, '')
      .replace(/([a-z])([A-Z])/g, '$1 $2')
      .toLowerCase()
  );
}

/** Parts of a value that is more than one thing are named up to here. */
const mostParts = 8;

/** A value of a field as one would say it, lengths in the person's unit. */
export function valueInWords(field: string, value: unknown, lengths: Lengths): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    return field.endsWith('Mm') ? lengths.fine(value) : String(value);
  }
  if (typeof value === 'string') return value;
  if (typeof value !== 'object') return '';
  const parts = Object.entries(value).filter(([, part]) => part !== null && part !== undefined);
  const said = parts
    .slice(0, mostParts)
    .map(([name, part]) =>
      Array.isArray(value)
        ? valueInWords(field, part, lengths)
        : `${fieldInWords(name)} ${valueInWords(name, part, lengths)}`,
    )
    .join(', ');
  if (parts.length === 0) return 'nothing';
  return parts.length > mostParts ? `${said} and more` : said;
}
