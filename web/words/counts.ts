import { finishById } from '../../core/finish/catalogue';
import type { BookEntry } from '../../contract/records';

/** What was counted on a scrap: “24 bites: 7 missed”. */
export function countsInWords({
  finish: finishId,
  counts,
  corners = null,
}: Pick<BookEntry, 'finish' | 'counts'> & Partial<Pick<BookEntry, 'corners'>>): string {
  const turned = corners ? `; ${corners.missed} of ${corners.n} corners gape` : '';
  if (counts.length === 0) return `looked at, not counted${turned}`;
  const finish = finishById(finishId);
  const margin = finish?.variants
    .map(({ id }) => finish.margin(id))
    .find((one) => one && counts.some(({ check }) => check === one.countedCheck));
  const counted = counts.find(({ check }) => check === margin?.countedCheck);
  if (!margin || !counted) return 'Counted for another finish.';
  const { words } = margin;
  const { n, short, over } = counted;
  const others = counts.filter(({ check }) => check !== margin.countedCheck);
  const faults = [
    short > 0 ? `${short} ${words.short.toLowerCase()}` : '',
    over > 0 ? `${over} ${(words.over ?? 'over').toLowerCase()}` : '',
    ...others.map((it) =>
      it.short + it.over > 0 ? `${it.short + it.over} at the ${words.checks[it.check]}` : '',
    ),
  ].filter(Boolean);
  return `${n} ${words.counted}: ${faults.join(', ') || 'all good'}${turned}`;
}
