import type { Metadata } from 'next';
import { queryText } from '@/features/commands/texts';
import { CountSheet } from '@/features/stock/components/count-sheet';
import { countList } from '@/features/stock/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Count the shelf' };

export default async function CountPage({ searchParams }: { searchParams: Promise<{ place?: string | string[] }> }) {
  const place = queryText((await searchParams).place);
  return <CountSheet {...await countList(place)} place={place} />;
}
