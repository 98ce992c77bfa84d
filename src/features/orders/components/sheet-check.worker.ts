import { kindBook } from '@/core/covers';
import type { Sheet } from '@/core/files';
import { checkSheet, type CellFault } from '../sheet';
import type { OrderProviderProps } from './order-context';

// Checks a sheet away from the page, so that typing goes on while ten thousand rows are read.

export interface SheetQuestion {
  run: number;
  sheet: Sheet;
  fields: string[];
  room: OrderProviderProps;
  usualDue: string;
  isPartial: boolean;
}

export interface SheetAnswer {
  run: number;
  orders: number;
  goodRows: number;
  badRows: number[];
  heldBack: number;
  faults: CellFault[];
}

self.onmessage = ({ data }: MessageEvent<SheetQuestion>) => {
  const { run, sheet, fields, room, usualDue, isPartial } = data;
  const whole = {
    kinds: kindBook(room.own, room.withdrawn),
    cloths: new Map(room.cloths.map(({ id, cloth }) => [id, cloth])),
    clothIds: new Map(room.cloths.map(({ id, name }) => [name.toLowerCase(), id])),
    workroom: room.workroom,
    usualDue,
  };
  const { orders, ...checked } = checkSheet(sheet, fields, whole, isPartial);
  self.postMessage({ run, orders: orders.length, ...checked } satisfies SheetAnswer);
};
