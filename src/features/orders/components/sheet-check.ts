import { kindBook } from '@/core/covers';
import type { Sheet } from '@/core/files';
import { checkSheet, type CellFault } from '../sheet';
import type { OrderProviderProps } from './order-context';

export interface SheetQuestion {
  sheet: Sheet;
  fields: string[];
  room: OrderProviderProps;
  usualDue: string;
  isPartial: boolean;
}

export interface SheetAnswer {
  orders: number;
  goodRows: number;
  badRows: number[];
  heldBack: number;
  faults: CellFault[];
  questions: CellFault[];
}

/** Questions of the page to its worker. */
export const sheetWork = {
  check: ({ sheet, fields, room, usualDue, isPartial }: SheetQuestion): SheetAnswer => {
    const whole = {
      kinds: kindBook(room.own, room.withdrawn),
      cloths: new Map(room.cloths.map(({ id, cloth }) => [id, cloth])),
      clothIds: new Map(room.cloths.map(({ id, name }) => [name.toLowerCase(), id])),
      workroom: room.workroom,
      usualDue,
    };
    const { orders, ...checked } = checkSheet(sheet, fields, whole, isPartial);
    return { orders: orders.length, ...checked };
  },
};

export type SheetWork = typeof sheetWork;
