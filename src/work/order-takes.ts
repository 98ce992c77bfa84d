import { and, eq, inArray, sql } from 'drizzle-orm';
import { clothTasks, type ClothTask } from '@/core/batch';
import { boughtLength, costOf, printMoney, type OrderTakes } from '@/core/cost';
import { longLength, type Nm, type Units } from '@/core/length';
import { beforeWash, bindNotion, worthOf } from '@/core/stock';
import { schema, type Database } from '@/db';
import { lengthsOnceEver } from './lengths-alone';
import { loadCutLists, type CutLists, type OrderToCut } from './load-cut-lists';
import { Cancel } from './pool';

const SEED = 1;
const PER = { yd: 'a yard', m: 'a metre', sheet: 'a sheet', whole: 'for all of it' } as const;

/**
 * What an order takes if it were cut alone at today's prices: what a quote is made from.
 * @throws NotYetLaid where the worker has not found its lengths within `waitMs`.
 */
export async function takesAlone(db: Database, orderId: number, waitMs?: number): Promise<OrderTakes> {
  const lists = await loadCutLists(db, eq(schema.orderLines.orderId, orderId));
  const [order] = lists.orders;
  if (!order) return { materials: [], labour: [], unpriced: [] };
  const { materials: notions, unpriced } = await notionTakes(db, order);
  return {
    materials: [...(await clothAlone(db, lists, order, waitMs)), ...notions],
    labour: labourOf(lists, order),
    unpriced,
  };
}

/**
 * What an order takes as far as it is known: its shares of approved and cut lays, what was cut again for it, and the lines that are in
 * none as if they were cut alone.
 * @throws NotYetLaid where the worker has not found their lengths within `waitMs`.
 */
export async function takesNow(
  db: Database,
  orderId: number,
  shareBy: 'length' | 'area',
  waitMs?: number,
): Promise<OrderTakes> {
  const lists = await loadCutLists(db, eq(schema.orderLines.orderId, orderId));
  const [order] = lists.orders;
  if (!order) return { materials: [], labour: [], unpriced: [] };
  const { layShares, lays, batches } = schema;
  const shares = await db
    .select({
      share: layShares,
      lay: { clothId: lays.clothId, cloth: lays.cloth, units: lays.units, currency: lays.currency },
      batch: { id: batches.id, name: batches.name },
    })
    .from(layShares)
    .innerJoin(lays, eq(lays.id, layShares.layId))
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(and(eq(layShares.orderId, orderId), inArray(batches.status, ['approved', 'cut'])))
    .orderBy(lays.id);
  const frozen = new Set(shares.map(({ batch }) => batch.id));
  const ofLays = shares.map(({ share, lay, batch }) => ({
    part: 'cloth' as const,
    what: (lay.cloth as { name: string }).name,
    sum: `${longLength(share.usedNm, lay.units).replace('≈ ', '')} of “${batch.name}”, its share by ${shareBy}`,
    amount: shareBy === 'length' ? share.shareByLengthMinor : share.shareByAreaMinor,
    currency: lay.currency,
  }));
  const open = order.lines.filter(({ batchId }) => batchId === null || !frozen.has(batchId));
  const rest =
    open.length === 0
      ? []
      : open.length === order.lines.length
        ? await clothAlone(db, lists, order, waitMs)
        : await ofLines(
            db,
            open.map(({ id }) => id),
            waitMs,
          );
  const { materials: notions, unpriced } = await notionTakes(db, order);
  return {
    materials: [...ofLays, ...rest, ...(await recutTakes(db, orderId)), ...notions],
    labour: labourOf(lists, order),
    unpriced,
  };
}

async function ofLines(db: Database, ids: readonly number[], waitMs?: number) {
  const lists = await loadCutLists(db, inArray(schema.orderLines.id, [...ids]));
  return clothAlone(db, lists, lists.orders[0]!, waitMs);
}

async function clothAlone(
  db: Database,
  { clothRows, cloths }: CutLists,
  order: OrderToCut,
  waitMs?: number,
): Promise<OrderTakes['materials']> {
  const tasks = clothTasks(
    [order],
    clothRows.map((row) => ({ key: String(row.id), cloth: cloths.get(String(row.id))!, units: row.units })),
  );
  const jobs = tasks.map(({ orders: [own] }) => ({ content: own!.content, job: own!.job.job }));
  const lengths = await lengthsOnceEver(db, jobs, SEED, new Cancel(), waitMs);
  return tasks.map((task, i) => clothTake(task, lengths.get(jobs[i]!.content)!));
}

function clothTake({ cloth, units }: ClothTask, used: Nm): OrderTakes['materials'][number] {
  const bought = boughtLength(beforeWash(used, cloth.shrinkage?.along), cloth.sellingStep);
  const { minor, currency, per } = cloth.price;
  const sheets = cloth.sheetLength ? Math.round(bought / cloth.sheetLength) : 0;
  const amount = sheets > 0 ? `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}` : longLength(bought, units);
  return {
    part: 'cloth',
    what: cloth.name,
    sum: `${amount} at ${printMoney(minor, currency)} ${PER[per]}, cut alone`,
    amount: costOf(bought, cloth),
    currency,
  };
}

/** What was cut again for the order, at what was paid for the item, or at the lay's price where it is on no shelf. */
async function recutTakes(db: Database, orderId: number): Promise<OrderTakes['materials']> {
  const { layEvents, stockItems, lays } = schema;
  const rows = await db
    .select({ event: layEvents, item: stockItems, lay: { cloth: lays.cloth, units: lays.units } })
    .from(layEvents)
    .innerJoin(lays, and(eq(lays.batchId, layEvents.batchId), eq(lays.clothId, layEvents.clothId)))
    .leftJoin(stockItems, eq(stockItems.id, layEvents.itemId))
    .where(and(eq(layEvents.orderId, orderId), sql`${layEvents.lengthNm} > 0`))
    .orderBy(layEvents.id);
  return rows.map(({ event, item, lay }) => {
    const cloth = lay.cloth as typeof schema.cloths.$inferSelect;
    const priced = item ?? cloth;
    return {
      part: 'recuts',
      what: `${event.part || cloth.name}: ${event.sort}`,
      sum: `${longLength(event.lengthNm, lay.units)} of ${item?.code ?? cloth.name}`,
      amount: worthOf(event.lengthNm, item ?? { priceMinor: cloth.priceMinor, pricePer: cloth.pricePer }),
      currency: priced.currency,
    };
  });
}

async function notionTakes(db: Database, order: OrderToCut): Promise<Pick<OrderTakes, 'materials' | 'unpriced'>> {
  const stock = await db.select().from(schema.materials).orderBy(schema.materials.id);
  const sums = new Map<
    string,
    { name: string; quantity: number; amount: number; currency: string; isLength: boolean }
  >();
  const unpriced: string[] = [];
  for (const notion of order.cutList.notions) {
    const { material, quantity } = bindNotion(notion, stock);
    const row = stock.find(({ id }) => id === material?.id);
    if (!row) {
      unpriced.push(notion.name);
      continue;
    }
    const sum = sums.get(row.name) ?? {
      name: row.name,
      quantity: 0,
      amount: 0,
      currency: row.currency,
      isLength: row.countedBy === 'length',
    };
    sum.quantity += quantity;
    sum.amount = worthOf(sum.quantity, row);
    sums.set(row.name, sum);
  }
  return {
    unpriced: [...new Set(unpriced)],
    materials: [...sums.values()].map(({ name, quantity, amount, currency, isLength }) => ({
      part: 'notions' as const,
      what: name,
      sum: isLength ? longLength(quantity, order.units as Units) : `${quantity.toLocaleString('en')} of them`,
      amount,
      currency,
    })),
  };
}

const labourOf = ({ kinds }: CutLists, { lines }: OrderToCut): OrderTakes['labour'] =>
  lines.map(({ kind, kindVersion, qty }) => ({ kind, name: kinds.find(kind, kindVersion)?.name ?? kind, qty }));
