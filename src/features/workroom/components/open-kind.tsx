'use client';

import dynamic from 'next/dynamic';
import { coming } from '@/ui/parts/coming';
import { Opening } from '@/ui/opening';

/** The editor of a kind, made in the browser alone: on the server it would cost more than it shows. */
export const KindEditor = dynamic(
  coming(() => import('./kind-editor').then((file) => file.KindEditor)),
  {
    ssr: false,
    loading: () => <Opening />,
  },
);
