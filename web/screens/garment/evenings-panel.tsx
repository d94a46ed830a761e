import { CalendarDays, Download } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { addDays, format, parseISO, startOfWeek } from 'date-fns';
import { overEvenings } from '../../../core/garment/evenings';
import type { Evenings } from '../../../core/garment/garment';
import { timedOrder } from '../../../core/garment/timed-order';
import { inForce, type OrderedWork } from '../../../core/garment/work-of';
import { useLengths } from '../../ground/lengths-context';
import { writer } from '../../ground/records';
import { Button } from '../../controls/button';
import { MomentField } from '../../controls/moment-field';
import { NumberField } from '../../controls/number-field';
import { minutesInWords, taskInWords } from '../../words/order';
import { changeGarment, type GarmentBench } from './use-garment';

const weekdayNames = Array.from({ length: 7 }, (_, day) =>
  format(addDays(startOfWeek(new Date(2026, 0, 4)), day), 'EEE'),
);

/** Two evenings a week from today on, an hour each, in the zone of this browser. */
const usualEvenings = (): Evenings => ({
  startOn: format(new Date(), 'yyyy-MM-dd'),
  weekdays: [2, 4],
  fromTime: '19:30',
  minutes: 60,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
});

/** The work spread over the evenings one has, and the calendar file of it. */
export function EveningsPanel({ bench, work }: { bench: GarmentBench; work: OrderedWork }) {
  const lengths = useLengths();
  const { evenings } = bench.garment;
  const set = (patch: Partial<Evenings>) => {
    changeGarment(bench, { evenings: { ...(evenings ?? usualEvenings()), ...patch } });
  };
  if (!evenings) {
    return (
      <div className="sheet grid justify-items-start gap-3 p-6">
        <p className="text-lg">Say which evenings you have, and the work is spread over them.</p>
        <Button look="solid" onClick={() => set({})}>
          <CalendarDays size={18} aria-hidden /> Two evenings a week
        </Button>
      </div>
    );
  }
  const tasks = new Map(work.tasks.map((task) => [task.id, task]));
  const left = timedOrder(work, inForce(work).sequence, bench.pace).filter(
    ({ id }) => !tasks.get(id)?.done,
  );
  const spread = overEvenings(left, evenings);
  return (
    <div className="grid items-start gap-6 md:grid-cols-[20rem_1fr]">
      <div className="slip no-print grid gap-3 p-4">
        <MomentField
          label="From"
          type="date"
          value={evenings.startOn}
          onCommit={(startOn) => set({ startOn })}
        />
        <div>
          <p id="weekdays" className="mb-1 text-sm text-soft">
            On
          </p>
          <ToggleGroup.Root
            type="multiple"
            aria-labelledby="weekdays"
            className="grid grid-cols-7 gap-1"
            value={evenings.weekdays.map(String)}
            onValueChange={(days) => days.length > 0 && set({ weekdays: days.map(Number).sort() })}
          >
            {weekdayNames.map((name, day) => (
              <ToggleGroup.Item
                key={name}
                value={String(day)}
                className="min-h-11 rounded-[3px] border border-seam bg-slip text-sm data-[state=on]:border-2 data-[state=on]:border-pencil data-[state=on]:bg-pencil-wash data-[state=on]:font-bold"
              >
                {name}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
        </div>
        <MomentField
          label="At"
          type="time"
          value={evenings.fromTime}
          onCommit={(fromTime) => set({ fromTime })}
        />
        <NumberField
          label="For"
          unit="min"
          value={evenings.minutes}
          refuse={(minutes) =>
            minutes < 10 || minutes > 720 ? 'An evening has 10 to 720 minutes.' : null
          }
          onCommit={(minutes) => minutes !== null && set({ minutes })}
        />
        <p className="text-sm text-soft">Clock of {evenings.timeZone.replace(/_/g, ' ')}.</p>
        <Button
          disabled={spread.length === 0}
          onClick={() => {
            // What was just set has to be stored before the file is made from it.
            void writer.during(() => {
              window.location.assign(`/api/projects/${bench.project.id}/evenings.ics`);
              return Promise.resolve();
            });
          }}
        >
          <Download size={18} aria-hidden /> Calendar file
        </Button>
      </div>
      <div>
        <p role="status" className="mb-2">
          {spread.length === 0 ? (
            'Everything is done.'
          ) : (
            <>
              <span className="big-number text-3xl">{spread.length}</span>{' '}
              {spread.length === 1 ? 'evening' : 'evenings'}, done on{' '}
              <b>{format(parseISO(spread.at(-1)!.day), 'EEEE d MMMM yyyy')}</b>
              {bench.pace ? ', at your pace.' : ', at the usual pace.'}
            </>
          )}
        </p>
        <ol className="grid gap-3">
          {spread.map(({ day, minutes, tasks: some }) => (
            <li key={day} className="sheet p-3">
              <h2 className="text-lg">
                {format(parseISO(day), 'EEEE d MMMM')}{' '}
                <span className="text-base font-normal text-soft">{minutesInWords(minutes)}</span>
              </h2>
              <ul className="mt-1 grid gap-0.5">
                {some.map((id) => {
                  const task = tasks.get(id);
                  return (
                    task && (
                      <li key={id} className="leading-snug">
                        <span className="text-soft">{task.edgeName ?? 'Garment'}:</span>{' '}
                        {taskInWords(task, lengths)}
                      </li>
                    )
                  );
                })}
              </ul>
            </li>
          ))}
        </ol>
      </div>
    </div>
  );
}
