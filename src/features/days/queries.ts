import 'server-only';
import { database } from '@/db';
import type { RoomHours } from '@/core/schedule';
import { loadHours } from './hours';
import { loadDays, type DaysView } from './load-days';

/** The open work of the room, for the page that plans it. */
export const getDays = (): Promise<DaysView> => loadDays(database());

/** The hours of the room, for its settings. */
export const getHours = (): Promise<RoomHours> => loadHours(database());
