'use client';

import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Opening } from '@/ui/opening';

/** The editor of a kind, made in the browser alone: on the server it would cost more than it shows. */
export const KindEditor = dynamic(
  lazyPart(() => import('./kind-editor').then((file) => file.KindEditor)),
  {
    ssr: false,
    loading: () => <Opening />,
  },
);
