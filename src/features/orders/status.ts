import { LINE_STATES, type LineState } from '@/core/batch';

/** Where an order is, by the batches of its lines, then by its covers. */
export const ORDER_STATUSES = LINE_STATES;
export type OrderStatus = LineState;
/** Orders of one status are counted up to here; a list then says "1,000+". */
export const MOST_COUNTED = 1000;
/** Sort orders of the list of orders. */
export const ORDER_SORTS = ['due', 'no', 'customer', 'status'] as const;
export type OrderSort = (typeof ORDER_SORTS)[number];
export const STATUS_LABELS: Record<OrderStatus, string> = {
  waiting: 'Waiting',
  batched: 'In a batch',
  approved: 'Approved',
  cut: 'Cut',
  'in sewing': 'In sewing',
  'to check': 'To check',
  checked: 'Checked',
  packed: 'Packed',
  'handed over': 'Handed over',
};

/** `1,000+` where there may be more. */
export const countText = (counts: Record<OrderStatus, number> & { areAll: boolean }, status: OrderStatus): string =>
  counts[status].toLocaleString('en') + (counts.areAll && counts[status] < MOST_COUNTED ? '' : '+');
