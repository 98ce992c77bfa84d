// Times of a day job are wall-clock times of one place, `YYYY-MM-DDTHH:MM`; here they are whole minutes since 1970 of that clock.

const MINUTE_MS = 60_000;
export const DAY_MIN = 24 * 60;

/** Reads a wall-clock time in minutes; null where it is none. */
export function minuteOf(text: string): number | null {
  const found = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)$/.exec(text);
  if (!found) return null;
  const [year, month, day, hour, minute] = found.slice(1).map(Number) as [number, number, number, number, number];
  const at = new Date(Date.UTC(year, month - 1, day, hour, minute));
  // Days and hours that the calendar does not have roll over into others.
  const isReal = at.getUTCMonth() === month - 1 && at.getUTCDate() === day && at.getUTCHours() === hour && minute < 60;
  return isReal ? at.getTime() / MINUTE_MS : null;
}

/** Writes minutes as a wall-clock time. */
export const textOf = (minute: number): string => new Date(minute * MINUTE_MS).toISOString().slice(0, 16);

/** The minute at which a day like 2026-12-04 ends; null where it is none. */
export function endOfDay(day: string): number | null {
  const begins = minuteOf(`${day}T00:00`);
  return begins === null ? null : begins + DAY_MIN;
}
