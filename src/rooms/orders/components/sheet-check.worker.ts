import { kindBook } from '@/core/covers';
import type { Sheet } from '@/core/files';
import { checkSheet, type CellFault } from '../sheet';
import type { RoomProps } from './order-room';

// Checks a sheet away from the page, so that typing goes on while ten thousand rows are read.

export interface SheetQuestion {
  run: number;
  sheet: Sheet;
  fields: string[];
  room: RoomProps;
  usualDue: string;
}

export interface SheetAnswer {
  run: number;
  orders: number;
  goodRows: number;
  badRows: number[];
  faults: CellFault[];
}

self.onmessage = ({ data }: MessageEvent<SheetQuestion>) => {
  const { run, sheet, fields, room, usualDue } = data;
  const { orders, goodRows, badRows, faults } = checkSheet(sheet, fields, {
    kinds: kindBook(room.own, room.withdrawn),
    cloths: new Map(room.cloths.map(({ id, cloth }) => [id, cloth])),
    clothIds: new Map(room.cloths.map(({ id, name }) => [name.toLowerCase(), id])),
    house: room.house,
    usualDue,
  });
  self.postMessage({ run, orders: orders.length, goodRows, badRows, faults } satisfies SheetAnswer);
};
