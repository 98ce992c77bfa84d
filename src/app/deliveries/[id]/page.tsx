import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../room.css';
import { readId } from '@/app/params';
import { DeliveryNote } from '@/features/room/components/delivery-note';
import { TakeDeliveryBack } from '@/features/room/components/take-delivery-back';
import { getDelivery } from '@/features/room/queries';
import { workroomAddress } from '@/features/workroom/queries';
import { PrintBar } from '@/ui/print-bar';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Delivery note' };

export default async function DeliveryPage({ params }: { params: Promise<{ id: string }> }) {
  const delivery = await getDelivery(readId((await params).id));
  if (!delivery) notFound();
  return (
    <>
      <PrintBar
        back="Back to the order"
        backTo={`/orders/${delivery.order.id}/way`}
        print="Print"
        about="Goes along with the covers"
      />
      <DeliveryNote delivery={delivery} from={await workroomAddress()} />
      {!delivery.takenBack && (
        <div className="no-print">
          <TakeDeliveryBack id={delivery.id} />
        </div>
      )}
    </>
  );
}
