import { RotateCcw } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { changesInOrder, moved } from '../../../core/garment/own-order';
import { orderOf } from '../../../core/garment/tasks';
import { inForce, type OrderedWork } from '../../../core/garment/work-of';
import { plainPlaces } from '../../../core/order/task';
import { useLengths } from '../../ground/lengths-context';
import { notify } from '../../ground/notices';
import { useList } from '../../ground/records';
import { Button } from '../../controls/button';
import { WorkSheetLink } from '../../controls/work-sheet-link';
import { OrderStrip } from '../../pictures/order-strip';
import {
  changeInWords,
  changeMinutesInWords,
  laneName,
  minutesInWords,
  placeName,
  taskInWords,
  waitWords,
} from '../../words/order';
import { OrderList, type OrderRow } from './order-list';
import { ThickList } from './thick-list';
import { changeGarment, tickTask, type GarmentBench } from './use-garment';
import { WaitsPanel } from './waits-panel';

/** How good the order is known to be, and what it saves. */
function HowGood({ work }: { work: OrderedWork }) {
  const { best, own, edgeAfterEdge } = work;
  const { changeMinutes, bound, proved } = best;
  const now = own?.changeMinutes ?? changeMinutes;
  const saved = edgeAfterEdge - now;
  return (
    <p role="status">
      <span className="big-number text-3xl">{changeMinutesInWords(now)}</span> of changes
      {own && (
        <>
          {' '}
          in your own order; the least is <b>{changeMinutesInWords(changeMinutes)}</b>
        </>
      )}
      .{' '}
      {proved ? (
        <b className="text-moss">✓ proved: no order has {own ? 'fewer' : 'less'}.</b>
      ) : (
        <b className="text-ochre">
          No order has less than {changeMinutesInWords(bound)}, so this is at most{' '}
          {changeMinutesInWords(changeMinutes - bound)} from the best.
        </b>
      )}{' '}
      <span className="text-soft">
        Edge after edge: {changeMinutesInWords(edgeAfterEdge)}
        {saved > 0.05 && `, ${changeMinutesInWords(saved)} more`}.
      </span>
    </p>
  );
}

/** What it takes altogether, as far as it is known how this person works. */
function HowLong({ rows, pace }: { rows: readonly OrderRow[]; pace: GarmentBench['pace'] }) {
  const left = rows.filter(({ task }) => !task.done);
  const minutes = left.reduce((sum, row) => sum + row.task.minutes + row.changeMinutes, 0);
  const done = rows.length - left.length;
  return (
    <p className="text-soft">
      <b className="text-graphite">
        {done} of {rows.length}
      </b>{' '}
      steps done,{' '}
      {pace ? (
        <>
          <b className="text-graphite">{minutesInWords(minutes * pace.times)}</b> left at your pace
          ({minutesInWords(minutes * pace.fromTimes)} to {minutesInWords(minutes * pace.toTimes)},
          from {pace.steps} steps)
        </>
      ) : (
        <>
          <b className="text-graphite">{minutesInWords(minutes)}</b> left at the usual pace; yours
          is learned beside the machine, from five steps on
        </>
      )}
      .
    </p>
  );
}

/** The work of a garment in its order: to scale in its places, and step by step. */
export function OrderPanel({ bench, work }: { bench: GarmentBench; work: OrderedWork }) {
  const lengths = useLengths();
  const machines = useList('machines').data ?? [];
  const [looked, look] = useState<string | null>(null);
  const { sequence } = inForce(work);
  const asked = useMemo(() => orderOf(work), [work]);
  const rows = useMemo((): OrderRow[] => {
    const tasks = new Map(work.tasks.map((task) => [task.id, task]));
    return changesInOrder(asked, sequence).flatMap((changes, i) => {
      const task = tasks.get(sequence[i] ?? '');
      const changeMinutes = changes.reduce((sum, { minutes }) => sum + minutes, 0);
      return task ? [{ task, changes, changeMinutes }] : [];
    });
  }, [work.tasks, asked, sequence]);
  const here = (place: string) => placeName(place, machines);
  const places = [...new Set(rows.map(({ task }) => task.place))].sort(
    (a, b) => order(a) - order(b) || here(a).localeCompare(here(b)),
  );
  const nameOf = (id: string) => {
    const task = rows.find((row) => row.task.id === id)?.task;
    return task ? `${task.edgeName ?? 'Garment'}: ${taskInWords(task, lengths)}` : id;
  };
  const next = rows.find(({ task }) => !task.done)?.task ?? null;
  const on = looked ?? next?.id ?? null;
  const waits = work.waits.filter(({ first, then }) => first === on || then === on);
  const put = (id: string, to: number) => {
    const result = moved(asked, work.waits, sequence, id, to);
    if (result.ok) return changeGarment(bench, { sequence: result.sequence });
    const { first, then, why } = result.wait;
    notify({
      kind: 'trouble',
      text: `It can’t go there: “${nameOf(first)}” comes before “${nameOf(then)}” (${waitWords[why]}).`,
    });
  };
  return (
    <div className="grid gap-3">
      <HowGood work={work} />
      <HowLong rows={rows} pace={bench.pace} />
      {work.own && (
        <p>
          <Button onClick={() => changeGarment(bench, { sequence: null })}>
            <RotateCcw size={17} aria-hidden /> Back to the order with the least changes
          </Button>
        </p>
      )}
      {work.ownBroken && (
        <p role="status" className="text-ochre">
          Your own order no longer holds since the work changed; this is the one with the least
          changes.{' '}
          <button
            type="button"
            className="min-h-9 underline"
            onClick={() => changeGarment(bench, { sequence: null })}
          >
            Forget it
          </button>
        </p>
      )}
      <ThickList work={work} edges={bench.edges} />
      <div className="sheet overflow-hidden p-2">
        <OrderStrip
          lanes={places.map((place) => laneName(place, machines))}
          items={rows.map(({ task, changeMinutes, changes }) => ({
            ...{ id: task.id, minutes: task.minutes, changeMinutes, done: task.done },
            lane: places.indexOf(task.place),
            title: [nameOf(task.id), ...changes.map((it) => changeInWords(it, here))].join('\n'),
          }))}
          looked={
            on === null
              ? null
              : {
                  id: on,
                  first: new Set(waits.filter(({ then }) => then === on).map(({ first }) => first)),
                  then: new Set(waits.filter(({ first }) => first === on).map(({ then }) => then)),
                }
          }
          nextId={next?.id ?? null}
          onPick={look}
        />
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_21rem]">
        <OrderList
          rows={rows}
          looked={on}
          nextId={next?.id ?? null}
          proposed={work.proposed}
          here={here}
          costAt={(id, to) => {
            const result = moved(asked, work.waits, sequence, id, to);
            return result.ok ? result.changeMinutes - inForce(work).changeMinutes : null;
          }}
          onLook={look}
          onTick={(task, ticked) => tickTask(bench, task, ticked)}
          onMove={put}
        />
        <aside className="slip sticky top-2 grid gap-3 p-4">
          {on !== null && (
            <WaitsPanel
              key={on}
              id={on}
              rows={rows}
              waits={waits}
              bench={bench}
              nameOf={nameOf}
              onLook={look}
            />
          )}
          {next && (
            <Link
              className="inline-flex min-h-11 items-center font-bold text-pencil underline underline-offset-2"
              to={`/at/garment/${bench.project.id}`}
            >
              Take it to the machine
            </Link>
          )}
          <WorkSheetLink of={`projects/${bench.project.id}`} />
        </aside>
      </div>
    </div>
  );
}

/** Plain places first, then machines. */
const order = (place: string): number => {
  const at = (plainPlaces as readonly string[]).indexOf(place);
  return at < 0 ? plainPlaces.length : at;
};
