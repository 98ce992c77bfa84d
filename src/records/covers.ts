import { and, eq, inArray, isNull, notExists, sql } from 'drizzle-orm';
import { COVER_TRANSITIONS, type CoverEvent } from '@/core/making';
import { applyTransition, movesOf } from '@/core/transitions';
import { schema, type Reader, type Transaction } from '@/db';
import type { CoverRow } from '@/db/rows';
import { markerOf } from './lay-marker';

/** Who does something to covers, and when. */
export interface Doing {
  tx: Transaction;
  now: Date;
  person: { id: number } | null;
}

/** Every cover of a batch, from its approval on. */
export async function makeCovers({ tx }: Doing, batchId: number): Promise<void> {
  await tx.execute(sql`
    INSERT INTO covers (line_id, number, state)
    SELECT l.id, n, 'to cut' FROM order_lines l CROSS JOIN LATERAL generate_series(1, l.qty) n WHERE l.batch_id = ${batchId} ORDER BY l.id, n`);
}

/** The covers of a batch whose approval is taken back are none any more. */
export async function dropCovers({ tx }: Doing, batchId: number): Promise<void> {
  const { covers } = schema;
  await tx
    .delete(covers)
    .where(and(inArray(covers.lineId, linesOf(tx, batchId)), inArray(covers.state, COVER_TRANSITIONS.withdraw.from)));
}

const linesOf = (tx: Transaction, batchId: number) =>
  tx.select({ id: schema.orderLines.id }).from(schema.orderLines).where(eq(schema.orderLines.batchId, batchId));

/** Parts of a line that a lay still has to cut. */
export interface PartsToCut {
  orderNo: string;
  line: string;
  batchId: number;
  clothId: number;
  count: number;
}

/** Parts that the lays of some batches still have to cut, by line and cloth. */
export async function partsToCut(db: Reader, batchIds: readonly number[]): Promise<PartsToCut[]> {
  const { lays } = schema;
  if (batchIds.length === 0) return [];
  const open = await db
    .select()
    .from(lays)
    .where(and(inArray(lays.batchId, [...batchIds]), sql`${lays.cutAt} IS NULL`));
  const found = new Map<string, PartsToCut>();
  for (const lay of open) {
    const { job, parts } = markerOf(lay);
    const copies = new Map([...job.pieces, ...job.strips].map(({ id, qty }) => [id, qty]));
    for (const { id, orderNo, line } of parts) {
      const count = copies.get(id) ?? 1;
      const key = `${orderNo} ${line} ${lay.batchId} ${lay.clothId}`;
      const known = found.get(key);
      if (known) known.count += count;
      else found.set(key, { orderNo, line, batchId: lay.batchId, clothId: lay.clothId, count });
    }
  }
  return [...found.values()];
}

/** After a lay was closed: a cover is cut once every lay that has a part of it is. */
export async function cutCovers(doing: Doing, batchId: number): Promise<void> {
  const { tx } = doing;
  const { covers, orderLines, orders } = schema;
  const waits = new Set((await partsToCut(tx, [batchId])).map(({ orderNo, line }) => `${orderNo} ${line}`));
  const rows = await tx
    .select({ cover: covers, no: orders.no, position: orderLines.position })
    .from(covers)
    .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .where(and(eq(orderLines.batchId, batchId), inArray(covers.state, movesOf(COVER_TRANSITIONS, 'cut').from)));
  await moveCovers(
    doing,
    rows.filter(({ no, position }) => !waits.has(`${no} ${position}`)).map(({ cover }) => cover),
    'cut',
  );
}

/** How an event changes who has a cover in hand: whoever begins or mends it does; who is through with it no longer has. */
const handsAfter = (event: CoverEvent, row: CoverRow, person: Doing['person']): number | null =>
  event === 'begin' ? (person?.id ?? null) : event === 'find' ? row.personId : null;

/**
 * Carries one event out for covers that were read in this transaction. Gives the sentence where one of them refuses it: then none is
 * moved.
 */
export async function moveCovers(
  doing: Doing,
  rows: readonly CoverRow[],
  event: CoverEvent,
  { place = null, note = '' }: { place?: string | null; note?: string } = {},
): Promise<string | null> {
  for (const { state } of rows) {
    const { refusal } = applyTransition(COVER_TRANSITIONS, state, event);
    if (refusal !== undefined) return refusal;
  }
  if (CLEAR_OF_FINDINGS.includes(event) || event === 'put back') {
    const open = await coversWithFindings(doing.tx, rows);
    if (open.length > 0 && event !== 'put back') return FINDING_OPEN;
    // What still has to be mended is not merely cut.
    if (open.length > 0) {
      const rest = rows.filter((row) => !open.includes(row));
      const refusal = await moveCovers(doing, open, 'put aside', { note });
      return refusal ?? (rest.length > 0 ? moveCovers(doing, rest, event, { place, note }) : null);
    }
  }
  const { to } = movesOf(COVER_TRANSITIONS, event);
  await changeCovers(
    doing,
    rows.map((row) => ({
      row,
      event,
      to: { state: to, place, personId: handsAfter(event, row, doing.person) },
      note,
    })),
  );
  return null;
}

/** Events that no cover with an open finding goes through. */
const CLEAR_OF_FINDINGS: readonly CoverEvent[] = ['pass', 'pack', 'hand over'];
export const FINDING_OPEN = 'A finding on it is still open: say on its check that it is right now.';

/** Those of some covers on which a finding is open. */
export async function coversWithFindings(tx: Transaction, rows: readonly CoverRow[]): Promise<CoverRow[]> {
  const { findings } = schema;
  const open = await tx
    .selectDistinct({ id: findings.coverId })
    .from(findings)
    .where(
      and(
        isNull(findings.closedAt),
        inArray(
          findings.coverId,
          rows.map(({ id }) => id),
        ),
      ),
    );
  return rows.filter(({ id }) => open.some((one) => one.id === id));
}

/** Columns that say where a cover is. */
type Whereabouts = Pick<CoverRow, 'state' | 'place' | 'personId' | 'hold' | 'holdWhy'>;

interface Change {
  row: CoverRow;
  event: typeof schema.coverEvents.$inferInsert.event;
  /** The columns that change. */
  to: Partial<Whereabouts>;
  note?: string;
}

/** Writes where covers are now, each with its event: nothing else does. A run ends with its last cover that leaves the machines. */
export async function changeCovers(doing: Doing, changes: readonly Change[]): Promise<void> {
  const { tx, now, person } = doing;
  if (changes.length === 0) return;
  const { covers, coverEvents } = schema;
  const groups = new Map<string, Change[]>();
  for (const one of changes) {
    const key = JSON.stringify(one.to);
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  for (const group of groups.values())
    await tx
      .update(covers)
      .set({ ...group[0]!.to, version: sql`${covers.version} + 1` })
      .where(
        inArray(
          covers.id,
          group.map(({ row }) => row.id),
        ),
      );
  await tx.insert(coverEvents).values(
    changes.map(({ row, event, to, note = '' }) => ({
      coverId: row.id,
      at: now,
      personId: person?.id ?? null,
      event,
      fromState: row.state,
      toState: to.state ?? row.state,
      fromPlace: row.place,
      place: to.place === undefined ? row.place : to.place,
      fromPersonId: row.personId,
      note,
    })),
  );
  await endRuns(
    doing,
    changes.filter(({ row, to }) => row.state === 'in sewing' && to.state !== 'in sewing').map(({ row }) => row.id),
  );
}

/** Ends the runs of covers that have left the machines, where none of their covers is there any more, and the clocks that go on them. */
async function endRuns({ tx, now }: Doing, coverIds: readonly number[]): Promise<void> {
  if (coverIds.length === 0) return;
  const { covers, runs, runClocks, runCovers } = schema;
  const sewn = tx
    .select({ id: covers.id })
    .from(runCovers)
    .innerJoin(covers, eq(covers.id, runCovers.coverId))
    .where(and(eq(runCovers.runId, runs.id), eq(covers.state, 'in sewing')));
  const own = tx.select({ id: runCovers.runId }).from(runCovers).where(inArray(runCovers.coverId, coverIds));
  const ended = await tx
    .update(runs)
    .set({ endedAt: now })
    .where(and(isNull(runs.endedAt), inArray(runs.id, own), notExists(sewn)))
    .returning({ id: runs.id });
  if (ended.length === 0) return;
  const ids = ended.map(({ id }) => id);
  await tx
    .update(runClocks)
    .set({ endedAt: now })
    .where(and(inArray(runClocks.runId, ids), isNull(runClocks.endedAt), isNull(runClocks.byHandMinutes)));
}

/** Covers by their ids, locked in one order; those that are gone are left out. */
export const lockCovers = (tx: Transaction, ids: readonly number[]): Promise<CoverRow[]> =>
  tx
    .select()
    .from(schema.covers)
    .where(inArray(schema.covers.id, [...ids]))
    .orderBy(schema.covers.id)
    .for('update');
