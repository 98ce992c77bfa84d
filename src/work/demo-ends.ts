import { addDays, format } from 'date-fns';
import { eq, sql } from 'drizzle-orm';
import { costSheet } from '@/core/cost';
import { inches } from '@/core/length';
import { readMarker } from '@/core/marker';
import { cutBookings, patternPart, remnantsOf } from '@/core/stock';
import { schema, type Database, type Transaction } from '@/db';
import { DEMO_RECKONING } from '@/db/demo-shelf';
import { toCloth, type ClothRow } from '@/db/rows';
import { readReckoning, type ReckoningForm } from '@/features/workroom/reckoning';
import { takesAlone } from './order-takes';

// How far the demo's batches and quotes have come once its lays are made: what people would have done at the screen.

/** Approves a demo batch: what its lays take of the shelf is reserved. */
export async function approveDemo(tx: Transaction, batchId: number, person: number, at: Date) {
  const lays = await tx.select().from(schema.lays).where(eq(schema.lays.batchId, batchId));
  const rows = lays.flatMap(({ stock }) => stock.uses.flatMap(({ itemId, used }) => (itemId === null || used === 0 ? [] : [{ itemId, sort: 'reserved' as const, quantity: used, batchId, personId: person, at }]))); // prettier-ignore
  if (rows.length > 0) await tx.insert(schema.movements).values(rows);
  await tx.insert(schema.approvals).values({ batchId, no: 1, personId: person, at, frozen: { lays: lays.map(({ clothId, version, costMinor }) => ({ clothId, version, costMinor })) } }); // prettier-ignore
  await tx.update(schema.batches).set({ status: 'approved', approvedAt: at }).where(eq(schema.batches.id, batchId));
}

/** Cuts a demo batch: as planned, but for a flaw that was found on its first cloth and a piece that was cut again. */
export async function cutDemo(tx: Transaction, batchId: number, person: number, at: Date) {
  const lays = await tx.select().from(schema.lays).where(eq(schema.lays.batchId, batchId)).orderBy(schema.lays.id);
  for (const [i, row] of lays.entries()) {
    const cloth = row.cloth as ClothRow;
    const read = readMarker(row, toCloth(cloth));
    if (!read.ok) throw new Error(read.faults[0]!.message);
    const { job, plan, parts } = read.value;
    const remnants = remnantsOf(job, plan, readReckoning(DEMO_RECKONING as ReckoningForm).value.leastRemnant).slice(
      0,
      2,
    );
    const code = plan.lays.at(-1)!.stock;
    const events = i === 0 ? [{ sort: 'flaw found' as const, code, lengthNm: inches(3) }, { sort: 'recut' as const, code, lengthNm: inches(22) }] : []; // prettier-ignore
    const { movements, outcome } = cutBookings(job, plan, row.stock, {
      fullWidthOf: () => cloth.widthNm,
      shrinkageOf: () => 0,
      patternPart: patternPart(row.usedNm, row.plainNm),
      kept: remnants.map(({ stock, area }) => ({ code: stock, area })),
      events,
    });
    const itemOf = (of: string) => row.stock.uses.find((use) => use.code === of)?.itemId ?? null;
    const own = { batchId, personId: person, at };
    const released = row.stock.uses.flatMap(({ itemId, used }) => (itemId === null || used === 0 ? [] : [{ itemId, sort: 'released' as const, quantity: used, ...own }])); // prettier-ignore
    if (released.length > 0) await tx.insert(schema.movements).values(released);
    const kept: number[] = [];
    for (const { stock, box, outline, motif } of remnants) {
      const parent = itemOf(stock);
      if (parent === null) continue;
      const [from] = await tx.select().from(schema.stockItems).where(eq(schema.stockItems.id, parent));
      const [across, along] = [Math.round(box[2] - box[0]), Math.round(box[3] - box[1])];
      const [item] = await tx
        .insert(schema.stockItems)
        .values({ sort: 'remnant', clothId: row.clothId, lot: from!.lot, widthNm: across, lengthNm: along, outline, motifAcrossNm: Math.round(motif[0]), motifAlongNm: Math.round(motif[1]), place: 'drawer 1', supplier: from!.supplier, priceMinor: Math.round((from!.priceMinor * across) / from!.widthNm!), currency: from!.currency, pricePer: from!.pricePer, fromItemId: parent, receivedAt: at })
        .returning({ id: schema.stockItems.id }); // prettier-ignore
      kept.push(item!.id);
      await tx.insert(schema.movements).values({ itemId: item!.id, sort: 'received', quantity: along, reason: `left of ${stock}`, ...own }); // prettier-ignore
    }
    for (const { code: of, keeps, ...movement } of movements) {
      const itemId = itemOf(of);
      if (itemId !== null) await tx.insert(schema.movements).values({ ...movement, itemId, ...(keeps !== undefined && { toItemId: kept[keeps]! }), ...own }); // prettier-ignore
    }
    for (const { sort, lengthNm } of events) {
      const part = sort === 'recut' ? parts.find(({ isStrip }) => !isStrip) : undefined;
      await tx.insert(schema.layEvents).values({
        batchId,
        clothId: row.clothId,
        sort,
        itemId: itemOf(code),
        lengthNm,
        orderId: part ? sql`(SELECT id FROM orders WHERE no = ${Number(part.orderNo)})` : null,
        part: part?.name ?? '',
        why: sort === 'recut' ? 'a slub right in the middle of the face' : 'a slub that the mill had not marked',
        personId: person,
        at,
      });
    }
    await tx.update(schema.lays).set({ cutAt: at, outcome }).where(eq(schema.lays.id, row.id));
  }
  await tx.update(schema.batches).set({ status: 'cut' }).where(eq(schema.batches.id, batchId));
}

/** Quotes in every state, for the orders of these numbers. */
const QUOTES = [
  { no: 201, state: 'accepted', daysAgo: 30 },
  { no: 205, state: 'accepted', daysAgo: 22 },
  { no: 212, state: 'sent', daysAgo: 4 },
  { no: 214, state: 'draft', daysAgo: 1 },
  { no: 218, state: 'declined', daysAgo: 15 },
  { no: 221, state: 'sent', daysAgo: 2 },
] as const;

export async function quoteDemo(db: Database, today: Date, person: number) {
  const { costing } = readReckoning(DEMO_RECKONING as ReckoningForm).value;
  for (const [i, { no, state, daysAgo }] of QUOTES.entries()) {
    const [order] = await db.select({ id: schema.orders.id }).from(schema.orders).where(eq(schema.orders.no, no));
    const sheet = costSheet(await takesAlone(db, order!.id), costing);
    const at = addDays(today, -daysAgo);
    await db.insert(schema.quotes).values({
      no: 1001 + i,
      orderId: order!.id,
      state,
      validUntil: format(addDays(at, 30), 'yyyy-MM-dd'),
      sheet,
      totalMinor: sheet.total,
      currency: sheet.currency,
      words: i % 2 === 0 ? 'With the cloth that you chose at the bench; half on order, half when it is fetched.' : '',
      personId: person,
      createdAt: at,
      ...(state !== 'draft' && { sentAt: at }),
      ...((state === 'accepted' || state === 'declined') && { answeredAt: addDays(at, 3) }),
    });
  }
}
