import type { Metadata } from 'next';
import '../room.css';
import '../days.css';
import { DaysPage } from '@/features/days/components/days-page';
import { getDays } from '@/features/days/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'The coming days' };

export default async function DaysRoute() {
  return <DaysPage view={await getDays()} />;
}
