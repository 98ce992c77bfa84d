import ICAL from 'ical.js';
import { refuse, type Result } from '@/core/result';
import type { DaysOff } from '@/core/schedule';

/** Years ahead that are read, and the most days that are taken. */
const YEARS = 2;
const MOST = 200;
/** Occurrences that are looked through of one event, so that a daily one for ever ends. */
const MOST_STEPS = 2_000;

/** Reads the days of an iCalendar file (RFC 5545) as days off of the whole workroom, those of the two years from `today` on. */
export function readHolidays(text: string, today: string): Result<DaysOff[]> {
  const until = `${Number(today.slice(0, 4)) + YEARS}${today.slice(4)}`;
  try {
    const events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent');
    const days = events.flatMap((component) => occurrences(new ICAL.Event(component), today, until));
    days.sort((a, b) => (a.from < b.from ? -1 : 1));
    if (days.length === 0)
      return refuse('holidays', 'holidays', 'This calendar has no day in the two years from today on.');
    return { ok: true, value: days.slice(0, MOST) };
  } catch {
    return refuse('holidays', 'holidays', 'This is no calendar file; it begins with BEGIN:VCALENDAR and ends in .ics.');
  }
}

function occurrences(event: ICAL.Event, today: string, until: string): DaysOff[] {
  const found: DaysOff[] = [];
  const lasts = event.endDate.subtractDate(event.startDate);
  const next = event.iterator();
  for (let step = 0; step < MOST_STEPS; step++) {
    const begins = next.next();
    if (!begins || dayOf(begins) > until) break;
    const ends = begins.clone();
    ends.addDuration(lasts);
    // A whole day ends where the next begins: that one is not of it.
    if (ends.isDate && ends.compare(begins) > 0) ends.adjust(-1, 0, 0, 0);
    const one = { personId: null, from: dayOf(begins), to: dayOf(ends), why: (event.summary ?? '').slice(0, 80) };
    if (one.to >= today) found.push(one);
  }
  return found;
}

const dayOf = (time: ICAL.Time): string => time.toString().slice(0, 10);

/** Days off with those of a calendar added; what is there already is not taken twice. */
export const withHolidays = (off: readonly DaysOff[], holidays: readonly DaysOff[]): DaysOff[] => [
  ...off,
  ...holidays.filter(
    (one) => !off.some((known) => known.personId === null && known.from === one.from && known.to === one.to),
  ),
];
