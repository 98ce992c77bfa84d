import 'server-only';
import { format } from 'date-fns';
import { asc, desc, eq, inArray, sql } from 'drizzle-orm';
import { printMoney } from '@/core/cost';
import {
  placeOfCover,
  type Cause,
  type CoverGroup,
  type CoverState,
  type Decision,
  type Hold,
  type Place,
} from '@/core/making';
import { database, schema, type Reader } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { partsToCut } from '@/records/covers';
import { loadPlaces } from './places';

/** Covers of one line that stand together, as the room shows them. */
export interface RoomGroup extends CoverGroup {
  key: string;
  place: string;
  coverIds: number[];
  /** Their numbers among the covers of the line, and how many the line has. */
  numbers: number[];
  lineQty: number;
  orderId: number;
  mark: number;
  customer: string;
  kind: string;
  holdWhy: string;
  initials: string;
  colour: number;
}

/** The room as it is now. */
export interface RoomView {
  places: Place[];
  groups: RoomGroup[];
  /** Covers that were left out because the room holds more than it can show. */
  hidden: number;
  today: string;
}

/** Most groups that the room shows; the rest is counted. */
const MOST_SHOWN = 400;

type Row = {
  line_id: number;
  state: CoverState;
  place: string | null;
  hold: Hold | null;
  hold_why: string;
  person_id: number | null;
  count: number;
  ids: number[];
  numbers: number[];
  qty: number;
  order_id: number;
  no: number;
  mark: number;
  customer: string;
  due: string;
  kind: string;
  kind_version: number;
  initials: string | null;
  colour: number | null;
};

let last: { snapshot: string; at: number; view: RoomView } | null = null;
/** Longest time (ms) for which a view is given again: it says which day it is. */
const LONGEST_MS = 60_000;

/** The room: everything that is approved and not handed over. While nothing at all was written, it is not asked for again. */
export async function getRoom(): Promise<RoomView> {
  const { rows } = await database().execute<{ now: string }>(sql`SELECT pg_current_snapshot()::text AS now`);
  const snapshot = rows[0]!.now;
  if (last && last.snapshot === snapshot && Date.now() - last.at < LONGEST_MS) return last.view;
  const view = await loadRoom();
  last = { snapshot, at: Date.now(), view };
  return view;
}

async function loadRoom(): Promise<RoomView> {
  const db = database();
  const [places, kinds, { rows }] = await Promise.all([
    loadPlaces(db),
    loadKindBook(db),
    db.execute<Row>(sql`
      SELECT g.*, l.qty, l.kind, l.kind_version, o.id AS order_id, o.no, o.mark, o.due::text AS due, u.name AS customer, p.initials, p.colour FROM (
        SELECT line_id, state, place, hold, hold_why, person_id, count(*)::int AS count,
          array_agg(id ORDER BY number) AS ids, array_agg(number ORDER BY number) AS numbers
        FROM covers WHERE state <> 'handed over' GROUP BY line_id, state, place, hold, hold_why, person_id
      ) g
      JOIN order_lines l ON l.id = g.line_id JOIN orders o ON o.id = l.order_id JOIN customers u ON u.id = o.customer_id
      LEFT JOIN people p ON p.id = g.person_id
      WHERE o.deleted_at IS NULL ORDER BY o.due, o.no, l.position, g.state, g.ids`),
  ]);
  const shown = rows.slice(0, MOST_SHOWN);
  return {
    places,
    groups: shown.map((row) => ({
      key: `${row.ids[0]} ${row.state}`,
      lineId: row.line_id,
      state: row.state,
      place: placeOfCover(places, row).key,
      hold: row.hold,
      holdWhy: row.hold_why,
      personId: row.person_id,
      count: row.count,
      coverIds: row.ids,
      numbers: row.numbers,
      lineQty: row.qty,
      orderId: row.order_id,
      orderNo: row.no,
      mark: row.mark,
      customer: row.customer,
      due: row.due,
      kind: kinds.find(row.kind, row.kind_version)?.name ?? row.kind,
      initials: row.initials ?? '',
      colour: row.colour ?? 0,
    })),
    hidden: rows.slice(MOST_SHOWN).reduce((sum, { count }) => sum + count, 0),
    today: format(new Date(), 'yyyy-MM-dd'),
  };
}

/** The places of the workroom, for its settings. */
export const roomPlaces = (): Promise<Place[]> => loadPlaces(database());

/** One thing that happened to covers of an order, those of a line that went together in one entry. */
export interface WayEvent {
  key: string;
  at: string;
  person: string;
  line: number;
  kind: string;
  numbers: number[];
  event: string;
  from: CoverState;
  to: CoverState;
  place: string;
  note: string;
}

/** A finding on a cover of an order. */
export interface WayFinding {
  id: string;
  at: string;
  kind: string;
  number: number;
  what: string;
  cause: Cause;
  decision: Decision;
  minutesLost: number;
  by: string;
  /** How it ended; null while it is open. */
  closed: string | null;
  /** Pieces that were cut again for it, with their cost. */
  recuts: string;
  photos: number[];
}

/** Where the covers of an order are, and what happened to each. */
export interface OrderWay {
  orderId: number;
  lines: {
    lineId: number;
    position: number;
    kind: string;
    qty: number;
    states: { state: CoverState; numbers: number[]; held: string }[];
    /** Parts that are not cut yet, by cloth and batch. */
    toCut: { cloth: string; batchId: number; batch: string; count: number }[];
  }[];
  findings: WayFinding[];
  events: WayEvent[];
  /** There is more than is shown. */
  hasMore: boolean;
}

const MOST_EVENTS = 200;

type CoverOfWay = {
  cover: typeof schema.covers.$inferSelect;
  line: typeof schema.orderLines.$inferSelect;
};

/** Lines of an order with the states of their covers, those alike together. */
function linesOfWay(rows: readonly CoverOfWay[], nameOf: (line: CoverOfWay['line']) => string): OrderWay['lines'] {
  const lines: OrderWay['lines'] = [];
  for (const { cover, line } of rows) {
    let own = lines.find(({ position }) => position === line.position);
    if (!own)
      lines.push(
        (own = { lineId: line.id, position: line.position, kind: nameOf(line), qty: line.qty, states: [], toCut: [] }),
      );
    const held = cover.hold === null ? '' : [cover.hold, cover.holdWhy].filter(Boolean).join(': ');
    const same = own.states.find((one) => one.state === cover.state && one.held === held);
    if (same) same.numbers.push(cover.number);
    else own.states.push({ state: cover.state, numbers: [cover.number], held });
  }
  return lines;
}

/** Parts of an order that batches still have to cut, with the names of their cloth and batch. */
async function missingOf(db: Reader, orderId: number, batchIds: readonly number[]) {
  const { batches, cloths, orders } = schema;
  const [order] = await db.select({ no: orders.no }).from(orders).where(eq(orders.id, orderId));
  const all = await partsToCut(db, [...new Set(batchIds)]);
  const parts = all.filter(({ orderNo }) => orderNo === String(order?.no));
  if (parts.length === 0) return [];
  const clothIds = parts.map(({ clothId }) => clothId);
  const ids = parts.map(({ batchId }) => batchId);
  const clothRows = await db
    .select({ id: cloths.id, name: cloths.name })
    .from(cloths)
    .where(inArray(cloths.id, clothIds));
  const batchRows = await db
    .select({ id: batches.id, name: batches.name })
    .from(batches)
    .where(inArray(batches.id, ids));
  return parts.map((part) => ({
    ...part,
    cloth: clothRows.find(({ id }) => id === part.clothId)?.name ?? '',
    batch: batchRows.find(({ id }) => id === part.batchId)?.name ?? '',
  }));
}

/** The way of an order through the room; null where none of it has been approved. */
export async function orderWay(orderId: number): Promise<OrderWay | null> {
  const db = database();
  const { covers, coverEvents, orderLines, people } = schema;
  const [rows, events, kinds, places, found] = await Promise.all([
    db
      .select({ cover: covers, line: orderLines })
      .from(covers)
      .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
      .where(eq(orderLines.orderId, orderId))
      .orderBy(asc(orderLines.position), asc(covers.number)),
    db
      .select({ event: coverEvents, number: covers.number, line: orderLines, person: people.name })
      .from(coverEvents)
      .innerJoin(covers, eq(covers.id, coverEvents.coverId))
      .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
      .leftJoin(people, eq(people.id, coverEvents.personId))
      .where(eq(orderLines.orderId, orderId))
      .orderBy(sql`${coverEvents.id} DESC`)
      .limit(MOST_EVENTS * 10),
    loadKindBook(db),
    loadPlaces(db),
    findingsOf(orderId),
  ]);
  if (rows.length === 0) return null;
  const nameOf = (line: { kind: string; kindVersion: number }) =>
    kinds.find(line.kind, line.kindVersion)?.name ?? line.kind;
  const lines = linesOfWay(rows, nameOf);
  for (const part of await missingOf(
    db,
    orderId,
    rows.flatMap(({ line }) => line.batchId ?? []),
  ))
    lines.find(({ position }) => String(position) === part.line)?.toCut.push(part);
  const together: WayEvent[] = [];
  for (const { event, number, line, person } of events) {
    const place = placeOfCover(places, { state: event.toState, place: event.place }).name;
    const before = together.at(-1);
    const at = event.at.toISOString();
    if (
      before &&
      before.at === at &&
      before.line === line.position &&
      before.event === event.event &&
      before.note === event.note &&
      before.place === place
    )
      before.numbers.unshift(number);
    else
      together.push({
        key: String(event.id),
        at,
        person: person ?? '',
        line: line.position,
        kind: nameOf(line),
        numbers: [number],
        event: event.event,
        from: event.fromState,
        to: event.toState,
        place,
        note: event.note,
      });
  }
  return {
    orderId,
    lines,
    findings: found.map(({ line, ...one }) => ({ ...one, kind: nameOf(line) })),
    events: together.slice(0, MOST_EVENTS),
    hasMore: together.length > MOST_EVENTS,
  };
}

/** What was found on the covers of an order, the newest first. */
async function findingsOf(orderId: number) {
  const { covers, findings, findingPhotos, orderLines, people, recuts } = schema;
  const db = database();
  const rows = await db
    .select({ finding: findings, number: covers.number, line: orderLines, by: people.name })
    .from(findings)
    .innerJoin(covers, eq(covers.id, findings.coverId))
    .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
    .leftJoin(people, eq(people.id, findings.personId))
    .where(eq(orderLines.orderId, orderId))
    .orderBy(desc(findings.at), asc(findings.id))
    .limit(MOST_EVENTS);
  const ids = rows.map(({ finding }) => finding.id);
  const [again, photos] = await Promise.all([
    db.select().from(recuts).where(inArray(recuts.findingId, ids)).orderBy(asc(recuts.id)),
    db
      .select({ id: findingPhotos.id, findingId: findingPhotos.findingId })
      .from(findingPhotos)
      .where(inArray(findingPhotos.findingId, ids))
      .orderBy(asc(findingPhotos.id)),
  ]);
  return rows.map(({ finding, number, line, by }) => ({
    id: finding.id,
    at: finding.at.toISOString(),
    line,
    number,
    what: finding.what,
    cause: finding.cause,
    decision: finding.decision,
    minutesLost: finding.minutesLost,
    by: by ?? '',
    closed: finding.closedAt ? finding.closedWhy : null,
    recuts: again
      .filter(({ findingId }) => findingId === finding.id)
      .map(
        ({ name, costMinor, currency, cutAt }) =>
          `${name} ${cutAt ? 'cut again' : 'to cut again'}, ${printMoney(costMinor, currency)}`,
      )
      .join('; '),
    photos: photos.filter(({ findingId }) => findingId === finding.id).map(({ id }) => id),
  }));
}

/** All deliveries of an order, the newest first. */
export async function deliveriesOf(
  orderId: number,
): Promise<{ id: number; no: number; day: string; toWhom: string; covers: number; isTakenBack: boolean }[]> {
  const { deliveries, deliveryCovers } = schema;
  const rows = await database()
    .select({ delivery: deliveries, covers: sql<number>`count(${deliveryCovers.coverId})::int` })
    .from(deliveries)
    .leftJoin(deliveryCovers, eq(deliveryCovers.deliveryId, deliveries.id))
    .where(eq(deliveries.orderId, orderId))
    .groupBy(deliveries.id)
    .orderBy(sql`${deliveries.no} DESC`);
  return rows.map(({ delivery: { id, no, day, toWhom, takenBackAt }, covers: count }) => ({
    id,
    no,
    day,
    toWhom,
    covers: count,
    isTakenBack: takenBackAt !== null,
  }));
}

/** A delivery, as far as its page needs it beside its note; null where there is none. */
export async function getDelivery(id: number): Promise<{ id: number; orderId: number; isTakenBack: boolean } | null> {
  const { deliveries } = schema;
  const [row] = await database().select().from(deliveries).where(eq(deliveries.id, id));
  return row ? { id, orderId: row.orderId, isTakenBack: row.takenBackAt !== null } : null;
}

/** What heads the pages of an order; null where there is none. */
export async function orderHead(orderId: number): Promise<{ no: number; mark: number; customer: string } | null> {
  const { customers, orders } = schema;
  const [row] = await database()
    .select({ no: orders.no, mark: orders.mark, customer: customers.name })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(eq(orders.id, orderId));
  return row ?? null;
}

/** The packed covers of an order that can be handed over now, and how many of it stay here then. */
export async function packedCovers(orderId: number): Promise<{ coverIds: number[]; left: number }> {
  const { rows } = await database().execute<{ ids: number[] | null; left: number }>(sql`
    SELECT array_agg(c.id ORDER BY l.position, c.number) FILTER (WHERE c.state = 'packed' AND c.hold IS NULL) AS ids,
      (coalesce((SELECT sum(qty) FROM order_lines WHERE order_id = ${orderId}), 0)
        - count(*) FILTER (WHERE c.state = 'handed over' OR (c.state = 'packed' AND c.hold IS NULL)))::int AS left
    FROM covers c JOIN order_lines l ON l.id = c.line_id WHERE l.order_id = ${orderId}`);
  return { coverIds: rows[0]?.ids ?? [], left: rows[0]?.left ?? 0 };
}
