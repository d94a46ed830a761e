import type { Considered } from '../../../core/choose/consider';
import type { Ranked } from '../../../core/choose/rank';
import type { Hindrance } from '../../../core/choose/weigh';
import type { Lengths } from '../../app/lengths';
import { useLengths } from '../../app/lengths-context';
import { factInWords } from '../../words/facts';
import { gapInWords } from '../../words/kit';

/** What would bring a finish back, in words. */
export function needInWords({ wouldNeed }: Hindrance, lengths: Lengths): string {
  return 'values' in wouldNeed ? factInWords(wouldNeed, lengths) : gapInWords(wouldNeed, lengths);
}

/** Why a finish has its place: what speaks for it and against it, heaviest first. */
export function WhyRanked({ place, of, it }: { place: number; of: number; it: Ranked }) {
  const lengths = useLengths();
  return (
    <section aria-label="Why this place" className="border-b border-line py-2">
      <h3 className="text-base">
        Number <b className="big-number text-2xl">{place}</b> of {of} ways, for what you want
      </h3>
      <ul className="pt-1 text-sm">
        {it.reasons.map(({ fact, weight }) => (
          <li key={fact.about} className="flex gap-2 py-0.5">
            <span
              aria-hidden
              className={`w-3 shrink-0 font-bold ${weight >= 0 ? 'text-moss' : 'text-madder'}`}
            >
              {weight >= 0 ? '+' : '−'}
            </span>
            <span>
              <span className="sr-only">{weight >= 0 ? 'For: ' : 'Against: '}</span>
              {factInWords(fact, lengths)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Why a finish is out, and what would bring it back. */
export function WhyOut({ it }: { it: Considered }) {
  const lengths = useLengths();
  return (
    <section aria-label="Why not" className="border-b border-line py-2">
      <h3 className="text-base font-bold text-madder">Not on this edge</h3>
      <ul className="pt-1 text-sm">
        {it.hindrances.map((hindrance) => (
          <li key={hindrance.because.about + needInWords(hindrance, lengths)} className="py-0.5">
            {factInWords(hindrance.because, lengths)} It would need{' '}
            <b>{needInWords(hindrance, lengths)}</b>.
          </li>
        ))}
      </ul>
    </section>
  );
}
