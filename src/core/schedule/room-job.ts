import type { DayJob, DayRun } from './day-job';
import type { Estimate } from './estimate';
import { windowsOf, WORKS, type PersonHours, type RoomHours, type WorkSort } from './hours';

/** A line of an order with covers that are not packed yet. */
export interface OpenLine {
  lineId: number;
  orderId: number;
  /** The minute at which its promised day ends. */
  due: number;
  /** Covers that still have to be cut, sewn, and checked. */
  toCut: number;
  toSew: number;
  toCheck: number;
  /** The batch with which it is cut; null: none yet. */
  batchId: number | null;
  /** Lines with the same key share a setting of the machine. */
  setting: string;
  sewing: Estimate;
  /** Minutes of cutting its pieces, where its batch has no lay of its own yet. */
  cutMinutes: number;
  /** Why it waits: nothing of it is planned then. */
  held: string;
}

/** A batch that is approved or laid and not cut. */
export interface OpenBatch {
  batchId: number;
  minutes: number;
}

/** A run that somebody has put to a person or not before a day by hand. */
export interface RunLock {
  runId: string;
  personId: number | null;
  /** Not before this minute; null: whenever it can. */
  notBefore: number | null;
}

export interface RoomWork {
  now: number;
  days: number;
  hours: RoomHours;
  people: readonly PersonHours[];
  lines: readonly OpenLine[];
  batches: readonly OpenBatch[];
  locks: readonly RunLock[];
}

/** Minutes of looking a cover over with the tape, and of packing it. From memory. */
const CHECK_EACH = 6;
/** Minutes of setting up before a lay is cut. From memory. */
const CUT_SETUP = 10;

export const cutRunOf = (batchId: number): string => `batch-${batchId}-cut`;
export const runIdOf = (lineId: number, work: WorkSort): string => `line-${lineId}-${work}`;

/** The day job of a room: each batch is cut, then each of its lines sewn, then checked and packed. Minutes are lengthened by what else the day goes to. */
export function roomJob({ now, days, hours, people, lines, batches, locks }: RoomWork): DayJob {
  const lockOf = new Map(locks.map((one) => [one.runId, one]));
  const stretched = (minutes: number) => Math.max(1, Math.round((minutes * 100) / hours.sharePercent));
  const runs: DayRun[] = [];
  const add = (id: string, order: string, does: WorkSort, minutes: number, rest: Partial<DayRun> = {}) => {
    const lock = lockOf.get(id);
    runs.push({
      id,
      order,
      does,
      minutes: stretched(minutes),
      setup: 0,
      setting: null,
      after: [],
      wait: 0,
      earliest: lock?.notBefore ?? null,
      person: lock?.personId === undefined || lock.personId === null ? null : String(lock.personId),
      at: null,
      ...rest,
    });
  };
  const open = lines.filter(({ held }) => held === '');
  for (const { batchId, minutes } of batches) {
    const own = open.filter((line) => line.batchId === batchId && line.toCut > 0);
    if (own.length === 0) continue;
    // It belongs to the line that waits for it first.
    const first = own.reduce((a, b) => (b.due < a.due ? b : a));
    add(cutRunOf(batchId), String(first.orderId), 'cut', minutes, { setup: CUT_SETUP, setting: 'cut' });
  }
  for (const line of open) {
    const order = String(line.orderId);
    let before: string[] = [];
    if (line.toCut > 0) {
      const ofBatch = batches.some(({ batchId }) => batchId === line.batchId);
      const id = ofBatch ? cutRunOf(line.batchId!) : runIdOf(line.lineId, 'cut');
      if (!ofBatch) add(id, order, 'cut', line.cutMinutes, { setup: CUT_SETUP, setting: 'cut' });
      before = [id];
    }
    const toSew = line.toCut + line.toSew;
    if (toSew > 0) {
      add(runIdOf(line.lineId, 'sew'), order, 'sew', line.sewing.minutes, {
        setup: Math.round(line.sewing.setup),
        setting: line.setting,
        after: before,
      });
      before = [runIdOf(line.lineId, 'sew')];
    }
    const toCheck = toSew + line.toCheck;
    if (toCheck > 0) add(runIdOf(line.lineId, 'check'), order, 'check', CHECK_EACH * toCheck, { after: before });
  }
  const used = new Set(runs.map(({ order }) => order));
  return {
    from: now,
    people: people.map((one) => ({
      id: String(one.personId),
      does: one.does,
      windows: windowsOf(one, hours.off, now, days),
    })),
    places: WORKS.map((work) => ({ id: work, does: [work], seats: hours.seats[work] })),
    runs,
    orders: [...used].map((id) => ({
      id,
      due: Math.min(...open.filter(({ orderId }) => String(orderId) === id).map(({ due }) => due)),
      weight: 1,
    })),
  };
}
