import { inArray, type SQL, eq } from 'drizzle-orm';
import type { Cloth } from '@/core/cloth';
import type { KindBook } from '@/core/covers';
import { cutList, usualMaterials, type BatchOrder, type OrderLine } from '@/core/cutlist';
import type { OrderUnits } from '@/core/length';
import { allOf, schema, type Reader } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth, toOrderLine, type ClothRow } from '@/db/rows';
import { materialChoices } from '@/db/shelf';

/** A lay or a cost that can't be made, in words for the person who asked for it. */
export class LayFailure extends Error {}

/** An order, or those of its lines that were asked for, with what is cut for it. */
export interface OrderToCut extends BatchOrder {
  orderId: number;
  units: OrderUnits;
  lines: {
    id: number;
    position: number;
    kind: string;
    kindVersion: number;
    qty: number;
    batchId: number | null;
    line: OrderLine;
  }[];
}

export interface CutLists {
  orders: OrderToCut[];
  /** The cloths that they name, and the workroom's usual materials; by name. */
  clothRows: ClothRow[];
  cloths: ReadonlyMap<string, Cloth>;
  kinds: KindBook;
}

/** Loads the cut lists of the lines that a condition finds, by order. Fails with a sentence where a line can't be cut as it is. */
export async function loadCutLists(db: Reader, which: SQL): Promise<CutLists> {
  const lines = await db
    .select({ line: schema.orderLines, order: schema.orders })
    .from(schema.orderLines)
    .innerJoin(schema.orders, eq(schema.orders.id, schema.orderLines.orderId))
    .where(which)
    .orderBy(schema.orders.no, schema.orderLines.position);
  const ids = lines.map(({ line }) => line.id);
  const { lineValues, lineCloths, lineParts, lineMaterials } = schema;
  const [kinds, valueRows, namedRows, partRows, notionRows, materials] = await allOf(
    db,
    () => loadKindBook(db),
    () => db.select().from(lineValues).where(inArray(lineValues.lineId, ids)),
    () => db.select().from(lineCloths).where(inArray(lineCloths.lineId, ids)),
    () => db.select().from(lineParts).where(inArray(lineParts.lineId, ids)),
    () => db.select().from(lineMaterials).where(inArray(lineMaterials.lineId, ids)),
    () => materialChoices(db),
  );
  if (ids.length === 0) return { orders: [], clothRows: [], cloths: new Map(), kinds };
  const [values, named, parts, notions] = [byLine(valueRows), byLine(namedRows), byLine(partRows), byLine(notionRows)];
  const wanted = [...namedRows.map(({ clothId }) => clothId), ...materials.map(({ id }) => Number(id))];
  const takes = usualMaterials(materials);
  const clothRows = await db
    .select()
    .from(schema.cloths)
    .where(inArray(schema.cloths.id, wanted))
    .orderBy(schema.cloths.name);
  const cloths = new Map(clothRows.map((row) => [String(row.id), toCloth(row)]));
  const orders: OrderToCut[] = [];
  for (const orderId of new Set(lines.map(({ order }) => order.id))) {
    const own = lines.filter(({ order }) => order.id === orderId);
    const { no, units } = own[0]!.order;
    const read = own.map(({ line }) => {
      const one = toOrderLine(line, values.get(line.id) ?? [], named.get(line.id) ?? [], parts.get(line.id) ?? []);
      return { ...one, cloth: takes(one) };
    });
    const list = cutList(read, units, { kinds, cloths });
    if (!list.ok) throw new LayFailure(`Order ${no}: ${list.faults[0]!.message}`);
    const stop = list.value.warnings.find(({ level }) => level === 'stop');
    if (stop)
      throw new LayFailure(
        `Order ${no}, line ${stop.line} (${kinds.find(own.find(({ line }) => String(line.position) === stop.line)!.line.kind)!.name}): ${stop.message}`,
      );
    for (const notion of [...list.value.notions, ...list.value.provided]) {
      const { id } = own.find(({ line }) => String(line.position) === notion.line)!.line;
      const named = notions.get(id)?.find((one) => one.notion === notion.name);
      if (named) notion.material = named.materialId;
    }
    orders.push({
      orderId,
      orderNo: String(no),
      units,
      cutList: list.value,
      lines: own.map(({ line }, i) => ({
        id: line.id,
        position: line.position,
        kind: line.kind,
        kindVersion: line.kindVersion,
        qty: line.qty,
        batchId: line.batchId,
        line: read[i]!,
      })),
    });
  }
  return { orders, clothRows, cloths, kinds };
}

function byLine<T extends { lineId: number }>(rows: readonly T[]): Map<number, T[]> {
  const map = new Map<number, T[]>();
  for (const row of rows) map.set(row.lineId, [...(map.get(row.lineId) ?? []), row]);
  return map;
}
