import type { DayJob, DayRun } from './day-job';
import type { Estimate } from './estimate';
import type { NotBefore } from './shelf';
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
  /** Nothing of it is cut before this. */
  notBefore: NotBefore | null;
  /** Nothing of it is sewn before this. */
  sewNotBefore: NotBefore | null;
  /** Minutes of the clock that what was glued needs before it is checked. */
  dries: number;
}

/** A batch that is approved or laid and not cut. */
export interface OpenBatch {
  batchId: number;
  minutes: number;
  notBefore: NotBefore | null;
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

/** Times before which runs of lines are not begun for want of what is used up, by the run's id. */
export const waitsOfLines = (lines: readonly OpenLine[]): Map<string, NotBefore> =>
  new Map(
    lines.flatMap(({ lineId, notBefore, sewNotBefore }) => [
      ...(notBefore ? [[runIdOf(lineId, 'cut'), notBefore] as const] : []),
      ...(sewNotBefore ? [[runIdOf(lineId, 'sew'), sewNotBefore] as const] : []),
    ]),
  );

/** Makes runs of the day job; minutes are lengthened by what else the day goes to. */
const runMaker =
  (sharePercent: number, lockOf: ReadonlyMap<string, RunLock>) =>
  (
    id: string,
    order: string,
    does: WorkSort,
    minutes: number,
    notBefore: NotBefore | null,
    rest: Partial<DayRun> = {},
  ): DayRun => {
    const lock = lockOf.get(id);
    const earliest = Math.max(lock?.notBefore ?? 0, notBefore?.at ?? 0);
    return {
      id,
      order,
      does,
      minutes: Math.max(1, Math.round((minutes * 100) / sharePercent)),
      setup: 0,
      setting: null,
      after: [],
      wait: 0,
      earliest: earliest === 0 ? null : earliest,
      person: lock?.personId === undefined || lock.personId === null ? null : String(lock.personId),
      at: null,
      ...rest,
    };
  };

/** The runs of a line, each after the one before: cut, unless a batch of `cutBefore` does that, sewn, then checked and packed. */
function runsOfLine(line: OpenLine, make: ReturnType<typeof runMaker>, cutBefore: string | null): DayRun[] {
  const order = String(line.orderId);
  const runs: DayRun[] = [];
  let after: string[] = [];
  if (line.toCut > 0) {
    const id = cutBefore ?? runIdOf(line.lineId, 'cut');
    if (cutBefore === null)
      runs.push(make(id, order, 'cut', line.cutMinutes, line.notBefore, { setup: CUT_SETUP, setting: 'cut' }));
    after = [id];
  }
  const toSew = line.toCut + line.toSew;
  if (toSew > 0) {
    const id = runIdOf(line.lineId, 'sew');
    const setup = Math.round(line.sewing.setup);
    runs.push(make(id, order, 'sew', line.sewing.minutes, line.sewNotBefore, { setup, setting: line.setting, after }));
    after = [id];
  }
  const toCheck = toSew + line.toCheck;
  if (toCheck > 0)
    runs.push(
      make(runIdOf(line.lineId, 'check'), order, 'check', CHECK_EACH * toCheck, null, { after, wait: line.dries }),
    );
  return runs;
}

/** A day job with one run put to somebody, or not before a minute, by hand. */
export const withLock = (job: DayJob, { runId, personId, notBefore }: RunLock): DayJob => ({
  ...job,
  runs: job.runs.map((run) =>
    run.id === runId ? { ...run, person: personId === null ? null : String(personId), earliest: notBefore } : run,
  ),
});

/** The runs of an order that is only asked about: a line is cut with its batch where the room has that to cut, else by itself. */
export const runsOfAsked = (lines: readonly OpenLine[], sharePercent: number, room: DayJob): DayRun[] =>
  lines.flatMap((line) => {
    const ofBatch = line.batchId === null ? null : cutRunOf(line.batchId);
    const isInRoom = room.runs.some(({ id }) => id === ofBatch);
    return runsOfLine(line, runMaker(sharePercent, new Map()), isInRoom ? ofBatch : null);
  });

/** The day job of a room: each batch is cut, then each of its lines sewn, then checked and packed. */
export function roomJob({ now, days, hours, people, lines, batches, locks }: RoomWork): DayJob {
  const make = runMaker(hours.sharePercent, new Map(locks.map((one) => [one.runId, one])));
  const runs: DayRun[] = [];
  const open = lines.filter(({ held }) => held === '');
  for (const { batchId, minutes, notBefore } of batches) {
    const own = open.filter((line) => line.batchId === batchId && line.toCut > 0);
    if (own.length === 0) continue;
    // It belongs to the line that waits for it first.
    const first = own.reduce((a, b) => (b.due < a.due ? b : a));
    const rest = { setup: CUT_SETUP, setting: 'cut' };
    runs.push(make(cutRunOf(batchId), String(first.orderId), 'cut', minutes, notBefore, rest));
  }
  for (const line of open) {
    const ofBatch = batches.some(({ batchId }) => batchId === line.batchId);
    runs.push(...runsOfLine(line, make, ofBatch ? cutRunOf(line.batchId!) : null));
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
