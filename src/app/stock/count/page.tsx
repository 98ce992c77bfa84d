import type { Metadata } from 'next';
import { queryText } from '@/features/commands/texts';
import { CountSheetView } from '@/features/stock/components/open-count';
import { countList } from '@/features/stock/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Count the shelf' };

export default async function CountPage({ searchParams }: { searchParams: Promise<{ place?: string | string[] }> }) {
  const place = queryText((await searchParams).place);
  const text = JSON.stringify({ ...(await countList(place)), place });
  return <CountSheetView text={text} />;
}
