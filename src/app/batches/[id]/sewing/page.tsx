import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { lineIdsByOrder } from '@/features/batches/queries';
import { kindsForForms } from '@/features/workroom/queries';
import { SewingSheets } from '@/features/orders/components/sewing-sheet';
import { clothChoices, clothsOf, getOrders } from '@/features/orders/queries';
import { dueText } from '@/ui/days';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sewing sheets' };

/** The sewing sheets of all orders of a batch, each with the lines that are cut in it. */
export default async function BatchSewingPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [lineIds, cloths] = await Promise.all([lineIdsByOrder(id), clothChoices()]);
  if (lineIds.size === 0) notFound();
  const found = await getOrders([...lineIds.keys()]);
  const kinds = await kindsForForms(found.flatMap(({ form }) => form.lines));
  const orders = found.map((order) => ({
    order,
    due: dueText(order.form.due, new Date()),
    only: order.form.lines.flatMap((line, index) => (lineIds.get(order.id)!.has(line.id!) ? [index] : [])),
  }));
  return (
    <SewingSheets
      orders={orders}
      back="Back to the batch"
      backTo={`/batches/${id}`}
      cloths={clothsOf(orders, cloths)}
      {...kinds}
    />
  );
}
