import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { kindsForForms } from '@/rooms/house/queries';
import { SewingSheet } from '@/rooms/orders/components/sewing-sheet';
import { clothChoices, getOrder } from '@/rooms/orders/queries';
import { dueText } from '@/ui/words';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sewing sheet' };

export default async function SewingPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [order, cloths, kinds] = await Promise.all([getOrder(id), clothChoices(), kindsForForms()]);
  if (!order || order.isDeleted) notFound();
  return <SewingSheet order={order} due={dueText(order.form.due, new Date())} cloths={cloths} {...kinds} />;
}
