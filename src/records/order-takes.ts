import { and, eq, inArray, sql } from 'drizzle-orm';
import { clothTasks, type ClothTask, FROZEN_STATES } from '@/core/batch';
import type { LayJob } from '@/core/lay';
import { boughtLength, costOf, printMoney, type OrderTakes } from '@/core/cost';
import { isMaterial } from '@/core/covers';
import { longLength, type Nm, type Units } from '@/core/length';
import { beforeWash, bindNotion, worthOf } from '@/core/stock';
import { schema, type Reader } from '@/db';
import { materialsThen, type Frozen, type Material } from './approval';
import { loadCutLists, type CutLists, type OrderToCut } from './cut-lists';
import { clothsText, sizesText } from './line-words';

const PER = { yd: 'a yard', m: 'a metre', sheet: 'a sheet', whole: 'for all of it' } as const;

/** Finds the length (nm) that each job takes, by its content. */
export type FindLengths = (jobs: readonly { content: string; job: LayJob }[]) => Promise<ReadonlyMap<string, Nm>>;

/** Takings of an order if it were cut alone at today's prices: a quote is made from these. It fails as `find` does. */
export async function takesAlone(db: Reader, orderId: number, find: FindLengths): Promise<OrderTakes> {
  const lists = await loadCutLists(db, eq(schema.orderLines.orderId, orderId));
  const [order] = lists.orders;
  if (!order) return { materials: [], labour: [], unpriced: [] };
  const { materials: notions, unpriced, provided } = await notionTakes(db, order);
  return {
    materials: [...(await clothAlone(lists, order, find)), ...notions],
    labour: labourOf(lists, order),
    unpriced: [...unlaid(lists, order), ...unpriced],
    provided: [...providedMaterials(lists, order), ...provided],
  };
}

/**
 * Takings of an order so far: its shares of approved and cut lays, what was cut again for it, and the lines that are in
 * none as if they were cut alone. What is approved has the prices of its approval. It fails as `find` does.
 */
export async function takesNow(
  db: Reader,
  orderId: number,
  { shareBy, approvals }: { shareBy: 'length' | 'area'; approvals: readonly Frozen[] },
  find: FindLengths,
): Promise<OrderTakes> {
  const [lists, shares, recuts] = await Promise.all([
    loadCutLists(db, eq(schema.orderLines.orderId, orderId)),
    sharesOf(db, orderId),
    recutTakes(db, orderId),
  ]);
  const [order] = lists.orders;
  if (!order) return { materials: [], labour: [], unpriced: [] };
  const frozen = new Set(shares.map(({ batch }) => batch.id));
  const ofLays = shares.map(({ share, lay, batch }) => ({
    part: 'cloth' as const,
    what: (lay.cloth as { name: string }).name,
    sum: `${longLength(share.usedNm, lay.units).replace('≈ ', '')} of “${batch.name}”, its share by ${shareBy}`,
    amount: shareBy === 'length' ? share.shareByLengthMinor : share.shareByAreaMinor,
    currency: lay.currency,
  }));
  const open = order.lines.filter(({ batchId }) => batchId === null || !frozen.has(batchId));
  const [rest, { materials: notions, unpriced, provided }] = await Promise.all([
    open.length === 0
      ? []
      : open.length === order.lines.length
        ? clothAlone(lists, order, find)
        : ofLines(
            db,
            open.map(({ id }) => id),
            find,
          ),
    notionTakes(db, order, approvals),
  ]);
  return {
    materials: [...ofLays, ...rest, ...recuts, ...notions],
    labour: labourOf(lists, order),
    unpriced: [...unlaid(lists, order), ...unpriced],
    provided: [...providedMaterials(lists, order), ...provided],
  };
}

/** Materials that the workroom keeps none of: nothing of them is laid or priced. */
const unlaid = ({ cloths }: CutLists, { cutList }: OrderToCut): OrderTakes['unpriced'] =>
  [
    ...new Set(
      cutList.pieces.filter(({ role, cloth }) => isMaterial(role) && !cloths.has(cloth)).map(({ role }) => role),
    ),
  ].map((name) => ({ name, isLaid: true }));

/** Materials that are supplied or reused, each with what its area would have cost. */
function providedMaterials({ cloths }: CutLists, { cutList, lines }: OrderToCut): NonNullable<OrderTakes['provided']> {
  return cutList.provided.flatMap(({ line, name, role, how, qty, size }) => {
    if (role === undefined || size === undefined) return [];
    const own = lines.find(({ position }) => String(position) === line)!.line.cloth[role];
    const cloth = own === undefined ? undefined : cloths.get(own);
    const along = cloth && Math.ceil((qty * size[0] * size[1]) / cloth.width);
    const amount =
      cloth === undefined
        ? null
        : worthOf(along!, {
            priceMinor: cloth.price.minor,
            pricePer: cloth.price.per === 'sheet' ? 'whole' : cloth.price.per,
            ...(cloth.sheetLength && { lengthNm: cloth.sheetLength }),
          });
    return [{ what: name, how, amount, currency: cloth?.price.currency ?? '' }];
  });
}

/** Shares of an order in approved and cut lays. */
async function sharesOf(db: Reader, orderId: number) {
  const { layShares, lays, batches } = schema;
  return db
    .select({
      share: layShares,
      lay: { clothId: lays.clothId, cloth: lays.cloth, units: lays.units, currency: lays.currency },
      batch: { id: batches.id, name: batches.name },
    })
    .from(layShares)
    .innerJoin(lays, eq(lays.id, layShares.layId))
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(and(eq(layShares.orderId, orderId), inArray(batches.status, FROZEN_STATES)))
    .orderBy(lays.id);
}

async function ofLines(db: Reader, ids: readonly number[], find: FindLengths) {
  const lists = await loadCutLists(db, inArray(schema.orderLines.id, [...ids]));
  return clothAlone(lists, lists.orders[0]!, find);
}

async function clothAlone(
  { clothRows, cloths }: CutLists,
  order: OrderToCut,
  find: FindLengths,
): Promise<OrderTakes['materials']> {
  const tasks = clothTasks(
    [order],
    clothRows.map((row) => ({ key: String(row.id), cloth: cloths.get(String(row.id))!, units: row.units })),
  );
  const jobs = tasks.map(({ orders: [own] }) => ({ content: own!.content, job: own!.job.job }));
  const lengths = await find(jobs);
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

/** Pieces that were cut again for the order, at what was paid for the item, or at the lay's price where it is on no shelf. */
async function recutTakes(db: Reader, orderId: number): Promise<OrderTakes['materials']> {
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

/** The notions of an order, those of approved lines at the prices of their approval. */
async function notionTakes(
  db: Reader,
  order: OrderToCut,
  approvals: readonly Frozen[] = [],
): Promise<Required<Pick<OrderTakes, 'materials' | 'unpriced' | 'provided'>>> {
  const today = await db.select().from(schema.materials).orderBy(schema.materials.id);
  const catalogueOf = new Map<number, Material[]>();
  for (const approval of approvals) {
    const then = materialsThen(today, approval);
    for (const { id } of approval.lines) catalogueOf.set(id, then);
  }
  const lineAt = new Map(order.lines.map(({ id, position }) => [String(position), id]));
  const sums = new Map<string, { row: Material; quantity: number }>();
  const unpriced: string[] = [];
  for (const notion of order.cutList.notions) {
    const catalogue = catalogueOf.get(lineAt.get(notion.line)!) ?? today;
    const { material, quantity } = bindNotion(notion, catalogue);
    const row = catalogue.find(({ id }) => id === material?.id);
    if (!row) {
      unpriced.push(notion.name);
      continue;
    }
    const key = `${row.id} ${row.priceMinor} ${row.currency} ${row.pricePer}`;
    const sum = sums.get(key) ?? { row, quantity: 0 };
    sums.set(key, { row, quantity: sum.quantity + quantity });
  }
  return {
    unpriced: [...new Set(unpriced)].map((name) => ({ name, isLaid: false })),
    provided: providedNotions(order, today),
    materials: [...sums.values()].map(({ row, quantity }) => ({
      part: 'notions' as const,
      what: row.name,
      sum:
        row.countedBy === 'length'
          ? longLength(quantity, order.units as Units)
          : `${quantity.toLocaleString('en')} of them`,
      amount: worthOf(quantity, row),
      currency: row.currency,
    })),
  };
}

/** Notions that are supplied or reused, each with what it would have cost today. */
const providedNotions = (
  { cutList }: OrderToCut,
  catalogue: readonly Material[],
): NonNullable<OrderTakes['provided']> =>
  cutList.provided
    .filter(({ role }) => role === undefined)
    .map((notion) => {
      const { material, quantity } = bindNotion(notion, catalogue);
      const row = catalogue.find(({ id }) => id === material?.id);
      return {
        what: notion.name,
        how: notion.how,
        amount: row ? worthOf(quantity, row) : null,
        currency: row?.currency ?? '',
      };
    });

function labourOf({ kinds, cloths }: CutLists, { lines, cutList, units }: OrderToCut): OrderTakes['labour'] {
  const nameOf = (id: string) => cloths.get(id)?.name;
  return lines.map(({ kind, kindVersion, qty, position, line }) => {
    const known = kinds.find(kind, kindVersion);
    const areas: Record<string, number> = {};
    const pieces = cutList.pieces.filter((one) => one.line === String(position));
    for (const { cloth, across, along, qty: count } of pieces) {
      const name = nameOf(cloth) ?? cloth;
      areas[name] = (areas[name] ?? 0) + across * along * count;
    }
    return {
      kind,
      name: known?.name ?? kind,
      qty,
      sizes: known ? sizesText(known, line, units) : '',
      cloths: clothsText(pieces, nameOf),
      areas,
    };
  });
}
