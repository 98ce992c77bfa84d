import { saveOrder } from '@/features/orders/actions';
import type { LineForm, OrderForm } from '@/features/orders/form';
import { getOrder } from '@/features/orders/queries';
import { orderForm } from './forms';
import { value } from './workroom';

/** A new order of these lines; its id. */
export const savedOrder = async (lines: LineForm[], rest: Partial<OrderForm> = {}): Promise<number> =>
  value(await saveOrder(orderForm(lines, rest), null)).id;

/** The ids of an order’s lines. */
export const linesOf = async (orderId: number): Promise<number[]> =>
  (await getOrder(orderId))!.form.lines.map(({ id }) => id!);
