import type { Nm, Units } from '@/core/length';
import type { ClothLook } from '@/ui/cloth-pattern';

/** One piece or strip cut as it lies, in millimetres from the cloth's left edge and its squared end. */
export interface LayViewItem {
  key: string;
  copy: number;
  orderNo: number;
  line: string;
  name: string;
  sum: [string, string];
  /** As cut, nm: across by along; of a strip its width by the length of this cut. */
  sizeNm: [Nm, Nm];
  isStrip: boolean;
  turn: number;
  ring: [number, number][];
}

/** What one order has of the lay. */
export interface LayViewOrder {
  id: number;
  no: number;
  mark: number;
  customer: string;
  usedNm: Nm;
  wastePart: number;
  byLengthMinor: number;
  byAreaMinor: number;
  aloneMinor: number;
  aloneNm: Nm;
  handNm: Nm;
  handMinor: number;
}

/** A lay with everything that the table shows of it. */
export interface LayView {
  id: number;
  batchId: number;
  clothId: number;
  clothName: string;
  units: Units;
  look: ClothLook;
  widthMm: number;
  selvageMm: [number, number];
  usedNm: Nm;
  boundNm: Nm;
  boughtNm: Nm;
  handNm: Nm;
  costMinor: number;
  handCostMinor: number;
  currency: string;
  wastePart: number;
  items: LayViewItem[];
  unplaced: { name: string; why: string }[];
  orders: LayViewOrder[];
}
