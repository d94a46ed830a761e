import type { Evenings } from './garment';

/** What is to be done, with its minutes and what is changed before it. */
export interface TimedTask {
  readonly id: string;
  readonly minutes: number;
}

/** An evening's work. */
export interface Evening {
  /** As 2026-11-27. */
  readonly day: string;
  readonly minutes: number;
  /** Tasks begun or gone on with, in their order. */
  readonly tasks: readonly string[];
}

const dayMs = 86_400_000;
/** Nobody plans further than this, days. */
const furthestDays = 3660;
/** A task that has hardly begun is better begun tomorrow, minutes. */
const notWorthStarting = 2;

/** The days that are evenings for sewing, from the first on. */
function* daysOf({ startOn, weekdays }: Pick<Evenings, 'startOn' | 'weekdays'>) {
  const start = Date.parse(`${startOn}T00:00:00Z`);
  for (let i = 0; i < furthestDays; i++) {
    const day = new Date(start + i * dayMs);
    if (weekdays.includes(day.getUTCDay())) yield day.toISOString().slice(0, 10);
  }
}

/**
 * Spreads tasks in their order over evenings. A task that no longer fits waits for the next one; one
 * that is longer than any is gone on with.
 *
 * @returns one entry for each evening that is needed; none without weekdays
 * @example overEvenings([{ id: 'a', minutes: 40 }, { id: 'b', minutes: 30 }], sixtyMinutesADay).length // 2
 */
export function overEvenings(
  tasks: readonly TimedTask[],
  evenings: Pick<Evenings, 'startOn' | 'weekdays' | 'minutes'>,
): Evening[] {
  const result: Evening[] = [];
  const days = daysOf(evenings);
  const whole = evenings.minutes;
  let left = 0;
  const turnPage = (): boolean => {
    const next = days.next();
    if (next.done) return false;
    result.push({ day: next.value, minutes: 0, tasks: [] });
    left = whole;
    return true;
  };
  const put = (id: string, minutes: number) => {
    const last = result.at(-1)!;
    result[result.length - 1] = {
      ...last,
      minutes: last.minutes + minutes,
      tasks: [...last.tasks, id],
    };
    left -= minutes;
  };
  for (const { id, minutes } of tasks) {
    const tomorrow = minutes > left && (minutes <= whole || left < notWorthStarting);
    if ((result.length === 0 || tomorrow) && !turnPage()) return result;
    let rest = minutes;
    while (rest > left) {
      rest -= left;
      put(id, left);
      if (!turnPage()) return result;
    }
    put(id, rest);
  }
  return result;
}
