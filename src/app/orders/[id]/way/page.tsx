import { Button } from '@chakra-ui/react';
import { format } from 'date-fns';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import '../../../room.css';
import { readId } from '@/app/params';
import { HandOverForm } from '@/features/room/components/hand-over-form';
import { OrderWayPanels } from '@/features/room/components/order-way';
import { deliveriesOf, orderHead, orderWay, packedCovers } from '@/features/room/queries';
import { dueText } from '@/ui/days';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { EmptyState, PageHead, Panel } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Way of an order' };

export default async function OrderWayPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const order = await orderHead(id);
  if (!order) notFound();
  const [way, deliveries, packed] = await Promise.all([orderWay(id), deliveriesOf(id), packedCovers(id)]);
  return (
    <>
      <PageHead
        title={
          <>
            <OrderMark mark={order.mark} size={26} /> Order {order.no}
          </>
        }
        about={`${order.customer}: where its covers are, and what happened to them`}
      >
        <Button asChild variant="ghost">
          <Link href="/room">Back to the room</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href={`/orders/${id}`}>Its covers and sizes</Link>
        </Button>
      </PageHead>
      {way === null ? (
        <EmptyState
          title="None of it is approved yet"
          action={
            <Button asChild>
              <Link href="/batches">To the batches</Link>
            </Button>
          }
        >
          Its covers are followed from the approval of their batch on.
        </EmptyState>
      ) : (
        <div className="way">
          {packed.coverIds.length > 0 && (
            <HandOverForm
              key={packed.coverIds.join()}
              orderId={id}
              coverIds={packed.coverIds}
              left={packed.left}
              customer={order.customer}
              today={format(new Date(), 'yyyy-MM-dd')}
            />
          )}
          {deliveries.length > 0 && (
            <Panel title="Deliveries">
              {deliveries.map(({ id: delivery, no, day, toWhom, covers, isTakenBack }) => (
                <p key={delivery}>
                  <Link href={`/deliveries/${delivery}`} className="way-link">
                    Delivery note {order.no}-{no}
                  </Link>
                  : {covers === 1 ? '1 cover' : `${covers} covers`} to {toWhom} on {dueText(day, new Date())}
                  {isTakenBack && ', taken back'}
                </p>
              ))}
            </Panel>
          )}
          <OrderWayPanels way={way} />
        </div>
      )}
    </>
  );
}
