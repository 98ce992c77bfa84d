import type { Metadata } from 'next';
import { MinutesPage } from '@/features/days/components/minutes-page';
import { getMinutes } from '@/features/days/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Minutes by kind' };

export default async function MinutesRoute() {
  return <MinutesPage kinds={await getMinutes()} />;
}
