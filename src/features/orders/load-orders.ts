import { isFrozen } from '@/core/batch';
import { eq, inArray } from 'drizzle-orm';
import { parseLength, printNumber, STYLES, type Nm, type OrderUnits, typingUnit } from '@/core/length';
import { schema, type Reader } from '@/db';
import { readOutline } from '../../ui/shape/outline-text';
import type { LineForm, OrderForm } from './form';

const { orders, customers } = schema;

export interface StoredOrder {
  id: number;
  no: number;
  mark: number;
  version: number;
  isDeleted: boolean;
  form: OrderForm;
  /** The batches that its lines are in. */
  batches: { id: number; name: string; status: string }[];
}

/** Orders as their forms show them, by number. */
export async function loadOrders(db: Reader, ids: readonly number[]): Promise<StoredOrder[]> {
  if (ids.length === 0) return [];
  const found = await db
    .select({ order: orders, customer: customers.name })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(inArray(orders.id, [...ids]))
    .orderBy(orders.no);
  const lines = await db
    .select({
      line: schema.orderLines,
      batch: { id: schema.batches.id, name: schema.batches.name, status: schema.batches.status },
    })
    .from(schema.orderLines)
    .leftJoin(schema.batches, eq(schema.batches.id, schema.orderLines.batchId))
    .where(inArray(schema.orderLines.orderId, [...ids]))
    .orderBy(schema.orderLines.position);
  const ofOrder = byKey(lines, ({ line }) => line.orderId);
  const lineIds = lines.map(({ line }) => line.id);
  const ofLine = async <T extends { lineId: number }>(rows: Promise<T[]>) =>
    byKey(lineIds.length > 0 ? await rows : [], ({ lineId }) => lineId);
  const { lineValues, lineCloths, lineParts, lineMaterials } = schema;
  const [values, cloths, parts, notions] = await Promise.all([
    ofLine(db.select().from(lineValues).where(inArray(lineValues.lineId, lineIds)).orderBy(lineValues.part)),
    ofLine(db.select().from(lineCloths).where(inArray(lineCloths.lineId, lineIds)).execute()),
    ofLine(db.select().from(lineParts).where(inArray(lineParts.lineId, lineIds)).execute()),
    ofLine(db.select().from(lineMaterials).where(inArray(lineMaterials.lineId, lineIds)).execute()),
  ]);
  return found.map(({ order, customer }): StoredOrder => {
    const own = ofOrder.get(order.id) ?? [];
    return {
      id: order.id,
      no: order.no,
      mark: order.mark,
      version: order.version,
      isDeleted: order.deletedAt !== null,
      batches: [...new Map(own.flatMap(({ batch }) => (batch ? [[batch.id, batch]] : []))).values()],
      form: {
        customer,
        due: order.due,
        units: order.units,
        notes: order.notes,
        lines: own.map(({ line, batch }): LineForm => {
          const ofThis = parts.get(line.id) ?? [];
          const stored = values.get(line.id) ?? [];
          return {
            id: line.id,
            kind: line.kind,
            kindVersion: line.kindVersion,
            qty: String(line.qty),
            fit: line.fit,
            measuredAs: line.measuredAs,
            taken: line.taken,
            provided: line.provided,
            matching: line.matching,
            typed: typedOf(stored, order.units),
            choices: Object.fromEntries(
              stored.flatMap(({ name, choice }) => (choice === null ? [] : [[name, choice]])),
            ),
            outline: line.outline ? outlineText(line.outline, order.units) : '',
            directions: Object.fromEntries(
              ofThis.flatMap(({ part, direction }) => (direction ? [[part, direction]] : [])),
            ),
            panels: Object.fromEntries(ofThis.flatMap(({ part, wide }) => (wide ? [[part, wide]] : []))),
            notions: Object.fromEntries(
              (notions.get(line.id) ?? []).map(({ notion, materialId }) => [notion, String(materialId)]),
            ),
            cloth: Object.fromEntries((cloths.get(line.id) ?? []).map(({ role, clothId }) => [role, String(clothId)])),
            ...(batch !== null && isFrozen(batch) && { frozenBy: batch.name }),
          };
        }),
      },
    };
  });
}

function byKey<T>(rows: readonly T[], keyOfRow: (row: T) => number): Map<number, T[]> {
  const map = new Map<number, T[]>();
  for (const row of rows) {
    const key = keyOfRow(row);
    const list = map.get(key);
    if (list) list.push(row);
    else map.set(key, [row]);
  }
  return map;
}

/** The lengths of a line as they were typed, where that still reads as what is stored: what is stored is the truth. */
function typedOf(
  values: readonly (typeof schema.lineValues.$inferSelect)[],
  units: OrderUnits,
): Record<string, string> {
  const typed: Record<string, string> = {};
  for (const { name, choice, typed: text, valueNm } of values) {
    if (choice !== null) continue;
    const written = lengthText(text, valueNm!, units);
    typed[name] = typed[name] === undefined ? written : `${typed[name]} + ${written}`;
  }
  return typed;
}

function lengthText(typed: string, stored: Nm, units: OrderUnits): string {
  const read = parseLength(typed, typingUnit(units));
  if (read.ok && read.value === stored) return typed;
  const own = printNumber(stored, units === 'in' ? { unit: 'in', denominator: 64 } : STYLES[units]);
  return own.exact ? own.text : `${stored / 1_000_000} mm`;
}

/** A traced outline as it was typed, where that still reads as its stored corners. */
function outlineText({ typed, corners }: { typed: string; corners: [Nm, Nm][] }, units: OrderUnits): string {
  const read = readOutline(typed, units);
  const isTrue = read.ok && JSON.stringify(read.value) === JSON.stringify(corners);
  return isTrue
    ? typed
    : corners.map((corner) => corner.map((one) => lengthText('', one, units)).join(', ')).join('\n');
}
