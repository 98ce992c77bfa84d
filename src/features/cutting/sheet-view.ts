import type { CutStep } from '@/core/cutting';
import type { Units } from '@/core/length';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';
import type { LayViewItem, LayViewLength } from '@/features/table/lay-view';
import type { SheetState } from './ticks';

/** A piece or a cut as the cutting sheet shows it: with its label's code and what is marked on it (mm on the cloth). */
export interface SheetItem extends LayViewItem {
  code: string;
  /** The part of the lay job that it is of. */
  part: string;
  marks: { n: number; name: string; points: [number, number][] }[];
}

export interface SheetLength extends Omit<LayViewLength, 'items'> {
  items: SheetItem[];
}

/** The cutting sheet of a lay: its steps in order, what they free, and how far somebody has come. */
export interface SheetView {
  batch: { id: number; name: string };
  clothId: number;
  clothName: string;
  units: Units;
  look: ClothLook;
  /** Foam and board: whole sheets, cut in one layer. */
  areSheets: boolean;
  lengths: SheetLength[];
  steps: CutStep[];
  orders: { no: number; mark: number; customer: string }[];
  /** The batch's other cloths. */
  others: { clothId: number; clothName: string }[];
  state: SheetState;
}

/** The length that a step is cut on. */
export const lengthOf = ({ lengths }: Pick<SheetView, 'lengths'>, { stock }: Pick<CutStep, 'stock'>): SheetLength =>
  lengths.find(({ code }) => code === stock)!;

/** Items that a step frees. */
export const itemsFreed = (view: Pick<SheetView, 'lengths'>, step: CutStep): SheetItem[] => {
  const { items } = lengthOf(view, step);
  return step.items.map((i) => items[i]!);
};
