import { format } from 'date-fns';
import { dialField, type Dial, type DialSettings } from '../../../core/kit/dial-steps';
import { judge } from '../../../core/plan/judge';
import type { AttemptRecord } from '../../../contract/records';
import type { Lengths } from '../../app/lengths';
import { useLengths } from '../../app/lengths-context';
import { useRemove } from '../../app/records';
import { RemoveButton } from '../../controls/remove-button';
import { MiniMargin } from '../../pictures/mini-margin';
import type { FinishMargin } from '../../../core/finish/finish';
import type { Guidance } from '../../../core/kit/foot';
import { dialName } from '../../words/dials';
import { ofHundred } from '../../words/number';
import type { Bench } from './bench';

const dials = Object.keys(dialField) as Dial[];

/** What was moved between two settings, in words; the whole setting for the first. */
export function whatChanged(
  now: DialSettings,
  before: DialSettings | undefined,
  { fineNumber }: Lengths,
  guidance: Guidance,
): string {
  if (!before)
    return `Width ${fineNumber(now.widthMm)}, needle ${fineNumber(now.needlePositionMm)}`;
  const moved = dials.filter(
    (dial) => Math.abs(now[dialField[dial]] - before[dialField[dial]]) > 1e-6,
  );
  if (moved.length === 0) return 'same setting';
  return moved
    .map(
      (dial) =>
        `${dialName(dial, guidance)} ${fineNumber(before[dialField[dial]])} → ${fineNumber(now[dialField[dial]])}`,
    )
    .join(', ');
}

function counts(attempt: AttemptRecord, { words, countedCheck }: FinishMargin): string {
  const counted = attempt.counts.find(({ check }) => check === countedCheck);
  const others = attempt.counts.filter(({ check }) => check !== countedCheck);
  if (!counted) return 'Counted for another finish.';
  const { n, short, over } = counted;
  const faults = [
    short > 0 ? `${short} ${words.short.toLowerCase()}` : '',
    over > 0 ? `${over} ${(words.over ?? 'over').toLowerCase()}` : '',
    ...others.map((it) => (it.short > 0 ? `${it.short} at the ${words.checks[it.check]}` : '')),
  ].filter(Boolean);
  return `${n} ${words.counted}: ${faults.join(', ') || 'all good'}`;
}

function Row(props: {
  bench: Bench;
  title: string;
  change: string;
  result: string;
  settings: DialSettings;
  reachMm: number;
  proposed?: boolean;
  attempt?: AttemptRecord;
}) {
  const { bench, title, change, result, settings, reachMm, proposed = false, attempt } = props;
  const { set, record } = bench;
  const remove = useRemove('attempts');
  const taught = !attempt || bench.pooled.some(({ id }) => id === attempt.id);
  const judged = set && taught ? judge(set, settings) : null;
  const [margin] = judged?.margins ?? [];
  const belief = margin && set?.beliefs[margin.source];
  const kept = attempt && attempt.id === record.keptAttemptId;
  return (
    <li
      className={`grid grid-cols-[2rem_minmax(0,1fr)_auto_2.75rem] items-center gap-x-2 border-b border-line py-1.5 last:border-0 ${proposed ? 'text-soft' : ''}`}
    >
      <span className="big-number text-center text-2xl">{title}</span>
      <span>
        <b className="block leading-tight">{change}</b>
        <span className="block text-sm">
          {result}
          {kept && <b className="text-moss"> ✓ kept</b>}
        </span>
        {attempt && (
          <span className="line-clamp-1 block text-sm text-soft" title={attempt.note}>
            {format(new Date(attempt.createdAt), 'd MMM')}
            {attempt.note && ` · ${attempt.note}`}
          </span>
        )}
      </span>
      <span className="col-span-2 col-start-2 row-start-2">
        {margin && belief ? (
          <MiniMargin margin={margin} belief={belief} reachMm={reachMm} proposed={proposed} />
        ) : (
          <span className="text-sm text-soft">
            Sewn with another set-up ({attempt?.names.foot}); not counted here.
          </span>
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
export function ScrapList({ bench }: { bench: Bench }) {
  const { attempts, lesson, set, margin, plan } = bench;
  const lengths = useLengths();
  if (attempts.length === 0) {
    return (
      <div className="p-4">
        <h2 className="text-xl">No scrap yet</h2>
        <p className="text-soft">
          Sew a hand’s length at the setting on the slip, about 24 {margin?.words.counted}.{' '}
          {margin?.words.look} Record it here; the next setting follows from the count.
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
        {attempts.map((attempt, i) => (
          <Row
            key={attempt.id}
            bench={bench}
            attempt={attempt}
            title={String(attempt.number)}
            change={whatChanged(
              attempt.settings,
              attempts[i - 1]?.settings,
              lengths,
              plan.foot.guidance,
            )}
            result={margin ? counts(attempt, margin) : ''}
            settings={attempt.settings}
            reachMm={reachMm}
          />
        ))}
        {next && last && (
          <Row
            bench={bench}
            proposed
            title={String(last.number + 1)}
            change={whatChanged(next.settings, last.settings, lengths, plan.foot.guidance)}
            result="proposed"
            settings={next.settings}
            reachMm={reachMm}
          />
        )}
      </ol>
    </div>
  );
}
