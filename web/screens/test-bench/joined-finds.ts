import {
  depthByBoth,
  matchFaces,
  offsOf,
  surelyMatched,
  type OutsideBite,
} from '../../../core/eye/both-faces';
import { sureItIsThere } from '../../../core/eye/how-sure';
import type { Face } from '../../../core/eye/seen-on';
import type { Check } from '../../../core/margin/check';
import {
  asked,
  countsOf,
  depthsOf,
  isSaid,
  measuredAs,
  sureOf,
  type Find,
  type KeptDepth,
} from './finds';

/** What was found on each face of a scrap that was looked at. */
export type FindsByFace = Readonly<Partial<Record<Face, readonly Find[]>>>;

/** Both faces of a scrap as one. */
export interface JoinedFinds {
  /** Every bite once, those of the wrong side where they lie in its picture. */
  readonly finds: readonly Find[];
  /** How many are seen on both faces. */
  readonly onBoth: number;
  /** Finds by their face whose two depths can’t both be right. */
  readonly disagree: Readonly<Record<Face, readonly number[]>>;
}

/**
 * The finds of both faces matched bite by bite. What the person said of either stands; of the rest the
 * depth by both decides.
 *
 * @param hiddenMm bites as deep as this or less don’t show on the right side
 * @returns null where which bite is which can’t be told
 */
export function joinedFinds(
  { wrong, right }: Required<FindsByFace>,
  check: Check,
  hiddenMm: number,
): JoinedFinds | null {
  const [inside, outside] = [wrong, right].map((finds) =>
    finds.filter(({ judged }) => judged !== 'struck'),
  ) as [Find[], Find[]];
  const places = outside.map((find): OutsideBite => ({
    ...{ atMm: find.atMm, depth: find.depth },
    shows: find.depth !== null || find.judged === 'over',
  }));
  const match = matchFaces(inside, places, hiddenMm);
  if (!match || match.sure < surelyMatched) return null;
  const offs = offsOf(inside, places, match);
  const disagree: Record<Face, number[]> = { wrong: [], right: [] };
  const finds = inside.map((find, i): Find => {
    const j = match.onRight[i] ?? null;
    if (j === null) return find;
    const other = outside[j]!;
    if (isSaid(other) && other.judged === 'over') return { ...find, ...said('over') };
    if (isSaid(find) || !find.depth) return find;
    // Said to be sound outside: it does not show, whatever was measured.
    if (isSaid(other) && find.judged === 'over') return { ...find, ...said('sound') };
    const { agree, ...depth } = depthByBoth(find.depth, places[j]!, hiddenMm, offs);
    const there = sureItIsThere(find.sure, find.depth, check);
    if (!agree) {
      disagree.wrong.push(find.id);
      disagree.right.push(other.id);
    }
    const both = measuredAs(find, there, depth, check);
    return agree ? both : asked(both);
  });
  // Seen from outside only: it is one more, and where it lies in the other picture is not known.
  const next = Math.max(-1, ...wrong.map(({ id }) => id)) + 1;
  const alone = match.alone.map((j, k): Find => ({
    ...outside[j]!,
    ...{ id: next + k, depth: null },
  }));
  const onBoth = match.onRight.filter((j) => j !== null).length;
  return { finds: [...finds, ...alone], onBoth, disagree };
}

const said = (judged: Find['judged']) => ({ judged, sure: 1, depth: null });

/** What is written down of a scrap whose photos were counted. */
export interface TakenCounts {
  readonly n?: number;
  readonly short?: number;
  readonly over: number;
  readonly depths?: readonly KeptDepth[];
}

/**
 * The counts that photos of one face or both come to. The right side shows only what comes through;
 * how many were sewn, and how many missed, the other side tells.
 */
export function takenFrom({ wrong, right }: FindsByFace, joined: JoinedFinds | null): TakenCounts {
  if (joined) return { ...countsOf(joined.finds), depths: depthsOf(joined.finds) };
  const shown = right && countsOf(right).over;
  if (!wrong) return { over: shown ?? 0 };
  const { n, short, over } = countsOf(wrong);
  return { n, short, over: Math.min(n - short, shown ?? over), depths: depthsOf(wrong) };
}

/**
 * The chance that the counts photos of one face or both come to are right to within one. Where the faces came together
 * the right side’s row is of the length it was sewn with: bite by bite it lies as on the wrong side.
 *
 * @param rightAsSet how likely the right side’s row is of the length that is set
 */
export function sureOfTaken(
  { wrong, right }: FindsByFace,
  joined: JoinedFinds | null,
  check: Pick<Check, 'loMm' | 'hiMm'>,
  rightAsSet: number,
): number {
  if (joined) return sureOf(joined.finds, check);
  const byWrong = wrong ? sureOf(wrong, check) : 1;
  return right ? byWrong * sureOf(right, check) * rightAsSet : byWrong;
}
