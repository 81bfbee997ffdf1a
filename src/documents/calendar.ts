import ical, { ICalEventTransparency } from 'ical-generator';

/** A day that matters: a line in a calendar, all day. */
export interface CalendarDay {
  /** What it is told by, so that it is one and the same when it is taken in again. */
  id: string;
  /** `YYYY-MM-DD`. */
  day: string;
  what: string;
  note: string;
}

/**
 * Days as a calendar file (iCalendar, RFC 5545): each an event of a whole day, without a time zone,
 * that leaves the day free.
 */
export function calendarText(
  name: string,
  days: readonly CalendarDay[],
  at: string,
): string {
  const calendar = ical({ name, prodId: { company: 'Glassine', product: 'Glassine' } });
  for (const { id, day, what, note } of days)
    calendar.createEvent({
      id,
      start: day,
      end: null,
      allDay: true,
      floating: true,
      stamp: at,
      summary: what,
      description: note,
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  return calendar.toString();
}
