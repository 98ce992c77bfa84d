import 'server-only';
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import Joi from 'joi';
import {
  BY_HAND,
  eventTo,
  HOLDS,
  placeOfCover,
  type CoverEvent,
  type HandEvent,
  type Hold,
  type Place,
} from '@/core/making';
import { schema } from '@/db';
import type { CoverRow } from '@/db/rows';
import { done, failed, gone } from '@/features/commands/answer';
import { calendarDay } from '@/features/commands/calendar-day';
import { keepableText } from '@/features/commands/keepable-text';
import { byRules, type Command } from '@/features/commands/perform';
import { changeCovers, coversWithFindings, FINDING_OPEN, lockCovers, moveCovers } from '@/records/covers';
import { noteFindings, withdrawFindings } from '@/records/findings';
import { loadPlaces, placesFault, placesShape, PLACES_KEY } from './places';

/** Most covers that are moved at once. */
const MOST_MOVED = 2000;
const coverIds = () =>
  Joi.array()
    .items(Joi.number().integer().positive().max(2_147_483_647))
    .min(1)
    .max(MOST_MOVED)
    .required()
    .messages({ 'array.min': 'Choose the covers first.', 'array.max': `Move at most ${MOST_MOVED} covers at once.` });

/**
 * Puts covers at a place: what that means for each (begun, sewn, checked, packed) follows from what stands there. Refused as a whole where
 * one of them can't go there by one step.
 */
export const moveToPlace: Command<{ coverIds: number[]; place: string }, { moved: number }> = {
  name: 'move covers',
  read: byRules(Joi.object({ coverIds: coverIds(), place: Joi.string().max(40).required() })),
  run: async (context, { coverIds: ids, place: key }) => {
    const { tx } = context;
    const places = await loadPlaces(tx);
    const place = places.find((one) => one.key === key);
    if (!place) return failed('place', 'That place is gone: open the room again.', 'gone');
    const rows = await lockCovers(tx, ids);
    if (rows.length < new Set(ids).size) return gone('cover');
    const byEvent = new Map<CoverEvent | null, CoverRow[]>();
    for (const row of rows) {
      if (row.hold !== null && !place.states.includes(row.state))
        return failed('', `A cover that is held stays where it is: release it first (${row.hold}).`, 'held');
      const way = eventTo(row.state, place.states);
      if ('refusal' in way) return failed('', way.refusal, 'state');
      byEvent.set(way.event, [...(byEvent.get(way.event) ?? []), row]);
    }
    for (const [event, some] of byEvent) {
      if (event !== null) {
        const refusal = await moveCovers(context, some, event, { place: key });
        if (refusal) return failed('', refusal, 'state');
        continue;
      }
      const elsewhere = some.filter((row) => placeOfCover(places, row).key !== key);
      await changeCovers(
        context,
        elsewhere.map((row) => ({ row, event: 'stand', to: { place: key } })),
      );
    }
    return done({ moved: rows.length });
  },
};

/** Carries one event out for covers: begun, sewn, checked, to be mended, packed. */
export const stepCovers: Command<{ coverIds: number[]; event: HandEvent; note: string }, { moved: number }> = {
  name: 'step covers',
  read: byRules(
    Joi.object({
      coverIds: coverIds(),
      event: Joi.string()
        .valid(...BY_HAND)
        .required(),
      note: keepableText().allow('').max(400).required().messages({ 'string.max': 'Say it in at most 400 letters.' }),
    }),
  ),
  run: async (context, { coverIds: ids, event, note }) => {
    const rows = await lockCovers(context.tx, ids);
    if (rows.length < new Set(ids).size) return gone('cover');
    const held = rows.find(({ hold }) => hold !== null);
    if (held) return failed('', `A cover that is held stays where it is: release it first (${held.hold}).`, 'held');
    if (event === 'find' && note.trim() === '') return failed('note', 'Write what was found.');
    if (event === 'find') {
      const refusal = await noteFindings(context, rows, {
        what: note.trim(),
        look: null,
        spot: null,
        cause: 'other',
        decision: 'resew',
        minutesLost: 0,
      });
      return refusal ? failed('', refusal, 'state') : done({ moved: rows.length });
    }
    const refusal = await moveCovers(context, rows, event, { note });
    return refusal ? failed('', refusal, 'state') : done({ moved: rows.length });
  },
};

/** Takes the last thing that happened to each of these covers back, as long as it was a move. */
export const takeMoveBack: Command<{ coverIds: number[] }, { moved: number }> = {
  name: 'take move back',
  read: byRules(Joi.object({ coverIds: coverIds() })),
  run: async (context, { coverIds: ids }) => {
    const { tx } = context;
    const rows = await lockCovers(tx, ids);
    if (rows.length < new Set(ids).size) return gone('cover');
    const { coverEvents } = schema;
    const last = await tx
      .selectDistinctOn([coverEvents.coverId])
      .from(coverEvents)
      .where(
        inArray(
          coverEvents.coverId,
          rows.map(({ id }) => id),
        ),
      )
      .orderBy(coverEvents.coverId, desc(coverEvents.id));
    const back = new Map(last.map((event) => [event.coverId, event]));
    const changes = [];
    for (const row of rows) {
      const event = back.get(row.id);
      if (!event || FIXED.includes(event.event))
        return failed('', 'There is no move of these covers to take back.', 'state');
      changes.push({
        row,
        event: 'undo',
        to: { state: event.fromState, place: event.fromPlace, personId: event.fromPersonId },
      });
    }
    const clear = changes.filter(({ to }) => to.state === 'packed' || to.state === 'checked').map(({ row }) => row);
    const isFound = new Set(last.filter(({ event }) => event === 'find').map(({ coverId }) => coverId));
    await withdrawFindings(context, [...isFound]);
    if ((await coversWithFindings(tx, clear)).length > 0) return failed('', FINDING_OPEN, 'state');
    await changeCovers(context, changes);
    return done({ moved: rows.length });
  },
};

/** Events that are taken back where they were made, not in the room. */
const FIXED = ['cut', 'undo', 'hand over', 'take back', 'hold', 'release'];

/** Holds covers with a reason, or releases them. */
export const holdCovers: Command<{ coverIds: number[]; hold: Hold | null; why: string }, { held: number }> = {
  name: 'hold covers',
  read: byRules(
    Joi.object({
      coverIds: coverIds(),
      hold: Joi.string()
        .valid(...HOLDS)
        .allow(null)
        .required()
        .messages({ '*': 'Choose why they wait.' }),
      why: keepableText().allow('').max(400).required().messages({ 'string.max': 'Say it in at most 400 letters.' }),
    }),
  ),
  run: async (context, { coverIds: ids, hold, why }) => {
    const { tx } = context;
    const rows = await lockCovers(tx, ids);
    if (rows.length < new Set(ids).size) return gone('cover');
    if (hold !== null && rows.some(({ state }) => state === 'handed over'))
      return failed('', 'The customer has it already: take the delivery back first.', 'state');
    await changeCovers(
      context,
      rows.map((row) => ({
        row,
        event: hold === null ? 'release' : 'hold',
        to: { hold, holdWhy: hold === null ? '' : why },
        note: hold === null ? why : [hold, why].filter(Boolean).join(': '),
      })),
    );
    return done({ held: rows.length });
  },
};

/** Names the places of the room and what stands at each. */
export const savePlaces: Command<{ places: Place[] }, { places: number }> = {
  name: 'save places',
  read: byRules(placesShape),
  run: async ({ tx, changes }, { places }) => {
    const fault = placesFault(places);
    if (fault) return failed(fault.field, fault.message);
    await changes('settings', 0);
    const { settings } = schema;
    await tx
      .insert(settings)
      .values({ key: PLACES_KEY, value: places })
      .onConflictDoUpdate({ target: settings.key, set: { value: places } });
    return done({ places: places.length });
  },
};

interface HandOver {
  orderId: number;
  coverIds: number[];
  day: string;
  toWhom: string;
  note: string;
}

/** Hands packed covers of one order over: a delivery with its note. The others of the order are still to come. */
export const handOver: Command<HandOver, { id: number }> = {
  name: 'hand over',
  read: byRules(
    Joi.object({
      orderId: Joi.number().integer().positive().max(2_147_483_647).required(),
      coverIds: coverIds(),
      day: calendarDay('Choose the day.').required(),
      toWhom: keepableText()
        .trim()
        .min(1)
        .max(120)
        .required()
        .messages({ '*': 'Write to whom they go, in at most 120 letters.' }),
      note: keepableText()
        .allow('')
        .max(1000)
        .required()
        .messages({ 'string.max': 'Say it in at most 1,000 letters.' }),
    }),
  ),
  run: async (context, { orderId, coverIds: ids, day, toWhom, note }) => {
    const { tx, now, person } = context;
    const { covers, deliveries, deliveryCovers, orderLines, orders } = schema;
    const [order] = await tx.select({ id: orders.id }).from(orders).where(eq(orders.id, orderId)).for('update');
    if (!order) return gone('order');
    const rows = await lockCovers(tx, ids);
    const own = await tx
      .select({ id: covers.id })
      .from(covers)
      .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
      .where(and(eq(orderLines.orderId, orderId), inArray(covers.id, ids)));
    if (rows.length < new Set(ids).size || own.length < rows.length) return gone('cover');
    if (rows.some(({ hold }) => hold !== null)) return failed('', 'A cover that is held is not handed over.', 'held');
    const refusal = await moveCovers(context, rows, 'hand over', { note: toWhom });
    if (refusal) return failed('', refusal, 'state');
    const [made] = await tx
      .insert(deliveries)
      .values({
        orderId,
        no: sql`(SELECT coalesce(max(no), 0) + 1 FROM deliveries WHERE order_id = ${orderId})`,
        day,
        toWhom,
        note,
        personId: person?.id ?? null,
        at: now,
      })
      .returning({ id: deliveries.id });
    await tx.insert(deliveryCovers).values(rows.map(({ id }) => ({ deliveryId: made!.id, coverId: id })));
    return done({ id: made!.id });
  },
};

/** Takes a delivery back, with a reason: its covers are packed again, and it stays on record. */
export const takeDeliveryBack: Command<{ id: number; why: string }, { id: number }> = {
  name: 'take delivery back',
  read: byRules(
    Joi.object({
      id: Joi.number().integer().positive().max(2_147_483_647).required(),
      why: keepableText().trim().min(1).max(400).required().messages({ '*': 'Say why, in at most 400 letters.' }),
    }),
  ),
  run: async (context, { id, why }) => {
    const { tx, now } = context;
    const { deliveries, deliveryCovers } = schema;
    const [delivery] = await tx.select().from(deliveries).where(eq(deliveries.id, id)).for('update');
    if (!delivery) return gone('delivery');
    if (delivery.takenBackAt) return failed('', 'It has been taken back already.', 'state');
    const own = await tx
      .select({ id: deliveryCovers.coverId })
      .from(deliveryCovers)
      .where(eq(deliveryCovers.deliveryId, id));
    const rows = await lockCovers(
      tx,
      own.map((one) => one.id),
    );
    const refusal = await moveCovers(context, rows, 'take back', { note: why });
    if (refusal) return failed('', refusal, 'state');
    await tx.update(deliveries).set({ takenBackAt: now, takenBackWhy: why }).where(eq(deliveries.id, id));
    return done({ id });
  },
};
