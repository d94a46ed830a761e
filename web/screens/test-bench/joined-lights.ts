import { depthsByLights, matchLights } from '../../../core/eye/both-lights';
import { sureItIsThere } from '../../../core/eye/how-sure';
import type { Check } from '../../../core/margin/check';
import type { MeasuredDepth } from '../../../core/margin/measured-depths';
import { asked, isSaid, measuredAs, said, type Find } from './finds';

/** One face that was photographed under a lamp from one side, and from the other. */
export interface JoinedLights {
  /** Every find once, where it lies in the second photo. */
  readonly finds: readonly Find[];
  /** How many are seen under both lights. */
  readonly onBoth: number;
  /** How many one photo shows alone. */
  readonly alone: number;
}

/**
 * The finds of two photos of one face as one. What the person said of the first stands; of the rest the depth by both
 * lights decides. What only one photo shows is asked about.
 *
 * @returns null where the scrap was moved between them
 */
export function joinedLights(
  first: readonly Find[],
  second: readonly Find[],
  check: Check,
): JoinedLights | null {
  const inFirst = matchLights(first, second);
  if (!inFirst) return null;
  const measured = second.flatMap((find, j) => {
    const before = first[inFirst[j] ?? -1];
    return before?.depth && find.depth ? [{ j, pair: [before.depth, find.depth] as const }] : [];
  });
  const by = depthsByLights(
    measured.map(({ pair }) => pair),
    check,
  );
  const depthAt = new Map(measured.map(({ j }, k) => [j, by[k] ?? null]));
  const byBoth = (before: Find, find: Find, depth: MeasuredDepth | null): Find => {
    if (!depth || !find.depth) return asked(find);
    const there = Math.max(
      ...[before, find].map((one) => (one.depth ? sureItIsThere(one.sure, one.depth, check) : 0)),
    );
    return measuredAs(find, there, depth, check);
  };
  const together = second.map((find, j): Find => {
    const before = first[inFirst[j] ?? -1];
    if (!before) return asked(find);
    const depth = depthAt.get(j) ?? null;
    const seen = byBoth(before, find, depth);
    return isSaid(before) ? said({ ...seen, depth: depth ?? before.depth }, before.judged) : seen;
  });
  const next = Math.max(-1, ...second.map(({ id }) => id)) + 1;
  const alone = first
    .filter((find, i) => !inFirst.includes(i) && find.judged !== 'struck')
    .map((find, k): Find => ({ ...(isSaid(find) ? find : asked(find)), id: next + k }));
  const finds = [...together, ...alone].sort((a, b) => a.atMm[0] - b.atMm[0]);
  const onBoth = inFirst.filter((i) => i !== null).length;
  return { finds, onBoth, alone: finds.length - onBoth };
}
