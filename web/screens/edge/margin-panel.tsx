import { countedAlongEdge } from '../../../core/plan/judge';
import { factInWords } from '../../words/facts';
import { about, ofHundred } from '../../words/number';
import { useLengths } from '../../app/lengths-context';
import { MarginBar } from '../../pictures/margin-bar';
import type { Bench } from './bench';

/** The margin, always in sight: the bar, and what it means in one number. */
export function MarginPanel({ bench }: { bench: Bench }) {
  const { finish, plan, set, judgement, lesson, issues, pooled, dials, busy } = bench;
  const lengths = useLengths();
  const [margin] = judgement?.margins ?? [];
  const belief = margin && set?.beliefs[margin.source];
  const stitches = dials ? countedAlongEdge(finish, plan, dials.lengthMm) : 0;
  return (
    <section aria-label="Margin" className="sheet shrink-0 px-4 pt-3 pb-1" aria-busy={busy}>
      {issues.length > 0 && (
        <div role="alert" className="pb-3">
          <h2 className="text-xl text-madder">No margin yet</h2>
          {issues.map(({ path, message }) => (
            <p key={path + message}>{message}</p>
          ))}
        </div>
      )}
      {!margin || !belief || !judgement ? (
        issues.length === 0 && <p className="py-8 text-soft">Working out the margin…</p>
      ) : (
        <>
          <div className="flex items-start justify-between gap-6">
            <div>
              <h2 className="text-xl">Margin</h2>
              <p className="text-sm text-soft">
                how far the fold may wander from the blade before something goes wrong
              </p>
            </div>
            <p className="shrink-0 text-right" data-testid="chance">
              {judgement.blocked ? (
                <span className="big-number text-3xl text-madder">✕ blocked</span>
              ) : (
                <>
                  <span className="big-number text-4xl">{ofHundred(judgement.chance)}</span>
                  <span className="big-number text-2xl"> of 100</span>
                  <span className="block text-sm text-soft">
                    {judgement.warnings[0]
                      ? factInWords(judgement.warnings[0], lengths)
                      : `bites hold and hide; about ${about(stitches * (1 - judgement.chance))} of ${Math.round(stitches)} to resew`}
                  </span>
                </>
              )}
            </p>
          </div>
          <MarginBar
            margin={margin}
            belief={belief}
            fromScraps={lesson ? pooled.length : 0}
            reference="fold"
          />
        </>
      )}
    </section>
  );
}
