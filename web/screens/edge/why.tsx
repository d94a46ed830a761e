import type { Considered } from '../../../core/choose/consider';
import type { Hindrance } from '../../../core/choose/contribution';
import { placesOf } from '../../../core/choose/places';
import type { Ranked, Ranking, Reason } from '../../../core/choose/score';
import type { Lengths } from '../../../core/measure/lengths';
import { useLengths } from '../../ground/lengths-context';
import { factInWords } from '../../words/facts';
import { gapInWords } from '../../words/kit';

/** What would bring a finish back, in words. */
export function needInWords({ wouldNeed }: Hindrance, lengths: Lengths): string {
  return 'values' in wouldNeed ? factInWords(wouldNeed, lengths) : gapInWords(wouldNeed, lengths);
}

/** Less than this decides nothing that one would see. */
const hardlyPoints = 0.5;
/** A bar as long as its room stands for so many points. */
const wholeBarPoints = 30;

/** One part of a score: how much, and why. */
function ReasonLine({ reason }: { reason: Reason }) {
  const lengths = useLengths();
  const { fact, points } = reason;
  const rounded = Math.round(Math.abs(points) * 10) / 10;
  const good = points >= 0;
  return (
    <li className="grid grid-cols-[3rem_1fr] gap-2 py-0.5">
      <span
        className={`text-right font-bold tabular-nums ${good ? 'text-moss' : 'text-madder'}`}
        aria-label={`${good ? 'For' : 'Against'}: ${rounded} points`}
      >
        {good ? '+' : '−'}
        {rounded}
        <span
          aria-hidden
          className={`ml-auto block h-0.5 ${good ? 'bg-moss' : 'bg-madder'}`}
          style={{ width: `${Math.min(100, (100 * Math.abs(points)) / wholeBarPoints)}%` }}
        />
      </span>
      <span>{factInWords(fact, lengths)}</span>
    </li>
  );
}

/**
 * Why a finish has its place: what its score is the sum of, the largest part first. What all
 * candidates share decides nothing, and is folded away.
 */
export function WhyRanked({ ranking, it }: { ranking: Ranking; it: Ranked }) {
  const places = placesOf(ranking);
  const best = ranking.ranked.find(({ group }) => group === it.group);
  const telling = it.reasons.filter(
    ({ shared, points }) => !shared && Math.abs(points) >= hardlyPoints,
  );
  const rest = it.reasons.filter((reason) => !telling.includes(reason));
  return (
    <section aria-label="Why this place" className="border-b border-line py-2">
      <h3 className="text-base">
        <b className="big-number text-2xl">{Math.round(it.score)}</b> of 100 points:{' '}
        {best === it
          ? `number ${places.get(it.group) ?? ''} of ${places.size}`
          : `another variant of this is number ${places.get(it.group) ?? ''} of ${places.size}, with ${Math.round(best?.score ?? 0)}`}
      </h3>
      <ul className="pt-1 text-sm">
        {telling.map((reason) => (
          <ReasonLine key={reason.fact.about} reason={reason} />
        ))}
      </ul>
      <details className="text-sm">
        <summary className="min-h-8 cursor-pointer py-1 text-soft">
          What all have alike, or what hardly counts
        </summary>
        <ul>
          {rest.map((reason) => (
            <ReasonLine key={reason.fact.about} reason={reason} />
          ))}
        </ul>
      </details>
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
