import { finishById } from '../../core/finish/catalogue';
import { Impossible } from '../../core/impossible';
import { startingValuesOf } from '../../core/plan/work';
import type { BookEntry } from '../../contract/records';
import type { Lengths } from '../../core/measure/lengths';
import { codeInWords } from './value-codes';

/** The values a scrap's finish sets, for their names and units; none where it is known no more. */
function knownValues({ finish: id, setUp }: Pick<BookEntry, 'finish' | 'setUp'>) {
  const finish = finishById(id);
  if (!finish) return [];
  const edge = { ...setUp.edge, closed: false, cornered: false, thickestTimes: 1 };
  try {
    return startingValuesOf(finish, { wish: setUp.fold, cloth: setUp.cloth, edge, schools: {} });
  } catch (error) {
    // A set-up of long ago may be one that is refused today.
    if (error instanceof Impossible) return [];
    throw error;
  }
}

/** What else was set on a scrap, as names and values in words. */
export function setValuesInWords(
  entry: Pick<BookEntry, 'finish' | 'setUp' | 'dialValues'>,
  { fine }: Pick<Lengths, 'fine'>,
): (readonly [name: string, value: string])[] {
  const known = knownValues(entry);
  return Object.entries(entry.dialValues).map(([id, value]) => {
    const one = known.find((it) => it.id === id);
    const number = typeof value === 'number' ? value : null;
    const text =
      number === null
        ? codeInWords(id, String(value))
        : one?.unit === 'mm'
          ? fine(number)
          : String(Math.round(number * 100) / 100);
    return [one?.name ?? id, text];
  });
}
