import { differenceInCalendarDays, format, parseISO } from 'date-fns';

/** A due day for people: `Fri 12 Feb`, with the year when it is not this one. */
export function dueText(iso: string, today: Date): string {
  const day = parseISO(iso);
  return format(day, day.getFullYear() === today.getFullYear() ? 'EEE d MMM' : 'EEE d MMM yyyy');
}

/** How far off a due day is: `today`, `in 3 days`, `2 days late`. */
export function dueDistance(iso: string, today: Date): { text: string; isLate: boolean } {
  const days = differenceInCalendarDays(parseISO(iso), today);
  if (days === 0) return { text: 'today', isLate: false };
  if (days < 0) return { text: `${-days} ${days === -1 ? 'day' : 'days'} late`, isLate: true };
  return { text: days === 1 ? 'tomorrow' : `in ${days} days`, isLate: false };
}
