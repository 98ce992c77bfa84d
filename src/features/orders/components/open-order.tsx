'use client';

import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Opening } from '@/ui/opening';

/**
 * The order form, made in the browser alone: on the server it would be the costliest page, and nobody reads a form there. What it shows
 * comes as one text (`orderText`): hundreds of cloths as objects would cost the server more than all else on the page.
 */
export const OrderFormView = dynamic(
  lazyPart(() => import('./order-form').then((file) => file.OrderFormOfText)),
  {
    ssr: false,
    loading: () => <Opening />,
  },
);
