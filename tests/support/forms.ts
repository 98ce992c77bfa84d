import { kindById } from '@/core/covers';
import { emptyLine, type LineForm, type OrderForm } from '@/features/orders/form';

/** A line as somebody would type it. */
export const lineForm = (cloth: number, rest: Partial<LineForm> = {}): LineForm => ({
  ...emptyLine(kindById('envelope-cushion')!),
  qty: '3',
  typed: { width: '18 1/2', height: '18 1/2' },
  cloth: { face: String(cloth) },
  ...rest,
});

export const orderForm = (lines: LineForm[], rest: Partial<OrderForm> = {}): OrderForm => ({
  customer: 'Mill Race Players',
  due: '2027-03-05',
  units: 'in',
  notes: '',
  lines,
  ...rest,
});
