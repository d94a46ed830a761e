import { format, parseISO } from 'date-fns';
import type { DialSettings } from '../../../core/kit/dial-steps';
import { judge } from '../../../core/plan/judge';
import type { AttemptRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { useRemove } from '../../ground/records';
import { RemoveButton } from '../../controls/remove-button';
import { MiniMargin } from '../../pictures/mini-margin';
import { movedInWords, type ComparisonWords } from '../../words/comparison';
import { countsInWords } from '../../words/counts';
import { capital, ofHundred } from '../../words/number';
import { symptomName } from '../../words/symptoms';
import { verdictWords } from '../../words/verdicts';
import type { KeptPart, LessonPart, SetUpPart, WorkPart } from '../../bench/bench';
import { comparedWithBefore, comparisonWords } from './compare';

/** Where the dials of a scrap stood, or what was moved since the one before. */
function standing(
  bench: KeptPart & SetUpPart & WorkPart & LessonPart,
  attempt: AttemptRecord,
  words: ComparisonWords,
): string {
  const comparison = comparedWithBefore(bench, attempt);
  if (comparison) return capital(movedInWords(comparison, words));
  const { settings } = attempt;
  const { fineNumber } = words.lengths;
  return settings
    ? `Width ${fineNumber(settings.widthMm)}, needle ${fineNumber(settings.needlePositionMm)}`
    : 'The starting values';
}

function Row(props: {
  bench: KeptPart & SetUpPart & WorkPart & LessonPart;
  title: string;
  change: string;
  result: string;
  settings: DialSettings | null;
  reachMm: number;
  proposed?: boolean;
  attempt?: AttemptRecord;
}) {
  const { bench, title, change, result, settings, reachMm, proposed = false, attempt } = props;
  const { set, record } = bench;
  const remove = useRemove('attempts');
  const taught = !attempt || bench.pooled.some(({ id }) => id === attempt.id);
  const judged = set && taught && settings ? judge(set, settings) : null;
  const [margin] = judged?.margins ?? [];
  const belief = margin && set?.beliefs[margin.source];
  const kept = attempt && attempt.id === record.keptAttemptId;
  const verdict = attempt?.verdict ? verdictWords[attempt.verdict] : null;
  return (
    <li
      className={`grid grid-cols-[2rem_minmax(0,1fr)_auto_2.75rem] items-center gap-x-2 border-b border-line py-1.5 last:border-0 ${proposed ? 'text-soft' : ''}`}
    >
      <span className="big-number text-center text-2xl">{title}</span>
      <span>
        <b className="block leading-tight">{change}</b>
        <span className="block text-sm">
          {result}
          {kept ? (
            <b className="text-moss"> ✓ kept</b>
          ) : (
            verdict && (
              <b className={verdict.text}>
                {' '}
                {verdict.sign} {verdict.name.toLowerCase()}
              </b>
            )
          )}
        </span>
        {attempt && (
          <span className="line-clamp-2 block text-sm text-soft" title={attempt.note}>
            {format(parseISO(attempt.sewnOn ?? attempt.createdAt), 'd MMM')}
            {attempt.symptoms.length > 0 && ` · ${attempt.symptoms.map(symptomName).join(', ')}`}
            {attempt.note && ` · ${attempt.note}`}
          </span>
        )}
      </span>
      <span className="col-span-2 col-start-2 row-start-2">
        {margin && belief ? (
          <MiniMargin margin={margin} belief={belief} reachMm={reachMm} proposed={proposed} />
        ) : (
          !taught && (
            <span className="text-sm text-soft">
              Sewn with another set-up ({attempt?.names.foot}); not counted here.
            </span>
          )
        )}
      </span>
      <span className="col-start-3 row-start-1 text-right">
        {judged && (
          <>
            <b className="big-number text-2xl">{ofHundred(judged.chance)}</b> of 100
          </>
        )}
      </span>
      {attempt && (
        <RemoveButton
          what={`scrap ${attempt.number}`}
          consequence="What it taught goes with it."
          onRemove={() => remove.mutate(attempt)}
        />
      )}
    </li>
  );
}

/** The scraps one under the other, with what changed between them, and the one proposed. */
export function ScrapList({ bench }: { bench: KeptPart & SetUpPart & WorkPart & LessonPart }) {
  const { attempts, lesson, set, margin } = bench;
  const lengths = useLengths();
  const words = comparisonWords(bench, lengths);
  if (attempts.length === 0) {
    return (
      <div className="p-4">
        <h2 className="text-xl">No scrap yet</h2>
        <p className="text-soft">
          {margin
            ? `Sew a hand’s length at the setting on the slip, about 24 ${margin.words.counted}. ${margin.words.look} Record it here; the next setting follows from the count. Nothing known at all? Sew a ladder.`
            : 'Sew a hand’s length at the starting values, look at both faces, and record what you see.'}
        </p>
      </div>
    );
  }
  const source = set?.checks.find(({ name }) => name === margin?.countedCheck)?.source ?? 'guide';
  const sigma = set?.beliefs[source];
  const reachMm = Math.max(1.25, Math.abs(sigma?.shiftMm ?? 0) + 3 * (sigma?.sigmaMm ?? 0.3));
  const last = attempts.at(-1);
  const next = lesson?.next.change ? lesson.next : null;
  return (
    <div className="p-4">
      <h2 className="pb-1 text-xl">Scraps so far</h2>
      <ol>
        {attempts.map((attempt) => (
          <Row
            key={attempt.id}
            bench={bench}
            attempt={attempt}
            title={String(attempt.number)}
            change={standing(bench, attempt, words)}
            result={countsInWords(attempt)}
            settings={attempt.settings}
            reachMm={reachMm}
          />
        ))}
        {next?.change && last && (
          <Row
            bench={bench}
            proposed
            title={String(last.number + 1)}
            change={capital(
              movedInWords(
                {
                  moved: [
                    {
                      dial: next.change.dial,
                      from: next.change.fromMm,
                      to: next.change.toMm,
                    },
                  ],
                },
                words,
              ),
            )}
            result="proposed"
            settings={next.settings}
            reachMm={reachMm}
          />
        )}
      </ol>
    </div>
  );
}
