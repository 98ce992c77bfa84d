import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { ItemLabel } from '@/features/stock/components/item-label';
import { getItem } from '@/features/stock/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Label' };

export default async function LabelPage({ params }: { params: Promise<{ id: string }> }) {
  const item = await getItem(readId((await params).id));
  if (!item) notFound();
  return <ItemLabel item={item} />;
}
