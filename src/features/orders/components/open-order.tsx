'use client';

import dynamic from 'next/dynamic';
import { Opening } from '@/ui/opening';

/** The order form, made in the browser alone: on the server it would be the costliest page, and nobody reads a form there. */
export const OrderFormView = dynamic(() => import('./order-form').then((file) => file.OrderFormView), {
  ssr: false,
  loading: () => <Opening />,
});
