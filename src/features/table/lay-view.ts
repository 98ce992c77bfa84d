import { printNumber, STYLES, type Nm, type Units } from '@/core/length';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';
import { withFraction } from '@/ui/fraction';

/** One piece or strip cut as it lies, in millimetres from the cloth's left edge and its squared end. */
export interface LayViewItem {
  key: string;
  copy: number;
  orderNo: number;
  line: string;
  name: string;
  sum: [string, string];
  /** Cut size, nm: across by along; of a strip its width by the length of this cut. */
  sizeNm: [Nm, Nm];
  isStrip: boolean;
  turn: number;
  ring: [number, number][];
}

/** An order's part of the lay. */
interface LayViewOrder {
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

/** One length of cloth with what lies on it; millimetres from its left edge and its squared end. */
export interface LayViewLength {
  /** Its name in the lay: B12, R7, `roll` where none is on the shelf, `to buy` for what the shelf lacks. */
  code: string;
  widthMm: number;
  selvageMm: [number, number];
  /** How much of it is drawn: what is bought, or what is there. */
  shownMm: number;
  usedNm: Nm;
  /** The shortest that the whole lay may be, where it lies on one length. */
  boundNm: Nm | null;
  motifMm: [number, number];
  flaws: [number, number, number, number][];
  outline: [number, number][] | null;
  items: LayViewItem[];
}

/** A lay with everything that the table shows of it. */
export interface LayView {
  id: number;
  version: number;
  /** How it came to lie so, where that is not the batch's own search. */
  how: string;
  batchId: number;
  clothId: number;
  clothName: string;
  units: Units;
  look: ClothLook;
  usedNm: Nm;
  boundNm: Nm;
  boughtNm: Nm;
  handNm: Nm;
  costMinor: number;
  handCostMinor: number;
  currency: string;
  wastePart: number;
  /** The lengths that it uses, in the order in which they are cut. */
  lengths: LayViewLength[];
  unplaced: { name: string; why: string }[];
  orders: LayViewOrder[];
}

/** All that lies on a lay, whichever length it lies on. */
export const itemsOf = ({ lengths }: Pick<LayView, 'lengths'>): LayViewItem[] => lengths.flatMap(({ items }) => items);

/** A length in a picture of a lay: without its unit, to an eighth of an inch or a millimetre. */
export const lengthText = (length: Nm, units: Units): string =>
  withFraction(printNumber(length, units === 'in' ? { unit: 'in', denominator: 8 } : STYLES.mm).text.replace('≈ ', ''));

/** Tells whether nothing of a lay comes off the shelf. */
export const isAllToBuy = ({ lengths }: Pick<LayView, 'lengths'>): boolean =>
  lengths.every(({ code }) => code === 'roll' || code === 'to buy');

/** Name of a length on the screen and on paper. */
export const lengthName = (code: string): string =>
  code === 'roll' ? 'the roll' : code === 'to buy' ? 'cloth to buy' : code;
