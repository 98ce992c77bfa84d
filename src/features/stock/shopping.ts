import 'server-only';
import { BATCH_STATES, hasLays, isCut, isFrozen, type BatchState } from '@/core/batch';
import { and, eq, inArray, sql, notInArray } from 'drizzle-orm';
import { boughtLength, costOf } from '@/core/cost';
import { bindNotion, roundedUp, type NotionNeed } from '@/core/stock';
import { database, schema } from '@/db';
import { toCloth } from '@/db/rows';
import { freeNotions, notionStock } from '@/features/materials/queries';
import { lookOf } from '@/features/cloth/look';
import { workroomRules } from '@/features/workroom/queries';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';
import { worthOf } from '@/core/stock';
import { amountText, type Counted } from './amount';
import { loadOnItsWay, type OnItsWay } from './awaited';
import { catalogueEntry } from './catalogue';

/** One thing that has to be bought. */
export interface ToBuy extends Counted {
  /** Its key in the catalogue: `cloth 7`. */
  key: string;
  name: string;
  look: ClothLook | null;
  supplier: string;
  /** The shopping list: what approved and laid batches take, the free stock, and what to buy, in whole steps or packs. */
  needed: number;
  free: number;
  buy: number;
  /** How the bought quantity is sold where that is not a length: `2 packs of 100`. */
  sold: string;
  costMinor: number;
  currency: string;
  /** The batches that need it. */
  batches: { id: number; name: string }[];
}

interface ShoppingList {
  suppliers: { supplier: string; rows: ToBuy[]; sums: { currency: string; minor: number }[] }[];
  /** Orders at suppliers that have not come, by their day. */
  onItsWay: { id: number; what: string; name: string; amount: string; day: string; note: string }[];
  /** Batches whose lays are not made yet, so that nobody knows what they take. */
  unknown: { id: number; name: string }[];
}

/** Lists what approved and laid batches need beyond the shelf, by supplier, rounded to steps and packs, with its price. */
export async function shoppingList(): Promise<ShoppingList> {
  const db = database();
  const { batches, lays } = schema;
  const open = await db
    .select({ id: batches.id, name: batches.name, status: batches.status, notions: batches.notions })
    .from(batches)
    .where(notInArray(batches.status, BATCH_STATES.filter(isCut)))
    .orderBy(batches.id);
  const laid = open.filter(({ status }) => hasLays(status));
  const ids = laid.map(({ id }) => id);
  const rows =
    ids.length === 0
      ? []
      : await db
          .select({
            lay: { batchId: lays.batchId, clothId: lays.clothId, stock: lays.stock, cutAt: lays.cutAt },
            cloth: schema.cloths,
          })
          .from(lays)
          .innerJoin(schema.cloths, eq(schema.cloths.id, lays.clothId))
          .where(inArray(lays.batchId, ids));
  const wanted = [...(await clothsToBuy(rows, laid)), ...(await notionsToBuy(laid))];
  const coming = await loadOnItsWay(db);
  // What is on its way is not bought again.
  const all = wanted.map((row) => withoutComing(row, coming)).filter(({ buy }) => buy > 0);
  const suppliers = [...new Set(all.map(({ supplier }) => supplier))].sort();
  return {
    suppliers: suppliers.map((supplier) => {
      const own = all.filter((row) => row.supplier === supplier);
      const sums = new Map<string, number>();
      for (const { currency, costMinor } of own) sums.set(currency, (sums.get(currency) ?? 0) + costMinor);
      return { supplier, rows: own, sums: [...sums].map(([currency, minor]) => ({ currency, minor })) };
    }),
    onItsWay: await amountsOf(coming, wanted),
    unknown: open.filter(({ id }) => !ids.includes(id)).map(({ id, name }) => ({ id, name })),
  };
}

/** A row less what is on its way of it; its cost goes with it. */
function withoutComing(row: ToBuy, coming: readonly OnItsWay[]): ToBuy {
  const there = coming.filter(({ what }) => what === row.key).reduce((sum, { quantity }) => sum + quantity, 0);
  if (there === 0) return row;
  const buy = Math.max(0, row.buy - there);
  return { ...row, buy, costMinor: row.buy === 0 ? 0 : Math.round((row.costMinor * buy) / row.buy) };
}

async function amountsOf(coming: readonly OnItsWay[], wanted: readonly ToBuy[]): Promise<ShoppingList['onItsWay']> {
  const { units } = await workroomRules();
  const found: ShoppingList['onItsWay'] = [];
  for (const { id, what, name, quantity, day, note } of coming) {
    const row = wanted.find(({ key }) => key === what) ?? (await countedOfEntry(what, units));
    found.push({ id, what, name, amount: amountText(quantity, row), day, note });
  }
  return found;
}

async function countedOfEntry(what: string, units: Counted['units']): Promise<Counted> {
  const entry = await catalogueEntry(database(), what);
  return { isLength: entry?.sort === 'roll' || entry?.sort === 'length', units: entry?.units ?? units };
}

type Batch = { id: number; name: string; status: BatchState; notions: NotionNeed[] };
type LayOfCloth = {
  lay: { batchId: number; stock: { uses: { used: number; short: number }[] }; cutAt: Date | null };
  cloth: typeof schema.cloths.$inferSelect;
};

async function clothsToBuy(rows: readonly LayOfCloth[], laid: readonly Batch[]): Promise<ToBuy[]> {
  const { stockItems } = schema;
  const clothIds = [...new Set(rows.map(({ cloth }) => cloth.id))];
  const free =
    clothIds.length === 0
      ? []
      : await database()
          .select({
            clothId: stockItems.clothId,
            free: sql<number>`sum(${stockItems.onHand} - ${stockItems.reserved})`.mapWith(Number),
            reserved: sql<number>`sum(${stockItems.reserved})`.mapWith(Number),
          })
          .from(stockItems)
          .where(and(inArray(stockItems.clothId, clothIds), inArray(stockItems.sort, ['bolt', 'remnant', 'sheets'])))
          .groupBy(stockItems.clothId);
  return clothIds.map((id): ToBuy => {
    const own = rows.filter(({ cloth, lay }) => cloth.id === id && lay.cutAt === null);
    const row = rows.find(({ cloth }) => cloth.id === id)!.cloth;
    const cloth = toCloth(row);
    const isApproved = (batchId: number) => laid.some((batch) => batch.id === batchId && isFrozen(batch));
    const sum = (of: (use: { used: number; short: number }, isApprovedLay: boolean) => number) =>
      own.reduce(
        (all, { lay }) => all + lay.stock.uses.reduce((part, use) => part + of(use, isApproved(lay.batchId)), 0),
        0,
      );
    const short = sum((use) => use.short);
    // Approved lays have their cloth reserved; two that are only laid may both count on the same bolt.
    const wanted = sum((use, isApprovedLay) => (isApprovedLay ? 0 : use.used));
    const needed = short + wanted;
    const { free: there = 0, reserved = 0 } = free.find(({ clothId }) => clothId === id) ?? {};
    // Sheets are counted one by one; those of approved lays are reserved already.
    const sheet = row.sheetLengthNm;
    const buy = sheet
      ? sheet * Math.max(0, Math.ceil(needed / sheet) - there - reserved)
      : boughtLength(short + Math.max(0, wanted - there), cloth.sellingStep);
    return {
      key: `cloth ${id}`,
      name: row.name,
      look: lookOf(row),
      supplier: row.supplier,
      isLength: !row.sheetLengthNm,
      units: row.units,
      needed: row.sheetLengthNm ? Math.ceil(needed / row.sheetLengthNm) : needed,
      free: there,
      buy: row.sheetLengthNm ? Math.round(buy / row.sheetLengthNm) : buy,
      sold: row.sheetLengthNm ? 'sheets' : '',
      costMinor: costOf(buy, cloth),
      currency: row.currency,
      batches: laid
        .filter((batch) => own.some(({ lay }) => lay.batchId === batch.id))
        .map(({ id: of, name }) => ({ id: of, name })),
    };
  });
}

async function notionsToBuy(laid: readonly Batch[]): Promise<ToBuy[]> {
  const db = database();
  const stock = await notionStock(db);
  if (stock.length === 0 || laid.length === 0) return [];
  const { units } = await workroomRules();
  const freeOf = await freeNotions(db);
  const needs = new Map<number, { quantity: number; batches: Map<number, string> }>();
  for (const batch of laid) {
    for (const notion of batch.notions) {
      const { material, quantity } = bindNotion(notion, stock);
      if (!material) continue;
      const need = needs.get(material.id) ?? { quantity: 0, batches: new Map<number, string>() };
      need.quantity += quantity;
      need.batches.set(batch.id, batch.name);
      needs.set(material.id, need);
    }
  }
  return [...needs].map(([id, { quantity, batches }]): ToBuy => {
    const row = stock.find((one) => one.id === id)!;
    const isLength = row.countedBy === 'length';
    const free = freeOf.get(id) ?? 0;
    const step = isLength ? row.sellingStepNm : row.countedBy === 'pack' ? row.packSize : 1;
    const buy = roundedUp(Math.max(0, quantity - free), step);
    return {
      key: `material ${id}`,
      name: row.name,
      look: null,
      supplier: row.supplier,
      isLength,
      units,
      needed: quantity,
      free,
      buy,
      sold: row.countedBy === 'pack' ? `${Math.round(buy / row.packSize)} × pack of ${row.packSize}` : '',
      costMinor: worthOf(buy, row),
      currency: row.currency,
      batches: [...batches].map(([of, name]) => ({ id: of, name })),
    };
  });
}
