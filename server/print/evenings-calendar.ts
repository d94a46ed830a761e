import { TZDate } from '@date-fns/tz';
import { addMinutes } from 'date-fns/addMinutes';
import ical from 'ical-generator';
import type { Evening } from '../../core/garment/evenings';
import type { Evenings } from '../../core/garment/garment';

/**
 * When an evening begins: the wall clock of the person's own zone, so that a change to summer time
 * in between moves no evening. A time the clock jumps over is an hour later.
 */
export function beginsAt(day: string, { fromTime, timeZone }: Evenings): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const [hour = 0, minute = 0] = fromTime.split(':').map(Number);
  return new Date(new TZDate(year, month - 1, date, hour, minute, timeZone).getTime());
}

/**
 * Evenings of work as an iCalendar file (RFC 5545), in universal time: right in whatever zone it is
 * read. The ids stay the same, so that reading it again changes what is there.
 *
 * @param said what is done on an evening, a line each
 */
export function eveningsCalendar(
  project: { readonly id: string; readonly name: string },
  evenings: Evenings,
  spread: readonly Evening[],
  said: (evening: Evening) => readonly string[],
  stampedAt: Date,
): string {
  const calendar = ical({
    name: project.name,
    prodId: { company: 'Pin Margin', product: 'Evenings', language: 'EN' },
  });
  spread.forEach((evening, i) => {
    const start = beginsAt(evening.day, evenings);
    calendar.createEvent({
      id: `${project.id}-${i + 1}@pin-margin`,
      stamp: stampedAt,
      start,
      end: addMinutes(start, Math.ceil(evening.minutes)),
      summary: `${project.name}, ${i + 1} of ${spread.length}`,
      description: said(evening).join('\n'),
    });
  });
  return calendar.toString();
}
