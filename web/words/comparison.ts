import type { Comparison } from '../../core/diagnose/told-apart';
import { dialField, type Dial } from '../../core/kit/dial-steps';
import type { Guidance } from '../../core/kit/foot';
import type { Lengths } from '../../core/measure/lengths';
import { dialName } from './dials';
import { symptomName } from './symptoms';
import { codeInWords } from './value-codes';

/** What is needed to name what moved. */
export interface ComparisonWords {
  readonly guidance: Guidance;
  readonly lengths: Pick<Lengths, 'fine' | 'fineNumber'>;
  /** Names of the values beside the dials, by id. */
  readonly values: Readonly<Record<string, string>>;
  /** What the counted check is called: “bite”. */
  readonly check: string | null;
}

const isDial = (id: string): id is Dial => Object.hasOwn(dialField, id);

/** What moved is called. */
export function movedName(id: string, { guidance, values }: ComparisonWords): string {
  return isDial(id) ? dialName(id, guidance).toLowerCase() : (values[id]?.toLowerCase() ?? id);
}

/** A list as one says it: “width, needle and blade”. */
export function listed(names: readonly string[]): string {
  if (names.length < 2) return names.join('');
  return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/** What moved from one scrap to the next: “width 2.5 → 3.0”. */
export function movedInWords({ moved }: Pick<Comparison, 'moved'>, words: ComparisonWords): string {
  if (moved.length === 0) return 'same setting';
  return moved
    .map(({ dial, from, to }) => {
      const value = (it: number | string) =>
        isDial(dial) && typeof it === 'number'
          ? words.lengths.fineNumber(it)
          : codeInWords(dial, String(it));
      return `${movedName(dial, words)} ${value(from)} → ${value(to)}`;
    })
    .join(', ');
}

/**
 * What nobody can tell apart when two dials moved at once; null when one did, or none.
 *
 * @param counted whether both scraps were counted
 */
export function toldApart(
  comparison: Comparison,
  counted: boolean,
  words: ComparisonWords,
): string | null {
  const { together, netMm, came, went, aloneMm } = comparison;
  if (together.length < 2) return null;
  const names = listed(together.map((id) => movedName(id, words)));
  const sentences = [`${names.charAt(0).toUpperCase()}${names.slice(1)} moved at once.`];
  const onCheck = Object.values(aloneMm).filter((mm) => Math.abs(mm) > 1e-6);
  if (counted && netMm !== null && words.check && onCheck.length > 0) {
    sentences.push(
      onCheck.length > 1
        ? `The counts see them as one move of the ${words.check}, by ${words.lengths.fine(netMm)}; which of them did it can’t be told apart.`
        : `Only one of them moves the ${words.check}, by ${words.lengths.fine(netMm)}; what the other did, the counts don’t see.`,
    );
  }
  const otherwise = [
    ...went.map((id) => `“${symptomName(id)}” went`),
    ...came.map((id) => `“${symptomName(id)}” came`),
  ];
  if (otherwise.length > 0) {
    sentences.push(`That ${listed(otherwise)} can be through any of them.`);
  } else if (!counted || onCheck.length === 0) {
    sentences.push('Whatever became better or worse can be through any of them.');
  }
  return sentences.join(' ');
}
