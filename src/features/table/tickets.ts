import 'server-only';
import { asc, eq, sql } from 'drizzle-orm';
import { takeOff } from '@/core/covers';
import { printNumber, STYLES, type OrderUnits } from '@/core/length';
import { sewingSteps, ticketCode, type Ticket } from '@/core/making';
import { database, schema } from '@/db';
import { loadCutLists } from '@/records/cut-lists';
import type { PieceLabel } from './labels';

/** A bundle ticket for each cover of a batch, and one for each of its lines. None before its covers are made. */
export async function getTickets(batchId: number): Promise<{ covers: PieceLabel[]; lines: PieceLabel[] }> {
  const db = database();
  const { covers, customers, orderLines, orders } = schema;
  const [{ orders: lists, kinds, clothRows }, rows] = await Promise.all([
    loadCutLists(db, eq(orderLines.batchId, batchId)),
    db
      .select({ cover: covers, line: orderLines, no: orders.no, mark: orders.mark, customer: customers.name })
      .from(covers)
      .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
      .innerJoin(orders, eq(orders.id, orderLines.orderId))
      .innerJoin(customers, eq(customers.id, orders.customerId))
      .where(eq(orderLines.batchId, batchId))
      .orderBy(asc(orders.no), asc(orderLines.position), asc(covers.number)),
  ]);
  const nameOf = new Map(clothRows.map(({ id, name }) => [String(id), name]));
  const tickets = { covers: [] as PieceLabel[], lines: [] as PieceLabel[] };
  const seen = new Set<number>();
  for (const { cover, line, no, mark, customer } of rows) {
    const order = lists.find(({ orderNo }) => orderNo === String(no));
    const own = order?.lines.find(({ id }) => id === line.id);
    const kind = own && kinds.find(own.kind, own.kindVersion);
    const made = kind && takeOff(kind, { ...own.line, units: order!.units });
    if (!order || !own || !kind || !made?.ok) continue;
    const position = String(line.position);
    const pieces = order.cutList.pieces.filter((piece) => piece.line === position);
    const parts = pieces.reduce((sum, { qty }) => sum + qty, 0) / line.qty;
    const cloths = [...new Set(pieces.map(({ cloth }) => nameOf.get(cloth) ?? cloth))].join(', ');
    const label = (ticket: Ticket, piece: string): PieceLabel => ({
      part: '',
      code: ticketCode(ticket),
      orderNo: no,
      mark,
      customer,
      cover: kind.name,
      piece,
      size: finishedText(made.value.finished, order.units),
      cloth: cloths,
      isMatched: false,
      marks: [],
      next: sewingSteps(order.cutList.steps.filter((step) => step.line === position))[0]?.do ?? '',
    });
    tickets.covers.push(
      label({ sort: 'cover', coverId: cover.id }, `cover ${cover.number} of ${line.qty}, ${parts} parts`),
    );
    if (seen.has(line.id)) continue;
    seen.add(line.id);
    tickets.lines.push(label({ sort: 'line', lineId: line.id }, `${line.qty} covers, ${parts} parts each`));
  }
  return tickets;
}

function finishedText(
  { width, height, thickness }: { width: number; height: number; thickness?: number },
  units: OrderUnits,
): string {
  const size = (length: number) => printNumber(length, STYLES[units]).text.replace('≈ ', '');
  return `${[width, height, thickness].flatMap((one) => (one ? [size(one)] : [])).join(' × ')} ${STYLES[units].unit}`;
}

/** Where a ticket leads: the run that its cover is in, what is to be done with it next, or the way of its order; null where it is gone. */
export async function findTicket(ticket: Ticket): Promise<string | null> {
  const { rows } = await database().execute<{
    line_id: number;
    order_id: number;
    state: string;
    run_id: number | null;
  }>(sql`
    SELECT c.line_id, l.order_id, c.state, r.id AS run_id
    FROM covers c JOIN order_lines l ON l.id = c.line_id
    LEFT JOIN run_covers rc ON rc.cover_id = c.id LEFT JOIN runs r ON r.id = rc.run_id AND r.ended_at IS NULL
    WHERE ${ticket.sort === 'cover' ? sql`c.id = ${ticket.coverId}` : sql`c.line_id = ${ticket.lineId}`}
    ORDER BY r.id NULLS LAST, c.number LIMIT 1`);
  const [row] = rows;
  if (!row) return null;
  if (row.run_id !== null) return `/sewing/${row.run_id}`;
  if (row.state === 'cut') return '/sewing';
  if (row.state === 'to check' || row.state === 'to mend') return `/checking/${row.line_id}`;
  return `/orders/${row.order_id}/way`;
}
