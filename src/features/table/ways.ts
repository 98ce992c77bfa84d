import 'server-only';
import { markerOf } from '@/records/lay-marker';
import { and, desc, eq } from 'drizzle-orm';
import Joi from 'joi';
import { changed, takenBy, wasteOf, waysOf, workOf, type Way, type WayChange } from '@/core/batch';
import { cutList, layJobFor, WIDE_WAYS, type ClothJob } from '@/core/cutlist';
import { findFaults, jobToJson, readPlan, type LayPlan } from '@/core/lay';
import { printLength, STYLES } from '@/core/length';
import { readMarker, writeMarker, type Marker } from '@/core/marker';
import { database, schema, type Transaction } from '@/db';
import { toShelfItem } from '@/db/shelf';
import { done, failed, gone } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';
import { unpack } from '@/features/commands/unpack';
import { loadCutLists, type CutLists } from '@/records/cut-lists';
import { holdLay, keepAs, proven } from './commands';
import type { KeptWay, WayJob, WaysDocument } from './ways-document';

type LayRow = typeof schema.lays.$inferSelect;

const MOST_WAYS = 3;
const MOST_CHANGES = 4;
/** Most earlier comparisons that are shown. */
const MOST_SHOWN = 24;
const WIDEST_NM = 20_000_000_000;

const text = Joi.string().min(1).max(200).required();
const oneOf = (...values: string[]) =>
  Joi.string()
    .valid(...values)
    .required();
const changeRules = Joi.alternatives(
  Joi.object({ is: oneOf('match'), to: oneOf('alike', 'none') }),
  Joi.object({ is: oneOf('piping'), to: oneOf('straight', 'bias') }),
  Joi.object({ is: oneOf('width'), width: Joi.number().integer().positive().max(WIDEST_NM).required() }),
  Joi.object({ is: oneOf('stock'), to: oneOf('roll') }),
  Joi.object({ is: oneOf('cut'), to: oneOf('free', 'straight') }),
  Joi.object({ is: oneOf('turn'), part: text }),
  Joi.object({ is: oneOf('panels'), orderNo: text, line: text, part: text, to: oneOf(...WIDE_WAYS) }),
).messages({ '*': 'This is no way of laying it.' });
const wayRules = Joi.object<Way>({
  name: text,
  changes: Joi.array().items(changeRules).min(1).max(MOST_CHANGES).required(),
});

const layOf = async (tx: Pick<Transaction, 'select'>, batchId: number, clothId: number): Promise<LayRow | undefined> =>
  (
    await tx
      .select()
      .from(schema.lays)
      .where(and(eq(schema.lays.batchId, batchId), eq(schema.lays.clothId, clothId)))
  )[0];

/** Writes the other ways of a lay, and earlier comparisons, as one text, or null when there is no such lay. */
export async function getWaysText(batchId: number, clothId: number): Promise<string | null> {
  const db = database();
  const row = await layOf(db, batchId, clothId);
  if (!row) return null;
  const marker = markerOf(row);
  const lists = await loadCutLists(db, eq(schema.orderLines.batchId, batchId));
  const { layWays, people } = schema;
  const kept = await db
    .select({
      way: {
        id: layWays.id,
        name: layWays.name,
        layVersion: layWays.layVersion,
        usedNm: layWays.usedNm,
        costMinor: layWays.costMinor,
        currency: layWays.currency,
        wastePart: layWays.wastePart,
        cuts: layWays.cuts,
        seams: layWays.seams,
        takenAt: layWays.takenAt,
        at: layWays.createdAt,
      },
      by: people.name,
    })
    .from(layWays)
    .leftJoin(people, eq(people.id, layWays.personId))
    .where(and(eq(layWays.batchId, batchId), eq(layWays.clothId, clothId)))
    .orderBy(desc(layWays.id))
    .limit(MOST_SHOWN);
  const document: WaysDocument = {
    offers: [...panelWays(lists, marker, row), ...waysOf(marker, marker.cloth, row.units)],
    kept: kept.map(({ way, by }): KeptWay => ({
      ...way,
      by,
      at: way.at.toISOString(),
      takenAt: way.takenAt?.toISOString() ?? null,
    })),
  };
  return JSON.stringify(document);
}

/** Parts that are wider than the cloth, the other way than they are cut. */
const panelWays = ({ orders }: CutLists, { cloth }: Marker, { units }: LayRow): Way[] =>
  orders.flatMap(({ orderNo, cutList: { wide } }) =>
    wide
      .filter((part) => part.cloth === cloth.name && part.why === 'width')
      .flatMap(({ line, part, across, ways, chosen }) =>
        ways
          .filter(({ way }) => way !== chosen)
          .map(({ way }): Way => ({
            name: `${orderNo}: the ${part} (${printLength(across, STYLES[units])} across) ${way === 'join' ? 'joined' : 'along the bolt'}`,
            changes: [{ is: 'panels', orderNo, line, part, to: way }],
          })),
      ),
  );

/** The job of a way: the cut list where panels are cut another way, then the job itself. */
function jobOfWay(marker: Marker, clothId: number, lists: CutLists, changes: readonly WayChange[]): ClothJob {
  const panels = changes.flatMap((change) => (change.is === 'panels' ? [change] : []));
  let one: ClothJob = { job: marker.job, parts: [...marker.parts] };
  if (panels.length > 0) {
    const orders = lists.orders.map((order) => {
      const own = panels.filter(({ orderNo }) => orderNo === order.orderNo);
      if (own.length === 0) return order;
      const lines = order.lines.map(({ line }) => {
        const of = own.filter((panel) => panel.line === line.id);
        return { ...line, panels: { ...line.panels, ...Object.fromEntries(of.map(({ part, to }) => [part, to])) } };
      });
      const read = cutList(lines, order.units, { kinds: lists.kinds, cloths: lists.cloths });
      return read.ok ? { ...order, cutList: read.value } : order;
    });
    const made = layJobFor(orders, String(clothId), marker.cloth, marker.job.units)!;
    one = { ...made, job: { ...made.job, stock: marker.job.stock } };
  }
  return changed(one, marker.cloth, changes);
}

/** The jobs of some ways, as they are laid in the browser; null when there is no such lay. */
export async function jobsOfWays(batchId: number, clothId: number, body: unknown): Promise<WayJob[] | null> {
  const { value, error } = Joi.array().items(wayRules).min(1).max(MOST_WAYS).validate(body);
  const row = error ? undefined : await layOf(database(), batchId, clothId);
  if (!row) return null;
  const marker = markerOf(row);
  const lists = await loadCutLists(database(), eq(schema.orderLines.batchId, batchId));
  return (value as Way[]).map(({ changes }) => {
    const { job, parts } = jobOfWay(marker, clothId, lists, changes);
    return { job: jobToJson(job, marker.cloth), parts };
  });
}

export interface LaidWays {
  batchId: number;
  clothId: number;
  version: number;
  ways: { name: string; changes: WayChange[]; plan: unknown }[];
}

/** Keeps ways that were laid with their batch, so that the choice can be explained later: each checked and calculated here. */
export const keepWays: Command<LaidWays, { ids: number[] }> = {
  name: 'keep ways',
  read: byRules(
    Joi.object({
      batchId: recordId('batch'),
      clothId: recordId('cloth'),
      version: Joi.number().integer().required(),
      ways: Joi.array()
        .items(wayRules.append({ plan: Joi.object().unknown(true).required() }))
        .min(1)
        .max(MOST_WAYS)
        .required(),
    }),
  ),
  run: async ({ tx, person }, { batchId, clothId, version, ways }) => {
    const held = await holdLay(tx, batchId, clothId, version);
    if (!held.ok) return held;
    const { row, marker } = held.value;
    const lists = await loadCutLists(tx, eq(schema.orderLines.batchId, batchId));
    const items = (await tx.select().from(schema.stockItems).where(eq(schema.stockItems.clothId, clothId)))
      .filter(({ sort }) => sort === 'bolt' || sort === 'remnant')
      .map(toShelfItem);
    const ids: number[] = [];
    for (const { name, changes, plan: planJson } of ways) {
      const { job, parts } = jobOfWay(marker, clothId, lists, changes);
      const read = readPlan(unpack(planJson), job);
      const fault = read.ok ? findFaults(job, read.value)[0] : null;
      if (!read.ok || fault)
        return failed('', `“${name}” can’t be cut as it was laid: ${read.ok ? fault!.what : read.faults[0]!.message}.`);
      const plan = proven(job, read.value, null);
      const [kept] = await tx
        .insert(schema.layWays)
        .values({
          batchId,
          clothId,
          layVersion: version,
          name,
          change: changes,
          units: row.units,
          cloth: row.cloth,
          ...storedWay(marker, { job, parts }, plan),
          usedNm: plan.used,
          boundNm: plan.bound,
          costMinor: takenBy(marker.cloth, items, plan).cost,
          currency: marker.cloth.price.currency,
          wastePart: wasteOf(job, plan),
          ...workOf(plan, parts),
          personId: person?.id ?? null,
        })
        .returning({ id: schema.layWays.id });
      ids.push(kept!.id);
    }
    return done({ ids });
  },
};

function storedWay({ cloth }: Marker, { job, parts }: ClothJob, plan: LayPlan) {
  const { version: _, ...stored } = writeMarker({ version: 1, cloth, job, plan, parts });
  return stored;
}

/** Takes a way that was kept in place of the lay as it is: it becomes its next version, and what it does another way is written on it. */
export const takeWay: Command<{ batchId: number; clothId: number; version: number; wayId: number }, { id: number }> = {
  name: 'take another way',
  read: byRules(
    Joi.object({
      batchId: recordId('batch'),
      clothId: recordId('cloth'),
      version: Joi.number().integer().required(),
      wayId: recordId('way'),
    }),
  ),
  run: async ({ tx, now, changes }, { batchId, clothId, version, wayId }) => {
    const held = await holdLay(tx, batchId, clothId, version);
    if (!held.ok) return held;
    const { row, marker } = held.value;
    const { layWays } = schema;
    const [way] = await tx
      .select()
      .from(layWays)
      .where(and(eq(layWays.id, wayId), eq(layWays.batchId, batchId), eq(layWays.clothId, clothId)));
    if (!way) return gone('way');
    // Other things may have to be cut by now than when it was laid.
    const lists = await loadCutLists(tx, eq(schema.orderLines.batchId, batchId));
    const { job } = jobOfWay(marker, clothId, lists, way.change as WayChange[]);
    const read = readMarker({ ...way, version: 1 }, marker.cloth);
    const isStill = read.ok && findFaults(job, { ...read.value.plan }).length === 0;
    if (!isStill) return failed('', 'The lay has changed since this way was laid; compare again.', 'stale');
    await changes('batch', batchId);
    await keepAs(tx, row, { ...marker, parts: read.value.parts }, read.value.job, read.value.plan, way.name);
    await tx.update(layWays).set({ takenAt: now }).where(eq(layWays.id, wayId));
    await keepPanels(tx, lists, way.change as WayChange[]);
    const [batch] = await tx
      .select({ version: schema.batches.version })
      .from(schema.batches)
      .where(eq(schema.batches.id, batchId));
    await tx
      .update(schema.batches)
      .set({ version: batch!.version + 1, updatedAt: now })
      .where(eq(schema.batches.id, batchId));
    return done({ id: batchId });
  },
};

/** The lines say from now on how their panels are cut, as if it had been chosen in the order. */
async function keepPanels(tx: Transaction, { orders }: CutLists, changes: readonly WayChange[]) {
  const { lineParts } = schema;
  for (const change of changes) {
    if (change.is !== 'panels') continue;
    const line = orders
      .find(({ orderNo }) => orderNo === change.orderNo)
      ?.lines.find(({ line: { id } }) => id === change.line);
    if (!line) continue;
    const row = { lineId: line.id, part: change.part, wide: change.to };
    await tx
      .insert(lineParts)
      .values(row)
      .onConflictDoUpdate({ target: [lineParts.lineId, lineParts.part], set: { wide: change.to } });
  }
}
