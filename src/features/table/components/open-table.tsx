'use client';

import dynamic from 'next/dynamic';
import { Opening } from '@/ui/opening';

/** The table under the hands: only a browser draws it, so only a browser makes it. */
export const OpenTable = dynamic(() => import('./hands-table'), { ssr: false, loading: () => <Opening /> });
