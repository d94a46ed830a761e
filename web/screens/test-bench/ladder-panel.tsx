import { useMutation, useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { localDay } from '../../../core/book/day';
import { dialField, type DialSettings } from '../../../core/kit/dial-steps';
import { rungCounts, rungStitches, type PlannedLadder } from '../../../core/plan/ladder-plan';
import type { AttemptRecord } from '../../../contract/records';
import { ApiError, send } from '../../ground/api';
import { useLengths } from '../../ground/lengths-context';
import { notify } from '../../ground/notices';
import { reloadAll, writer } from '../../ground/records';
import { Button } from '../../controls/button';
import { CountCell } from '../../controls/count-cell';
import { LineChoice } from '../../controls/line-choice';
import { MiniMargin } from '../../pictures/mini-margin';
import { judge } from '../../../core/plan/judge';
import { dialName } from '../../words/dials';
import { capital, ofHundred } from '../../words/number';
import { solver } from '../../workers/solver';
import type { Outcome } from '../../workers/solver-tasks';
import type { Bench } from '../../bench/bench';
import { samplesOf } from '../../../core/plan/of-records';
import { takeProposal } from '../../bench/plan-change';
import { LadderLabels } from './ladder-labels';
import { newId } from '../../ground/new-id';
import { setValuesOf } from './set-values';
import { useLadderCounts, type RungCounts } from './use-ladder-counts';

/** The rungs a number of scraps would have, from what is known now. */
function useLadder(bench: Bench, count: number, from: DialSettings | null) {
  const { finish, plan, pooled, carried, margin } = bench;
  const known = Object.keys(margin?.words.checks ?? {});
  const samples = samplesOf(pooled).filter(({ check }) => known.includes(check));
  return useQuery({
    queryKey: ['ladder', finish.id, plan, samples, from, count, carried],
    queryFn: async (): Promise<Outcome<PlannedLadder | null>> =>
      solver.ladder(finish.id, plan, samples, from as DialSettings, count, carried),
    enabled: from !== null,
    staleTime: Infinity,
    networkMode: 'always',
  });
}

/** A planned series in place of trial and error: printed, sewn, and entered in one go. */
export function LadderPanel({ bench }: { bench: Bench }) {
  const { record, dials } = bench;
  const kept = useLadderCounts(record.id);
  const [count, setCount] = useState<number>(3);
  // A ladder that is being entered stays the one that was sewn, whatever is learned meanwhile.
  const asked = useLadder(bench, count, kept.ladder ? null : dials);
  const ladder = kept.ladder ?? (asked.data?.ok ? asked.data.value : null);
  if (asked.data && !asked.data.ok) {
    return <p className="p-5 text-madder">{asked.data.issues[0]?.message}</p>;
  }
  if (asked.data?.ok && asked.data.value === null) {
    return (
      <p className="p-5 text-soft">
        No dial moves what is counted here: a ladder would tell nothing. Sew one scrap after
        another.
      </p>
    );
  }
  if (!ladder) return <p className="p-5 text-soft">Working out the ladder…</p>;
  return (
    <Rungs
      bench={bench}
      ladder={ladder}
      count={kept.ladder ? kept.ladder.rungs.length : count}
      onCount={setCount}
      kept={kept}
    />
  );
}

interface RungsProps {
  readonly bench: Bench;
  readonly ladder: PlannedLadder;
  readonly count: number;
  onCount(count: number): void;
  readonly kept: ReturnType<typeof useLadderCounts>;
}

function troubleOf({ n, short, over }: RungCounts): string | null {
  if ([n, short, over].some((it) => it === null || !Number.isInteger(it) || it < 0)) {
    return 'Whole numbers, 0 or more.';
  }
  if ((n ?? 0) < 1) return 'Count at least one.';
  const faults = (short ?? 0) + (over ?? 0);
  return faults > (n ?? 0) ? `${faults} faults are more than the ${n} counted.` : null;
}

function Rungs({ bench, ladder, count, onCount, kept }: RungsProps) {
  const { margin, plan, set, record, attempts } = bench;
  const lengths = useLengths();
  const [tried, setTried] = useState(false);
  const save = useMutation({
    mutationFn: (body: object) => {
      takeProposal(record.id);
      return writer.during(async () => {
        await send<AttemptRecord[]>('POST', `plans/${record.id}/attempts`, body);
        await reloadAll();
      });
    },
    onSuccess: () => {
      const sewn = ladder.rungs.length;
      kept.clear();
      setTried(false);
      notify({ kind: 'info', text: `${sewn} scraps are in the book; one undo takes them back.` });
    },
  });
  if (!margin || !set) return null;
  const { words } = margin;
  const field = dialField[ladder.dial];
  const name = dialName(ladder.dial, plan.foot.guidance);
  const firstNumber = Math.max(0, ...attempts.map(({ number }) => number)) + 1;
  const rows = ladder.rungs.map((settings, i) => ({
    settings,
    counts: kept.counts[i] ?? { n: rungStitches, short: null, over: words.over ? null : 0 },
  }));
  const troubles = rows.map(({ counts }) => troubleOf(counts));
  const record_ = () => {
    setTried(true);
    if (troubles.some(Boolean) || save.isPending) return;
    const values = setValuesOf(bench, { dialValues: {} });
    save.mutate({
      attempts: rows.map(({ settings, counts }, i) => ({
        id: kept.ids[i],
        settings,
        dialValues: Object.fromEntries(values.map(({ id, now }) => [id, now])),
        counts: [{ check: margin.countedCheck, ...counts }],
        sewnOn: localDay(new Date()),
        note: `Rung ${i + 1} of a ladder of ${rows.length}.`,
      })),
    });
  };
  const put = (i: number, patch: Partial<RungCounts>) =>
    kept.put(ladder, i, { ...rows[i]!.counts, ...patch }, () => ladder.rungs.map(() => newId()));
  const reachMm = 2;
  return (
    <div className="px-4 py-3">
      <div className="no-print flex flex-wrap items-end justify-between gap-3">
        <div className="min-w-64 grow basis-0">
          <h2 className="text-xl">
            {rows.length} scraps, one dial: {name.toLowerCase()}
          </h2>
          <p className="text-soft">
            Sewn in this order, about {rungStitches} {words.counted} each, they tell the most about
            your offset and spread. Some are meant to miss.
          </p>
        </div>
        <div className="flex items-center gap-2">
          {!kept.ladder && (
            <LineChoice
              label="How many scraps"
              value={String(count)}
              options={rungCounts.map((it) => [String(it), `${it} scraps`] as const)}
              onChange={(it) => onCount(Number(it))}
            />
          )}
          <Button onClick={() => window.print()}>
            <Printer size={18} aria-hidden /> Print labels
          </Button>
        </div>
      </div>
      <form
        className="no-print"
        aria-label="The ladder’s counts"
        onSubmit={(event) => {
          event.preventDefault();
          record_();
        }}
      >
        <p
          aria-hidden
          className="flex items-end justify-end gap-2 pt-2 text-sm leading-tight text-soft *:w-20"
        >
          <span>{capital(words.counted)} sewn</span>
          <span>{words.short}</span>
          {words.over && <span>{words.over}</span>}
        </p>
        <ol>
          {rows.map(({ settings, counts }, i) => {
            const judged = judge(set, settings);
            const [own] = judged.margins;
            const belief = own && set.beliefs[own.source];
            const before = rows[i - 1]?.settings;
            const trouble = tried
              ? troubles[i]
              : counts.short !== null && counts.over !== null
                ? troubles[i]
                : null;
            return (
              <li
                key={settings[field]}
                className="grid grid-cols-[2rem_7rem_minmax(7rem,1fr)_auto] items-center gap-3 border-b border-line py-2"
              >
                <span className="big-number text-2xl text-soft">{firstNumber + i}</span>
                <span>
                  <span className="block text-sm text-soft">{name}</span>
                  <b className="big-number text-3xl">{lengths.fineNumber(settings[field])}</b>{' '}
                  <span className="text-sm text-soft">{lengths.unit}</span>
                  <span className="block text-sm text-soft">
                    {before &&
                      `${settings[field] > before[field] ? '+' : ''}${lengths.fineNumber(settings[field] - before[field])}`}
                  </span>
                </span>
                <span>
                  {own && belief && (
                    <MiniMargin margin={own} belief={belief} reachMm={reachMm} proposed />
                  )}
                  <span className="text-sm text-soft">
                    {ofHundred(judged.chance)} of 100 expected
                  </span>
                </span>
                <span className="flex gap-2">
                  <CountCell
                    label="Sewn"
                    of={`scrap ${firstNumber + i}`}
                    value={counts.n}
                    onChange={(n) => put(i, { n })}
                  />
                  <CountCell
                    label={words.short}
                    of={`scrap ${firstNumber + i}`}
                    value={counts.short}
                    onChange={(short) => put(i, { short })}
                  />
                  {words.over && (
                    <CountCell
                      label={words.over}
                      of={`scrap ${firstNumber + i}`}
                      value={counts.over}
                      onChange={(over) => put(i, { over })}
                    />
                  )}
                </span>
                {trouble && (
                  <p role="alert" className="col-span-4 text-sm font-bold text-madder">
                    Scrap {firstNumber + i}: {trouble}
                  </p>
                )}
              </li>
            );
          })}
        </ol>
        {save.error && (
          <p role="alert" className="pt-2 font-bold text-madder">
            {save.error instanceof ApiError
              ? save.error.message
              : 'The server does not answer. Your counts are kept here; record them again when it is back.'}
          </p>
        )}
        <div className="flex flex-wrap items-center gap-3 pt-3">
          <Button type="submit" look="solid" disabled={save.isPending}>
            Record all {rows.length}
          </Button>
          {kept.ladder && <Button onClick={kept.clear}>Leave it, and plan the ladder anew</Button>}
          <p className="text-sm text-soft">
            {kept.ladder
              ? 'Kept here until it is recorded.'
              : `What is known after ${rows.length}: ${gainWords(ladder.gainsNats)}.`}
          </p>
        </div>
      </form>
      <LadderLabels bench={bench} ladder={ladder} firstNumber={firstNumber} />
    </div>
  );
}

/** How much of what the series will tell comes from its last scrap. */
function gainWords(gains: readonly number[]): string {
  const all = gains.at(-1) ?? 0;
  const last = all - (gains.at(-2) ?? 0);
  const share = all > 0 ? Math.round((100 * last) / all) : 0;
  return `the last one adds about ${share} % to what the others tell`;
}
