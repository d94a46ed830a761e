import { useQuery } from '@tanstack/react-query';
import type { Advice } from '../../../core/diagnose/advice';
import type { SuggestedMove } from '../../../core/diagnose/diagnose';
import type { UsualScraps } from '../../../core/book/usual';
import { dialField } from '../../../core/kit/dial-steps';
import { countedAlongEdge } from '../../../core/plan/judge';
import type { Lesson } from '../../../core/plan/learn-plan';
import { send } from '../../ground/api';
import type { Lengths } from '../../../core/measure/lengths';
import { useLengths } from '../../ground/lengths-context';
import { change, writer } from '../../ground/records';
import { queryClient } from '../../ground/query-client';
import { Button } from '../../controls/button';
import { toldApart } from '../../words/comparison';
import { dialName } from '../../words/dials';
import { moveInWords } from '../../words/moves';
import { about, counted } from '../../words/number';
import { symptomName } from '../../words/symptoms';
import type { Bench } from '../../bench/bench';
import { comparedWithBefore, comparisonWords } from './compare';
import { Enough } from './enough';
import { LooperAdvice } from './looper-advice';
import { useAdvice } from './use-advice';

/** More moves than this are no advice. */
const mostMoves = 3;

/** Where the edge really runs, and what that leads to. */
function belief({ posterior }: Lesson, bench: Bench, { fine }: Lengths): string {
  const { shiftMm } = posterior;
  const { margin, set, dials, plan } = bench;
  const check = set?.checks.find(({ name }) => name === margin?.countedCheck);
  const reference =
    (margin && dials && margin.references(plan, dials)[0].name) || margin?.words.reference;
  if (Math.abs(shiftMm) < 0.03) return `Your ${reference} runs where it should.`;
  const side = shiftMm < 0 ? 'left' : 'right';
  const end = shiftMm * (check?.k ?? 1) < 0 ? check?.below : check?.above;
  const so = margin?.words.faults[end ?? '']?.long;
  return `Your ${reference} runs about ${fine(Math.abs(shiftMm))} to the ${side}${so ? `: more often ${so}` : ''}.`;
}

/** One move of the list: the first large, what comes after it small. */
function Move({ bench, advice, first }: { bench: Bench; advice: Advice; first: boolean }) {
  const lengths = useLengths();
  const { lesson, plan } = bench;
  const { counted: byCount, seen } = advice;
  const reasons = seen?.reasons.map(({ symptom, reason, expect }) => (
    <span key={symptom + reason} className="block text-sm text-soft">
      {byCount && 'Seen too: '}
      {reason} {expect}
    </span>
  ));
  if (byCount?.change) {
    const { dial, fromMm, toMm } = byCount.change;
    const stitches = countedAlongEdge(plan, byCount.settings.lengthMm);
    const words = bench.margin?.words.counted ?? 'stitches';
    if (!first) {
      return (
        <p className="border-b border-line py-3">
          <b>Or instead</b> {dialName(dial, plan.foot.guidance).toLowerCase()}{' '}
          {lengths.fineNumber(fromMm)} to {lengths.fine(toMm)}: about{' '}
          {about(byCount.predicted.expectedFaults)} to resew.
          {reasons}
        </p>
      );
    }
    return (
      <>
        <div className="border-b border-line py-3" data-testid="advice">
          <p>{dialName(dial, plan.foot.guidance)}</p>
          <p className="big-number text-5xl">
            {lengths.fineNumber(fromMm)} <span className="text-3xl text-seam">to</span>{' '}
            {lengths.fineNumber(toMm)}
            <span className="font-body text-base font-normal text-soft"> {lengths.unit}</span>
          </p>
          {lesson && <p className="pt-1">{belief(lesson, bench, lengths)}</p>}
          {reasons}
        </div>
        <p className="border-b border-line py-3">
          <b>Expect</b> about {about(byCount.predicted.expectedFaults)} of {Math.round(stitches)}{' '}
          {words} to resew
          {lesson && `, down from ${about(lesson.now.predicted.expectedFaults)}`}.
        </p>
      </>
    );
  }
  if (!seen) return null;
  const { dial, way } = moveInWords(seen, lengths);
  return (
    <div className="border-b border-line py-3" data-testid={first ? 'advice' : undefined}>
      {first ? (
        <>
          <p>{dial}</p>
          <p className="font-head text-3xl leading-tight font-semibold">{way}</p>
        </>
      ) : (
        <p>
          <b>{lesson && !lesson.enough ? 'And for what you saw' : 'Or instead'}</b>{' '}
          {dial.toLowerCase()}: <b>{way}</b>
        </p>
      )}
      {reasons}
    </div>
  );
}

/** What was seen that would turn a dial of the margin where the counts would not. */
function Overruled({ moves }: { moves: readonly SuggestedMove[] }) {
  const lengths = useLengths();
  const symptoms = [...new Set(moves.flatMap(({ reasons }) => reasons.map((it) => it.symptom)))];
  return symptoms.map((symptom) => {
    const ways = moves
      .filter(({ reasons }) => reasons.some((it) => it.symptom === symptom))
      .map((move) => {
        const { dial, way } = moveInWords(move, lengths);
        return `${dial.toLowerCase()} ${way}`;
      });
    return (
      <p key={symptom} className="border-b border-line py-2 text-sm text-soft">
        For “{symptomName(symptom)}” one would turn {ways.join(', or ')}; your counts say otherwise,
        and they know more.
      </p>
    );
  });
}

function Interval(props: { name: string; mm: number; interval: readonly [number, number] }) {
  const { name, mm, interval } = props;
  const { fine, fineNumber } = useLengths();
  return (
    <div className="flex items-baseline justify-between gap-3 py-0.5">
      <dt>{name}</dt>
      <dd className="text-right">
        <b>{fine(mm)}</b>
        <span className="text-sm text-soft">
          {' '}
          ({fineNumber(interval[0])} to {fineNumber(interval[1])})
        </span>
      </dd>
    </div>
  );
}

/** How many scraps this person usually needs; nothing while that is not known. */
function Usually() {
  const { data } = useQuery({
    queryKey: ['attempts', 'usual'],
    queryFn: () => send<UsualScraps | null>('GET', 'book/usual'),
  });
  if (!data) return null;
  const { median, middle, edges } = data;
  const whole = (it: number) => String(Math.round(it * 10) / 10);
  return (
    <p className="py-2 text-sm text-soft">
      You usually get there in {whole(median)} {median === 1 ? 'scrap' : 'scraps'}: half of your{' '}
      {edges} edges took {whole(middle[0])} to {whole(middle[1])}.
    </p>
  );
}

/** What the scraps and the eye say, as one move, the second-best below it. */
export function AdviceSlip({ bench }: { bench: Bench }) {
  const { lesson, pooled, record, attempts } = bench;
  const lengths = useLengths();
  const { moves, overruled, seen } = useAdvice(bench);
  const last = attempts.at(-1);
  const [first] = moves;
  const words = bench.margin?.words;
  const bites = words
    ? counted(
        pooled.reduce((sum, { counts }) => sum + (counts.at(-1)?.n ?? 0), 0),
        words.one,
        words.counted,
      )
    : '';
  const comparison = last && comparedWithBefore(bench, last);
  const confused =
    comparison &&
    toldApart(comparison, Boolean(last.counts.length), comparisonWords(bench, lengths));
  const heading =
    lesson?.enough && !first?.seen
      ? 'Enough. Sew the edge.'
      : first && !(lesson?.enough && first.counted)
        ? 'Move one dial'
        : lesson
          ? 'No dial gains more'
          : 'One thing at a time';
  // Counts that are good enough leave only what the eye minds.
  const shown = lesson?.enough ? moves.filter((advice) => advice.seen !== null) : moves;
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-2xl">{heading}</h2>
      <p className="text-sm text-soft">
        {lesson
          ? `from ${bites} on ${counted(pooled.length, 'scrap')}${seen.length > 0 ? ', and what you saw' : ''}`
          : seen.length > 0
            ? 'from what you saw; a starting guess from craft practice'
            : 'nothing seen that speaks for a change'}
      </p>
      {confused && (
        <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm" role="note">
          {confused}
        </p>
      )}
      {lesson && (lesson.enough || !lesson.next.change) && <Enough bench={bench} lesson={lesson} />}
      {lesson && !lesson.enough && !lesson.next.change && (
        <p className="border-b border-line py-3">
          {belief(lesson, bench, lengths)}{' '}
          {bench.set?.checks.some(({ v0 }) => v0.guide !== 0)
            ? 'Another scrap at this setting would make it surer; a finer machine or a steadier guide would widen the margin.'
            : 'No dial helps here: it is your hand that has to bring it back.'}
        </p>
      )}
      <LooperAdvice bench={bench} />
      {shown[0] && <Move bench={bench} advice={shown[0]} first />}
      {shown.slice(1, mostMoves).map((advice) => (
        <Move
          key={`${advice.dial} ${advice.direction}`}
          bench={bench}
          advice={advice}
          first={false}
        />
      ))}
      <Overruled moves={overruled} />
      {lesson && !lesson.enough && lesson.next.change && <Enough bench={bench} lesson={lesson} />}
      {lesson && (
        <>
          <dl className="pt-2">
            <Interval
              name="Offset"
              mm={lesson.posterior.shiftMm}
              interval={lesson.posterior.shiftInterval}
            />
            <Interval
              name="Spread"
              mm={lesson.posterior.sigmaMm}
              interval={lesson.posterior.sigmaInterval}
            />
          </dl>
          <p className="border-b border-line pb-2 text-sm text-soft">
            nine chances of ten in brackets
          </p>
        </>
      )}
      <Usually />
      <div className="grow" />
      {last && !bench.pass && <Decide bench={bench} first={first} key={record.id} />}
    </div>
  );
}

/** Takes the move, or keeps what the last scrap was sewn at. */
function Decide({ bench, first }: { bench: Bench; first: Advice | undefined }) {
  const { lesson, record, attempts, pooled } = bench;
  const last = (lesson ? pooled : attempts).at(-1);
  if (!last) return null;
  const next = first?.counted ?? (lesson?.next.change ? lesson.next : null);
  const taken =
    next?.change &&
    bench.dials &&
    bench.dials[dialField[next.change.dial]] === next.settings[dialField[next.change.dial]];
  const kept = record.keptAttemptId === last.id;
  const keep = () => {
    change('plans', record.id, { keptAttemptId: last.id, settings: last.settings });
    // Keeping is a verdict too; the server writes it down with the plan.
    void writer.settled().then(() => queryClient.invalidateQueries({ queryKey: ['attempts'] }));
  };
  return (
    <div className="no-print sticky -bottom-4 -mx-5 grid gap-2 border-t border-line bg-slip px-5 py-3">
      {next?.change && !lesson?.enough && (
        <Button
          look="solid"
          disabled={taken === true}
          onClick={() =>
            change('plans', record.id, { settings: next.settings, keptAttemptId: null })
          }
        >
          {taken
            ? `Dial set: sew scrap ${last.number + 1}`
            : `Take it for scrap ${last.number + 1}`}
        </Button>
      )}
      <Button look={lesson?.enough ? 'solid' : 'outline'} disabled={kept} onClick={keep}>
        {kept
          ? `✓ Setting of scrap ${last.number} is kept`
          : `Keep the setting of scrap ${last.number}`}
      </Button>
    </div>
  );
}
