import 'server-only';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import Joi from 'joi';
import { BATCH_TRANSITIONS, type BatchState } from '@/core/batch';
import { applyTransition } from '@/core/transitions';
import { printNumber, STYLES, type Nm } from '@/core/length';
import type { Fault } from '@/core/result';
import { availableOf, cutBookings, remnantPrice, TO_BUY, type CutMovement } from '@/core/stock';
import { schema } from '@/db';
import type { StockItemRow } from '@/db/shelf';
import { done, failed, gone, staleAnswer, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import type { CommandContext } from '@/features/commands/context';
import { recordId } from '@/features/commands/record-id';
import { lockBatches } from '@/features/batches/lock';
import { releaseReserved } from '@/features/batches/approval';
import { book, lockItems, type Booking } from '@/features/stock/ledger';
import { loadCosting } from '@/records/costing';
import { readCosting } from '@/core/cost/costing-form';
import { cutCovers } from '@/records/covers';
import { readCutForm, type CutForm, type ReadCut } from './form';
import { loadCut, type LayToCut } from './load-cut';
import { bookRecut } from './book-recut';
import { cutShape } from './rules';

const isCutShape = byRules(cutShape);

/** Closes one lay with what happened: its cloth is consumed, its waste split, its remnants go on the shelf, what went wrong is kept. */
export const closeLay: Command<CutForm, { isBatchCut: boolean }> = {
  name: 'close lay',
  read: isCutShape,
  run: async (context, form) => {
    const { tx, changes } = context;
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, form.batchId)).for('update');
    if (!batch) return gone('batch');
    if (batch.version !== form.version) return staleAnswer('batch', batch.version, batch.updatedAt);
    const moved = applyTransition(BATCH_TRANSITIONS, batch.status, 'cut');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'not-approved');
    const [lay] = await loadCut(tx, form.batchId, form.clothId);
    if (!lay) return gone('lay');
    if (lay.row.cutAt) return failed('', 'This lay has been cut already.', 'cut');
    const { value, faults } = readCutForm(form, lay.row.units);
    if (faults.length > 0) return { ok: false, faults };
    await changes('batch', form.batchId);
    const refused = await closeOne(context, lay, value, form.from);
    return refused
      ? { ok: false, faults: refused }
      : done({ isBatchCut: await endBatch(context, form.batchId, moved.to!) });
  },
};

/** Says in one step that all lays of a batch have been cut as planned; what is worth keeping of cloth on the shelf is kept. */
export const markCut: Command<{ batchId: number }, { id: number }> = {
  name: 'mark batch cut',
  read: byRules(Joi.object({ batchId: recordId('batch') })),
  run: async (context, { batchId }): Promise<Answer<{ id: number }>> => {
    const { tx, changes } = context;
    const [batch] = await lockBatches(tx, [batchId]);
    if (!batch) return gone('batch');
    const moved = applyTransition(BATCH_TRANSITIONS, batch.status, 'cut');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'not-approved');
    await changes('batch', batchId);
    for (const lay of await loadCut(tx, batchId)) {
      if (lay.row.cutAt) continue;
      const isOnShelf = lay.row.stock.uses.some(({ itemId }) => itemId !== null);
      const refused = await closeOne(context, lay, { events: [], remnants: isOnShelf ? proposalsOf(lay) : [] }, []);
      if (refused) return { ok: false, faults: refused };
    }
    await endBatch(context, batchId, moved.to!);
    return done({ id: batchId });
  },
};

/** All remnants that a lay proposes, kept as they are. */
const proposalsOf = ({ remnants }: LayToCut): ReadCut['remnants'] =>
  remnants.map(({ stock, box: [x0, y0, x1, y1] }, proposed) => ({
    code: stock,
    proposed,
    isKept: true,
    acrossNm: Math.round(x1 - x0),
    alongNm: Math.round(y1 - y0),
    place: '',
  }));

/** Moves the batch on to `to`, cut, once all of its lays are, and the covers whose parts are all there. */
async function endBatch(context: CommandContext, batchId: number, to: BatchState): Promise<boolean> {
  const { tx, now } = context;
  const lays = await tx.select({ cutAt: schema.lays.cutAt }).from(schema.lays).where(eq(schema.lays.batchId, batchId));
  const isCut = lays.every(({ cutAt }) => cutAt !== null);
  await tx
    .update(schema.batches)
    .set({ ...(isCut && { status: to }), version: sql`${schema.batches.version} + 1`, updatedAt: now })
    .where(eq(schema.batches.id, batchId));
  await cutCovers(context, batchId);
  return isCut;
}

/** Books one lay as it was cut; the faults where it can't be. */
async function closeOne(
  context: CommandContext,
  lay: LayToCut,
  { events, remnants }: ReadCut,
  from: CutForm['from'],
): Promise<Fault[] | null> {
  const { tx, now, person } = context;
  const { row, marker, cloth } = lay;
  const { job, plan } = marker;
  const planned = new Map(row.stock.uses.map(({ code, itemId }) => [code, itemId]));
  const itemOf = new Map(
    plan.lays.map(({ stock }): [string, number | null] => [
      stock,
      from.find(({ code }) => code === stock)?.itemId ?? planned.get(stock) ?? null,
    ]),
  );
  const faults = [...eventFaults(lay, events), ...remnantFaults(lay, remnants)];
  if (faults.length > 0) return faults;
  const ids = [...new Set([...itemOf.values(), ...planned.values()].flatMap((id) => (id === null ? [] : [id])))];
  await releaseReserved(context, row.batchId, ids);
  const items = await lockItems(tx, ids);
  const isStrange = [...itemOf.values()].some((id) => id !== null && items.get(id)?.clothId !== row.clothId);
  if (isStrange)
    return [{ code: 'item', field: 'from', message: 'That item is no longer on the shelf, or is another cloth.' }];
  const widthOf = (code: string) => items.get(itemOf.get(code) ?? -1)?.widthNm ?? cloth.widthNm;
  const isToWash = (code: string) => cloth.isWashed && !items.get(itemOf.get(code) ?? -1)?.isWashed;
  // A lay of washed cloth lies on what the wash leaves of the width, too.
  const washedWidth = (width: Nm, code: string) =>
    isToWash(code) ? Math.round(width * (1 - cloth.shrinkAcrossPart)) : width;
  const { movements, outcome } = cutBookings(job, plan, row.stock, {
    fullWidthOf: (code) =>
      Math.max(
        washedWidth(widthOf(code), code),
        ...job.stock.filter(({ id }) => id === code).map(({ left, right }) => right - left),
      ),
    shrinkageOf: (code) => (isToWash(code) ? cloth.shrinkAlongPart : 0),
    patternPart: lay.patternPart,
    kept: remnants.map(({ code, acrossNm, alongNm, proposed }) => ({
      code,
      area: areaOf(lay, proposed, acrossNm, alongNm),
    })),
    events: events.map(({ sort, code, lengthNm }) => ({ sort, code, lengthNm })),
  });
  const short = shortFault(lay, movements, itemOf, items);
  if (short) return [short];
  const keptNm = remnants.map((_, i) => movements.find(({ keeps }) => keeps === i)?.quantity ?? 0);
  const kept = await keepRemnants(context, lay, remnants, keptNm, itemOf, items);
  const bookings = movements.flatMap(({ code, keeps, ...movement }): Booking[] => {
    const itemId = itemOf.get(code) ?? null;
    if (itemId === null) return [];
    return [{ ...movement, itemId, batchId: row.batchId, ...(keeps !== undefined && { toItemId: kept[keeps]! }) }];
  });
  await book(context, bookings);
  if (cloth.sheetLengthNm) await takeSheets(context, lay);
  await letGoOfScraps(context, lay, [...itemOf.values()]);
  for (const { sort, code, lengthNm, part, why } of events) {
    const owner = marker.parts.find(({ id }) => id === part);
    await tx.insert(schema.layEvents).values({
      batchId: row.batchId,
      clothId: row.clothId,
      sort,
      itemId: itemOf.get(code) ?? null,
      lengthNm,
      orderId: owner ? sql`(SELECT id FROM orders WHERE no = ${Number(owner.orderNo)})` : null,
      part: owner ? owner.name : '',
      why,
      personId: person?.id ?? null,
      at: now,
    });
  }
  await tx.update(schema.lays).set({ cutAt: now, outcome }).where(eq(schema.lays.id, row.id));
  return null;
}

/** Takes the sheets that were cut off the shelf, the oldest first; of those that are on no shelf nothing is booked. */
async function takeSheets(context: CommandContext, { row, marker }: LayToCut) {
  const { stockItems } = schema;
  const ofCloth = and(eq(stockItems.clothId, row.clothId), eq(stockItems.sort, 'sheets'));
  const all = await context.tx.select({ id: stockItems.id }).from(stockItems).where(ofCloth);
  if (all.length > 0)
    await releaseReserved(
      context,
      row.batchId,
      all.map(({ id }) => id),
    );
  const items = await context.tx
    .select()
    .from(stockItems)
    .where(and(ofCloth, gt(stockItems.onHand, stockItems.reserved)))
    .orderBy(asc(stockItems.id))
    .for('update');
  let left = marker.plan.lays.filter(({ used }) => used > 0).length;
  for (const item of items) {
    const quantity = Math.min(left, availableOf(item));
    await book(context, [{ itemId: item.id, sort: 'cut', quantity, batchId: row.batchId }]);
    left -= quantity;
  }
}

/** The rest of a remnant that is smaller than the workroom keeps is let go. */
async function letGoOfScraps(context: CommandContext, { row }: LayToCut, itemIds: readonly (number | null)[]) {
  const { leastRemnant } = readCosting(await loadCosting(context.tx)).value;
  const [small, large] = [Math.min(...leastRemnant), Math.max(...leastRemnant)];
  const items = await lockItems(
    context.tx,
    itemIds.flatMap((id) => (id === null ? [] : [id])),
  );
  for (const item of items.values()) {
    const [a, b] = [Math.min(item.widthNm!, item.onHand), Math.max(item.widthNm!, item.onHand)];
    if (item.sort !== 'remnant' || item.onHand === 0 || item.reserved > 0 || (a >= small && b >= large)) continue;
    await book(context, [
      {
        itemId: item.id,
        sort: 'wasted',
        cause: 'let go',
        quantity: item.onHand,
        batchId: row.batchId,
        reason: 'what was left is too small to keep',
      },
    ]);
  }
}

function eventFaults({ marker }: LayToCut, events: ReadCut['events']): Fault[] {
  const codes = new Set(marker.plan.lays.map(({ stock }) => stock));
  return events.flatMap(({ code, part, sort }, i): Fault[] => {
    if (!codes.has(code))
      return [
        { code: 'event', field: `events.${i}.code`, message: 'Choose the length of cloth that it took more of.' },
      ];
    if (part !== '' && !marker.parts.some(({ id }) => id === part))
      return [{ code: 'event', field: `events.${i}.part`, message: 'That piece is not in this lay.' }];
    if (sort === 'recut' && part === '')
      return [{ code: 'event', field: `events.${i}.part`, message: 'Choose the piece that was cut again.' }];
    return [];
  });
}

function remnantFaults({ marker, remnants }: LayToCut, kept: ReadCut['remnants']): Fault[] {
  return kept.flatMap(({ code, proposed, acrossNm, alongNm }, i): Fault[] => {
    const lay = marker.plan.lays.find(({ stock }) => stock === code);
    const length = marker.job.stock.find(({ id }) => id === code);
    if (!lay || !length || (proposed !== null && remnants[proposed]?.stock !== code))
      return [
        { code: 'remnant', field: `remnants.${i}.across`, message: 'This remnant comes from no length of the lay.' },
      ];
    const isWide = acrossNm > length.right - length.left + SLACK;
    if (isWide || alongNm > lay.used + SLACK)
      return [
        {
          code: 'remnant',
          field: `remnants.${i}.${isWide ? 'across' : 'along'}`,
          message: 'That is more than the lay used of this cloth.',
        },
      ];
    return [];
  });
}

/** A remnant that is measured again may come out a little larger than the lay says (nm). */
const SLACK: Nm = 5_000_000;

/** The area of a kept remnant: its shape's where it is as proposed, else across by along. */
function areaOf({ remnants }: LayToCut, proposed: number | null, acrossNm: Nm, alongNm: Nm): number {
  const own = proposed === null ? undefined : remnants[proposed];
  return own && isAsProposed(own.box, acrossNm, alongNm) ? own.area : acrossNm * alongNm;
}

const isAsProposed = ([x0, y0, x1, y1]: readonly number[], acrossNm: Nm, alongNm: Nm) =>
  Math.abs(x1! - x0! - acrossNm) <= ROUGH && Math.abs(y1! - y0! - alongNm) <= ROUGH;

/** A size that is shown to 1/16 in and comes back is still the same (nm). */
const ROUGH: Nm = 1_600_000;

function shortFault(
  { row }: LayToCut,
  movements: readonly CutMovement[],
  itemOf: ReadonlyMap<string, number | null>,
  items: ReadonlyMap<number, StockItemRow>,
): Fault | null {
  const wanted = new Map<number, number>();
  for (const { code, quantity } of movements) {
    const id = itemOf.get(code) ?? null;
    if (id !== null) wanted.set(id, (wanted.get(id) ?? 0) + quantity);
  }
  const text = (length: Nm) =>
    `${printNumber(length, STYLES[row.units]).text.replace('≈ ', '')} ${STYLES[row.units].unit}`;
  for (const [id, quantity] of wanted) {
    const item = items.get(id)!;
    const left = availableOf(item);
    if (quantity > left)
      return {
        code: 'stock-short',
        field: 'from',
        message: `${item.code} has ${text(left)} free, and this took ${text(quantity)}: say from which other item it was cut, or count ${item.code} first.`,
      };
  }
  return null;
}

/** Puts the remnants on the shelf, each as an item of its own that remembers where it comes from and where its motif lies. */
async function keepRemnants(
  context: CommandContext,
  { row, cloth, remnants }: LayToCut,
  kept: ReadCut['remnants'],
  /** The length that was booked as kept of the item that each was cut from (nm). */
  keptNm: readonly number[],
  itemOf: ReadonlyMap<string, number | null>,
  items: ReadonlyMap<number, StockItemRow>,
): Promise<number[]> {
  const ids: number[] = [];
  for (const [i, { code, proposed, acrossNm, alongNm, place }] of kept.entries()) {
    const parent = items.get(itemOf.get(code) ?? -1);
    const own = proposed === null ? undefined : remnants[proposed];
    const isSame = own !== undefined && isAsProposed(own.box, acrossNm, alongNm);
    const price = parent ?? {
      priceMinor: cloth.priceMinor,
      currency: cloth.currency,
      pricePer: cloth.pricePer,
      lengthNm: cloth.sheetLengthNm,
    };
    const [item] = await context.tx
      .insert(schema.stockItems)
      .values({
        sort: 'remnant',
        clothId: row.clothId,
        lot: parent?.lot ?? '',
        widthNm: acrossNm,
        lengthNm: alongNm,
        motifAcrossNm: own ? Math.round(own.motif[0]) : 0,
        motifAlongNm: own ? Math.round(own.motif[1]) : 0,
        outline: isSame ? own.outline : null,
        place,
        supplier: parent?.supplier ?? '',
        ...remnantPrice(keptNm[i]!, price),
        currency: price.currency,
        fromItemId: parent?.id ?? null,
        isWashed: cloth.isWashed,
        receivedAt: context.now,
      })
      .returning({ id: schema.stockItems.id });
    ids.push(item!.id);
    context.made('stock', item!.id);
    await book(context, [
      {
        itemId: item!.id,
        sort: 'received',
        quantity: alongNm,
        batchId: row.batchId,
        reason: code === TO_BUY ? '' : `left of ${code}`,
      },
    ]);
  }
  return ids;
}

/** A piece that has to be cut again after its lay was cut: it takes cloth again, and shows on its order. */
export const recutPiece: Command<
  { batchId: number; clothId: number; part: string; itemId: number | null; length: string; why: string },
  { orderId: number | null }
> = {
  name: 'cut piece again',
  read: byRules(
    Joi.object({
      batchId: recordId('batch'),
      clothId: recordId('cloth'),
      part: Joi.string().max(200).required().messages({ '*': 'Choose the piece that is cut again.' }),
      itemId: Joi.number().integer().positive().max(2_147_483_647).allow(null).required(),
      length: Joi.string().allow('').max(40).required(),
      why: Joi.string().allow('').max(400).required().messages({ 'string.max': 'Say it in at most 400 letters.' }),
    }),
  ),
  run: async (context, { batchId, clothId, part, itemId, length, why }) => {
    const { tx, changes } = context;
    const [batch] = await lockBatches(tx, [batchId]);
    if (!batch) return gone('batch');
    const [lay] = await loadCut(tx, batchId, clothId);
    if (!lay) return gone('lay');
    if (!lay.row.cutAt) return failed('', 'This lay is not cut yet: note it when you close the lay.', 'not-cut');
    const owner = lay.marker.parts.find(({ id }) => id === part);
    if (!owner) return failed('part', 'That piece is not in this lay.');
    const { value, faults } = readCutForm(
      { events: [{ sort: 'recut', code: '', length, part, why }], remnants: [] },
      lay.row.units,
    );
    if (faults.length > 0) return { ok: false, faults: faults.map((fault) => ({ ...fault, field: 'length' })) };
    const [{ lengthNm }] = value.events as [ReadCut['events'][number]];
    await changes('batch', batchId);
    const booked = await bookRecut(context, { lay, owner, itemId, lengthNm, why });
    return 'fault' in booked
      ? failed(booked.fault.field, booked.fault.message, booked.fault.code)
      : done({ orderId: booked.orderId });
  },
};
