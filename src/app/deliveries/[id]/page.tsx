import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../papers.css';
import '../../room.css';
import { readId } from '@/app/params';
import { PaperBar } from '@/features/papers/components/paper-bar';
import { PaperSheet } from '@/features/papers/components/paper-sheet';
import { getPaper } from '@/features/papers/queries';
import { TakeDeliveryBack } from '@/features/room/components/take-delivery-back';
import { getDelivery } from '@/features/room/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Delivery note' };

export default async function DeliveryPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [delivery, paper] = await Promise.all([getDelivery(id), getPaper('delivery', id)]);
  if (!delivery || !paper) notFound();
  return (
    <>
      <PaperBar
        back="Back to the order"
        backTo={`/orders/${delivery.orderId}/way`}
        pdf={`/api/papers/delivery/${delivery.id}`}
      />
      <PaperSheet paper={paper} />
      {!delivery.isTakenBack && (
        <div className="no-print">
          <TakeDeliveryBack id={delivery.id} />
        </div>
      )}
    </>
  );
}
