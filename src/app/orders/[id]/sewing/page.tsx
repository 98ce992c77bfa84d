import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { kindsForForms } from '@/features/workroom/queries';
import { SewingSheets } from '@/features/orders/components/sewing-sheet';
import { clothChoices, clothsOf, getOrder } from '@/features/orders/queries';
import { dueText } from '@/ui/days';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sewing sheet' };

export default async function SewingPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [order, cloths] = await Promise.all([getOrder(id), clothChoices()]);
  if (!order || order.isDeleted) notFound();
  const kinds = await kindsForForms(order.form.lines);
  const orders = [{ order, due: dueText(order.form.due, new Date()) }];
  return (
    <SewingSheets
      orders={orders}
      back="Back to the order"
      backTo={`/orders/${id}`}
      cloths={clothsOf(orders, cloths)}
      {...kinds}
    />
  );
}
