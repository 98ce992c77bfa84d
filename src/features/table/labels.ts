import 'server-only';
import { markerOf } from '@/records/lay-marker';
import { eq } from 'drizzle-orm';
import { codedParts, pieceCode } from '@/core/files/lay/piece-codes';
import { printNumber, STYLES } from '@/core/length';
import { database, schema } from '@/db';
import type { ClothRow } from '@/db/rows';
import { loadCutLists } from '@/records/cut-lists';

/** Text of the label of one piece. */
export interface PieceLabel {
  /** The part's id in its lay; empty on a bundle ticket. */
  part: string;
  code: string;
  orderNo: number;
  mark: number;
  customer: string;
  cover: string;
  piece: string;
  size: string;
  cloth: string;
  isMatched: boolean;
  /** Marks on the piece, by their numbers on the sewing sheet. */
  marks: string[];
  /** The first thing that is done with the cover's pieces. */
  next: string;
}

/** The labels of all pieces of a batch, order by order; null when it has no lays. */
export async function getLabels(batchId: number): Promise<{ name: string; labels: PieceLabel[] } | null> {
  const db = database();
  const { batches, lays, orders, customers, orderLines } = schema;
  const rows = await db
    .select({ lay: lays, batch: batches.name })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(eq(lays.batchId, batchId))
    .orderBy(lays.id);
  if (rows.length === 0) return null;
  const { orders: lists, kinds } = await loadCutLists(db, eq(orderLines.batchId, batchId));
  const people = await db
    .selectDistinct({ no: orders.no, mark: orders.mark, customer: customers.name })
    .from(orderLines)
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(eq(orderLines.batchId, batchId));
  const labels = rows.flatMap(({ lay }) => {
    const cloth = lay.cloth as ClothRow;
    const { job, parts } = markerOf(lay);
    const size = (length: number) => printNumber(length, STYLES[lay.units]).text.replace('≈ ', '');
    return codedParts(job).flatMap(({ id, copy, number }): PieceLabel[] => {
      const part = parts.find((one) => one.id === id)!;
      const order = lists.find(({ orderNo }) => orderNo === part.orderNo);
      const line = order?.lines.find(({ line: own }) => own.id === part.line);
      const of = people.find(({ no }) => String(no) === part.orderNo);
      if (!order || !line || !of) return [];
      const steps = order.cutList.steps.filter((step) => step.line === part.line);
      return [
        {
          part: id,
          code: pieceCode(lay.id, number),
          orderNo: of.no,
          mark: of.mark,
          customer: of.customer,
          cover: kinds.find(line.kind, line.kindVersion)?.name ?? line.kind,
          piece: `${part.name} ${copy}`,
          size: `${size(part.size[0])} × ${size(part.size[1])} ${STYLES[lay.units].unit}`,
          cloth: cloth.name,
          marks: (part.marks ?? []).map(({ n, name }) => `${n} ${name}`),
          isMatched: job.pieces.some((piece) => piece.id === id && piece.match !== null),
          // The first steps cut and label the pieces.
          next: (steps.find(({ do: what }) => !/\bcut\b|label/i.test(what)) ?? steps[0])?.do ?? '',
        },
      ];
    });
  });
  labels.sort((a, b) => a.orderNo - b.orderNo || a.piece.localeCompare(b.piece, 'en', { numeric: true }));
  return { name: rows[0]!.batch, labels };
}

/** Where a piece with that code lies: its table and its key there; null when there is none. */
export async function findPiece(layId: number, number: number): Promise<string | null> {
  const { lays } = schema;
  const [lay] = await database().select().from(lays).where(eq(lays.id, layId));
  if (!lay) return null;
  const part = codedParts(markerOf(lay).job)[number - 1];
  if (!part) return null;
  const key = part.isStrip ? `${part.id} ${part.copy} cut 1` : `${part.id} ${part.copy}`;
  return `/batches/${lay.batchId}/table/${lay.clothId}?piece=${encodeURIComponent(key)}`;
}
