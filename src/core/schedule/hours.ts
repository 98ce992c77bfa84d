import { DAY_MIN, minuteOf } from './wall-clock';

/** Sorts of work in the room, from the table to the door. */
export const WORKS = ['cut', 'sew', 'check'] as const;
export type WorkSort = (typeof WORKS)[number];
export const WORK_LABELS: Record<WorkSort, string> = { cut: 'Cutting', sew: 'Sewing', check: 'Checking and packing' };

/** Hours of a working day, each like `08:00`; without a break both of its times are empty. */
export interface DayHours {
  from: string;
  to: string;
  breakFrom: string;
  breakTo: string;
}

/** Hours and work of one person: a day that they don't work is null; Monday first. */
export interface PersonHours {
  personId: number;
  does: WorkSort[];
  week: (DayHours | null)[];
}

/** A stretch of days off, of one person or of the whole workroom. */
export interface DaysOff {
  /** Null: the whole workroom. */
  personId: number | null;
  /** The first and the last day, like 2026-12-24. */
  from: string;
  to: string;
  why: string;
}

/** The hours of the room. */
export interface RoomHours {
  people: PersonHours[];
  off: DaysOff[];
  /** Share of a day (percent) that really goes to covers. */
  sharePercent: number;
  /** A clock counts a stretch without a tick up to so many minutes; of a longer one it asks. */
  gapMinutes: number;
  /** Figures and minutes name people. */
  hasNames: boolean;
  /** Days until a cloth or a notion is there that has to be bought and of which no day was named. */
  clothDays: number;
  /** How many can work at once at the table, the machines and the bench. */
  seats: Record<WorkSort, number>;
}

const USUAL_DAY: DayHours = { from: '08:00', to: '16:30', breakFrom: '12:00', breakTo: '12:45' };

/** Hours of somebody of whom none were written: five days of eight hours less a break, all sorts of work. From memory. */
export const usualHours = (personId: number): PersonHours => ({
  personId,
  does: [...WORKS],
  week: [USUAL_DAY, USUAL_DAY, USUAL_DAY, USUAL_DAY, USUAL_DAY, null, null],
});

/** A room that has decided nothing: an hour or two of each day go to everything else. Common practice, no source. */
export const USUAL_ROOM: RoomHours = {
  people: [],
  off: [],
  sharePercent: 80,
  gapMinutes: 45,
  hasNames: true,
  clothDays: 7,
  seats: { cut: 1, sew: 4, check: 2 },
};

/** The windows of a person (minutes of the wall clock) on so many days from the day of `from` on. */
export function windowsOf(hours: PersonHours, off: readonly DaysOff[], from: number, days: number): [number, number][] {
  const first = Math.floor(from / DAY_MIN) * DAY_MIN;
  return Array.from({ length: days }, (_, i) => first + i * DAY_MIN).flatMap((day): [number, number][] => {
    const own = hours.week[weekdayOf(day)];
    if (!own || isOff(hours.personId, off, day)) return [];
    const at = (time: string) => day + minutesOf(time)!;
    const [begins, ends] = [at(own.from), at(own.to)];
    if (own.breakFrom === '') return [[begins, ends]];
    return [
      [begins, at(own.breakFrom)],
      [at(own.breakTo), ends],
    ];
  });
}

/** The day of the week of a minute: 0 is Monday. */
export const weekdayOf = (minute: number): number => (Math.floor(minute / DAY_MIN) + 3) % 7;

/** Minutes of a time of the day like `08:30`; null where it is none. */
export function minutesOf(time: string): number | null {
  const found = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(time);
  return found ? Number(found[1]) * 60 + Number(found[2]) : null;
}

function isOff(personId: number, off: readonly DaysOff[], day: number): boolean {
  return off.some((one) => {
    if (one.personId !== null && one.personId !== personId) return false;
    const [from, to] = [minuteOf(`${one.from}T00:00`), minuteOf(`${one.to}T00:00`)];
    return from !== null && to !== null && from <= day && day <= to;
  });
}
