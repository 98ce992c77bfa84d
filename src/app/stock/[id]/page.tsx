import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { ItemPage } from '@/features/stock/components/item-page';
import { getItem } from '@/features/stock/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shelf' };

export default async function StockItemPage({ params }: { params: Promise<{ id: string }> }) {
  const item = await getItem(readId((await params).id));
  if (!item) notFound();
  return <ItemPage item={item} today={new Date().toISOString()} />;
}
