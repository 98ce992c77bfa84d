import type { OrderFormData } from './components/order-form';

/** All that the order form shows, as one text that the browser reads. */
export const orderText = (data: OrderFormData): string => JSON.stringify(data);
