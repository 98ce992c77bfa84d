import { DAY_MIN } from '@/core/schedule';

const DAY_NAME = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  timeZone: 'UTC',
});

/** The day of a minute of the wall clock: Tue 15 Dec. */
export const dayName = (minute: number): string => DAY_NAME.format(new Date(minute * 60_000));

/** Lateness in words: hours of the clock up to a day, whole days from there on. */
export const lateText = (minutes: number): string => {
  if (minutes < DAY_MIN) return `${Math.max(1, Math.round(minutes / 60))} h`;
  const days = Math.round(minutes / DAY_MIN);
  return days === 1 ? '1 day' : `${days} days`;
};
