import type { FaultWords } from '../../../core/finish/finish-margin';
import { issueInWords } from '../../words/refusals';
import type { DriftBelief } from '../../../core/margin/belief';
import type { Margin } from '../../../core/margin/margin';
import { countedAlongEdge } from '../../../core/plan/judge';
import { factInWords } from '../../words/facts';
import { about, capital, ofHundred } from '../../words/number';
import { useLengths } from '../../ground/lengths-context';
import { MarginBar } from '../../pictures/margin-bar';
import { MiniMargin } from '../../pictures/mini-margin';
import { ridesOn } from '../../words/guides';
import type { DialsPart, LessonPart, SetUpPart } from '../../bench/bench';

/**
 * The margin, always in sight: the bar, and what it means in one number.
 *
 * @param brief in one line, where the table needs the room: while cloth or finish are chosen
 */
export function MarginPanel({
  bench,
  brief,
}: {
  bench: SetUpPart & LessonPart & DialsPart;
  brief: boolean;
}) {
  if (!bench.margin) return <NoMargin bench={bench} />;
  return brief && bench.issues.length === 0 ? (
    <BriefMargin bench={bench} />
  ) : (
    <SolvedMargin bench={bench} />
  );
}

/** The first margin in one line: which way it is wide, what waits at its ends, and the chance. */
function BriefMargin({ bench }: { bench: SetUpPart & LessonPart & DialsPart }) {
  const { plan, set, judgement, dials, busy } = bench;
  const words = bench.margin?.words;
  const [margin] = judgement?.margins ?? [];
  const belief = margin && set?.beliefs[margin.source];
  const references = (dials && bench.margin?.references(plan, dials)) || [];
  const reference = references.find(({ source }) => source === margin?.source);
  return (
    <section
      aria-label="Margin"
      className="sheet flex shrink-0 flex-wrap items-center gap-x-4 px-4 py-1 sm:flex-nowrap"
      aria-busy={busy}
    >
      <h2 className="text-xl">Margin</h2>
      <div className="order-last min-w-0 grow basis-full sm:order-none sm:basis-0">
        {words && margin && belief ? (
          <OtherMargin
            margin={margin}
            belief={belief}
            name={reference?.name ?? words.reference}
            faults={words.faults}
          />
        ) : (
          <p className="text-soft">Working out the margin…</p>
        )}
      </div>
      <p className="ml-auto shrink-0" data-testid="chance">
        {judgement?.blocked ? (
          <span className="big-number text-2xl text-madder">✕ blocked</span>
        ) : (
          judgement && (
            <>
              <span className="big-number text-4xl">{ofHundred(judgement.chance)}</span>
              <span className="big-number text-xl"> of 100</span>
            </>
          )
        )}
      </p>
    </section>
  );
}

/** A finish with starting values only: said in a line, where the bar would be. */
function NoMargin({
  bench: { issues, finish, plan },
}: {
  bench: SetUpPart & LessonPart & DialsPart;
}) {
  const lengths = useLengths();
  const sewn = finish.needs(plan.fold.variant).machineKinds.length > 0;
  return (
    <section aria-label="Margin" className="sheet no-print shrink-0 px-4 py-2">
      {issues.length > 0 ? (
        <div role="alert">
          <h2 className="text-lg text-madder">These lengths can’t be folded</h2>
          {issues.map((issue) => (
            <p key={issue.path + issue.message}>{issueInWords(issue, lengths)}</p>
          ))}
        </div>
      ) : (
        <p className="text-soft">
          <b className="font-head text-graphite">Margin</b> ·{' '}
          {sewn
            ? 'not worked out for this finish; its setting is a list of starting values with their reasons.'
            : 'nothing is sewn here, so that no stitch can miss.'}
        </p>
      )}
    </section>
  );
}

function SolvedMargin({ bench }: { bench: SetUpPart & LessonPart & DialsPart }) {
  const { plan, set, judgement, lesson, learned, issues, pooled, dials, busy } = bench;
  const words = bench.margin?.words;

  const lengths = useLengths();
  const references = (dials && bench.margin?.references(plan, dials)) || [];
  const stitches = dials ? countedAlongEdge(plan, dials.lengthMm) : 0;
  return (
    <section aria-label="Margin" className="sheet shrink-0 px-4 pt-3 pb-1" aria-busy={busy}>
      {issues.length > 0 && (
        <div role="alert" className="pb-3">
          <h2 className="text-xl text-madder">No margin yet</h2>
          {issues.map((issue) => (
            <p key={issue.path + issue.message}>{issueInWords(issue, lengths)}</p>
          ))}
        </div>
      )}
      {!words || !set || !dials || !judgement ? (
        issues.length === 0 && <p className="py-8 text-soft">Working out the margin…</p>
      ) : (
        <>
          <div className="flex flex-wrap items-start justify-between gap-x-6 sm:flex-nowrap">
            <div>
              <h2 className="text-xl">Margin</h2>
              <p className="text-sm text-soft">
                how far the {references[0]?.name} may wander{' '}
                {ridesOn(references[0]?.source ?? 'guide', plan.foot.guidance)} before something
                goes wrong
              </p>
            </div>
            <p className="min-h-17 sm:shrink-0 sm:text-right" data-testid="chance">
              {judgement.blocked ? (
                <span className="big-number text-3xl text-madder">✕ blocked</span>
              ) : (
                <>
                  <span className="big-number text-4xl">{ofHundred(judgement.chance)}</span>
                  <span className="big-number text-2xl"> of 100</span>
                  <span className="block text-sm text-soft">
                    {judgement.warnings[0]
                      ? factInWords(judgement.warnings[0], lengths)
                      : `${words.counted} ${words.good}; about ${about(stitches * (1 - judgement.chance))} of ${Math.round(stitches)} to resew`}
                  </span>
                </>
              )}
            </p>
          </div>
          {judgement.margins.map((margin, i) => {
            const belief = set.beliefs[margin.source];
            const reference = references.find(({ source }) => source === margin.source);
            if (!belief) return null;
            if (i > 0) {
              return (
                <div key={margin.source} className="border-t border-line pt-1">
                  <OtherMargin
                    margin={margin}
                    belief={belief}
                    name={reference?.name ?? words.reference}
                    faults={words.faults}
                  />
                </div>
              );
            }
            return (
              <MarginBar
                key={margin.source}
                margin={margin}
                belief={belief}
                known={
                  lesson?.learned[margin.source] && pooled.length > 0
                    ? 'scraps'
                    : learned[margin.source]
                      ? 'elsewhere'
                      : 'guess'
                }
                reference={reference?.name ?? words.reference}
                faults={words.faults}
              />
            );
          })}
        </>
      )}
    </section>
  );
}

/** A margin in one line: that of a second drift under the first, such as a binding's back. */
function OtherMargin(props: {
  margin: Margin;
  belief: DriftBelief;
  name: string;
  faults: Readonly<Record<string, FaultWords>>;
}) {
  const { margin, belief, name, faults } = props;
  const { fine } = useLengths();
  const side = (mm: number, fault: string | null, to: string) =>
    Number.isFinite(mm) ? `${fine(mm)} ${to}, then ${faults[fault ?? '']?.short ?? ''}` : '';
  const reachMm = Math.max(2.5, Math.abs(belief.shiftMm) + 3 * belief.sigmaMm);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-center gap-x-3 sm:grid-cols-2">
      <p className="text-sm">
        <b>{capital(name)}</b> may wander{' '}
        {[
          side(-margin.fromMm, margin.leftFault, 'left'),
          side(margin.toMm, margin.rightFault, 'right'),
        ]
          .filter(Boolean)
          .join('; ')}
        ; spread {fine(belief.sigmaMm)}.
      </p>
      <MiniMargin margin={margin} belief={belief} reachMm={reachMm} proposed={false} />
    </div>
  );
}
