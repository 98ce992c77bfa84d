import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { getBatch } from '@/rooms/batches/queries';
import { kindsForForms } from '@/rooms/house/queries';
import { SewingSheets } from '@/rooms/orders/components/sewing-sheet';
import { clothChoices, getOrder } from '@/rooms/orders/queries';
import { dueText } from '@/ui/words';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sewing sheets' };

/** The sewing sheets of all orders of a batch, each with the lines that are cut in it. */
export default async function BatchSewingPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [view, cloths, kinds] = await Promise.all([getBatch(id), clothChoices(), kindsForForms()]);
  if (!view || view.lines.length === 0) notFound();
  const lineIds = new Set(view.lines.map((line) => line.id));
  const found = await Promise.all([...new Set(view.lines.map(({ orderId }) => orderId))].map(getOrder));
  const orders = found
    .flatMap((order) => order ?? [])
    .sort((one, other) => one.no - other.no)
    .map((order) => ({
      order,
      due: dueText(order.form.due, new Date()),
      only: order.form.lines.flatMap((line, index) => (line.id !== null && lineIds.has(line.id) ? [index] : [])),
    }));
  return <SewingSheets orders={orders} back="Back to the batch" backTo={`/batches/${id}`} cloths={cloths} {...kinds} />;
}
