import { differenceInCalendarDays, format, parseISO } from 'date-fns';
import { printLength, printYards, type Nm, type Units } from '@/core/length';

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

export const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;

/** How much longer than the shortest possible a lay may be, by its proven bound, in words. */
export function overBound(used: Nm, bound: Nm): string {
  if (used <= bound) return 'no shorter lay is possible';
  const over = (100 * (used - bound)) / bound;
  return over < 0.05 ? 'less than 0.1 % too long' : `at most ${over.toFixed(1)} % too long`;
}

/** A used or bought length for people: yards and inches in eighths, or metres to the centimetre. */
export const longLength = (length: Nm, units: Units): string =>
  units === 'in' ? printYards(length, 8) : printLength(Math.ceil(length / 10_000_000) * 10_000_000, { unit: 'm' });

/** What a change means for batches whose lays it has dropped; nothing where there are none. */
export const laysAgain = (batches: readonly string[]): string | undefined =>
  batches.length > 0
    ? `The lays of ${batches.map((name) => `“${name}”`).join(' and ')} have to be made again.`
    : undefined;
