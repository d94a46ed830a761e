import type { Finish } from '../../../core/finish/finish';
import type { FoldWish } from '../../../core/finish/fold-request';
import { besidesOf, kitGaps } from '../../../core/plan/kit-gaps';
import { useLengths } from '../../ground/lengths-context';
import { factInWords } from '../../words/facts';
import { gapInWords } from '../../words/kit';
import { useKit } from '../../bench/use-kit';

/** What a finish needs and the kit does not hold, and what it takes besides; nothing when nothing. */
export function KitNeeds({ finish, wish }: { finish: Finish; wish: FoldWish }) {
  const lengths = useLengths();
  const gaps = kitGaps(finish, wish, useKit());
  const besides = besidesOf(finish, wish.variant);
  if (gaps.length === 0 && !besides) return null;
  return (
    <p className="border-b border-line py-2">
      <b className="text-ochre">Needs</b>{' '}
      {[
        ...gaps.map((gap) => gapInWords(gap, lengths)),
        ...(besides ? [factInWords(besides, lengths)] : []),
      ].join(', ')}
      {gaps.length > 0 && (
        <span className="block text-sm text-soft">
          Not in your kit yet. You can plan it all the same.
        </span>
      )}
    </p>
  );
}
