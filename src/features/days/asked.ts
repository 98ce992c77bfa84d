import type { DayJob, ListedKind, LoggedCase, OpenLine, ShelfCloth, ShelfNotion, WorkSort } from '@/core/schedule';

/** Words for a run of the plan, as an answer names it. */
interface NamedRun {
  id: string;
  orderNo: number;
  does: WorkSort;
  what: string;
  waitsFor: string;
}

/** The room as an order meets it that is asked about: its open work without that order, what sewing takes, what cloth is free. */
export interface RoomToAsk {
  job: DayJob;
  runs: NamedRun[];
  orders: { id: number; no: number }[];
  people: { id: number; name: string }[];
  sharePercent: number;
  clothDays: number;
  log: { list: ListedKind[]; cases: LoggedCase[] };
  /** Cloths by id, with what is left of each once all open orders are cut. */
  shelf: [string, ShelfCloth][];
  /** Notions of the catalogue, with what is left of each once all open orders are sewn. */
  notions: ShelfNotion[];
  /** Lines of the order itself as they stand in the room, where it is stored already. */
  asked: OpenLine[];
}

/** Reason for which a run is not begun sooner, in words, from what `whatHolds` names. `own`: runs of the order that is asked about. */
export function holdsText(
  holds: string,
  { runs, people }: Pick<RoomToAsk, 'runs' | 'people'>,
  { person, waitsFor, own }: { person: string; waitsFor: string; own: readonly { id: string; does: WorkSort }[] },
): string {
  const [type, id = ''] = holds.split(':');
  const name = people.find((one) => String(one.id) === person)?.name ?? '';
  const run = runs.find((one) => one.id === id);
  const before = own.find((one) => one.id === id);
  if (type === 'person')
    return run ? `${name} is at order ${run.orderNo} until then` : `${name} is at another line of it until then`;
  if (type === 'run') return `after its ${WORK_DONE[(before ?? run)?.does ?? 'cut']}`;
  if (type === 'earliest') return waitsFor || 'put to that day by hand';
  if (type === 'place') return 'all places are taken until then';
  return 'at once';
}

const WORK_DONE: Record<WorkSort, string> = { cut: 'cutting', sew: 'sewing', check: 'checking' };
