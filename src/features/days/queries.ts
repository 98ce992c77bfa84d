import 'server-only';
import { database } from '@/db';
import type { RoomHours } from '@/core/schedule';
import type { RoomToAsk } from './asked';
import { loadHours } from '@/records/hours';
import { loadDays, type DaysView } from './load-days';
import { countedCases } from './minutes-log';
import { loadMinutes, type KindMinutes } from './minutes-view';

/** The open work of the room, for the page that plans it. */
export async function getDays(): Promise<DaysView> {
  return (await loadDays(database())).view;
}

/** The room as an order meets it that is asked about; `without`: that order, where it is stored already. */
export async function getRoomToAsk(without?: number): Promise<RoomToAsk> {
  const { view, log, shelf, notions, asked } = await loadDays(database(), { without });
  const { job, runs, orders, people, hours } = view;
  return {
    job,
    runs: runs.map(({ id, orderNo, does, what, waits }) => ({ id, orderNo, does, what, waitsFor: waits?.why ?? '' })),
    orders: orders.map(({ id, no }) => ({ id, no })),
    people: people.map(({ id, name }) => ({ id, name })),
    sharePercent: hours.sharePercent,
    clothDays: hours.clothDays,
    log: countedCases(log),
    shelf,
    notions,
    asked,
  };
}

/** The hours of the room, for its settings. */
export const getHours = (): Promise<RoomHours> => loadHours(database());

/** What sewing takes by kind, for the page that opens each estimate. */
export const getMinutes = (): Promise<KindMinutes[]> => loadMinutes(database());
