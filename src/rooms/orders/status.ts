/** Where an order is, told from the batches that its lines are in. */
export const ORDER_STATUSES = ['waiting', 'batched', 'approved', 'cut'] as const;
export type OrderStatus = (typeof ORDER_STATUSES)[number];
/** What orders may be sorted by. */
export const ORDER_SORTS = ['due', 'no', 'customer', 'status'] as const;
export type OrderSort = (typeof ORDER_SORTS)[number];
export const STATUS_LABELS: Record<OrderStatus, string> = {
  waiting: 'Waiting',
  batched: 'In a batch',
  approved: 'Approved',
  cut: 'Cut',
};
