import 'server-only';
import { markerOf } from '@/records/lay-marker';
import { eq } from 'drizzle-orm';
import { takeOff, type CoverKind, type TakeOff } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import { facesOf, type Face } from '@/core/marker';
import { database, schema } from '@/db';
import type { ClothRow } from '@/db/rows';
import { lookOf } from '@/features/cloth/look';
import type { ClothLook } from '@/ui/cloth/cloth-shapes';
import { loadCutLists } from '@/records/cut-lists';

/** A face with the cloth that it is cut from. */
export type ClothFace = Face & { cloth: string };

/** The covers of one order line, as they will look. */
export interface FinishedLine {
  orderId: number;
  orderNo: number;
  mark: number;
  customer: string;
  line: string;
  kind: CoverKind;
  cover: TakeOff;
  units: OrderUnits;
  qty: number;
  faces: ClothFace[];
}

export interface Finished {
  lines: FinishedLine[];
  looks: Record<string, ClothLook>;
}

/** All covers of a batch with the pattern where its lays put it, as one text; null when it has no lays. */
export async function getFinishedText(batchId: number): Promise<string | null> {
  const db = database();
  const { lays, orders, customers, orderLines } = schema;
  const rows = await db.select().from(lays).where(eq(lays.batchId, batchId)).orderBy(lays.id);
  if (rows.length === 0) return null;
  const { orders: lists, kinds } = await loadCutLists(db, eq(orderLines.batchId, batchId));
  const people = await db
    .selectDistinct({ id: orders.id, mark: orders.mark, customer: customers.name })
    .from(orderLines)
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(eq(orderLines.batchId, batchId));
  const covers = new Map(
    lists.flatMap(({ orderNo, lines }) => lines.map(({ line, qty }) => [`${orderNo}/${line.id}`, qty] as const)),
  );
  const faces = rows.flatMap((row) => {
    const { job, plan, parts } = markerOf(row);
    return facesOf(job, plan, parts, covers).map((face): ClothFace => ({ ...face, cloth: String(row.clothId) }));
  });
  const lines = lists.flatMap(({ orderId, orderNo, units, lines: own }): FinishedLine[] =>
    own.flatMap(({ line, qty }) => {
      const kind = kinds.find(line.kind, line.kindVersion);
      const made = kind && takeOff(kind, { ...line, units });
      const of = people.find(({ id }) => id === orderId);
      if (!kind || !made?.ok || !of) return [];
      // The kind's names of its pieces: the first of them is the face that is seen. A panel that is joined has several of one.
      const placeOf = ({ name }: ClothFace) =>
        made.value.pieces.findIndex((piece) => name === piece.name || name.startsWith(`${piece.name}, `));
      const mine = faces
        .filter((face) => face.orderNo === orderNo && face.line === line.id)
        .sort((a, b) => a.cover - b.cover || placeOf(a) - placeOf(b) || a.nth - b.nth);
      return [
        {
          orderId,
          orderNo: Number(orderNo),
          mark: of.mark,
          customer: of.customer,
          line: line.id,
          kind,
          cover: made.value,
          units,
          qty,
          faces: mine,
        },
      ];
    }),
  );
  const looks = Object.fromEntries(rows.map((row) => [String(row.clothId), lookOf(row.cloth as ClothRow)]));
  return JSON.stringify({ lines, looks } satisfies Finished);
}
