import { roomJob, usualHours, USUAL_ROOM, type DayJob, type OpenLine } from '@/core/schedule';

/** A Monday morning, in minutes of the wall clock. */
const NOW = Math.floor(Date.UTC(2027, 2, 1, 8) / 60_000);
const DAY = 1440;

/** A room in the middle of its work: so many open covers in lines of three, so many people, eight weeks. Made up; the same each time. */
export function roomOf(covers: number, people: number): DayJob {
  const lines = Array.from({ length: Math.ceil(covers / 3) }, (_, i): OpenLine => ({
    lineId: i + 1,
    orderId: 1 + Math.floor(i / 2),
    due: NOW + ((i * 37) % 40) * DAY,
    toCut: i % 3 === 0 ? 3 : 0,
    toSew: i % 3 === 1 ? 3 : 0,
    toCheck: i % 3 === 2 ? 3 : 0,
    batchId: null,
    setting: `kind ${i % 7} cloth ${i % 11}`,
    sewing: {
      setup: 10,
      minutes: 40 + ((i * 53) % 120),
      half: [0, 0],
      fourFifths: [0, 0],
      restsOn: 0,
      factors: [],
    },
    cutMinutes: 20 + (i % 30),
    held: '',
    notBefore: null,
    sewNotBefore: null,
    dries: 0,
  }));
  return roomJob({
    now: NOW,
    days: 56,
    hours: USUAL_ROOM,
    people: Array.from({ length: people }, (_, i) => usualHours(i + 1)),
    lines,
    batches: [],
    locks: [],
  });
}
